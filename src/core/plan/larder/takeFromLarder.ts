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
}

/** The larder as one day may use it: oldest first, nothing twice, nothing past its use-by date. */
export interface OpenLarder {
  /** Takes up to `wantedG` of a dough or filling. */
  takeMass(kind: "dough" | "filling", formulaId: string, wantedG: number): readonly LarderUse[];
  /** Takes up to `wanted` pieces: frozen ones first, then shells, then blanks. */
  takePieces(pieceId: string, wanted: number): TakenPieces;
  /** Everything taken so far. */
  listUses(): readonly LarderUse[];
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
  const uses: LarderUse[] = [];
  const of = (kinds: readonly LarderKind[], refId: string) =>
    usable.filter((item) => kinds.includes(item.kind) && item.refId === refId);

  function takePiecesOf(kinds: readonly LarderKind[], pieceId: string, wanted: number): number {
    let taken = 0;
    for (const item of of(kinds, pieceId)) {
      const count = Math.min(item.count, wanted - taken);
      if (count <= 0) continue;
      uses.push({ item, massG: 0, count });
      taken += count;
    }
    return taken;
  }

  const nameOf = ({ kind, refId }: LarderItem) =>
    (kind === "dough" || kind === "filling" ? formulas : pieces).find(({ id }) => id === refId)?.name ??
    refId;
  return {
    takeMass(kind, formulaId, wantedG) {
      const taken: LarderUse[] = [];
      let leftG = wantedG;
      for (const item of of([kind], formulaId)) {
        const massG = Math.min(item.massG, leftG);
        if (massG < LEAST_TAKEN_G) continue;
        taken.push({ item, massG, count: 0 });
        leftG -= massG;
      }
      uses.push(...taken);
      return taken;
    },
    takePieces(pieceId, wanted) {
      const frozen = takePiecesOf(["frozenPieces"], pieceId, wanted);
      const shells = takePiecesOf(["shells"], pieceId, wanted - frozen);
      return { frozen, shells, blanks: takePiecesOf(["blanks"], pieceId, wanted - frozen - shells) };
    },
    listUses: () => uses,
    expired,
    problems: expired.map((item) => {
      const { massG, count, useBy } = item;
      const past = because("expired", { item: nameOf(item), massG, count, useBy });
      return toProblem(past, { station: "mix", aboutId: item.id });
    }),
  };
}
