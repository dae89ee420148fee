/** In which order and which way tasks are laid, by their place in the problem. */
export interface Order {
  /** Lower is earlier in the day; null to lay first what can go earliest (in the mirror: latest). */
  readonly rank: Float64Array | null;
  /** The way each is bound to; −1 or null where it is free. */
  readonly modes: Int32Array | null;
}

/** Nothing is said: the rules of the construction. */
export const FREE_ORDER: Order = { rank: null, modes: null };
