import type { CutSheet } from "../cutting";
import type { TaskRun } from "./foldRun";

/** Blanks of a sheet as they were counted, outline by outline or together; undefined where nobody counted. */
export function countBlanks({ parts, count }: CutSheet, measured: TaskRun["measured"]): number | undefined {
  const counts = measured.filter(({ measure }) => measure === "cutCount");
  const last = new Map(counts.map(({ part, value }) => [part, value]));
  if (last.size === 0 || last.has(null)) return last.get(null);
  return [...last].reduce(
    (total, [demandId, value]) => total + value - countPlanned(parts, demandId ?? ""),
    count,
  );
}

/** Blanks of one outline that a sheet is to give. */
export const countPlanned = (parts: CutSheet["parts"], demandId: string): number =>
  parts
    .flatMap(({ uses }) => uses)
    .reduce((sum, use) => sum + (use.demandId === demandId ? use.count : 0), 0);

/** The outlines that a sheet gives, by their demands. */
export const listDemands = (parts: CutSheet["parts"]): string[] => [
  ...new Set(parts.flatMap(({ uses }) => uses.map(({ demandId }) => demandId))),
];
