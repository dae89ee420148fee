import { because, fail, ok, type Result } from "../result";
import { computeAreaMm2, computeBox, scaleOutline, toContour, type Outline, type Point } from "../shape";
import {
  completeForm,
  roundUpCut,
  type Blank,
  type FormedPiece,
  type FormRequest,
  type RequestOf,
  type SectionShape,
  type Topping,
} from "./form";
import type { FormDoubt } from "./formDoubt";
import type { FormFailure } from "./formFailure";
import {
  computeAcrossMm,
  computeLinedMm2,
  ellipseMm2,
  ellipsePerimeterMm,
  meanAxis,
  wallOf,
  type Mould,
  type MouldAxis,
} from "./mouldBlank";
import { formatLength } from "../units";

/** A lid is cut so much beyond the rim, to be pressed on it and trimmed flush, mm. */
const LID_OVER_RIM_MM = 3;
/** A lining is cut to stand so much over the rim before it is trimmed, mm. */
export const LINING_TRIM_MM = 3;
/** A wall pressed thinner than this tears as it is pressed, mm. Craft's first guess. */
const LEAST_WALL_MM = 1.2;
/** Short of the rim by less than this is not seen, mm. */
const EVEN_MM = 0.05;
/** The rim of a puck stands so much over the mould, mm: it stays. */
export const PUCK_PROUD_MM = 4;

/** Dough pressed into a mould, what stands over the rim cut off flush; open, with a lid, or with a cut-out on it. */
export function formLined(request: RequestOf<"lined">): Result<FormedPiece, FormFailure> {
  const lining = lineMould(request, request.form.mould, "lining");
  if (!lining.ok) return lining;
  const top = computeTopping(request, lining.value);
  if (!top.ok) return top;
  const { form } = request;
  const { trimOverMm, wallMm, rims } = lining.value;
  return buildLined(request, lining.value, {
    kind: "lined",
    blanks: [...top.value.blanks, lining.value.blank],
    trimMl: (ellipsePerimeterMm(rims) * trimOverMm * wallMm) / 1000 + top.value.trimMl,
    proudMm: 0,
    seamMm: form.topping.kind === "lid" ? ellipsePerimeterMm(rims) : 0,
    washMm2: form.topping.kind === "open" ? rimMm2(lining.value) : top.value.washMm2,
    topping: form.topping,
    steps: [{ text: "to be cut off flush with the rim stand", figure: formatLength(trimOverMm, 1) }],
  });
}

/**
 * A slice of a log, flattened and pressed into a mould: its rim stands proud and stays. The log is sheets, stacked and
 * rolled up: length · sheets · thickness is the area of its round end.
 */
export function formPuck(request: RequestOf<"puck">): Result<FormedPiece, FormFailure> {
  const lining = lineMould(request, request.form.mould, "slice");
  if (!lining.ok) return lining;
  const { form, cut, thicknessMm } = request;
  const { trimOverMm } = lining.value;
  const endMm2 = (Math.PI / 4) * form.logMm ** 2;
  const sliceMm = (computeAreaMm2(cut) * thicknessMm) / endMm2;
  return buildLined(request, lining.value, {
    kind: "puck",
    blanks: [lining.value.blank],
    trimMl: 0,
    proudMm: trimOverMm,
    seamMm: 0,
    washMm2: rimMm2(lining.value),
    topping: { kind: "open" },
    steps: [
      {
        text: `a log ${formatLength(form.logMm, 2)} thick takes ${form.stacked} sheets of ${formatLength(form.sheetMm, 2)}, each so long`,
        figure: formatLength(endMm2 / (form.stacked * form.sheetMm), 0),
      },
      { text: "cut from the log in slices of", figure: formatLength(sliceMm, 1) },
      { text: "the rim stands proud by", figure: formatLength(trimOverMm, 1) },
    ],
  });
}

