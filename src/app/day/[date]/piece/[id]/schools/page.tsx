import type { Metadata } from "next";
import { SchoolsPage } from "@/ui/piece/SchoolsPage";
import { requireStored } from "../../../../../requireStored";

export const metadata: Metadata = { title: "Where bakers disagree" };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  await requireStored("piece", id);
  return <SchoolsPage pieceId={id} />;
}
