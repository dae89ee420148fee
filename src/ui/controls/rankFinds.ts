import { compareNames, foldName } from "@/core/compareNames";

/** What may be found, in the order in which equals stand. */
const findKinds = [
  "station",
  "page",
  "action",
  "piece",
  "formula",
  "day",
  "order",
  "customer",
  "ingredient",
  "larder",
  "setting",
] as const;
export type FindKind = (typeof findKinds)[number];

export interface Findable {
  readonly kind: FindKind;
  readonly name: string;
}

const toWords = (folded: string): string[] => folded.split(/[^\p{L}\p{N}]+/u).filter((word) => word !== "");

/** Shorter words differ by a letter too easily. */
const LEAST_FUZZY_LETTERS = 4;

/** How well a name answers, the least the best; null if it does not. */
function rank(sought: string, { kind, name }: Findable): number | null {
  const folded = foldName(name);
  if (folded === sought) return 0;
  if (folded.startsWith(sought)) return 1;
  const [wanted, words] = [toWords(sought), toWords(folded)];
  if (wanted.length === 0) return null;
  if (standInOrder(wanted, words)) return 2;
  const begins = (each: string) => [...words, kind].some((word) => word.startsWith(each));
  if (wanted.every(begins)) return 3;
  if (folded.includes(sought)) return 4;
  const isNear = (each: string) =>
    begins(each) || (each.length >= LEAST_FUZZY_LETTERS && words.some((word) => differsByOne(each, word)));
  return wanted.every(isNear) ? 5 : null;
}

/** Each begins a word, one after the other. */
function standInOrder(wanted: readonly string[], words: readonly string[]): boolean {
  let at = 0;
  for (const each of wanted) {
    while (at < words.length && !words[at]!.startsWith(each)) at++;
    if (at++ >= words.length) return false;
  }
  return true;
}

/** One letter missing, too many, another, or two changed round, at the beginning of a word that may go on. */
function differsByOne(typed: string, word: string): boolean {
  for (let at = 0; at < typed.length; at++) {
    if (typed[at] === word[at]) continue;
    const rest = typed.slice(at + 1);
    const isSwapped = typed[at] === word[at + 1] && typed[at + 1] === word[at];
    return (
      word.slice(at + 1).startsWith(rest) ||
      word.slice(at + 1).startsWith(typed.slice(at)) ||
      word.slice(at).startsWith(rest) ||
      (isSwapped && word.slice(at + 2).startsWith(typed.slice(at + 2)))
    );
  }
  return true;
}

/**
 * What is sought, the best name first: the name itself, names that begin with it, whose words begin with its words, that hold
 * it, and last those that one slip of a finger is away from. What does not answer is left out, and nothing else is.
 */
export function rankFinds<F extends Findable>(sought: string, finds: readonly F[]): F[] {
  const wanted = foldName(sought.trim());
  const ranked = finds.flatMap((find) => {
    const rankOf = rank(wanted, find);
    return rankOf === null ? [] : [{ find, rankOf }];
  });
  return ranked
    .sort(
      (a, b) =>
        a.rankOf - b.rankOf ||
        findKinds.indexOf(a.find.kind) - findKinds.indexOf(b.find.kind) ||
        a.find.name.length - b.find.name.length ||
        compareNames(a.find.name, b.find.name),
    )
    .map(({ find }) => find);
}
