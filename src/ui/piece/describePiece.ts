import type { Piece, ShapedPiece } from "@/core/plan";
import { describeOutline } from "@/core/shape";
import { findHeatWay, listHeats } from "@/core/way";
import { formatHeat, formatSides, type OvenScale } from "@/core/units";
import { sugarNames, washNames } from "./words";

/** `ring 78 mm, base 78 mm round`. */
export const describeBlanks = ({ formed }: ShapedPiece): string =>
  formed.blanks
    .map(({ role, cut }) => (cut.kind === "ring" ? "" : `${role} `) + describeOutline(cut))
    .join(", ");

/** `118 × 59 × 22 mm`: as it goes into the heat. */
export function describeFinished({ formed }: ShapedPiece): string {
  const { widthMm, depthMm, heightMm } = formed.finished;
  return formatSides([widthMm, depthMm, heightMm]);
}

export function describeWash({ wash }: Piece): string {
  const coats =
    wash.kind === "none" ? washNames.none : `${washNames[wash.kind]}${wash.coats > 1 ? ", twice" : ""}`;
  return wash.sugar === "none" ? coats : `${coats}, ${sugarNames[wash.sugar]}`;
}

/** `205 °C 15 min, then 175 °C 30 min`, as the kitchen reads its ovens; oil is always in degrees. */
export const describeStages = ({ way }: Piece, scale: OvenScale): string =>
  listHeats(way)
    .map(
      ({ ovenC, minutes }) =>
        `${formatHeat(ovenC, findHeatWay(way) === "oil" && scale === "gas" ? "celsius" : scale)} ${minutes} min`,
    )
    .join(", then ");
