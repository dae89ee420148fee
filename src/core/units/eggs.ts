import type { MeasureSystem } from "./unitTable";

export const eggSizes = [
  "small",
  "medium",
  "large",
  "extraLarge",
  "usMedium",
  "usLarge",
  "usExtraLarge",
] as const;
/** Eggs by size, as sold: by the European classes, or by those of the United States, which are smaller. */
export type EggSize = (typeof eggSizes)[number];
export type EggPart = "whole" | "yolk" | "white";

/**
 * Out of the shell, g: of Europe's classes the middle in the shell (48, 58, 68, 76 g), of the United States' the least
 * that a dozen may weigh, by twelve (49.6, 56.7, 63.8 g); less a shell of 11 %, rounded.
 */
const contentG: Record<EggSize, number> = {
  small: 43,
  medium: 51,
  large: 60,
  extraLarge: 68,
  usMedium: 44,
  usLarge: 50,
  usExtraLarge: 57,
};
const names: Record<EggSize, string> = {
  small: "small",
  medium: "medium",
  large: "large",
  extraLarge: "extra large",
  usMedium: "medium (US)",
  usLarge: "large (US)",
  usExtraLarge: "extra large (US)",
};
/** The yolk's share of what is in the shell; the rest is white. */
const YOLK_SHARE = 0.34;

/**
 * Mass of one egg, or of its yolk or white, out of the shell, g.
 * @example computeEggG("medium", "whole") // 51 g
 */
export function computeEggG(size: EggSize, part: EggPart): number {
  const share = { whole: 1, yolk: YOLK_SHARE, white: 1 - YOLK_SHARE }[part];
  return contentG[size] * share;
}

/** A size in words: `large (US)`. */
export const nameEggSize = (size: EggSize): string => names[size];

/** The size a text names, by the classes of whose cups it is written in: a US recipe's large egg is a US one. */
export function findEggSize(text: string, system: MeasureSystem): EggSize | null {
  const isUs = system === "us";
  if (/extra[- ]large/i.test(text)) return isUs ? "usExtraLarge" : "extraLarge";
  const said = (["small", "medium", "large"] as const).find((size) =>
    new RegExp(`\\b${size}\\b`, "i").test(text),
  );
  if (!said) return null;
  return isUs && said !== "small" ? (said === "medium" ? "usMedium" : "usLarge") : said;
}
