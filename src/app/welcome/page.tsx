import { addDays, format } from "date-fns";
import { redirect } from "next/navigation";
import { starters } from "@/demo";
import { Welcome } from "@/ui/welcome/Welcome";
import { beginFirstDay } from "../beginFirstDay";
import { findDayToOpen } from "../loadDay";

export const dynamic = "force-dynamic";

export default function WelcomePage() {
  const now = new Date();
  const date = findDayToOpen(now);
  if (date) redirect(`/day/${date}/orders`);
  const cards = starters.map(({ id, title, blurb }) => ({ id, title, blurb }));
  return <Welcome starters={cards} tomorrow={format(addDays(now, 1), "yyyy-MM-dd")} begin={beginFirstDay} />;
}
