import { requirePositive } from "../require";
import type { Body } from "../heat";
import type { DividedShape } from "./formula";

/** So many equal pieces of dough. */
export interface DividedPiece {
  readonly count: number;
  readonly massG: number;
  readonly shape: DividedShape;
  readonly body: Body;
}

/** A disc or brick is pressed this flat: it cools in an hour and is half rolled already. */
const FLAT_MM = 30;
/** A log is as thick as two hands roll with ease. */
const LOG_MM = 50;
/** Long side of a brick over its short one. */
const BRICK_RATIO = 1.5;
const MM3_PER_ML = 1000;
/** Pieces that differ by less are called equal, g: a scale shows no more. */
const SAME_G = 0.5;

/** The body of a piece of dough, from its mass. @throws {RangeError} If mass or density is not above 0. */
export function shapeDoughPiece(shape: DividedShape, massG: number, densityGPerMl: number): Body {
  requirePositive("massG", massG);
  requirePositive("densityGPerMl", densityGPerMl);
  const volumeMm3 = (massG / densityGPerMl) * MM3_PER_ML;
  switch (shape) {
    case "disc":
      return {
        kind: "disc",
        heightMm: FLAT_MM,
        diameterMm: Math.sqrt((4 * volumeMm3) / (Math.PI * FLAT_MM)),
      };
    case "log":
      return { kind: "log", diameterMm: LOG_MM, lengthMm: (4 * volumeMm3) / (Math.PI * LOG_MM ** 2) };
    case "ball":
      return { kind: "ball", diameterMm: Math.cbrt((6 * volumeMm3) / Math.PI) };
    case "brick": {
      const widthMm = Math.sqrt(volumeMm3 / FLAT_MM / BRICK_RATIO);
      return { kind: "brick", widthMm, lengthMm: widthMm * BRICK_RATIO, heightMm: FLAT_MM };
    }
  }
}

/** Masses of the parts that a dough is divided into: equal ones, as many as the baker says, or one for each sheet. */
export function listPartsG(sheetsG: readonly number[], count: number | null): readonly number[] {
  const totalG = sheetsG.reduce((sum, each) => sum + each, 0);
  return count === null || totalG <= 0 ? sheetsG : Array.from({ length: count }, () => totalG / count);
}

/** The parts of a dough, equal ones together, the largest first. */
export function divideDough(
  sheetsG: readonly number[],
  shape: DividedShape,
  densityGPerMl: number,
): DividedPiece[] {
  const pieces: { count: number; massG: number }[] = [];
  for (const massG of [...sheetsG].sort((a, b) => b - a)) {
    const same = pieces.find((piece) => Math.abs(piece.massG - massG) < SAME_G);
    if (same) same.count++;
    else pieces.push({ count: 1, massG });
  }
  return pieces.map(({ count, massG }) => ({
    count,
    massG,
    shape,
    body: shapeDoughPiece(shape, massG, densityGPerMl),
  }));
}
