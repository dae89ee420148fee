import { because, fail, ok, type Result } from "../result";
import {
  computeAreaMm2,
  computeBox,
  computePerimeterMm,
  describeOutline,
  scaleOutline,
  toContour,
  type Outline,
  type Point,
} from "../shape";
import {
  completeForm,
  roundUpCut,
  type FormedPiece,
  type RequestOf,
  type SectionShape,
  type Stick,
} from "./form";
import type { FormFailure } from "./formFailure";
import { formatLength, formatSide } from "../units";

/** A stick's tip lies so far along the filling's width: past the middle, short of the far edge. */
const STICK_REACH_SHARE = 0.75;
/** What is left outside to hold it by, mm. */
const STICK_GRIP_MM = 40;
/** Halvings in solving for the arc: far below a hundredth of a degree. */
const HALVINGS = 48;
/** Points along half an arc, for its length and for drawing. */
const ARC_POINTS = 48;

/**
 * Base and top with a heap between. Across the short way the heap is a circular arc over the base less its margin,
 * flat at plumpness 0 and half a circle at 1; along an oval it is the same heap drawn out. Dough does not stretch, so
 * the top must reach along that arc, margins included: that is its oversize. Volume of the cap, πh(3r² + h²)/6, drawn
 * out with the oval. Over a rectangle the heap is a hipped vault: everywhere as high as the arc is so far from the
 * nearest edge, with a level ridge between its ends.
 */
export function formLidded(request: RequestOf<"lidded">): Result<FormedPiece, FormFailure> {
  const { form, cut, thicknessMm, springBackShare, marginMm, plumpness } = request;
  if (!isLiddedCut(cut)) {
    return fail(because("wrongOutline", { form: "lidded", cut, isOval: false }));
  }
  const stays = 1 - springBackShare;
  const settledThicknessMm = thicknessMm / stays ** 2;
  const base = computeBox(scaleOutline(cut, stays));
  const [shortMm, longMm] = [Math.min(base.widthMm, base.heightMm), Math.max(base.widthMm, base.heightMm)];
  const heapMm = shortMm / 2 - marginMm;
  if (heapMm <= 0) {
    return fail(because("heapMarginTooWide", { marginMm, baseMm: shortMm, overMm: -heapMm }));
  }
  const drawnOut = (longMm / 2 - marginMm) / heapMm;
  const reachMm = (halfAngle: number) =>
    2 * heapMm * overSine(halfAngle) + halfAngle * settledThicknessMm + 2 * marginMm;
  const wanted = (plumpness * Math.PI) / 2;
  const needsMm = roundUpCut((reachMm(wanted) - shortMm) / stays);
  const oversizeMm = form.topOversizeMm ?? needsMm;
  const settledTopMm = shortMm + oversizeMm * stays;
  if (settledTopMm < reachMm(0) - 1e-9) {
    return fail(because("topTooSmall", { underMm: -oversizeMm, oversizeMm: needsMm }));
  }
  // The top given may not climb as high as the plumpness asks: what it reaches decides.
  const halfAngle = Math.min(wanted, solveAngle(reachMm, settledTopMm));
  const isAngular = cut.kind === "square" || cut.kind === "rectangle";
  const longReachMm = isAngular
    ? reachMm(halfAngle) + longMm - shortMm
    : longWayMm(halfAngle, heapMm, drawnOut, settledThicknessMm) + 2 * marginMm;
  const longOversizeMm = form.topOversizeMm ?? roundUpCut((longReachMm - longMm) / stays);
  const top = growTop(cut, oversizeMm, longOversizeMm);
  const volumeMl = (angle: number) =>
    (isAngular ? vaultMm3(angle, heapMm, longMm - shortMm) : capMm3(angle, heapMm) * drawnOut) / 1000;
  const heightMm = heapMm * Math.tan(halfAngle / 2);
  const stick = form.stick ? placeStick(form.stick, marginMm, heapMm, halfAngle) : null;
  if (stick && !stick.ok) return stick;
  const section = drawSection(shortMm / 2, heapMm, halfAngle, settledThicknessMm);
  return ok(
    completeForm({
      kind: "lidded",
      blanks: [
        { role: "top", cut: top, isVisible: true, keepsCentre: false },
        { role: "base", cut, isVisible: false, keepsCentre: false },
      ],
      settledThicknessMm,
      capacityMl: volumeMl(halfAngle),
      mostMl: volumeMl(Math.PI / 2),
      seamMm: computePerimeterMm(scaleOutline(cut, stays)),
      marginMm,
      footprint: { ...base, heightMm: base.heightMm + (stick?.value.outsideMm ?? 0) },
      finished: { widthMm: base.widthMm, depthMm: base.heightMm, heightMm: section.heightMm },
      washMm2: computeAreaMm2(scaleOutline(top, stays)),
      section:
        form.stick && stick
          ? { ...section, solids: [drawStick(section, form.stick, stick.value, settledThicknessMm)] }
          : section,
      fromAbove: {
        edge: toContour(scaleOutline(cut, stays)),
        inner: [
          toContour({
            kind: isAngular ? "rectangle" : "oval",
            widthMm: base.widthMm - 2 * marginMm,
            heightMm: base.heightMm - 2 * marginMm,
          }),
        ],
        seam: "around",
        ...(form.stick && stick
          ? { stick: stickFromAbove(base.heightMm / 2, form.stick.thicknessMm, stick.value.outsideMm) }
          : {}),
      },
      steps: [
        { text: `the ${describeOutline(cut)} base settles to`, figure: formatLength(shortMm, 0) },
        {
          text: `inside a ${formatLength(marginMm, 2)} margin the filling lies on`,
          figure: formatLength(2 * heapMm, 0),
        },
        { text: "it stands so high", figure: formatLength(heightMm, 0) },
        { text: "over it the top needs, rim to rim", figure: formatLength(reachMm(halfAngle), 0) },
        { text: "so it is cut larger than the base by", figure: formatLength(oversizeMm, 1) },
        ...(stick
          ? [
              {
                text: "of the stick lie inside, past the middle, and outside",
                figure: `${formatSide(stick.value.insideMm, 0)} + ${formatLength(stick.value.outsideMm, 0)}`,
              },
            ]
          : []),
      ],
    }),
  );
}

