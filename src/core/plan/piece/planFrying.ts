import { findLargestLoad, fryLoad, LEAST_FRYING_C, type Baked, type FryLoad, type OilBath } from "../../heat";
import { layOutRows } from "../../cutting";
import type { TrayLoading } from "../../loading";
import { fail, ok, type Result } from "../../result";
import { formatNumber } from "../../units";
import { listHeats } from "../../way";
import type { Fryer, Piece } from "../book/book";
import { toFryLoad } from "./knownBake";
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
): Result<FryPlan, string> {
  const heats = listHeats(piece.way);
  const oilC = heats[0]?.ovenC ?? 0;
  const minutes = heats.reduce((sum, heat) => sum + heat.minutes, 0);
  if (oilC > fryer.maxC)
    return fail(
      `${oilC} °C is ${oilC - fryer.maxC} °C above what ${fryer.name} reaches. Fry cooler or in another.`,
    );
  if (oilC < LEAST_FRYING_C)
    return fail(
      `oil of ${oilC} °C is ${LEAST_FRYING_C - oilC} °C too cool: below ${LEAST_FRYING_C} °C crust soaks it up. Raise it.`,
    );
  const areaMm2 = fryer.basketWidthMm * fryer.basketDepthMm;
  const toMm = (ml: number) => (ml * 1000) / areaMm2;
  const restMm = toMm((fryer.oilKg * 1000) / OIL_G_PER_ML);
  const levelMostMm = fryer.potDepthMm * fryer.fillShare;
  const pieceMl = shaped.rawPieceG / baked.densityGPerMl;
  const level = Math.floor((levelMostMm - restMm) / toMm(pieceMl));
  if (level < 1) {
    const overG = ((restMm + toMm(pieceMl) - levelMostMm) * areaMm2 * OIL_G_PER_ML) / 1000;
    return fail(
      `with one piece in it the oil of ${fryer.name} stands ${formatNumber(restMm + toMm(pieceMl) - levelMostMm, 1)} mm ` +
        `above its mark. Take ${formatNumber(overG / 1000, 1)} kg out.`,
    );
  }
  const layout = layOutRows({
    outline: { kind: "rectangle", ...shaped.formed.footprint },
    sheet: { widthMm: fryer.basketWidthMm, heightMm: fryer.basketDepthMm },
    webMm: FLOAT_GAP_MM,
    marginMm: 0,
    mayTurn: true,
  });
  if (!layout.ok) return fail(`not one lies flat in the basket of ${fryer.name}. Make it smaller.`);
  const bath: OilBath = { ...fryer, setC: oilC, roomC };
  const one = toFryLoad(shaped, baked, 1, minutes);
  const cold = fryLoad(bath, one);
  if (!cold.ok) return fail(cold.failure.message);
  const most = { oil: findLargestLoad(bath, one), basket: layout.value.count, level };
  const perBasket = Math.min(most.oil, most.basket, most.level);
  if (perBasket < 1)
    return fail(
      `even one cools the oil of ${fryer.name} below ${LEAST_FRYING_C} °C. Use more oil or a stronger heater.`,
    );
  const load = { ...one, pieces: perBasket };
  const fried = fryLoad(bath, load);
  if (!fried.ok) return fail(fried.failure.message);
  return ok({
    fryer,
    ...{ oilC, minutes, perBasket, most, bath, load },
    lowestC: fried.value.lowestC,
    recoveryMin: fried.value.recoveryMin,
    levelMm: restMm + perBasket * toMm(pieceMl),
    levelMostMm,
  });
}
