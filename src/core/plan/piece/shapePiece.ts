import { createRecordMemory } from "../../createMemory";
import type { ShapeContext } from "./shapeContext";
import { scoreSeam } from "./scoreSeam";
import { findCrimpId } from "./crimpOf";
import { findFilling } from "./findFormulas";
import { doesLift, type Dough, type Filling } from "../../formula";
import type { Blank, BlankRole, FormedPiece } from "../../forming";
import {
  advisePlumpness,
  computePortion,
  type DividedPortion,
  type PlumpnessAdvice,
  type Portion,
  type PortionPart,
} from "../../filling";
import { findPaceHabit } from "../../habits";
import { because, fail, ok, type Result } from "../../result";
import {
  computeGlaze,
  computeSeal,
  computeWash,
  type HoldRisk,
  type Seal,
  type WashedPiece,
} from "../../sealing";
import { computeAreaMm2, outerOutline } from "../../shape";
import { findHeatWay, hasStep, isFilling, type Way } from "../../way";
import type { Piece } from "../book";
import { computeHandWork, type PieceWorks } from "./handWork";
import { holdFilling } from "./holdFilling";
import { listThings } from "./things";
import { toProblem, type Problem } from "../problem";

/**
 * What one piece weighs and what of it, g. Blanks less trim, its fillings, whole things and coats are the raw piece;
 * that less what bakes off, and what dresses it, the baked one.
 */
export interface PieceMasses {
  /** All its blanks. */
  readonly blankG: number;
  /** Of these, what comes off once it is closed, to be used again. */
  readonly trimG: number;
  /** Whole things in it that are neither dough nor a filling: fruit, slices, nuts. */
  readonly wholeG: number;
  /** On it before the last heat: glue, wash, sugar that is baked, and what steps drop in by themselves. */
  readonly coatG: number;
  readonly rawPieceG: number;
  /** On it after the last heat: glaze, dust, garnish, and the oil that frying leaves in it. */
  readonly dressG: number;
  /** Of that, the glaze. */
  readonly glazeG: number;
  /** Of that, the oil; 0 for what is baked. */
  readonly fatG: number;
  readonly bakedPieceG: number;
}

/** One piece by itself: what it is, whatever is ordered of it. */
export interface ShapedPiece {
  readonly formed: FormedPiece;
  /** As set, or as its portion by weight makes it. */
  readonly plumpness: number;
  /** Main filling for which it has no room, ml. */
  readonly overMl: number;
  /** Of the main filling. */
  readonly portion: Portion;
  /** Every filling in it, the main one first. */
  readonly parts: readonly PortionPart[];
  /** Null where nothing is closed. */
  readonly seal: Seal | null;
  /** Null where nothing is closed. */
  readonly hold: HoldRisk | null;
  readonly washed: WashedPiece;
  readonly plumpnessAdvice: PlumpnessAdvice;
  readonly works: PieceWorks;
  readonly masses: PieceMasses;
}

/** A shell that its way never fills holds nothing, whatever would have room in it. */
function emptyShell(way: Way, divided: DividedPortion): DividedPortion {
  if (way.some(isFilling)) return divided;
  const [main] = divided.parts;
  return {
    parts: [{ ...main, portion: computePortion(0, main.portion.massG / main.portion.volumeMl) }],
    inclusionsG: hasStep(way, "dropIn") ? divided.inclusionsG : 0,
    displacedMl: 0,
  };
}

/** Oil that a piece takes up in the fryer, share of its raw mass: as it leaves, water makes room for it. Craft's first guess. */
const TAKEN_UP_SHARE = 0.06;

type Shaped = Result<ShapedPiece, Problem>;

/** A dial moves one piece; all the others of the book are as they were: each is shaped again only if something of it changed. */
const remember = createRecordMemory<Piece, Shaped>();

/** Form, portion, seam, wash and mass of one piece, or the problem that stops it. */
export function shapePiece(piece: Piece, dough: Dough, filling: Filling, context: ShapeContext): Shaped {
  const { formulas, kitchen, lots, past } = context;
  return remember(piece, [dough, filling, kitchen, past, ...formulas, ...lots], () =>
    shapeAnew(piece, dough, filling, context),
  );
}

