import type { WayStep } from "../../way";

/** What steps put in or on by themselves, and whether the piece has yet to go into the heat. */
export function listThings(
  way: readonly WayStep[],
): { readonly thing: NonNullable<WayStep["thing"]>; readonly isRaw: boolean }[] {
  const lastHeat = way.findLastIndex(({ kind }) => kind === "bake" || kind === "fry");
  return way.flatMap(({ thing, kind }, i) =>
    thing && kind !== "prepare" && kind !== "laySlices" ? [{ thing, isRaw: i < lastHeat }] : [],
  );
}
