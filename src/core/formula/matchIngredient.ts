import type { Ingredient, MeasureState } from "./ingredient";

/** What a name was taken for. `score` is 1 for the whole name, less for part of it. */
export interface IngredientMatch {
  readonly ingredient: Ingredient;
  readonly score: number;
}

/** Words that say how a thing is prepared, not what it is. */
const preparation =
  /\b(iced?|cold|warm|hot|soft(?:ened)?|fresh(?:ly)?|fine(?:ly)?|coarse(?:ly)?|roughly|thin(?:ly)?|large|medium|small|extra|ripe|peeled|cored|stoned|pitted|diced|sliced|cubed|beaten|rinsed|drained|toasted|roasted|cut|into|pieces|dried|raw|good|best|plus|for|the|and|of|level|optional|packed|sifted|grated|shredded|chopped|melted|room|temperature|at|very|well|about|thick|whole|halved|halves|blanched)\b/g;
const stateWords: Record<string, MeasureState> = {
  packed: "packed",
  sifted: "sifted",
  grated: "grated",
  shredded: "grated",
  chopped: "chopped",
  diced: "chopped",
  sliced: "chopped",
  cubed: "chopped",
  melted: "melted",
  ground: "ground",
};
/** Below this a likeness is chance. */
const LEAST_SCORE = 0.45;

/** From here on a name is taken for an entry without asking. */
export const SURE = 0.8;

/**
 * The entry of a line or a thing: the one it was given; if there is none, or it is gone, the one that its name surely means.
 * @returns null where nobody knows what it is.
 */
export function findIngredient(
  { name, ingredientId }: { readonly name: string; readonly ingredientId: string | null },
  book: readonly Ingredient[],
): Ingredient | null {
  const given = ingredientId === null ? undefined : book.find(({ id }) => id === ingredientId);
  if (given) return given;
  const match = matchIngredient(name, book);
  // Less sure, cashew butter would be butter.
  return match && match.score >= SURE ? match.ingredient : null;
}

/** How the text says the stuff lies in its cup, or null. */
export function findState(text: string): MeasureState | null {
  const words = text.toLowerCase().match(/[a-zà-ÿ]+/g) ?? [];
  for (const word of words) if (stateWords[word]) return stateWords[word];
  return null;
}

/**
 * The ingredient that a name most likely means, or null. The whole name or another name of an entry scores 1;
 * otherwise the share of words in common counts, singular and plural alike.
 */
export function matchIngredient(text: string, book: readonly Ingredient[]): IngredientMatch | null {
  const [before = ""] = text.split(/[,;(]/);
  const shown = normalise(before);
  if (shown === "") return null;
  const plain = normalise(before.toLowerCase().replace(preparation, " "));
  let best: IngredientMatch | null = null;
  for (const ingredient of book) {
    for (const name of [ingredient.name, ...ingredient.otherNames]) {
      const wanted = normalise(name);
      const score =
        wanted === shown ? 1 : wanted === plain ? 0.95 : compareWords(plain === "" ? shown : plain, wanted);
      if (score > (best?.score ?? 0)) best = { ingredient, score };
    }
  }
  return best && best.score >= LEAST_SCORE ? best : null;
}

function normalise(text: string): string {
  return (text.toLowerCase().match(/[\p{L}']+/gu) ?? []).map(toSingular).join(" ");
}

const toSingular = (word: string) =>
  word.length <= 3 || word.endsWith("ss")
    ? word
    : word.replace(/ies$/, "y").replace(/oes$/, "o").replace(/s$/, "");

/** Words in common over all words (Dice's coefficient), never as good as the whole name. */
function compareWords(left: string, right: string): number {
  const [a, b] = [left.split(" "), right.split(" ")];
  const common = a.filter((word) => b.includes(word)).length;
  return (0.9 * (2 * common)) / (a.length + b.length);
}

/** Density in a state; of the plain stuff if that state is not known, with `exact` false. Null if neither is. */
export function findDensity(
  { densities }: Ingredient,
  state: MeasureState | null,
): { readonly gPerMl: number; readonly exact: boolean } | null {
  const wanted = densities.find((each) => each.state === (state ?? "plain"));
  if (wanted) return { gPerMl: wanted.gPerMl, exact: true };
  const [any] = densities;
  const plain = densities.find((each) => each.state === "plain") ?? any;
  return plain ? { gPerMl: plain.gPerMl, exact: false } : null;
}
