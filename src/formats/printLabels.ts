import type { Label } from "@/core/labels";
import type { LabelWish } from "@/schemas/labelWish";
import type { OvenScale } from "@/core/units";
import { describeLabel } from "./labelText";
import type { PrintedLabel } from "./labelsPdf";

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
