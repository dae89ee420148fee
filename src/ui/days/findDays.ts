import type { DaySummary } from "@/core/run";
import { formatDayDate } from "../shell/formatDayDate";

/** What of a day is searched: its name, its date in words and figures, its pieces and what went wrong with them. */
const wordsOf = ({ date, name, pieces }: DaySummary): string =>
  [date, name, formatDayDate(date), ...pieces.flatMap((piece) => [piece.name, ...Object.keys(piece.faults)])]
    .join(" ")
    .toLowerCase();

/** Days that hold every word of a search. */
export function findDays(days: readonly DaySummary[], text: string): readonly DaySummary[] {
  const wanted = text.toLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.length === 0) return days;
  return days.filter((day) => {
    const words = wordsOf(day);
    return wanted.every((word) => words.includes(word));
  });
}

/** What went wrong on a day, in words. */
export function tellFaults({ pieces }: Pick<DaySummary, "pieces">): string {
  const faults = new Map<string, number>();
  for (const piece of pieces)
    for (const [fault, count] of Object.entries(piece.faults))
      faults.set(fault, (faults.get(fault) ?? 0) + count);
  return [...faults].map(([fault, count]) => `${count} ${fault}`).join(", ");
}

/** Made and sold over all pieces; sold is null where nobody said. */
export function countDay({ pieces }: Pick<DaySummary, "pieces">): { made: number; sold: number | null } {
  const said = pieces.filter(({ sold }) => sold !== null);
  return {
    made: pieces.reduce((sum, { made }) => sum + made, 0),
    sold: said.length === 0 ? null : said.reduce((sum, { sold }) => sum + (sold ?? 0), 0),
  };
}
