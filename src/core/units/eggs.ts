/** Eggs by size, as sold. */
export type EggSize = "small" | "medium" | "large" | "extraLarge";
export type EggPart = "whole" | "yolk" | "white";

/**
 * Out of the shell, g: the middle of each class in the shell (48, 58, 68, 76 g) less a shell of 11 %, rounded.
 * A United States large egg, 57 g in the shell, is a medium one here.
 */
const contentG: Record<EggSize, number> = { small: 43, medium: 51, large: 60, extraLarge: 68 };
/** The yolk's share of what is in the shell; the rest is white. */
const YOLK_SHARE = 0.34;

/** Mass of one egg, or of its yolk or white, out of the shell, g. */
export function computeEggG(size: EggSize, part: EggPart): number {
  const share = { whole: 1, yolk: YOLK_SHARE, white: 1 - YOLK_SHARE }[part];
  return contentG[size] * share;
}
