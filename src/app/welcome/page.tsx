import { redirect } from "next/navigation";
import { starters } from "@/demo";
import { nextDate } from "@/time/wallClock";
import { Welcome } from "@/ui/welcome/Welcome";
import { guardFile } from "../fileGuard";
import { readKitchenClock } from "../kitchenClock";
import { findDayToOpen } from "../loadDay";

export const dynamic = "force-dynamic";

export default function WelcomePage() {
  return guardFile(() => {
    const date = findDayToOpen();
    if (date) redirect(`/day/${date}/orders`);
    const cards = starters.map(({ id, title, blurb }) => ({ id, title, blurb }));
    return <Welcome starters={cards} tomorrow={nextDate(readKitchenClock().wall)} />;
  });
}
