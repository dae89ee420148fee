import type { ReactNode } from "react";
import type { Baked } from "@/core/heat";
import type { DayBook, Piece, ShapedPiece } from "@/core/plan";

/** What every face of the heat page is about. */
export interface FaceProps {
  readonly piece: Piece;
  readonly shaped: ShapedPiece;
  readonly baked: Baked;
  readonly book: DayBook;
  /** The choice between the faces. */
  readonly tabs: ReactNode;
}
