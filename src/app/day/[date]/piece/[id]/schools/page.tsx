import type { Metadata } from "next";
import { SchoolsPage } from "@/ui/piece/SchoolsPage";

export const metadata: Metadata = { title: "Where bakers disagree" };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <SchoolsPage pieceId={id} />;
}
