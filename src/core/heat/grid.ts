import { requirePositive, requireThat } from "../require";

/** The shapes dough is divided into. All lengths mm, > 0. */
export type Body =
  /** A rolled sheet, or a slab so wide that its edge does not matter; cooled from above and below. */
  | { readonly kind: "slab"; readonly thicknessMm: number }
  /** A disc lying flat. */
  | { readonly kind: "disc"; readonly diameterMm: number; readonly heightMm: number }
  /** A roll lying on its side. */
  | { readonly kind: "log"; readonly diameterMm: number; readonly lengthMm: number }
  | { readonly kind: "ball"; readonly diameterMm: number }
  /** A block, lying on its largest face. */
  | {
      readonly kind: "brick";
      readonly lengthMm: number;
      readonly widthMm: number;
      readonly heightMm: number;
    };

/**
 * Finite volumes of a body: `across` cells along the radius (1 for a slab) by `along` cells up the axis (1 for a
 * ball), cell (i, j) at index j · across + i. Conductances are given as area over distance, m, to be multiplied by
 * the conductivity; faces as m².
 */
export interface Grid {
  readonly across: number;
  readonly along: number;
  readonly volumeM3: Float64Array;
  /** From cell (i, j) to (i + 1, j). */
  readonly outwardM: Float64Array;
  /** From cell (i, j) to (i, j + 1), upwards. */
  readonly upwardM: Float64Array;
  readonly faces: readonly Face[];
  /** The innermost cell, the next one outwards, and how much of their difference leads on to the centre. */
  readonly core: { readonly index: number; readonly nextIndex: number; readonly weight: number };
}

/** A cell's face on the open: half a cell lies between its centre and the surface. */
export interface Face {
  readonly index: number;
  readonly side: "top" | "bottom" | "edge";
  readonly areaM2: number;
  readonly depthM: number;
}

/** Cells along a radius and along a height, which is odd so that one lies in the middle. */
export interface GridSize {
  readonly across: number;
  readonly along: number;
}

/** The smallest numbers that keep the tested 1 % with room to spare. */
const SLAB_CELLS = 37;
const BALL_CELLS = 26;
const DISC_CELLS: GridSize = { across: 16, along: 19 };
const M_PER_MM = 1e-3;

/** Divides a body into cells, finer towards its surfaces. @param refine - Multiplies the number of cells. */
export function buildGrid(body: Body, refine = 1): Grid {
  requireThat("refine", refine, Number.isInteger(refine) && refine >= 1, "a whole number ≥ 1");
  switch (body.kind) {
    case "slab":
      return buildCylinder(null, checked("thicknessMm", body.thicknessMm), {
        across: 1,
        along: keepOdd(SLAB_CELLS * refine),
      });
    case "ball":
      return buildBall(checked("diameterMm", body.diameterMm) / 2, BALL_CELLS * refine);
    case "disc":
      return buildCylinder(
        checked("diameterMm", body.diameterMm) / 2,
        checked("heightMm", body.heightMm),
        scaled(refine),
      );
    case "log":
      return buildCylinder(
        checked("diameterMm", body.diameterMm) / 2,
        checked("lengthMm", body.lengthMm),
        scaled(refine),
        true,
      );
    case "brick": {
      // A disc of the same height and the same footprint: corners cool a little faster than it says.
      const footprintMm2 = checked("lengthMm", body.lengthMm) * checked("widthMm", body.widthMm);
      return buildCylinder(
        Math.sqrt(footprintMm2 / Math.PI),
        checked("heightMm", body.heightMm),
        scaled(refine),
      );
    }
  }
}

const keepOdd = (cells: number) => cells + 1 - (cells % 2);

const scaled = (refine: number): GridSize => ({
  across: DISC_CELLS.across * refine,
  along: keepOdd(DISC_CELLS.along * refine),
});

function checked(name: string, valueMm: number): number {
  requirePositive(name, valueMm);
  return valueMm * M_PER_MM;
}

/** How far the cells follow a sine, which is finest at the surface; the rest of the way they are even. */
const GRADING_SHARE = 0.6;

