import type { Metadata } from "next";
import { FormulaPage } from "@/ui/formula/FormulaPage";
import { requireStored } from "../../../../requireStored";

export const metadata: Metadata = { title: "Formula" };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  await requireStored("formula", id);
  return <FormulaPage formulaId={id} />;
}
