import { findLargestLoad, fryLoad, LEAST_FRYING_C, type Baked, type FryLoad, type OilBath } from "../../heat";
import { layOutRows } from "../../cutting";
import type { TrayLoading } from "../../loading";
import { because, fail, ok, type Result } from "../../result";
import { listHeats } from "../../way";
import type { Fryer, Piece } from "../book";
import { toFryLoad } from "./knownBake";
import type { FryFailure } from "../problem";
import type { ShapedPiece } from "./shapePiece";

/** A piece in one fryer: how many at once, how long, and what decides it. */
export interface FryPlan {
  readonly fryer: Fryer;
  readonly oilC: number;
  readonly minutes: number;
  readonly perBasket: number;
  /** The most that oil, basket and level would each allow. */
  readonly most: Readonly<Record<"oil" | "basket" | "level", number>>;
  /** What the model was asked for a full basket. */
  readonly bath: OilBath;
  readonly load: FryLoad;
  readonly lowestC: number;
  /** From the end of one basket until the oil is back for the next. */
  readonly recoveryMin: number;
  /** The oil with a basket of food in it, and the highest it may stand, mm above the pot's floor. */
  readonly levelMm: number;
  readonly levelMostMm: number;
}

/** Of frying oils near 180 °C, g/ml. */
const OIL_G_PER_ML = 0.85;
/** Pieces float and are turned: so much room round each, mm. */
const FLOAT_GAP_MM = 8;

/** Baskets of all lots of a piece in one fryer. */
export const countBaskets = ({ loads }: Pick<TrayLoading, "loads">, { perBasket }: FryPlan): number =>
  loads.reduce((sum, { pieces }) => sum + Math.ceil(pieces / perBasket), 0);

/** What a fryer makes of a piece, or why it cannot. */
export function planFrying(
  piece: Piece,
  shaped: ShapedPiece,
  baked: Baked,
  fryer: Fryer,
  roomC: number,
): Result<FryPlan, FryFailure> {
  const heats = listHeats(piece.way);
  const oilC = heats[0]?.ovenC ?? 0;
  const minutes = heats.reduce((sum, heat) => sum + heat.minutes, 0);
  if (oilC > fryer.maxC) return fail(because("fryerTooCool", { fryer: fryer.name, oilC, maxC: fryer.maxC }));
  if (oilC < LEAST_FRYING_C) return fail(because("oilTooCool", { oilC, leastC: LEAST_FRYING_C }));
  const areaMm2 = fryer.basketWidthMm * fryer.basketDepthMm;
  const toMm = (ml: number) => (ml * 1000) / areaMm2;
  const restMm = toMm((fryer.oilKg * 1000) / OIL_G_PER_ML);
  const levelMostMm = fryer.potDepthMm * fryer.fillShare;
  const pieceMl = shaped.masses.rawPieceG / baked.densityGPerMl;
  const level = Math.floor((levelMostMm - restMm) / toMm(pieceMl));
  if (level < 1) {
    const overMm = restMm + toMm(pieceMl) - levelMostMm;
    const overG = (overMm * areaMm2 * OIL_G_PER_ML) / 1000;
    return fail(because("oilOverMark", { fryer: fryer.name, overMm, overG }));
  }
  const layout = layOutRows({
    outline: { kind: "rectangle", ...shaped.formed.footprint },
    sheet: { widthMm: fryer.basketWidthMm, heightMm: fryer.basketDepthMm },
    webMm: FLOAT_GAP_MM,
    marginMm: 0,
    mayTurn: true,
  });
  if (!layout.ok) return fail(because("notInBasket", { fryer: fryer.name }));
  const bath: OilBath = { ...fryer, setC: oilC, roomC };
  const one = toFryLoad(shaped, baked, 1, minutes);
  const cold = fryLoad(bath, one);
  if (!cold.ok) return cold;
  const most = { oil: findLargestLoad(bath, one), basket: layout.value.count, level };
  const perBasket = Math.min(most.oil, most.basket, most.level);
  if (perBasket < 1) return fail(because("oneCoolsOil", { fryer: fryer.name, leastC: LEAST_FRYING_C }));
  const load = { ...one, pieces: perBasket };
  const fried = fryLoad(bath, load);
  if (!fried.ok) return fried;
  return ok({
    fryer,
    ...{ oilC, minutes, perBasket, most, bath, load },
    lowestC: fried.value.lowestC,
    recoveryMin: fried.value.recoveryMin,
    levelMm: restMm + perBasket * toMm(pieceMl),
    levelMostMm,
  });
}
