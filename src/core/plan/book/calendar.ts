/** The date so many days after another, both YYYY-MM-DD: counted where no clock ever changes, since a plan asks hundreds of times. */
export function addDays(date: string, days: number): string {
  const [year = NaN, month = NaN, day = NaN] = date.split("-").map(Number);
  return new Date(Date.UTC(year, month - 1, day + days)).toISOString().slice(0, 10);
}