/** The round, or oval, to cut for a mould, so that so much stands over its rim; an oval lies along the mould. */
export function findLining(
  mould: Mould,
  { thicknessMm, springBackShare }: Pick<FormRequest, "thicknessMm" | "springBackShare">,
  overRimMm: number,
): Outline {
  const stays = 1 - springBackShare;
  const lining = { thicknessMm: thicknessMm / stays ** 2, trimMm: overRimMm };
  const [acrossMm = 0, narrowMm] = mould.axes.map((axis) =>
    roundUpCut(computeAcrossMm(meanAxis(axis, mould.fluteMm), mould.depthMm, lining) / stays),
  );
  return roundOrOval(acrossMm, narrowMm);
}

const roundOrOval = (acrossMm: number, narrowMm: number | undefined): Outline =>
  narrowMm === undefined
    ? { kind: "disc", diameterMm: acrossMm }
    : { kind: "oval", widthMm: acrossMm, heightMm: narrowMm };

interface LinedMould {
  readonly blank: Blank;
  readonly mould: Mould;
  readonly axes: readonly MouldAxis[];
  readonly rims: readonly number[];
  readonly settledThicknessMm: number;
  /** What the dough comes to once it is pressed in. */
  readonly wallMm: number;
  /** Stands over the rim all round. */
  readonly trimOverMm: number;
  readonly doubts: readonly FormDoubt[];
  readonly innerDepthMm: number;
  /** Room up to a share of the depth inside, ml. */
  readonly cavity: (level: number) => number;
}

function lineMould(
  { cut, thicknessMm, springBackShare }: FormRequest,
  mould: Mould,
  role: "lining" | "slice",
): Result<LinedMould, FormFailure> {
  const isOval = mould.axes.length === 2;
  if (cut.kind !== (isOval ? "oval" : "disc")) {
    return fail(because("wrongOutline", { form: "lined", cut, isOval: isOval }));
  }
  const stays = 1 - springBackShare;
  const settledThicknessMm = thicknessMm / stays ** 2;
  const box = computeBox(cut);
  const cuts = isOval
    ? [Math.max(box.widthMm, box.heightMm), Math.min(box.widthMm, box.heightMm)]
    : [box.widthMm];
  const narrowestMm = Math.min(...mould.axes.map(({ baseMm }) => baseMm));
  if (mould.fluteMm > narrowestMm / 2) {
    return fail(because("flutesTooDeep", { fluteMm: mould.fluteMm, baseMm: narrowestMm }));
  }
  const axes = mould.axes.map((axis) => meanAxis(axis, mould.fluteMm));
  const reaches = axes.map((axis) =>
    computeAcrossMm(axis, mould.depthMm, { thicknessMm: settledThicknessMm, trimMm: 0 }),
  );
  const overs = cuts.map((cutMm, i) => (cutMm * stays - (reaches[i] ?? 0)) / 2);
  const shortMm = Math.max(-Math.min(...overs), 0);
  // What does not reach the rim is pressed up the wall by hand, and thinner for it.
  const trimOverMm = shortMm > 0 ? 0 : Math.min(...overs);
  const neededMm = reaches.map((reach) => roundUpCut(reach / stays));
  const doughMm3 = computeAreaMm2(scaleOutline(cut, stays)) * settledThicknessMm;
  const wallMm = doughMm3 / computeLinedMm2(axes, mould.depthMm, trimOverMm);
  if (shortMm > EVEN_MM && wallMm < LEAST_WALL_MM) {
    return fail(because("liningTooSmall", { cutsMm: cuts, neededMm, wallMm, leastWallMm: LEAST_WALL_MM }));
  }
  const innerDepthMm = mould.depthMm - wallMm;
  const across = (level: number) =>
    axes.map((axis) => innerAcrossMm(axis, mould.depthMm, wallMm, wallMm + innerDepthMm * level));
  if (innerDepthMm <= 0 || Math.min(...across(0)) <= 0) {
    return fail(
      because("noRoomInMould", {
        ...{ wallMm, depthMm: mould.depthMm },
        baseMm: Math.min(...axes.map(({ baseMm }) => baseMm)),
      }),
    );
  }
  return ok({
    blank: { role, cut, isVisible: false, keepsCentre: false },
    mould,
    axes,
    rims: axes.map(({ rimMm }) => rimMm),
    settledThicknessMm,
    wallMm,
    trimOverMm,
    doubts:
      shortMm > EVEN_MM
        ? [
            because("pressedUp", {
              ...{ cutsMm: cuts, neededMm, shortMm, wallMm },
              rolledMm: settledThicknessMm,
            }),
          ]
        : [],
    innerDepthMm,
    cavity: (level) => frustumMl(across(0), across(level), innerDepthMm * level),
  });
}

