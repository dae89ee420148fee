import type { Metadata } from "next";
import { FormulaPage } from "@/ui/formula/FormulaPage";

export const metadata: Metadata = { title: "Formula" };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <FormulaPage formulaId={id} />;
}
