/** Something that lasts from one minute to another. */
interface Span {
  readonly startMin: number;
  readonly endMin: number;
}

/** Where it stands among what is there at the same time. */
export interface Stacked<T> {
  readonly value: T;
  /** From 0. */
  readonly level: number;
  /** Of all that is linked to it by being there together: as many as are ever there at once. */
  readonly levels: number;
}

/**
 * Levels for what is in one place together, as few as can be: each takes the lowest that is free when it begins, so that no
 * two of a level are there at once (the greedy colouring of an interval graph, which is optimal).
 * @param spanOf - Its minutes; one that ends as another begins is gone by then.
 */
export function stackTogether<T>(all: readonly T[], spanOf: (value: T) => Span): Stacked<T>[] {
  const order = all.toSorted((a, b) => spanOf(a).startMin - spanOf(b).startMin);
  const stacked: Stacked<T>[] = [];
  let group: { readonly value: T; readonly level: number }[] = [];
  let endsMin: number[] = [];
  const close = () => {
    stacked.push(...group.map((each) => ({ ...each, levels: endsMin.length })));
    [group, endsMin] = [[], []];
  };
  for (const value of order) {
    const { startMin, endMin } = spanOf(value);
    if (endsMin.every((end) => end <= startMin)) close();
    const free = endsMin.findIndex((end) => end <= startMin);
    const level = free < 0 ? endsMin.length : free;
    endsMin[level] = endMin;
    group.push({ value, level });
  }
  close();
  return stacked;
}
