import { because, fail, ok, type Result } from "../result";
import { computeAreaMm2, toContour, type Point } from "../shape";
import { completeForm, roundUpCut, type FormedPiece, type RequestOf } from "./form";
import type { FormFailure } from "./formFailure";
import { PRODUCE_G_PER_ML } from "./produce";
import { formatLength } from "../units";

/** Points along half a fruit's outline, for its length and for drawing: the length is right to 1e-6. */
const OUTLINE_POINTS = 720;
/** The core is taken out from above down to so much of the height: closed below, so that its filling stays. */
const CORE_DEPTH_SHARE = 0.85;
/** A fruit cored wider than this share of itself does not stand. Craft's first guess. */
const MOST_CORE_SHARE = 0.6;

/**
 * A square brought up over a whole fruit. The fruit is an ellipsoid trimmed flat at its foot. Dough does not stretch,
 * so the corners reach the top only if half the diagonal is the way from the middle of the foot along the fruit to its
 * top, and half the overlap more. Between the corners the four flaps narrow to nothing: at a distance s from the
 * middle they are together 8 · (half diagonal − s) wide and must still go round the fruit there.
 */
export function formWrapped(request: RequestOf<"wrapped">): Result<FormedPiece, FormFailure> {
  const { form, cut, thicknessMm, springBackShare, plumpness, marginMm } = request;
  if (cut.kind !== "square") {
    return fail(because("wrongOutline", { form: "wrapped", cut, isOval: false }));
  }
  if (form.footMm >= form.fruitMm) {
    return fail(because("footTooWide", { footMm: form.footMm, fruitMm: form.fruitMm }));
  }
  const { fruitMm, fruitHeightMm } = form;
  const mostCoreMm = form.fruitMm * MOST_CORE_SHARE;
  if (form.coreMm > mostCoreMm) {
    return fail(because("coreTooWide", { coreMm: form.coreMm, fruitMm: form.fruitMm, mostMm: mostCoreMm }));
  }
  const stays = 1 - springBackShare;
  const settledThicknessMm = thicknessMm / stays ** 2;
  const fruit = outlineFruit(form.fruitMm / 2, form.fruitHeightMm, form.footMm / 2);
  // Along the middle of the dough, which turns through half a circle on its way.
  const meridianMm = fruit.meridianMm + (Math.PI * settledThicknessMm) / 2;
  const halfDiagonalMm = Math.max(
    meridianMm + form.overlapMm / 2,
    ...fruit.rings.map(({ alongMm, radiusMm }) => alongMm + (2 * Math.PI * radiusMm) / 8),
  );
  const wantedMm = roundUpCut((Math.SQRT2 * halfDiagonalMm) / stays);
  const neededMm = roundUpCut((Math.SQRT2 * meridianMm) / stays);
  if (cut.sideMm < neededMm - 1e-9) {
    return fail(because("squareTooSmall", { sideMm: cut.sideMm, neededMm, fruitMm, fruitHeightMm }));
  }
  const sideMm = cut.sideMm * stays;
  const overlapMm = 2 * (sideMm / Math.SQRT2 - meridianMm);
  // Between the corners the flaps are together so wide, and the fruit there so far round.
  const gapMm = Math.max(
    0,
    ...fruit.rings.map(
      ({ alongMm, radiusMm }) => (2 * Math.PI * radiusMm - 8 * (sideMm / Math.SQRT2 - alongMm)) / 4,
    ),
  );
  const coreMl = ((Math.PI * form.coreMm ** 2) / 4 / 1000) * form.fruitHeightMm * CORE_DEPTH_SHARE;
  const acrossMm = form.fruitMm + 2 * settledThicknessMm;
  const circle = toContour({ kind: "disc", diameterMm: acrossMm });
  const ridges = [45, 135, 225, 315].map((deg): Point[] => {
    const at = (deg * Math.PI) / 180;
    return [
      [0, 0],
      [(acrossMm / 2) * Math.cos(at), (acrossMm / 2) * Math.sin(at)],
    ];
  });
  return ok(
    completeForm({
      kind: "wrapped",
      blanks: [{ role: "square", cut, isVisible: true, keepsCentre: false }],
      settledThicknessMm,
      capacityMl: coreMl * plumpness,
      mostMl: coreMl,
      solids: [
        {
          name: "whole fruit",
          count: 1,
          eachMl: fruit.volumeMm3 / 1000 - coreMl,
          gPerMl: PRODUCE_G_PER_ML,
        },
      ],
      doubts:
        cut.sideMm < wantedMm - 1e-9
          ? [
              because("cornersShort", {
                ...{ sideMm: cut.sideMm, wantedMm, overlapMm, gapMm },
                askedMm: form.overlapMm,
              }),
            ]
          : [],
      // The flaps meet along four ridges, from where the middles of the sides lie up to the top.
      seamMm: 4 * Math.max(meridianMm - sideMm / 2, 0),
      marginMm,
      footprint: { widthMm: acrossMm, heightMm: acrossMm },
      washMm2: computeAreaMm2({ kind: "square", sideMm }) - (Math.PI * form.footMm ** 2) / 4,
      section: drawSection(fruit, form.coreMm, form.fruitHeightMm, settledThicknessMm, plumpness, overlapMm),
      // The pinches run along the ridges, not round the edge.
      fromAbove: { edge: circle, inner: ridges, seam: "none" },
      steps: [
        {
          text: "from the middle of the foot along the fruit to its top",
          figure: formatLength(fruit.meridianMm, 0),
        },
        {
          text: `so a square from ${formatLength(wantedMm, 2)} closes as it is set; the corners overlap by`,
          figure: formatLength(overlapMm, 0),
        },
        { text: `the ${formatLength(form.coreMm, 2)} core holds`, figure: `${coreMl.toFixed(1)} ml` },
      ],
    }),
  );
}

