import { addDays, format } from "date-fns";
import { redirect } from "next/navigation";
import { starters } from "@/demo";
import { Welcome } from "@/ui/welcome/Welcome";
import { beginFirstDay } from "../beginFirstDay";
import { readClock } from "../clock";
import { findDayToOpen } from "../loadDay";

export const dynamic = "force-dynamic";

export default function WelcomePage() {
  const date = findDayToOpen();
  if (date) redirect(`/day/${date}/orders`);
  const cards = starters.map(({ id, title, blurb }) => ({ id, title, blurb }));
  return (
    <Welcome
      starters={cards}
      tomorrow={format(addDays(readClock(), 1), "yyyy-MM-dd")}
      begin={beginFirstDay}
    />
  );
}
