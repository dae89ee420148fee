import { because } from "../../result";
import type { DayBook, LarderItem, LarderKind } from "../book";
import type { LarderUse } from "../result";
import { listComing } from "./makeAhead";
import { toProblem, type Problem } from "../problem";

/** Pieces of a kind found in the larder. */
export interface TakenPieces {
  readonly frozen: number;
  /** Baked empty already. */
  readonly shells: number;
  readonly blanks: number;
  readonly uses: readonly LarderUse[];
}

/** The larder as one day may use it: oldest first, nothing past its use-by date. */
export interface OpenLarder {
  readonly usable: readonly LarderItem[];
  /** There, and past its date. */
  readonly expired: readonly LarderItem[];
  /** One for each item that would be used but for its date. */
  readonly problems: readonly Problem[];
}

/** Less than this is not worth taking out of its box, g. */
const LEAST_TAKEN_G = 1;

/** Opens the larder for the book's day: what was there that day and not used up by another. */
export function openLarder(book: DayBook): OpenLarder {
  const { day, larder, formulas, pieces } = book;
  const present = [...larder, ...listComing(book)].filter(
    ({ takenByDayId, fromDayId, madeOn }) =>
      (takenByDayId === null || takenByDayId === day.id) && fromDayId !== day.id && madeOn <= day.date,
  );
  const expired = present.filter(({ useBy }) => useBy < day.date);
  const usable = present
    .filter(({ useBy }) => useBy >= day.date)
    .sort(
      // What this day has taken already stays taken; then the oldest first.
      (a, b) =>
        Number(b.takenByDayId !== null) - Number(a.takenByDayId !== null) ||
        (a.madeOn < b.madeOn ? -1 : a.madeOn > b.madeOn ? 1 : 0),
    );
  const nameOf = ({ kind, refId }: LarderItem) =>
    (kind === "dough" || kind === "filling" ? formulas : pieces).find(({ id }) => id === refId)?.name ??
    refId;
  return {
    usable,
    expired,
    problems: expired.map((item) => {
      const { massG, count, useBy } = item;
      const past = because("expired", { item: nameOf(item), massG, count, useBy });
      return toProblem(past, { station: "mix", aboutId: item.id });
    }),
  };
}

/** Up to `wantedG` of a dough or filling: each formula is asked for once a day. */
export function takeMass(
  { usable }: OpenLarder,
  kind: "dough" | "filling",
  formulaId: string,
  wantedG: number,
): LarderUse[] {
  const uses: LarderUse[] = [];
  let leftG = wantedG;
  for (const item of listOf(usable, kind, formulaId)) {
    const massG = Math.min(item.massG, leftG);
    if (massG < LEAST_TAKEN_G) continue;
    uses.push({ item, massG, count: 0 });
    leftG -= massG;
  }
  return uses;
}

/** Up to `wanted` pieces: frozen ones first, then shells, then blanks. Each piece is asked for once a day. */
export function takePieces({ usable }: OpenLarder, pieceId: string, wanted: number): TakenPieces {
  const frozen = takeCount(listOf(usable, "frozenPieces", pieceId), wanted);
  const shells = takeCount(listOf(usable, "shells", pieceId), wanted - frozen.count);
  const blanks = takeCount(listOf(usable, "blanks", pieceId), wanted - frozen.count - shells.count);
  return {
    ...{ frozen: frozen.count, shells: shells.count, blanks: blanks.count },
    uses: [...frozen.uses, ...shells.uses, ...blanks.uses],
  };
}

const listOf = (items: readonly LarderItem[], kind: LarderKind, refId: string): LarderItem[] =>
  items.filter((item) => item.kind === kind && item.refId === refId);

function takeCount(items: readonly LarderItem[], wanted: number) {
  const uses: LarderUse[] = [];
  let taken = 0;
  for (const item of items) {
    const count = Math.min(item.count, wanted - taken);
    if (count <= 0) continue;
    uses.push({ item, massG: 0, count });
    taken += count;
  }
  return { count: taken, uses };
}
