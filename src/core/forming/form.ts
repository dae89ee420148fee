import type { BoxMm, Outline, Polygon } from "../shape";
import type { FormDoubt } from "./formDoubt";
import type { Mould } from "./mouldBlank";

/** The way a piece is made, with what that way alone needs to know. Lengths mm. */
export type PieceForm =
  | { readonly kind: "halfMoon" | "triangle" | "rectangle" }
  /** One large round folded over a filling spread level, cut to serve once it is baked. */
  | { readonly kind: "largeFold"; readonly spreadMm: number; readonly servings: number }
  /** Base and top with the filling between; the top's diameter over the base's, or null to compute it. */
  | { readonly kind: "lidded"; readonly topOversizeMm: number | null; readonly stick: Stick | null }
  /** A square brought up over a whole fruit, its corners crossing at the top. */
  | {
      readonly kind: "wrapped";
      readonly fruitMm: number;
      /** Once it is trimmed flat below. */
      readonly fruitHeightMm: number;
      /** Across the flat below. */
      readonly footMm: number;
      readonly coreMm: number;
      readonly overlapMm: number;
    }
  /**
   * A round drawn up around the filling, pinched, turned over and rolled flat to this across. The filling is a ball, or
   * heaped flat inside a guide ring so wide.
   */
  | { readonly kind: "gathered"; readonly finishedMm: number; readonly heapMm: number | null }
  /** Dough in a mould, open or closed; `plumpness` is the level as a share of the depth inside. */
  | { readonly kind: "lined"; readonly mould: Mould; readonly topping: Topping }
  /** Puff base, ring on it, and the ring's centre as a lid. */
  | { readonly kind: "case"; readonly holeMm: number }
  /** A strip with slices along it, folded lengthwise and rolled up in a cavity. */
  | {
      readonly kind: "rosette";
      readonly sliceMm: number;
      readonly sliceThicknessMm: number;
      readonly overlapShare: number;
      readonly cavityMm: number;
    }
  /** A slice of a rolled-up log, flattened and pressed into a mould so that its rim stands proud. */
  | {
      readonly kind: "puck";
      readonly mould: Mould;
      readonly logMm: number;
      /** Sheets spread, stacked and rolled up together, and how thick each is. */
      readonly stacked: number;
      readonly sheetMm: number;
    }
  /** A round closed in a hinged press of its own size; what stands out comes off and is used again. */
  | { readonly kind: "pressed"; readonly pressMm: number };

export interface Stick {
  readonly lengthMm: number;
  readonly thicknessMm: number;
}

/** What lies on a lined piece: nothing, a lid trimmed flush with the rim, or a cut-out shape. */
export type Topping =
  | { readonly kind: "open" | "lid" }
  | { readonly kind: "cutOut"; readonly outline: Outline };

export type FormKind = PieceForm["kind"];
export const formKinds = [
  "halfMoon",
  "triangle",
  "rectangle",
  "largeFold",
  "lidded",
  "wrapped",
  "gathered",
  "lined",
  "case",
  "rosette",
  "puck",
  "pressed",
] as const;

/** What a blank becomes in the piece. */
export type BlankRole =
  | "blank"
  | "base"
  | "top"
  | "ring"
  | "lid"
  | "strip"
  | "square"
  | "lining"
  | "topping"
  | "slice";

/** One kind of blank in a piece, one a piece. */
export interface Blank {
  readonly role: BlankRole;
  /** As it is cut, before the dough relaxes. A ring's centre, kept, is the lid: it is not listed by itself. */
  readonly cut: Outline;
  readonly isVisible: boolean;
  readonly keepsCentre: boolean;
}

