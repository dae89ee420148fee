/** How wide a letter is, of its height: over the words of three days' bars 0.48 to 0.55 at the median, and a little room. */
const LETTER_EM = 0.56;

/**
 * As many whole words as have room, with … for those left out; where not even the first has room, as many of its letters.
 * @param room - How wide they may be, in the units of `letterHigh`. @returns Nothing where there is no room for a letter.
 */
export function fitWords(text: string, room: number, letterHigh: number): string {
  const most = Math.floor(room / (letterHigh * LETTER_EM));
  if (text.length <= most) return text;
  const kept = most - 1;
  if (kept < 1) return "";
  const isWordEnd = text[kept] === " ";
  const lastGap = text.slice(0, kept).lastIndexOf(" ");
  const words = isWordEnd || lastGap < 1 ? text.slice(0, kept) : text.slice(0, lastGap);
  return `${words.replace(/[\s,;·]+$/, "")}…`;
}
