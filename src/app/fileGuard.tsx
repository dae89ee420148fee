import type { ReactNode } from "react";
import { setHouseMeasures } from "@/core/units";
import { toFileFault } from "@/data/fileFault";
import { InHouse } from "@/ui/shell/InHouse";
import { IllFile } from "@/ui/shell/IllFile";
import { readMeasures } from "./measures";
import "./requestMeasures";

/** A page over what is stored, in the measures of its house; where the data file is ill, the page that says so and what to do. */
export async function guardFile(draw: () => ReactNode | Promise<ReactNode>): Promise<ReactNode> {
  try {
    const measures = readMeasures();
    setHouseMeasures(measures);
    return <InHouse measures={measures}>{await draw()}</InHouse>;
  } catch (error) {
    const fault = toFileFault(error);
    if (!fault) throw error;
    return <IllFile message={fault.message} remedy={fault.remedy} kind={fault.kind} />;
  }
}