/** Everything that is known of a piece from its form alone. */
export interface FormedPiece {
  readonly kind: FormKind;
  readonly blanks: readonly Blank[];
  /** A blank keeps its volume as it relaxes, so it grows thicker. */
  readonly settledThicknessMm: number;
  readonly capacityMl: number;
  /** The most the dough can hold. */
  readonly mostMl: number;
  /** Room of each level layer from below, the main filling last; they add up to the capacity. */
  readonly layersMl: readonly number[];
  /** Whole things the form itself puts in: the fruit of a wrapped piece, the slices of a rosette. */
  readonly solids: readonly Solid[];
  /** Dough that comes off each piece once it is closed, and is used again; as it lies there. */
  readonly trimMl: number;
  /** Length that is closed by a crimp; 0 where nothing is. */
  readonly seamMm: number;
  /** The seam as a share of the edge that it closes: 1 along all of it, less where the edge is drawn to a point. */
  readonly drawnShare: number;
  /** What can be made so and may cost quality, each with its figure. */
  readonly doubts: readonly FormDoubt[];
  readonly marginMm: number;
  /** On the tray, a stick included. */
  readonly footprint: BoxMm;
  /** Of the piece as it goes into the heat. */
  readonly finished: BoxMm & { readonly depthMm: number };
  /** Dough that shows from above: what a wash covers. */
  readonly washMm2: number;
  /** Filled once it is baked and cold, not before. */
  readonly fillsBaked: boolean;
  /** Cut across its middle, y down from its highest point. */
  readonly section: SectionShape;
  readonly fromAbove: PlanShape;
  /** What was computed on the way, for the reasons. */
  readonly steps: readonly { readonly text: string; readonly figure: string }[];
}

/** Something whole in a piece, by what it weighs in it. */
export interface Solid {
  readonly name: string;
  readonly count: number;
  readonly eachMl: number;
  readonly gPerMl: number;
}

/** A piece from above. Corners run clockwise as seen. */
export interface PlanShape {
  /** Of a fold, the open edge from one end of the fold to the other. */
  readonly edge: Polygon;
  /** Lines inside it. */
  readonly inner: readonly Polygon[];
  /** Where the crimp runs: along the open edge, all around, or nowhere. */
  readonly seam: "along" | "around" | "none";
  /** Stands out beyond the edge. */
  readonly stick?: Polygon;
}

export interface SectionShape {
  readonly dough: readonly Polygon[];
  /** Level layers from below. */
  readonly filling: readonly Polygon[];
  /** Fruit, slices and sticks. */
  readonly solids: readonly Polygon[];
  readonly widthMm: number;
  readonly heightMm: number;
}

export interface FormRequest {
  readonly form: PieceForm;
  /** The blank, the base, or the strip, as it is cut. */
  readonly cut: Outline;
  readonly thicknessMm: number;
  /** Share of every length lost as a blank relaxes, 0 ≤ share < 1. */
  readonly springBackShare: number;
  readonly marginMm: number;
  /** 0 flat to 1 as round as the dough goes; of what is filled level, the share of its depth. */
  readonly plumpness: number;
  /** Heights of level layers under the main filling, from below. Only a lined mould holds layers level. */
  readonly layersMm: readonly number[];
}

/** A request of one form. */
export type RequestOf<K extends FormKind> = FormRequest & { readonly form: Extract<PieceForm, { kind: K }> };

/** What most forms have nothing of, and the finished size from footprint and section. */
export function completeForm(
  parts: Omit<
    FormedPiece,
    "layersMl" | "solids" | "trimMl" | "finished" | "fillsBaked" | "drawnShare" | "doubts"
  > &
    Partial<FormedPiece>,
): FormedPiece {
  return {
    layersMl: [parts.capacityMl],
    solids: [],
    trimMl: 0,
    fillsBaked: false,
    drawnShare: 1,
    doubts: [],
    finished: {
      widthMm: parts.footprint.widthMm,
      depthMm: parts.footprint.heightMm,
      heightMm: parts.section.heightMm,
    },
    ...parts,
  };
}

/** A blank is cut to this, rounded up: what a cutter or a hand can hold to, mm. */
const CUT_STEP_MM = 0.5;
/** The next size that can be cut, mm. */
export const roundUpCut = (mm: number) => Math.ceil(mm / CUT_STEP_MM - 1e-6) * CUT_STEP_MM;

/** Forms whose hollow is filled to a level of its depth: what holds it does not bulge with the filling. */
const filledLevel: readonly FormKind[] = ["case", "lined", "puck", "wrapped"];
/** Whether its plumpness is how full its hollow stands, and not how far it bulges. */
export const isFilledLevel = (kind: FormKind): boolean => filledLevel.includes(kind);

/** A form in words. */
export function nameForm(kind: FormKind): string {
  return {
    halfMoon: "half-moon",
    triangle: "triangle",
    rectangle: "rectangle",
    largeFold: "large fold",
    lidded: "lidded piece",
    case: "case",
    rosette: "rosette",
    wrapped: "wrapped fruit",
    gathered: "gathered round",
    lined: "lined tartlet",
    puck: "puck",
    pressed: "pressed piece",
  }[kind];
}
