import type { Metadata } from "next";
import { HeatPage } from "@/ui/heat/HeatPage";
import { requireStored } from "../../../../../requireStored";

export const metadata: Metadata = { title: "Heat" };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  await requireStored("piece", id);
  return <HeatPage pieceId={id} />;
}
