/** The two looks: porcelain by day, a night bench for four in the morning. */
export type Theme = "tezgah" | "tezgah-night";

/** Kept in a cookie so that the server draws the first page in the right one. */
export const THEME_COOKIE = "tezgah-theme";

/** The theme of a cookie's value; null leaves it to the device. */
export function toTheme(value: string | undefined): Theme | null {
  return value === "tezgah" || value === "tezgah-night" ? value : null;
}
