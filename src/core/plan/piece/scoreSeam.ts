import type { FormedPiece } from "../../forming";
import { listCrimps } from "./crimpOf";
import { findChillMin } from "../../way";
import type { ShapeContext } from "./shapeContext";
import type { HeldFilling } from "./holdFilling";
import { type Seal, type HoldRisk, scoreHold } from "../../sealing";
import type { Dough, Filling } from "../../formula";
import type { Piece } from "../book";

/** How likely the seam of a piece opens, by the craft and the baker's log. */
export function scoreSeam(
  piece: Piece,
  dough: Dough,
  filling: Filling,
  { crimp }: Seal,
  { formed, plumpness }: HeldFilling,
  { kitchen, holdHabit }: ShapeContext,
): HoldRisk {
  const { glue, marginMm, vents, way } = piece;
  return scoreHold(
    {
      crimp: crimp.id,
      glue,
      marginMm,
      plumpness: findStrain(piece, formed, plumpness),
      wetness: filling.wetness,
      vents,
      topMm2: formed.washMm2,
      chillMin: findChillMin(way),
      seamShare: formed.drawnShare,
      crimpsOnOffer: listCrimps(piece.form.kind),
      doughC: kitchen.fridgeC + CLOSED_WARMED_SHARE * (kitchen.roomC - kitchen.fridgeC),
      smearsC: dough.window.highC,
    },
    { oddsRatio: holdHabit.oddsRatios[piece.id] ?? 1, weights: holdHabit.weights },
  );
}

/** Rested in the cold, dough has come so far towards the room by the time it is closed. Craft's first guess. */
const CLOSED_WARMED_SHARE = 0.5;

/** Nothing presses on the seam from a core or a well: as a half plump piece. */
const NO_STRAIN = 0.5;

/** How round the filling makes the piece: spread level, as full as it is; in a hollow of its own, not at all. */
function findStrain({ form }: Piece, { capacityMl, mostMl }: FormedPiece, plumpness: number): number {
  if (form.kind === "largeFold") return capacityMl / mostMl;
  return form.kind === "wrapped" ? NO_STRAIN : plumpness;
}
