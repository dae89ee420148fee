import { isIncomplete, type Label } from "@/core/labels";
import type { LabelWish } from "@/schemas/labelWish";
import type { OvenScale } from "@/core/units";
import { describeLabel, listed } from "./labelText";
import type { PrintedLabel } from "./labelsPdf";

/** Names on wanted labels whose allergens nobody knows, each once; empty where every label is complete. */
export function listUnknownOnLabels(
  labels: readonly Label[],
  { copies, namesBench }: Pick<LabelWish, "copies" | "namesBench">,
): string[] {
  const wanted = labels.filter((label) => (copies[label.id] ?? label.copies) > 0 && isIncomplete(label));
  return [
    ...new Set(
      wanted.flatMap(({ unknown, unknownContacts }) => [
        ...unknown,
        ...unknownContacts.flatMap(({ through, names, loads }) =>
          through === "bench" && !namesBench
            ? []
            : [...names, ...(loads > 0 ? ["what the oil fried before"] : [])],
        ),
      ]),
    ),
  ];
}

/** Why labels are not printed without asking. */
export const sayUnknownOnLabels = (names: readonly string[]): string =>
  `Allergens are not known of ${listed(names)}: these labels are incomplete. ` +
  "Name ingredients in the ingredient book, change oil that fried something unknown, or ask before anything is sold.";

/** Labels as they are wanted: what each says, and how often. Those that are wanted no time are not there. */
export const toPrintedLabels = (
  labels: readonly Label[],
  { showsShares, namesBench, copies }: LabelWish,
  ovenScale: OvenScale,
): PrintedLabel[] =>
  labels.flatMap((label) => {
    const wanted = copies[label.id] ?? label.copies;
    if (wanted < 1) return [];
    return [
      {
        id: label.id,
        paragraphs: describeLabel(label, { showsShares, namesBench, ovenScale }),
        copies: wanted,
      },
    ];
  });
