import type { Metadata } from "next";
import { HeatPage } from "@/ui/heat/HeatPage";

export const metadata: Metadata = { title: "Heat" };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <HeatPage pieceId={id} />;
}
