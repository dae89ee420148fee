import type { RowPattern } from "@/core/cutting";
import { formatCount, formatNumber } from "@/core/units";

/** The rows in the figures a ruler needs. */
export function describeRows(pattern: RowPattern): string[] {
  const [first, second] = pattern.rows;
  if (!first) return [];
  const along = pattern.rowsRunDown ? "down the sheet" : "along the sheet";
  const counts = [...new Set(pattern.rows.map(({ count, between }) => count + (between?.count ?? 0)))].join(
    " and ",
  );
  const texts = [
    `${formatCount(pattern.rows.length, "row")} of ${counts}, ${along}`,
    `cuts ${formatNumber(first.pitchMm)} mm apart`,
  ];
  if (!second) return texts;
  const steps = [
    ...new Set(
      pattern.rows.slice(1).map((row, i) => formatNumber(row.acrossMm - (pattern.rows[i]?.acrossMm ?? 0))),
    ),
  ];
  texts.push(`rows ${steps.join(" and ")} mm apart`);
  const shifted = pattern.rows.find(
    ({ startMm, angleDeg }) => startMm > first.startMm + 0.5 && angleDeg % 180 === first.angleDeg % 180,
  );
  if (shifted) texts.push(`shifted rows in by ${formatNumber(shifted.startMm - first.startMm)} mm`);
  if (pattern.style === "blocks") texts.push("then rows of turned pieces");
  if (pattern.style === "halved") texts.push("each square cut corner to corner");
  if (first.between) texts.push(`every second one upside down, ${formatNumber(first.between.afterMm)} mm on`);
  if (pattern.style === "fitted" && first.angleDeg % 180 !== 0)
    texts.push(`turned by ${formatNumber(first.angleDeg % 180)}°`);
  if (pattern.rows.some(({ angleDeg }) => Math.abs(angleDeg - first.angleDeg) === 180))
    texts.push("every second row upside down");
  return texts;
}
