/** A clock begins anew after so many. */
const MINUTES_PER_DAY = 24 * 60;

/**
 * `value` with at most `decimals` decimals, trailing zeros dropped, a true minus sign.
 * @example formatNumber(-2.50, 2) // "−2.5"
 */
export function formatNumber(value: number, decimals = 0): string {
  const rounded = value.toFixed(decimals);
  const trimmed = decimals > 0 ? rounded.replace(/\.?0+$/, "") : rounded;
  return (trimmed === "-0" ? "0" : trimmed).replace("-", "−");
}

/** Hundredths of the house’s currency, whatever it is. */
const MINOR_PER_MAJOR = 100;

/**
 * Money from minor units: `2.89`, or with the sign of a currency.
 * @param currency - Three letters, as "EUR"; null for the figure alone.
 * @example formatMoney(289) // "2.89"
 * @example formatMoney(289, "EUR") // "€2.89"
 */
export function formatMoney(amountMinor: number, currency: string | null = null): string {
  const amount = amountMinor / MINOR_PER_MAJOR;
  return currency === null ? amount.toFixed(2) : formatterOf(currency).format(amount);
}

const formatters = new Map<string, Intl.NumberFormat>();
function formatterOf(currency: string): Intl.NumberFormat {
  const known = formatters.get(currency);
  if (known) return known;
  const made = new Intl.NumberFormat("en", { style: "currency", currency, currencyDisplay: "narrowSymbol" });
  formatters.set(currency, made);
  return made;
}

/**
 * A stretch of time: `45 s`, `12 min`, `2 h 05`.
 * @example formatDuration(0) // "0 min"
 * @example formatDuration(0.75) // "45 s"
 * @example formatDuration(125) // "2 h 05"
 */
export function formatDuration(durationMin: number): string {
  if (durationMin > 0 && durationMin < 1) return `${Math.round(durationMin * 60)} s`;
  const whole = Math.round(durationMin);
  if (whole < 60) return `${whole} min`;
  return `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, "0")}`;
}

/**
 * A time of the day from minutes after its midnight: `06:10`; another day's is marked: `22:40 (−1 d)`.
 * @example formatClock(370) // "06:10"
 * @example formatClock(-80) // "22:40 (−1 d)"
 */
export function formatClock(clockMin: number): string {
  const whole = Math.round(clockMin);
  const day = Math.floor(whole / MINUTES_PER_DAY);
  const inDay = whole - day * MINUTES_PER_DAY;
  const clock = `${String(Math.floor(inDay / 60)).padStart(2, "0")}:${String(inDay % 60).padStart(2, "0")}`;
  return day === 0 ? clock : `${clock} (${day > 0 ? "+" : "−"}${Math.abs(day)} d)`;
}

/**
 * `1 tray`, `2 trays`: a count with its noun; a noun ending otherwise gives its plural.
 * @example formatCount(2, "loaf", "loaves") // "2 loaves"
 */
export function formatCount(count: number, noun: string, plural = `${noun}s`): string {
  return `${count} ${count === 1 ? noun : plural}`;
}
