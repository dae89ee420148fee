/** Fruits of whose peel and juice the book has entries, each by the piece. */
const FRUIT = "(lemon|orange)s?";
/** `juice of 2 lemons`, `the grated zest of half an orange`. */
const PART_FIRST = new RegExp(
  `^(?:the\\s+)?(?:(?:finely|freshly)\\s+)?(?:grated\\s+|squeezed\\s+)?(zest|rind|juice)\\s+of\\s+(.*?)\\s*${FRUIT}$`,
  "i",
);
/** `1 lemon, juiced`, `2 oranges, zest only`. */
const PART_LAST = new RegExp(
  `^(.*?)\\s*${FRUIT}(?:\\s*,\\s*(juiced|juice only|juice|zested|zest only|zest)|\\s+(juiced|zested))$`,
  "i",
);
/** Little things that are one without saying so. */
const ONE_UNSAID = /^(pinch|dash|knob|handful|splash)\b/i;

/**
 * A line with what bakers leave unsaid put in: a part of a fruit is so many of that part, a pinch is one pinch.
 * Whether it is a part of a fruit is told with it: what one fruit gives of it is only ever a guess.
 */
export function spellOut(text: string): { readonly text: string; readonly isPart: boolean } {
  const bare = text.trim();
  const first = PART_FIRST.exec(bare);
  if (first) return { text: `${first[2] || "1"} ${first[3]} ${nameOfPart(first[1])}`, isPart: true };
  const last = PART_LAST.exec(bare);
  if (last) return { text: `${last[1] || "1"} ${last[2]} ${nameOfPart(last[3] ?? last[4])}`, isPart: true };
  return { text: ONE_UNSAID.test(bare) ? `1 ${bare}` : bare, isPart: false };
}

const nameOfPart = (word = ""): string => (/^juice/i.test(word) ? "juice" : "zest");

/** Two things on one line, joined: `1 cup flour plus 2 tbsp`, `2 tbsp sugar + 1 tsp cinnamon`. */
const JOINED = /\s+(?:\+|plus)\s+(?=(?:an?\s|[\d½¼¾⅓⅔⅛]))/i;
/** An amount with its unit and nothing after it. */
const BARE_AMOUNT = /^[\d½¼¾⅓⅔⅛./\s]+[a-z]*\.?$/i;

/** The lines that a line holds; an amount that is joined without a name is of what stands before it. */
export function splitJoined(text: string): string[] {
  const [first = "", ...others] = text.split(JOINED);
  const name = first.replace(
    /^[\d½¼¾⅓⅔⅛./\s]+(?:(?:cups?|c|tbsps?|tablespoons?|tsps?|teaspoons?|oz|ounces?|lbs?|pounds?|g|kg|ml|sticks?)\b\.?\s*)?/i,
    "",
  );
  return [
    first,
    ...others.map((other) => (BARE_AMOUNT.test(other.trim()) ? `${other.trim()} ${name}` : other)),
  ];
}
