import { formatCount } from "../units";
import type { Counts } from "./countPieces";
import type { RunSheet } from "./runSheet";

/**
 * What an event changed of the numbers, in one line: of each kind of piece how many come to the end of their lots now.
 * @returns Null where as many do as before.
 */
export function tellCounts(
  { pieces }: Pick<RunSheet, "pieces">,
  before: Counts | null,
  { made, blanksOver }: Counts,
): string | null {
  const lines = pieces.flatMap(({ id, name }) => {
    const is = made[id] ?? 0;
    const by = is - (before?.made[id] ?? is);
    const over = blanksOver[id] ?? 0;
    if (over > (before?.blanksOver[id] ?? over))
      return [
        `${name}: ${formatCount(over, "blank")} over, and no filling for ${over === 1 ? "it" : "them"}.`,
      ];
    return by === 0 ? [] : [`${name}: ${is} now, ${Math.abs(by)} ${by < 0 ? "fewer" : "more"}.`];
  });
  return lines.length > 0 ? lines.join(" ") : null;
}
