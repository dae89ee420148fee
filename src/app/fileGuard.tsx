import type { ReactNode } from "react";
import { toFileFault } from "@/data/fileFault";
import { IllFile } from "@/ui/shell/IllFile";

/** A page over what is stored; where the data file is ill, the page that says so and what to do. */
export async function guardFile(draw: () => ReactNode | Promise<ReactNode>): Promise<ReactNode> {
  try {
    return await draw();
  } catch (error) {
    const fault = toFileFault(error);
    if (!fault) throw error;
    return <IllFile message={fault.message} remedy={fault.remedy} kind={fault.kind} />;
  }
}
