import type { Ring, RowPattern } from "@/core/cutting";
import { formatCount, formatLength, formatNumber, formatSide, lengthSign } from "@/core/units";

/** Less is not seen on dough. */
const LEAST_SHIFT_MM = 0.5;
/** Shifts of rows that are told: pushed to an end, and staggered. */
const MOST_SHIFTS = 2;

/** The rows in the figures a ruler needs. */
export function describeRows(pattern: RowPattern): string[] {
  if (pattern.rings) return describeRings(pattern.rings);
  const [first, second] = pattern.rows;
  if (!first) return [];
  const along = pattern.rowsRunDown ? "down the sheet" : "along the sheet";
  const counts = [...new Set(pattern.rows.map(({ count, between }) => count + (between?.count ?? 0)))].join(
    " and ",
  );
  const texts = [
    `${formatCount(pattern.rows.length, "row")} of ${counts}, ${along}`,
    `cuts ${[...new Set(pattern.rows.map(({ pitchMm }) => formatSide(pitchMm, 0)))].join(" and ")} ${lengthSign()} apart`,
  ];
  if (!second) return texts;
  const steps = [
    ...new Set(
      pattern.rows.slice(1).map((row, i) => formatSide(row.acrossMm - (pattern.rows[i]?.acrossMm ?? 0), 0)),
    ),
  ];
  texts.push(`rows ${steps.join(" and ")} ${lengthSign()} apart`);
  // On a round sheet rows begin whole pitches apart: what is over those is the shift.
  const leastMm = Math.min(...pattern.rows.map(({ startMm }) => startMm));
  const shiftsMm = pattern.rows
    .filter(({ angleDeg }) => angleDeg % 180 === first.angleDeg % 180)
    .map(({ startMm, pitchMm }) => ({ shiftMm: (startMm - leastMm) % pitchMm, pitchMm }))
    .filter(({ shiftMm, pitchMm }) => shiftMm > LEAST_SHIFT_MM && shiftMm < pitchMm - LEAST_SHIFT_MM);
  const shifts = new Set(shiftsMm.map(({ shiftMm }) => formatSide(shiftMm, 0)));
  if (shifts.size > 0 && shifts.size <= MOST_SHIFTS)
    texts.push(`shifted rows in by ${[...shifts].join(" and ")} ${lengthSign()}`);
  if (pattern.style === "blocks") texts.push("then rows of turned pieces");
  if (pattern.style === "halved") texts.push("each square cut corner to corner");
  if (first.between) texts.push(`every second one upside down, ${formatLength(first.between.afterMm, 0)} on`);
  if (pattern.style === "fitted" && first.angleDeg % 180 !== 0)
    texts.push(`turned by ${formatNumber(first.angleDeg % 180)}°`);
  if (pattern.rows.some(({ angleDeg }) => Math.abs(angleDeg - first.angleDeg) === 180))
    texts.push("every second row upside down");
  return texts;
}

/** Rings in the figures that compasses need. */
function describeRings(rings: readonly Ring[]): string[] {
  const round = rings.filter(({ radiusMm }) => radiusMm > 0);
  const isFilled = round.length < rings.length;
  const inMiddle = round.length === 0 ? "one in the middle" : " and one in the middle";
  const counts = round.map(({ count }) => count).join(" and ");
  const texts = [
    `${round.length > 0 ? `${formatCount(round.length, "ring")} of ${counts}` : ""}${isFilled ? inMiddle : ""}`,
  ];
  if (round.length === 0) return texts;
  const radii = round.map(({ radiusMm }) => formatSide(radiusMm, 0)).join(" and ");
  texts.push(`their centres ${radii} ${lengthSign()} from the sheet’s`);
  const turns = round.slice(1).map(({ startDeg }, i) => formatNumber(startDeg - (round[i]?.startDeg ?? 0)));
  if (turns.length > 0)
    texts.push(`each turned by ${[...new Set(turns)].join(" and ")}° against the one outside it`);
  return texts;
}
