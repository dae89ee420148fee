import type { Metadata } from "next";
import { PiecePage } from "@/ui/piece/PiecePage";
import { requireStored } from "../../../../requireStored";

export const metadata: Metadata = { title: "Piece" };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  await requireStored("piece", id);
  return <PiecePage pieceId={id} />;
}
