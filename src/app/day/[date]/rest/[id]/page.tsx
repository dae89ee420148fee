import type { Metadata } from "next";
import { RestPage } from "@/ui/mix/RestPage";
import { requireStored } from "../../../../requireStored";

export const metadata: Metadata = { title: "Rest and temper" };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  await requireStored("formula", id);
  return <RestPage key={id} formulaId={id} />;
}