/** What of a stick is seen: below the piece, from its edge outwards. */
function stickFromAbove(edgeMm: number, thicknessMm: number, outsideMm: number): Point[] {
  const half = thicknessMm / 2;
  return [
    [-half, edgeMm],
    [half, edgeMm],
    [half, edgeMm + outsideMm],
    [-half, edgeMm + outsideMm],
  ];
}

/** The stick lies on the base and stands out at the left. */
function drawStick(
  { heightMm, widthMm }: SectionShape,
  { thicknessMm }: Stick,
  { insideMm, outsideMm }: { insideMm: number; outsideMm: number },
  doughMm: number,
): Point[] {
  const [left, right, floor] = [-widthMm / 2 - outsideMm, -widthMm / 2 + insideMm, heightMm - doughMm];
  return [
    [left, floor - thicknessMm],
    [right, floor - thicknessMm],
    [right, floor],
    [left, floor],
  ];
}

/** How much of a stick lies in the piece and how much is left to hold, or why it will not do. */
function placeStick(
  { lengthMm, thicknessMm }: Stick,
  marginMm: number,
  heapMm: number,
  halfAngle: number,
): Result<{ insideMm: number; outsideMm: number }, FormFailure> {
  const insideMm = marginMm + 2 * heapMm * STICK_REACH_SHARE;
  const outsideMm = lengthMm - insideMm;
  if (outsideMm < STICK_GRIP_MM) {
    return fail(because("stickTooShort", { lengthMm, insideMm, gripMm: STICK_GRIP_MM }));
  }
  const tipMm = heapMm * (2 * STICK_REACH_SHARE - 1);
  const coverMm = heapHeightMm(halfAngle, heapMm, tipMm);
  if (coverMm < thicknessMm) {
    return fail(because("stickShows", { coverMm, stickMm: thicknessMm }));
  }
  return ok({ insideMm, outsideMm });
}

/** Height of the heap at a distance from its middle. */
function heapHeightMm(angle: number, heapMm: number, fromMiddleMm: number): number {
  if (angle < 1e-9) return 0;
  const radiusMm = heapMm / Math.sin(angle);
  return Math.sqrt(radiusMm ** 2 - fromMiddleMm ** 2) - radiusMm * Math.cos(angle);
}

/** Bases that a heap lies on: the top is cut alike, larger all round. */
const isLiddedCut = ({ kind }: Outline) =>
  kind === "disc" || kind === "oval" || kind === "square" || kind === "rectangle";

/** Half an arc over half its chord: α / sin α, 1 where it is flat. */
const overSine = (angle: number) => (angle < 1e-9 ? 1 : angle / Math.sin(angle));

