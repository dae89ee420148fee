/** Now; or the fixed moment that tests and pictures are taken at (TEZGAH_NOW, ISO 8601). */
export function readClock(): Date {
  const fixed = process.env.TEZGAH_NOW;
  return fixed ? new Date(fixed) : new Date();
}
