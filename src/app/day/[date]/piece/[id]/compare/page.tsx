import type { Metadata } from "next";
import { ComparePage } from "@/ui/piece/ComparePage";

export const metadata: Metadata = { title: "Compare variants" };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <ComparePage pieceId={id} />;
}