function shapeAnew(piece: Piece, dough: Dough, filling: Filling, context: ShapeContext): Shaped {
  const thicknessMm = findThicknessMm(piece, dough);
  const layersMm = piece.extras.flatMap((extra) => (extra.kind === "layer" ? [extra.heightMm] : []));
  const held = holdFilling(
    piece,
    { ...piece, thicknessMm, springBackShare: dough.springBackShare, layersMm },
    (id) => findFilling(id, context.formulas)?.densityGPerMl,
  );
  if (!held.ok) {
    const why = because("cannotForm", { piece: piece.name, why: held.failure });
    return fail(toProblem(why, { station: "fill", pieceId: piece.id, stops: true }));
  }
  const { formed, plumpness } = held.value;
  const { blanks, seamMm, solids, trimMl, washMm2 } = formed;
  const { parts, inclusionsG } = emptyShell(piece.way, held.value.divided);
  const blanksMm2 = blanks.reduce((sum, blank) => sum + takenMm2(blank), 0);
  const blankG = (blanksMm2 * thicknessMm * dough.densityGPerMl) / 1000;
  const trimG = trimMl * dough.densityGPerMl;
  const solidsG = solids.reduce((sum, { count, eachMl, gPerMl }) => sum + count * eachMl * gPerMl, 0);
  const fillingG = parts.reduce((sum, { portion, ofPieces }) => sum + portion.massG * ofPieces, 0);
  const seal =
    seamMm > 0
      ? computeSeal({ seamMm, marginMm: piece.marginMm, crimp: findCrimpId(piece), glue: piece.glue })
      : null;
  const washed = computeWash(piece.wash, washMm2);
  const glazed = computeGlaze(piece.glaze, washMm2);
  const things = listThings(piece.way);
  const sumThings = (isRaw: boolean) =>
    things.reduce((sum, each) => sum + (each.isRaw === isRaw ? each.thing.count * each.thing.eachG : 0), 0);
  const isSugarBaked = piece.wash.sugar === "before";
  const coatG =
    (seal && seal.glue.id !== "none" ? seal.glueG : 0) +
    washed.washG +
    (isSugarBaked ? washed.sugarG : 0) +
    sumThings(true);
  const rawPieceG = blankG - trimG + fillingG + solidsG + inclusionsG + coatG;
  const fatG = findHeatWay(piece.way) === "oil" ? rawPieceG * TAKEN_UP_SHARE : 0;
  const dressG = glazed.massG + (isSugarBaked ? 0 : washed.sugarG) + sumThings(false) + fatG;
  return ok({
    formed,
    plumpness,
    overMl: parts[0].portion.massG > 0 ? held.value.overMl : 0,
    portion: parts[0].portion,
    parts,
    seal,
    hold: seal && scoreSeam(piece, dough, filling, seal, held.value, context),
    washed,
    plumpnessAdvice: advisePlumpness({
      shrinkShare: filling.shrinkShare,
      wetness: filling.wetness,
      doughLifts: doesLift(dough),
    }),
    works: computeHandWork({
      piece,
      formed,
      parts,
      seal,
      washed,
      glazeS: glazed.seconds,
      measureOf: (id) => findFilling(id, context.formulas)?.measure ?? "spoon",
      findPace: (kind, style) => findPaceHabit(context.past, kind, style, context.lots),
    }),
    masses: {
      ...{ blankG, trimG, coatG, rawPieceG, dressG, fatG },
      wholeG: solidsG + inclusionsG,
      glazeG: glazed.massG,
      bakedPieceG: rawPieceG * (1 - piece.bakeLossShare) + dressG,
    },
  });
}

/** Dough that a blank takes for good: of a ring whose centre is kept, all of its disc. */
const takenMm2 = ({ cut, keepsCentre }: Blank) => computeAreaMm2(keepsCentre ? outerOutline(cut) : cut);

/** A bought sheet can be rolled thinner than it is, never thicker. */
export function findThicknessMm(piece: Piece, { boughtSheet }: Dough): number {
  return boughtSheet ? Math.min(piece.thicknessMm, boughtSheet.thicknessMm) : piece.thicknessMm;
}

/** The id by which the cut plan knows a role of a piece. */
export const toDemandId = (piece: Piece, role: BlankRole): string => `${piece.id}:${role}`;
