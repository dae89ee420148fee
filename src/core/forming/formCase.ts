import { because, fail, ok, type Result } from "../result";
import { toContour, type Point } from "../shape";
import { completeForm, type FormedPiece, type RequestOf } from "./form";
import type { FormFailure } from "./formFailure";
import { formatLength } from "../units";

/**
 * How many times its rolled thickness a laminated wall stands after baking, free to rise. Craft's first guess for six
 * folds; the baker's own cases replace it.
 */
const LIFT = 5;
/** The docked floor of the well does not rise: this part of its thickness goes to baking out. */
const FLOOR_SHARE = 1;
/** A wall narrower than this falls over as it rises, mm. */
const NARROWEST_WALL_MM = 8;

/**
 * A base disc, a ring of the same size on it, and the ring's centre baked beside it as a lid. Filled after baking, to
 * a share of the well's depth.
 */
export function formCase(request: RequestOf<"case">): Result<FormedPiece, FormFailure> {
  const { form, cut, thicknessMm, springBackShare, plumpness, marginMm } = request;
  if (cut.kind !== "disc") {
    return fail(because("wrongOutline", { form: "case", cut, isOval: false }));
  }
  const wallMm = (cut.diameterMm - form.holeMm) / 2;
  if (wallMm < NARROWEST_WALL_MM) {
    const [holeMm, roundMm] = [form.holeMm, cut.diameterMm];
    return fail(because("holeTooWide", { holeMm, roundMm, wallMm, leastWallMm: NARROWEST_WALL_MM }));
  }
  const stays = 1 - springBackShare;
  const settledThicknessMm = thicknessMm / stays ** 2;
  const [acrossMm, wellMm] = [cut.diameterMm * stays, form.holeMm * stays];
  const floorMm = settledThicknessMm * FLOOR_SHARE;
  const depthMm = settledThicknessMm * LIFT;
  const mostMl = (Math.PI * wellMm ** 2 * depthMm) / 4 / 1000;
  const [half, well, high] = [acrossMm / 2, wellMm / 2, floorMm + depthMm];
  const box = (x1: number, x2: number, y1: number, y2: number): Point[] => [
    [x1, y1],
    [x2, y1],
    [x2, y2],
    [x1, y2],
  ];
  return ok(
    completeForm({
      kind: "case",
      blanks: [
        {
          role: "ring",
          cut: { kind: "ring", diameterMm: cut.diameterMm, holeMm: form.holeMm },
          isVisible: true,
          keepsCentre: true,
        },
        { role: "base", cut, isVisible: false, keepsCentre: false },
      ],
      settledThicknessMm,
      capacityMl: mostMl * plumpness,
      mostMl,
      seamMm: 0,
      marginMm,
      footprint: { widthMm: acrossMm, heightMm: acrossMm },
      fillsBaked: true,
      washMm2: (Math.PI * acrossMm ** 2) / 4,
      section: {
        dough: [
          box(-half, half, high - floorMm, high),
          box(-half, -well, 0, high - floorMm),
          box(well, half, 0, high - floorMm),
        ],
        filling: [box(-well, well, high - floorMm - depthMm * plumpness, high - floorMm)],
        solids: [],
        widthMm: acrossMm,
        heightMm: high,
      },
      fromAbove: {
        edge: toContour({ kind: "disc", diameterMm: acrossMm }),
        inner: [toContour({ kind: "disc", diameterMm: wellMm })],
        seam: "none",
      },
      steps: [
        {
          text: `the wall rises from ${formatLength(settledThicknessMm, 1)} to about`,
          figure: formatLength(depthMm, 0),
        },
        {
          text: `the well is ${formatLength(wellMm, 0)} across and holds`,
          figure: `${mostMl.toFixed(1)} ml`,
        },
        {
          text: `filled to ${Math.round(plumpness * 100)} % of its depth`,
          figure: `${(mostMl * plumpness).toFixed(1)} ml`,
        },
      ],
    }),
  );
}