/** Across the hollow at a height over the mould's base: the wall stands `wallMm` inwards, square to the slant. */
function innerAcrossMm(axis: MouldAxis, depthMm: number, wallMm: number, atMm: number): number {
  const { angle } = wallOf(axis, depthMm);
  const outMm = ((axis.rimMm - axis.baseMm) * atMm) / depthMm;
  return axis.baseMm + outMm - (2 * wallMm) / Math.sin(angle);
}

/** A frustum whose ends are ellipses; both axes run straight, so their product is a parabola and this is exact. */
export function frustumMl(low: readonly number[], high: readonly number[], heightMm: number): number {
  const middle = low.map((each, i) => (each + (high[i] ?? each)) / 2);
  return ((heightMm / 6) * (ellipseMm2(low) + 4 * ellipseMm2(middle) + ellipseMm2(high))) / 1000;
}

const rimMm2 = ({ rims, wallMm }: LinedMould) => ellipsePerimeterMm(rims) * wallMm;

function computeTopping(
  { form, springBackShare }: RequestOf<"lined">,
  { rims, settledThicknessMm }: LinedMould,
): Result<{ blanks: readonly Blank[]; trimMl: number; washMm2: number }, FormFailure> {
  const { topping } = form;
  const stays = 1 - springBackShare;
  if (topping.kind === "open") return ok({ blanks: [], trimMl: 0, washMm2: 0 });
  const rimAreaMm2 = ellipseMm2(rims);
  const cut = topping.kind === "cutOut" ? topping.outline : lidOutline(rims, stays);
  const settled = scaleOutline(cut, stays);
  const areaMm2 = computeAreaMm2(settled);
  const blanks: Blank[] = [
    { role: topping.kind === "lid" ? "top" : "topping", cut, isVisible: true, keepsCentre: false },
  ];
  if (topping.kind === "lid") {
    return ok({
      blanks,
      trimMl: (Math.max(areaMm2 - rimAreaMm2, 0) * settledThicknessMm) / 1000,
      washMm2: rimAreaMm2,
    });
  }
  const { widthMm, heightMm } = computeBox(settled);
  const wideMm = Math.max(widthMm, heightMm) - Math.max(...rims);
  if (wideMm > 0) {
    return fail(because("toppingTooWide", { overMm: wideMm, mostMm: Math.floor(Math.max(...rims) / stays) }));
  }
  return ok({ blanks, trimMl: 0, washMm2: areaMm2 });
}

function lidOutline(rims: readonly number[], stays: number): Outline {
  const [long = 0, short] = rims.map((rimMm) => roundUpCut((rimMm + 2 * LID_OVER_RIM_MM) / stays));
  return roundOrOval(long, short);
}

/** Layers under the main filling and what is left for it, ml from below; or that they already stand too high. */
function splitLayers(
  layersMm: readonly number[],
  levelMm: number,
  cavityMl: (heightMm: number) => number,
): Result<readonly number[], FormFailure> {
  const underMm = layersMm.reduce((sum, each) => sum + each, 0);
  if (underMm >= levelMm) {
    return fail(because("layersTooHigh", { layersMm: underMm, levelMm }));
  }
  let atMm = 0;
  return ok(
    [...layersMm, levelMm - underMm].map((heightMm) => {
      const fromMl = cavityMl(atMm);
      atMm += heightMm;
      return cavityMl(atMm) - fromMl;
    }),
  );
}

interface LinedParts extends Pick<FormedPiece, "blanks" | "trimMl" | "seamMm" | "washMm2" | "steps"> {
  readonly kind: "lined" | "puck";
  readonly proudMm: number;
  readonly topping: Topping;
}

