import { because, fail, ok, type Result } from "../result";
import type { PortionFailure } from "./fillingFailure";
import { computePortion, type Portion } from "./portion";

/** What a piece holds beside its main filling. */
export type PieceExtra =
  /** A level layer under the main filling, from below in the order of the list. */
  | { readonly kind: "layer"; readonly fillingId: string; readonly heightMm: number }
  /** A second component beside the main filling: its share of the room. */
  | { readonly kind: "share"; readonly fillingId: string; readonly share: number }
  /** Another main filling for this share of the pieces: two fillings over one order. */
  | { readonly kind: "alternate"; readonly fillingId: string; readonly share: number }
  /** Poured around the pieces in their pan, divided evenly between the pans. */
  | {
      readonly kind: "sauce";
      readonly fillingId: string;
      readonly eachG: number;
      readonly perPan: number;
    }
  /** Whole things in the main filling: nuts, berries. They take its room. */
  | {
      readonly kind: "inclusion";
      readonly name: string;
      readonly count: number;
      readonly eachG: number;
      readonly gPerMl: number;
    };

export type PartRole = "main" | "layer" | "share" | "alternate" | "sauce";

/** One filling's part in a piece. */
export interface PortionPart {
  readonly role: PartRole;
  readonly fillingId: string;
  readonly portion: Portion;
  /** Of the pieces, those that get it. */
  readonly ofPieces: number;
  /** Pieces in one pan, where it is poured into pans. */
  readonly perPan: number | null;
}

export interface DividedPortion {
  /** The main filling first. */
  readonly parts: readonly [PortionPart, ...PortionPart[]];
  readonly inclusionsG: number;
  /** Of the main filling's room, taken by what is whole. */
  readonly displacedMl: number;
}

interface Room {
  /** Of each level layer from below, the main filling's last. */
  readonly layersMl: readonly number[];
}

/**
 * Divides the room of a piece between its fillings. Layers have theirs; of the rest, second components take their
 * share, and the main filling what whole things leave of it. Volumes add up to the room, to rounding.
 * @param densityOf - g/ml of a filling by its id; undefined if there is none.
 */
export function dividePortion(
  room: Room,
  mainId: string,
  extras: readonly PieceExtra[],
  densityOf: (fillingId: string) => number | undefined,
): Result<DividedPortion, PortionFailure> {
  const missing = [
    mainId,
    ...extras.flatMap((extra) => ("fillingId" in extra ? [extra.fillingId] : [])),
  ].find((id) => densityOf(id) === undefined);
  if (missing !== undefined) return fail(because("unknownFilling", {}));
  const density = (id: string) => densityOf(id) ?? 1;
  const restMl = room.layersMl.at(-1) ?? 0;
  const besideShare = sumOf(extras, "share");
  const alternateShare = sumOf(extras, "alternate");
  if (besideShare >= 1 || alternateShare > 1) {
    return fail(because("sharesTooLarge", { share: besideShare >= 1 ? besideShare : alternateShare }));
  }
  const inclusions = extras.flatMap((extra) => (extra.kind === "inclusion" ? [extra] : []));
  const displacedMl = inclusions.reduce((sum, { count, eachG, gPerMl }) => sum + (count * eachG) / gPerMl, 0);
  const besideMl = restMl * (1 - besideShare);
  if (displacedMl >= besideMl) return fail(because("noRoom", { wholeMl: displacedMl, roomMl: besideMl }));
  const mainMl = besideMl - displacedMl;
  const part = (
    role: PartRole,
    fillingId: string,
    volumeMl: number,
    ofPieces = 1,
    perPan: number | null = null,
  ) => ({
    role,
    fillingId,
    portion: computePortion(volumeMl, density(fillingId)),
    ofPieces,
    perPan,
  });
  let layer = 0;
  const others = extras.flatMap((extra): PortionPart[] => {
    switch (extra.kind) {
      case "layer":
        return [part("layer", extra.fillingId, room.layersMl[layer++] ?? 0)];
      case "share":
        return [part("share", extra.fillingId, restMl * extra.share)];
      case "alternate":
        return [part("alternate", extra.fillingId, mainMl, extra.share)];
      case "sauce":
        return [part("sauce", extra.fillingId, extra.eachG / density(extra.fillingId), 1, extra.perPan)];
      default:
        return [];
    }
  });
  return ok({
    parts: [part("main", mainId, mainMl, 1 - alternateShare), ...others],
    inclusionsG: inclusions.reduce((sum, { count, eachG }) => sum + count * eachG, 0),
    displacedMl,
  });
}

const sumOf = (extras: readonly PieceExtra[], kind: "share" | "alternate") =>
  extras.reduce((sum, extra) => sum + (extra.kind === kind ? extra.share : 0), 0);
