import type { Metadata } from "next";
import { headers } from "next/headers";
import { getStore } from "@/data/getStore";
import { DaysPage } from "@/ui/days/DaysPage";
import { hideDayCosts, isHiddenFrom } from "../access/hidePrices";
import { readRole } from "../access/keys";
import { catchUp } from "../catchUp";
import { guardFile } from "../fileGuard";
import { readKitchenClock } from "../kitchenClock";

export const metadata: Metadata = { title: "Book of days" };
export const dynamic = "force-dynamic";

/** As many as a table is read through; more stand in the file that it writes. */
const MOST_SHOWN = 400;

/** Days that were run: planned and real at a glance, searched, summed and compared. */
export default async function Page() {
  const role = readRole(await headers());
  return guardFile(() => {
    catchUp();
    const { runs, readKitchen } = getStore();
    return (
      <DaysPage
        days={hideDayCosts(runs.listSummaries("0001-01-01", "9999-12-31", MOST_SHOWN), role)}
        hidesCosts={isHiddenFrom(role)}
        currency={readKitchen().kitchen?.currency ?? null}
        today={readKitchenClock().wall.date}
      />
    );
  });
}
