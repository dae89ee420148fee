import type { Metadata } from "next";
import { WayPage } from "@/ui/way/WayPage";

export const metadata: Metadata = { title: "The way it goes" };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <WayPage pieceId={id} />;
}