interface FruitOutline {
  /** Right half from foot to top, x out, y up. */
  readonly points: readonly Point[];
  readonly normals: readonly Point[];
  readonly rings: readonly { readonly alongMm: number; readonly radiusMm: number }[];
  readonly meridianMm: number;
  readonly volumeMm3: number;
}

/**
 * An ellipsoid of revolution, cut flat where it is `footMm` from its axis and `heightMm` high over that flat.
 * @param footMm - Half the flat's width; 0 is a whole ellipsoid.
 */
export function outlineFruit(radiusMm: number, heightMm: number, footMm: number): FruitOutline {
  const below = Math.sqrt(1 - (footMm / radiusMm) ** 2);
  const halfHeightMm = heightMm / (1 + below);
  const start = -Math.asin(below);
  const angles = Array.from(
    { length: OUTLINE_POINTS + 1 },
    (_, i) => start + ((Math.PI / 2 - start) * i) / OUTLINE_POINTS,
  );
  const points = angles.map((at): Point => [radiusMm * Math.cos(at), halfHeightMm * (below + Math.sin(at))]);
  const normals = angles.map((at): Point => {
    const [x, y] = [Math.cos(at) / radiusMm, Math.sin(at) / halfHeightMm];
    const length = Math.hypot(x, y);
    return [x / length, y / length];
  });
  let alongMm = footMm;
  const rings = points.map(([x, y], i) => {
    const [px, py] = points[i - 1] ?? [x, y];
    alongMm += Math.hypot(x - px, y - py);
    return { alongMm, radiusMm: x };
  });
  // A slice of the ellipsoid: π r² (z − z³ / 3c²) between foot and top.
  const part = (z: number) => z - z ** 3 / (3 * halfHeightMm ** 2);
  const volumeMm3 = Math.PI * radiusMm ** 2 * (part(halfHeightMm) - part(-below * halfHeightMm));
  return { points, normals, rings, meridianMm: alongMm, volumeMm3 };
}

function drawSection(
  { points, normals }: FruitOutline,
  coreMm: number,
  fruitHeightMm: number,
  t: number,
  level: number,
  overlapMm: number,
) {
  const high = fruitHeightMm + 2 * t;
  const flip = ([x, y]: Point): Point => [x, high - t - y];
  const both = (half: readonly Point[]): Point[] => [
    ...half.map(flip),
    ...[...half].reverse().map(([x, y]) => flip([-x, y])),
  ];
  const [footX] = points[0] ?? [0, 0];
  const skin = points.map(([x, y], i): Point => {
    const [nx, ny] = normals[i] ?? [0, 1];
    return [x + nx * t, Math.max(y + ny * t, -t)];
  });
  const coreDepthMm = fruitHeightMm * CORE_DEPTH_SHARE;
  const [coreFloor, coreTop] = [
    fruitHeightMm - coreDepthMm,
    fruitHeightMm - coreDepthMm + coreDepthMm * level,
  ];
  const box = (half: number, from: number, to: number): Point[] =>
    (
      [
        [-half, from],
        [half, from],
        [half, to],
        [-half, to],
      ] as const
    ).map(flip);
  const crossing = box(Math.min(overlapMm / 2, footX + t), fruitHeightMm, fruitHeightMm + t);
  return {
    dough: [both([[footX, -t], ...skin]), crossing],
    filling: [box(coreMm / 2, coreFloor, coreTop)],
    solids: [both(points)],
    widthMm: 2 * Math.max(...skin.map(([x]) => x)),
    heightMm: high,
  };
}
