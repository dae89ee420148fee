const MS_PER_S = 1000;

/**
 * Now; or the moment that tests and pictures are taken at (TEZGAH_NOW, ISO 8601): fixed, unless TEZGAH_SPEED lets it run
 * on from the server's start, so many times as fast.
 */
export function readClock(): Date {
  const from = process.env.TEZGAH_NOW;
  if (!from) return new Date();
  const speed = Number(process.env.TEZGAH_SPEED) || 0;
  return new Date(new Date(from).getTime() + process.uptime() * MS_PER_S * speed);
}

/** How fast a page that was told the clock lets it go: 1, but where a day is played through. */
export const readSpeed = (): number => (process.env.TEZGAH_NOW ? Number(process.env.TEZGAH_SPEED) || 1 : 1);
