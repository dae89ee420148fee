/** What a user can cause and mend comes back as a Result; what only a bug can cause throws. */
export type Result<V, F> =
  | { readonly ok: true; readonly value: V }
  | { readonly ok: false; readonly failure: F };

/**
 * Why something cannot be done: which case it is, and its figures by name, each with its unit in the name (`overMm`).
 * Failures are compared by their code and never by a sentence; the room `words` alone says them.
 */
export interface Failure<C extends string = string, F extends object = object> {
  readonly code: C;
  readonly figures: F;
}

/** A failure of a case that needs no figures. */
export type Plain = Readonly<Record<never, never>>;

/** A success carrying `value`. */
export const ok = <V>(value: V) => ({ ok: true, value }) as const;

/** A failure carrying the reason. */
export const fail = <F>(failure: F) => ({ ok: false, failure }) as const;

/** A failure of the core: its case and its figures. */
export const because = <C extends string, const F extends object>(code: C, figures: F): Failure<C, F> => ({
  code,
  figures,
});
