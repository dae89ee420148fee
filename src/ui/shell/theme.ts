/** The two looks: porcelain by day, a night bench for four in the morning. */
export type Theme = "tezgah" | "tezgah-night";

/** Kept in a cookie so that the server draws the first page in the right one. */
export const THEME_COOKIE = "tezgah-theme";

/** The theme of a cookie's value; null leaves it to the device. */
export function toTheme(value: string | undefined): Theme | null {
  return value === "tezgah" || value === "tezgah-night" ? value : null;
}

const THEME_COOKIE_DAYS = 365;

/** From the porcelain to the night bench, or back. */
export function turnTheme(): void {
  const root = document.documentElement;
  const isDark = root.dataset.theme
    ? root.dataset.theme === "tezgah-night"
    : matchMedia("(prefers-color-scheme: dark)").matches;
  const theme: Theme = isDark ? "tezgah" : "tezgah-night";
  root.dataset.theme = theme;
  document.cookie = `${THEME_COOKIE}=${theme};path=/;max-age=${THEME_COOKIE_DAYS * 86_400};samesite=lax`;
}
