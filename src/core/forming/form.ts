import type { BoxMm, Outline, Polygon } from "../shape";

/** The way a piece is made, with what that way alone needs to know. Lengths mm. */
export type PieceForm =
  | { readonly kind: "halfMoon" | "triangle" | "rectangle" }
  /** Base and top with the filling between; the top's diameter over the base's, or null to compute it. */
  | { readonly kind: "lidded"; readonly topOversizeMm: number | null }
  /** Puff base, ring on it, and the ring's centre as a lid. */
  | { readonly kind: "case"; readonly holeMm: number }
  /** A strip with slices along it, folded lengthwise and rolled up in a cavity. */
  | {
      readonly kind: "rosette";
      readonly sliceMm: number;
      readonly sliceThicknessMm: number;
      readonly overlapShare: number;
      readonly cavityMm: number;
    };

export type FormKind = PieceForm["kind"];
export const formKinds = ["halfMoon", "triangle", "rectangle", "lidded", "case", "rosette"] as const;

/** What a blank becomes in the piece. */
export type BlankRole = "blank" | "base" | "top" | "ring" | "lid" | "strip";

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
  /** Length that is closed by a crimp; 0 where nothing is. */
  readonly seamMm: number;
  readonly marginMm: number;
  /** On the tray. */
  readonly footprint: BoxMm;
  /** Filled once it is baked and cold, not before. */
  readonly fillsBaked: boolean;
  /** Cut across its middle, y down from its highest point. */
  readonly section: SectionShape;
  readonly fromAbove: PlanShape;
  /** What was computed on the way, for the reasons. */
  readonly steps: readonly { readonly text: string; readonly figure: string }[];
}

/** A piece from above. Corners run clockwise as seen. */
export interface PlanShape {
  /** Of a fold, the open edge from one end of the fold to the other. */
  readonly edge: Polygon;
  /** Lines inside it. */
  readonly inner: readonly Polygon[];
  /** Where the crimp runs: along the open edge, all around, or nowhere. */
  readonly seam: "along" | "around" | "none";
}

export interface SectionShape {
  readonly dough: readonly Polygon[];
  readonly filling: readonly Polygon[];
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
}

export interface FormFault {
  readonly kind:
    "wrongOutline" | "marginTooWide" | "doughTooThick" | "topTooSmall" | "holeTooWide" | "tooLargeForCavity";
  readonly message: string;
}

/** A form in words. */
export function nameForm(kind: FormKind): string {
  return {
    halfMoon: "half-moon",
    triangle: "triangle",
    rectangle: "rectangle",
    lidded: "lidded piece",
    case: "case",
    rosette: "rosette",
  }[kind];
}
