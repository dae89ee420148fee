import { redirect } from "next/navigation";

export default async function DayPage({ params }: { readonly params: Promise<{ date: string }> }) {
  const { date } = await params;
  redirect(`/day/${date}/orders`);
}
