import { findFilling, type DayBook, type Piece, type PiecePlan } from "../plan";
import type { LotFigures, RemedyChange } from "../remedy";
import { computeVentShare } from "../sealing";
import { formatCount, formatLength, formatNumber, formatSide } from "../units";
import { findChillMin, isHeat, setStep, withChill } from "../way";

/** What a piece is made by just now, as far as a remedy changes it. */
export interface PieceNow {
  readonly marginMm: number;
  readonly plumpness: number;
  readonly vents: number;
  readonly washCoats: number;
  readonly chillMin: number;
  /** Of its last heat; null for one that is fried. */
  readonly bakeC: number | null;
  /** Of all its heats. */
  readonly bakeMin: number;
}

/** The figures of a piece that a remedy may change, as they stand. */
export function readPieceNow({ marginMm, plumpness, vents, wash, way }: Piece): PieceNow {
  const heats = way.filter(isHeat);
  return {
    marginMm,
    plumpness,
    vents: vents.count,
    washCoats: wash.kind === "none" ? 0 : wash.coats,
    chillMin: findChillMin(way),
    bakeC: heats.findLast(({ kind }) => kind === "bake")?.heatC ?? null,
    bakeMin: heats.reduce((sum, { minutes }) => sum + minutes, 0),
  };
}

/** Figures that stand before anything is made: what the piece is planned by. */
export function planFigures(
  { piece, blanks, shaped: { seal, plumpness, formed, hold } }: PiecePlan,
  { formulas }: Pick<DayBook, "formulas">,
): LotFigures {
  const filling = findFilling(piece.fillingId, formulas);
  const cut = blanks.reduce((sum, each) => sum + each.cut, 0);
  const first = blanks.reduce((sum, each) => sum + each.fromFirstRolling, 0);
  return {
    ...(seal && { marginShare: piece.marginMm / seal.crimp.needsMarginMm }),
    ...(hold && filling && { ventShare: computeVentShare(piece.vents, formed.washMm2, filling.wetness) }),
    ...(cut > 0 && { rerollShare: 1 - first / cut }),
    plumpness,
    washCoats: piece.wash.kind === "none" ? 0 : piece.wash.coats,
  };
}

/** A remedy as it is told of a piece; and whether what has not begun can still be made so. */
export interface ToldChange {
  readonly text: string;
  /** Dough that is cut already cannot be rolled otherwise; what the plan has no figure for is done by hand. */
  readonly isForNow: boolean;
  /** The piece has a figure for it, so that it can be planned so from the next day on. */
  readonly isOfPiece: boolean;
}

const share = (value: number): string => `${formatNumber(value * 100)} %`;

/** A change in words beside what was, and whether it can be done to this day's pieces still. */
export function tellChange(change: RemedyChange, now: PieceNow): ToldChange {
  const told = (what: string, to: string, from: string) => ({
    text: `${what} ${to}, not ${from}`,
    ...{ isForNow: true, isOfPiece: true },
  });
  const byHand = (text: string) => ({ text, isForNow: false, isOfPiece: false });
  switch (change.kind) {
    case "marginMm":
      return told("margin", formatLength(now.marginMm + change.byMm, 0), formatSide(now.marginMm, 0));
    case "plumpness":
      return told("filled to", share(shift(now.plumpness, change.by)), formatNumber(now.plumpness * 100));
    case "vents":
      return told("vents:", String(now.vents + change.by), String(now.vents));
    case "washCoats":
      return told(
        "wash:",
        formatCount(Math.max(now.washCoats + change.by, 0), "coat"),
        String(now.washCoats),
      );
    case "chillMin":
      return told("chilled", `${formatNumber(now.chillMin + change.byMin)} min`, formatNumber(now.chillMin));
    case "bakeMin":
      return told(
        "in the heat",
        `${formatNumber(now.bakeMin * (1 + change.byShare))} min`,
        formatNumber(now.bakeMin),
      );
    case "bakeC":
      return now.bakeC === null
        ? byHand(`the oil ${Math.abs(change.byC)} °C ${change.byC > 0 ? "hotter" : "cooler"}`)
        : told("baked at", `${formatNumber(now.bakeC + change.byC)} °C`, formatNumber(now.bakeC));
    case "thicknessMm":
      return {
        text: `rolled ${formatLength(Math.abs(change.byMm), 2)} ${change.byMm > 0 ? "thicker" : "thinner"}`,
        ...{ isForNow: false, isOfPiece: true },
      };
    case "restMin":
      return byHand(`the dough rested ${change.byMin} min longer`);
    case "perBasket":
      return byHand(`${share(-change.byShare)} fewer at once`);
    case "way":
      return byHand(change.text);
  }
}

const shift = (plumpness: number, by: number): number =>
  Math.round(Math.min(Math.max(plumpness + by, LEAST_PLUMPNESS), 1) * 100) / 100;
/** Less than this is an empty piece. */
const LEAST_PLUMPNESS = 0.05;

/** Fields of a piece that make it so; null for what the piece has no field for. */
export function toPieceChange(change: RemedyChange, piece: Piece): Partial<Piece> | null {
  const { way } = piece;
  switch (change.kind) {
    case "marginMm":
      return { marginMm: piece.marginMm + change.byMm };
    case "plumpness":
      return { plumpness: shift(piece.plumpness, change.by) };
    case "vents":
      return { vents: { ...piece.vents, count: piece.vents.count + change.by } };
    case "washCoats": {
      const coats = piece.wash.coats + change.by;
      if (piece.wash.kind === "none") return null;
      return { wash: coats < 1 ? { ...piece.wash, kind: "none" } : { ...piece.wash, coats } };
    }
    case "chillMin":
      return { way: withChill(way, findChillMin(way) + change.byMin) };
    case "bakeMin":
      return {
        way: way
          .filter(isHeat)
          .reduce(
            (steps, { id, minutes }) =>
              setStep(steps, id, { minutes: roundMin(minutes * (1 + change.byShare)) }),
            way,
          ),
      };
    case "bakeC": {
      const bakes = way.filter(({ kind }) => kind === "bake");
      if (bakes.length === 0) return null;
      return {
        way: bakes.reduce(
          (steps, { id, heatC }) => setStep(steps, id, { heatC: (heatC ?? 0) + change.byC }),
          way,
        ),
      };
    }
    case "thicknessMm":
      return { thicknessMm: piece.thicknessMm + change.byMm };
    case "restMin":
    case "perBasket":
    case "way":
      return null;
  }
}

/** A bake is set in half minutes. */
const roundMin = (minutes: number): number => Math.max(Math.round(minutes * 2) / 2, 0.5);
