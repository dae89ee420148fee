import { formatNumber } from "./format";
import { readHouseMeasures, type LengthUnit } from "./house";
import { G_PER_KG, G_PER_OZ, MM_PER_CM, MM_PER_IN, OZ_PER_LB } from "./unitTable";

/** What a rule is divided into, in parts of an inch: the smaller the length, the finer it is read. */
const finest: readonly { readonly belowMm: number; readonly parts: number }[] = [
  { belowMm: 10, parts: 64 },
  { belowMm: 1.5 * MM_PER_IN, parts: 32 },
  { belowMm: Infinity, parts: 16 },
];

const findParts = (lengthMm: number): number =>
  finest.find(({ belowMm }) => Math.abs(lengthMm) < belowMm)?.parts ?? 16;

/** A length in inches as on a rule, without its unit: `3 1/4`, `5/64`; less than the finest mark as a decimal. */
export function formatInches(lengthMm: number): string {
  const parts = findParts(lengthMm);
  const marks = Math.round((Math.abs(lengthMm) / MM_PER_IN) * parts);
  if (marks === 0) return formatNumber(lengthMm / MM_PER_IN, 3);
  const [whole, rest] = [Math.floor(marks / parts), marks % parts];
  const common = greatestCommonDivisor(rest, parts);
  const fraction = rest === 0 ? "" : `${rest / common}/${parts / common}`;
  return `${lengthMm < 0 ? "−" : ""}${[whole === 0 ? "" : whole, fraction].filter((part) => part !== "").join(" ")}`;
}

const greatestCommonDivisor = (a: number, b: number): number =>
  b === 0 ? a : greatestCommonDivisor(b, a % b);

/** How a unit of length is written: its sign, and a length in it without the sign, to `decimals` of a millimetre. */
const lengthWriters: Readonly<
  Record<
    LengthUnit,
    { readonly sign: string; readonly name: string; write(lengthMm: number, decimals: number): string }
  >
> = {
  mm: { sign: "mm", name: "millimetres", write: (lengthMm, decimals) => formatNumber(lengthMm, decimals) },
  cm: {
    sign: "cm",
    name: "centimetres",
    write: (lengthMm, decimals) => formatNumber(lengthMm / MM_PER_CM, decimals + 1),
  },
  inch: { sign: "in", name: "inches", write: formatInches },
};

/** A length as a rule is read: to the tenth of a millimetre below this, else whole, mm. */
const READ_TO_TENTHS_MM = 20;
const decimalsOf = (lengthMm: number): number => (lengthMm < READ_TO_TENTHS_MM ? 1 : 0);

/** The sign of the house's unit of length: `mm`, `cm` or `in`. */
export const lengthSign = (): string => lengthWriters[readHouseMeasures().lengthUnit].sign;

/** The same in full, as it is read out: `millimetres`, `inches`. */
export const lengthName = (): string => lengthWriters[readHouseMeasures().lengthUnit].name;

/**
 * A length in the house's unit without its sign, for sides that share one: `430`, `43`, `16 15/16`.
 * @param decimals - Of a millimetre. Without it to the tenth below 20 mm, else whole.
 * @example formatSide(417.6) // "418"
 */
export const formatSide = (lengthMm: number, decimals = decimalsOf(lengthMm)): string =>
  lengthWriters[readHouseMeasures().lengthUnit].write(lengthMm, decimals);

/**
 * A length in the house's unit: `3.5 mm`, `41.8 cm`, `3 1/4 in`.
 * @param decimals - Of a millimetre. Without it to the tenth below 20 mm, else whole.
 * @example formatLength(3.5) // "3.5 mm"
 * @example formatLength(417.6) // "418 mm"
 */
export const formatLength = (lengthMm: number, decimals = decimalsOf(lengthMm)): string =>
  `${formatSide(lengthMm, decimals)} ${lengthSign()}`;

/**
 * Two or three sides and their unit: `430 × 330 mm`.
 * @example formatSides([430, 330.2]) // "430 × 330 mm"
 */
export const formatSides = (sidesMm: readonly number[], decimals = 0): string =>
  `${sidesMm.map((sideMm) => formatSide(sideMm, decimals)).join(" × ")} ${lengthSign()}`;

/** A scale that weighs below this shows tenths of a gram. */
const SHOWN_TO_TENTHS_G = 9.95;
/** From here a mass is told in kilograms: what would round to one. */
const TOLD_IN_KG = 999.5;

/**
 * A mass as a baker reads it: `4.5 g`, `3.17 kg`; `0.16 oz`, `6 lb 15.9 oz`.
 * @example formatMass(4.52) // "4.5 g"
 * @example formatMass(3174) // "3.17 kg"
 */
export function formatMass(massG: number): string {
  if (readHouseMeasures().massUnit === "ounce") return formatOunces(massG);
  return Math.abs(massG) >= TOLD_IN_KG ? `${formatNumber(massG / G_PER_KG, 2)} kg` : formatScale(massG);
}

/**
 * A mass as a kitchen scale shows it, to the gram; below 10 g to the tenth: `1794 g`.
 * @example formatScale(1794.4) // "1794 g"
 */
export function formatScale(massG: number): string {
  if (readHouseMeasures().massUnit === "ounce") return formatOunces(massG);
  return `${formatNumber(massG, Math.abs(massG) < SHOWN_TO_TENTHS_G ? 1 : 0)} g`;
}

/**
 * From one mass to another: `21–27 g`, `0.74–0.95 oz`; one alone where both read the same.
 * @example formatMassRange(21.2, 27) // "21–27 g"
 */
export function formatMassRange(lowG: number, highG: number): string {
  const [low, high] = [formatScale(lowG), formatScale(highG)];
  if (low === high) return low;
  const [figure, sign, ...more] = low.split(" ");
  const sharesSign = more.length === 0 && high.split(" ").length === 2 && high.endsWith(` ${sign}`);
  return sharesSign ? `${figure}–${high}` : `${low}–${high}`;
}

/** A scale that carries more than ten pounds shows whole ounces. */
const TO_TENTHS_BELOW_OZ = 10 * OZ_PER_LB;

/** Decimals of an ounce by the ounces: a small scale shows hundredths, of spices thousandths, a large one tenths. */
const decimalsOfOunces = (ounces: number): number => (ounces < 0.1 ? 3 : ounces < 10 ? 2 : 1);

function formatOunces(massG: number): string {
  const sign = massG < 0 ? "−" : "";
  const ounces = Math.abs(massG) / G_PER_OZ;
  const alone = formatNumber(ounces, decimalsOfOunces(ounces));
  if (Number(alone) < OZ_PER_LB) return `${alone === "0" ? "" : sign}${alone} oz`;
  // In whole tenths, so that 15.96 oz is the next pound; of a large mass in whole ounces.
  const tenths = ounces < TO_TENTHS_BELOW_OZ ? Math.round(ounces * 10) : Math.round(ounces) * 10;
  const [pounds, rest] = [Math.floor(tenths / (OZ_PER_LB * 10)), (tenths % (OZ_PER_LB * 10)) / 10];
  return `${sign}${pounds} lb${rest === 0 ? "" : ` ${formatNumber(rest, 1)} oz`}`;
}
