import type { Metadata } from "next";
import { WeighPage } from "@/ui/mix/WeighPage";

export const metadata: Metadata = { title: "Weigh out" };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <WeighPage key={id} formulaId={id} />;
}
