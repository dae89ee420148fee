import type { Metadata } from "next";
import { WeighPage } from "@/ui/mix/WeighPage";
import { requireStored } from "../../../../requireStored";

export const metadata: Metadata = { title: "Weigh out" };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  await requireStored("formula", id);
  return <WeighPage key={id} formulaId={id} />;
}
