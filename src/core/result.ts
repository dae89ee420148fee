/** What a user can cause and mend comes back as a Result; what only a bug can cause throws. */
export type Result<V, F> =
  { readonly ok: true; readonly value: V } | { readonly ok: false; readonly failure: F };

/** A success carrying `value`. */
export const ok = <V>(value: V) => ({ ok: true, value }) as const;

/** A failure carrying the reason. */
export const fail = <F>(failure: F) => ({ ok: false, failure }) as const;