function buildLined(
  request: FormRequest,
  lined: LinedMould,
  parts: LinedParts,
): Result<FormedPiece, FormFailure> {
  const { plumpness, layersMm, marginMm } = request;
  const { cavity, doubts, innerDepthMm, mould, settledThicknessMm, wallMm, rims } = lined;
  const layersMl = splitLayers(layersMm, innerDepthMm * plumpness, (heightMm) =>
    cavity(heightMm / innerDepthMm),
  );
  if (!layersMl.ok) return layersMl;
  const [longMm = 0, shortMm = longMm] = rims;
  const capacityMl = cavity(plumpness);
  const oval = (acrossMm: readonly number[]): Outline => {
    const [wide = 0, narrow = wide] = acrossMm;
    return { kind: "oval", widthMm: wide, heightMm: narrow };
  };
  const { proudMm, topping, ...rest } = parts;
  return ok(
    completeForm({
      ...rest,
      doubts,
      settledThicknessMm,
      capacityMl,
      mostMl: cavity(1),
      layersMl: layersMl.value,
      marginMm,
      footprint: { widthMm: longMm, heightMm: shortMm },
      section: drawSection(lined, plumpness, layersMm, proudMm, topping),
      fromAbove: {
        edge: toContour(oval(rims)),
        inner: [
          toContour(oval(rims.map((rimMm) => rimMm - 2 * wallMm))),
          ...(topping.kind === "cutOut" ? [toContour(topping.outline)] : []),
        ],
        seam: parts.seamMm > 0 ? "around" : "none",
      },
      steps: [
        { text: "pressed into the mould the dough comes to", figure: formatLength(wallMm, 1) },
        ...parts.steps,
        {
          text: `filled to ${Math.round(plumpness * 100)} % of the ${formatLength(innerDepthMm, 0)} inside`,
          figure: `${capacityMl.toFixed(1)} ml of ${cavity(1).toFixed(1)}, mould ${formatLength(mould.depthMm, 2)} deep`,
        },
      ],
    }),
  );
}

/** Across the long way: the lined wall, level layers, and what lies on them. */
function drawSection(
  { axes, mould, wallMm, innerDepthMm, settledThicknessMm }: LinedMould,
  level: number,
  layersMm: readonly number[],
  proudMm: number,
  topping: Topping,
): SectionShape {
  const axis = axes[0] ?? { baseMm: 0, rimMm: 0 };
  const { depthMm } = mould;
  const innerHalf = (upMm: number) => innerAcrossMm(axis, depthMm, wallMm, upMm) / 2;
  const outerHalf = (upMm: number) => (axis.baseMm + ((axis.rimMm - axis.baseMm) * upMm) / depthMm) / 2;
  const wallTop = depthMm + proudMm;
  const levelUp = wallMm + innerDepthMm * level;
  const coverUp = topping.kind === "lid" ? depthMm : levelUp;
  const high = Math.max(wallTop, topping.kind === "open" ? 0 : coverUp + settledThicknessMm);
  const place = (points: readonly Point[]) => points.map(([x, up]): Point => [x, high - up]);
  const wall: Point[] = [
    [-outerHalf(0), 0],
    [outerHalf(0), 0],
    [outerHalf(wallTop), wallTop],
    [innerHalf(wallTop), wallTop],
    [innerHalf(wallMm), wallMm],
    [-innerHalf(wallMm), wallMm],
    [-innerHalf(wallTop), wallTop],
    [-outerHalf(wallTop), wallTop],
  ];
  const slab = (half: (upMm: number) => number, from: number, to: number): Point[] => [
    [-half(from), from],
    [half(from), from],
    [half(to), to],
    [-half(to), to],
  ];
  const bounds = [...layersMm, 0].reduce<number[]>(
    (ups, heightMm) => [...ups, (ups.at(-1) ?? 0) + heightMm],
    [wallMm],
  );
  const floors = bounds.slice(0, layersMm.length + 1);
  const coverHalf = topping.kind === "cutOut" ? computeBox(topping.outline).widthMm / 2 : outerHalf(depthMm);
  return {
    dough: [
      place(wall),
      ...(topping.kind === "open"
        ? []
        : [place(slab(() => coverHalf, coverUp, coverUp + settledThicknessMm))]),
    ],
    filling: floors.map((from, i) => place(slab(innerHalf, from, floors[i + 1] ?? levelUp))),
    solids: [],
    widthMm: 2 * outerHalf(wallTop),
    heightMm: high,
  };
}
