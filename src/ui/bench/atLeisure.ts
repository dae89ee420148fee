/** A page that nobody has touched for so long has been drawn, and is looked at, ms. */
const LEISURE_MS = 3000;

/** What a hand does first. */
const SIGNS = ["pointerdown", "pointermove", "keydown"] as const;

/** Does it once a hand comes to the page, and at leisure if none does. In the browser only. */
export function atLeisure(work: () => void): void {
  const begin = () => {
    clearTimeout(timer);
    for (const sign of SIGNS) removeEventListener(sign, begin, true);
    work();
  };
  const timer = setTimeout(begin, LEISURE_MS);
  for (const sign of SIGNS) addEventListener(sign, begin, true);
}