/** Volume of a spherical cap over a circle of radius r, seen from its centre under twice the angle. */
function capMm3(angle: number, radiusMm: number): number {
  const heightMm = radiusMm * Math.tan(angle / 2);
  return (Math.PI * heightMm * (3 * radiusMm ** 2 + heightMm ** 2)) / 6;
}

/**
 * Volume of a hipped vault over a rectangle: at a height its level is the rectangle drawn in on all sides alike, so it is
 * the cap's volume times 4/π, and the arc's section times the length of its ridge.
 */
function vaultMm3(angle: number, radiusMm: number, ridgeMm: number): number {
  const arcMm = angle < 1e-9 ? Infinity : radiusMm / Math.sin(angle);
  const sectionMm2 = Number.isFinite(arcMm) ? arcMm ** 2 * (angle - Math.sin(angle) * Math.cos(angle)) : 0;
  return (4 / Math.PI) * capMm3(angle, radiusMm) + sectionMm2 * ridgeMm;
}

/** The half angle at which the reach is the top's; half a circle if it reaches further. */
function solveAngle(reachMm: (angle: number) => number, topMm: number): number {
  let [low, high] = [0, Math.PI / 2];
  if (reachMm(high) <= topMm) return high;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (reachMm(middle) <= topMm) low = middle;
    else high = middle;
  }
  return low;
}

/** The arc drawn out by a factor along its chord: its length from rim to rim, with the way round the dough. */
function longWayMm(angle: number, heapMm: number, drawnOut: number, thicknessMm: number): number {
  const points = arcPoints(angle, heapMm);
  const lengthMm = points.slice(1).reduce((sum, [x, y], i) => {
    const [px, py] = points[i] ?? [x, y];
    return sum + Math.hypot((x - px) * drawnOut, y - py);
  }, 0);
  return lengthMm + angle * thicknessMm;
}

/** From rim to rim over the heap, x from −r to r, y up. */
function arcPoints(angle: number, halfMm: number): Point[] {
  const radiusMm = angle < 1e-9 ? Infinity : halfMm / Math.sin(angle);
  return Array.from({ length: 2 * ARC_POINTS + 1 }, (_, i) => {
    const at = -angle + (angle * i) / ARC_POINTS;
    return Number.isFinite(radiusMm)
      ? ([radiusMm * Math.sin(at), radiusMm * (Math.cos(at) - Math.cos(angle))] as const)
      : ([-halfMm + (halfMm * i) / ARC_POINTS, 0] as const);
  });
}

function growTop(cut: Outline, shortBy: number, longBy: number): Outline {
  if (cut.kind === "disc") return { kind: "disc", diameterMm: cut.diameterMm + shortBy };
  if (cut.kind === "square" && shortBy === longBy) return { kind: "square", sideMm: cut.sideMm + shortBy };
  const { widthMm, heightMm } = computeBox(cut);
  const [wide, high] = widthMm >= heightMm ? [longBy, shortBy] : [shortBy, longBy];
  return {
    kind: cut.kind === "oval" ? "oval" : "rectangle",
    widthMm: widthMm + wide,
    heightMm: heightMm + high,
  };
}

function drawSection(halfMm: number, heapMm: number, angle: number, thicknessMm: number) {
  const heightMm = heapMm * Math.tan(angle / 2);
  const down = heightMm + thicknessMm;
  const inner = arcPoints(angle, heapMm);
  // Where the arc meets the rim its skin is no lower than the rim's own.
  const outer = inner
    .map(([x, y]) => {
      const outwards = angle < 1e-9 ? 0 : (x / heapMm) * angle;
      return [x + thicknessMm * Math.sin(outwards), y + thicknessMm * Math.cos(outwards)] as const;
    })
    .filter(([, y]) => y >= thicknessMm);
  const flip = (points: readonly Point[]) => points.map(([x, y]) => [x, down - y] as const);
  return {
    dough: [
      flip([
        [-halfMm, 0],
        [-halfMm, -thicknessMm],
        [halfMm, -thicknessMm],
        [halfMm, 0],
      ]),
      flip([
        [-halfMm, 0],
        [-halfMm, thicknessMm],
        ...outer,
        [halfMm, thicknessMm],
        [halfMm, 0],
        ...[...inner].reverse(),
      ]),
    ],
    filling: [flip(inner)],
    solids: [],
    widthMm: 2 * halfMm,
    heightMm: heightMm + 2 * thicknessMm,
  };
}