/** Cell edges from 0 to 1, finer towards 1, or towards both ends. */
function gradedEdges(cells: number, bothEnds: boolean): number[] {
  return Array.from({ length: cells + 1 }, (_, i) => {
    const share = i / cells;
    const sine = bothEnds ? (1 - Math.cos(Math.PI * share)) / 2 : Math.sin((Math.PI / 2) * share);
    return GRADING_SHARE * sine + (1 - GRADING_SHARE) * share;
  });
}

/** A cylinder, or a slab of 1 m² where there is no radius. Lying, all of its surface is edge. */
function buildCylinder(radiusM: number | null, heightM: number, size: GridSize, lying = false): Grid {
  const { across, along } = size;
  const radii = radiusM === null ? [0, 1] : gradedEdges(across, false).map((share) => share * radiusM);
  const heights = gradedEdges(along, true).map((share) => share * heightM);
  const at = (list: readonly number[], i: number) => list[i] ?? 0;
  const ringM2 = (i: number) =>
    radiusM === null ? 1 : Math.PI * (at(radii, i + 1) ** 2 - at(radii, i) ** 2);
  const middleR = (i: number) => (at(radii, i) + at(radii, i + 1)) / 2;
  const middleZ = (j: number) => (at(heights, j) + at(heights, j + 1)) / 2;
  const volumeM3 = new Float64Array(across * along);
  const outwardM = new Float64Array(across * along);
  const upwardM = new Float64Array(across * along);
  const faces: Face[] = [];
  for (let i = 0; i < across; i++) {
    for (let j = 0; j < along; j++) {
      const index = j * across + i;
      const tallM = at(heights, j + 1) - at(heights, j);
      volumeM3[index] = ringM2(i) * tallM;
      if (i + 1 < across) {
        outwardM[index] = (2 * Math.PI * at(radii, i + 1) * tallM) / (middleR(i + 1) - middleR(i));
      } else if (radiusM !== null) {
        faces.push({
          index,
          side: "edge",
          areaM2: 2 * Math.PI * radiusM * tallM,
          depthM: radiusM - middleR(i),
        });
      }
      if (j + 1 < along) upwardM[index] = ringM2(i) / (middleZ(j + 1) - middleZ(j));
    }
    for (const [j, side] of [
      [0, "bottom"],
      [along - 1, "top"],
    ] as const) {
      const depthM = (at(heights, j + 1) - at(heights, j)) / 2;
      faces.push({ index: j * across + i, side: lying ? "edge" : side, areaM2: ringM2(i), depthM });
    }
  }
  const middleJ = (along - 1) / 2;
  return {
    across,
    along,
    volumeM3,
    outwardM,
    upwardM,
    faces,
    core: {
      index: middleJ * across,
      nextIndex: middleJ * across + (across > 1 ? 1 : 0),
      weight: across > 1 ? weighCentre(middleR(0), middleR(1)) : 0,
    },
  };
}

/** T(0) = T₀ + w · (T₀ − T₁) for T = a + b r² through the middles of the first two cells. */
const weighCentre = (innerM: number, nextM: number) => innerM ** 2 / (nextM ** 2 - innerM ** 2);

function buildBall(radiusM: number, cells: number): Grid {
  const radii = gradedEdges(cells, false).map((share) => share * radiusM);
  const at = (i: number) => radii[i] ?? 0;
  const middle = (i: number) => (at(i) + at(i + 1)) / 2;
  const volumeM3 = Float64Array.from(
    { length: cells },
    (_, i) => (4 / 3) * Math.PI * (at(i + 1) ** 3 - at(i) ** 3),
  );
  const outwardM = Float64Array.from({ length: cells }, (_, i) =>
    i + 1 < cells ? (4 * Math.PI * at(i + 1) ** 2) / (middle(i + 1) - middle(i)) : 0,
  );
  const last = cells - 1;
  const outer: Face = {
    index: last,
    side: "edge",
    areaM2: 4 * Math.PI * radiusM ** 2,
    depthM: radiusM - middle(last),
  };
  return {
    across: cells,
    along: 1,
    volumeM3,
    outwardM,
    upwardM: new Float64Array(cells),
    faces: [outer],
    core: { index: 0, nextIndex: 1, weight: weighCentre(middle(0), middle(1)) },
  };
}
