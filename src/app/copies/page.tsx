import type { Metadata } from "next";
import { listCopies } from "@/data/copies";
import { findDataFile } from "@/data/dataFile";
import { readOutward } from "@/data/outward";
import { findComputersZone } from "@/time/wallClock";
import { lookAtHealth } from "../health";
import { CopiesPage } from "@/ui/copies/CopiesPage";

export const metadata: Metadata = { title: "Copies" };
export const dynamic = "force-dynamic";

/** A page of the server is made anew each time it is asked for: how old a copy is, is told as of then. */
const tellNow = (): string => new Date().toISOString();

/** Needs no data file: it may be ill, and then this page is what helps. */
export default async function Page() {
  const health = await lookAtHealth().catch(() => null);
  return (
    <CopiesPage
      problems={health?.problems ?? []}
      outward={readOutward(findDataFile())}
      copies={listCopies(findDataFile())}
      nowIso={tellNow()}
      timeZone={findComputersZone()}
    />
  );
}
