import type { Metadata } from "next";
import { findDataFile } from "@/data/dataFile";
import { readOutward } from "@/data/outward";
import { HowPage } from "@/ui/how/HowPage";
import { getDoorkeeper } from "../access/keys";
import { listFelt } from "../felt";
import { lookAtHealth } from "../health";
import { countListeners } from "../live";
import { readVersion } from "../version";

export const metadata: Metadata = { title: "How is Tezgah" };
export const dynamic = "force-dynamic";

/** Needs no data file: it may be ill, and then this page says so. */
export default async function Page() {
  const dataFile = findDataFile();
  return (
    <HowPage
      version={readVersion()}
      health={await lookAtHealth()}
      outward={readOutward(dataFile)}
      screens={listFelt()}
      openPages={countListeners()}
      devices={getDoorkeeper().listHolders().length}
    />
  );
}
