import type { Metadata } from "next";
import { RestPage } from "@/ui/mix/RestPage";

export const metadata: Metadata = { title: "Rest and temper" };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <RestPage key={id} formulaId={id} />;
}
