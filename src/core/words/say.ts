import type { Failure } from "../result";

/** A failure in words: what is wrong and by how much, and what to do; the second empty where nothing mends it. */
export interface Said {
  readonly message: string;
  readonly remedy: string;
}

/** Words for each case of a kind of failures, from its figures. */
export type WordsOf<F extends Failure> = {
  readonly [C in F["code"]]: (figures: Extract<F, { readonly code: C }>["figures"]) => Said;
};

/** The words of a failure, by its code. */
export const sayBy = <F extends Failure>(words: WordsOf<F>, { code, figures }: F): Said =>
  words[code as F["code"]](figures);

/** What is wrong, and what to do about it. */
export const said = (message: string, remedy = ""): Said => ({ message, remedy });

/** Both in one. */
export const sayWhole = ({ message, remedy }: Said): string =>
  remedy === "" ? message : `${message} ${remedy}`;

/** A size with its article: `a 90 mm round`, `an 80 × 60 mm oval`, as it is read aloud. */
export const withArticle = (size: string): string =>
  `${/^(8|11(?!\d)|18(?!\d))/.test(size) ? "an" : "a"} ${size}`;

/** The same at the beginning of a sentence. */
export const startWithArticle = (size: string): string => withArticle(size).replace(/^a/, "A");
