import type { Metadata } from "next";
import { PiecePage } from "@/ui/piece/PiecePage";

export const metadata: Metadata = { title: "Piece" };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <PiecePage pieceId={id} />;
}
