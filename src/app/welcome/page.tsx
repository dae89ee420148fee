import { redirect } from "next/navigation";
import { nextDate } from "@/time/wallClock";
import { Welcome } from "@/ui/welcome/Welcome";
import { guardFile } from "../fileGuard";
import { readKitchenClock } from "../kitchenClock";
import { findDayToOpen } from "../loadDay";
import { listStarterCards } from "./starterCards";

export const dynamic = "force-dynamic";

export default function WelcomePage() {
  return guardFile(() => {
    const date = findDayToOpen();
    if (date) redirect(`/day/${date}/orders`);
    return <Welcome starters={listStarterCards()} tomorrow={nextDate(readKitchenClock().wall)} />;
  });
}
