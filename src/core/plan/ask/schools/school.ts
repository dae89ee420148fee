import type { PlumpnessAdvice } from "../../../filling";
import type { Dough, Wetness } from "../../../formula";
import type { FormedPiece } from "../../../forming";
import type { Piece } from "../../book";
import type { Choice } from "../whatIf";

/** One school's answer. */
export interface SchoolOption {
  readonly id: string;
  readonly title: string;
  /** In one sentence, why bakers choose it. */
  readonly why: string;
  readonly choice: Choice;
}

/** A question on which practitioners disagree, with every answer that this piece can take. */
export interface School {
  readonly id: string;
  readonly question: string;
  /** Whom the answer touches: this piece, or every piece of its dough. */
  readonly scope: "piece" | "dough";
  readonly options: readonly SchoolOption[];
  /** Null where the piece stands between the schools. */
  readonly chosenId: string | null;
}

export interface SchoolFacts {
  readonly piece: Piece;
  readonly dough: Dough;
  readonly wetness: Wetness;
  /** Null where the piece cannot be made as it stands. */
  readonly formed: FormedPiece | null;
  readonly advice: PlumpnessAdvice | null;
}

/** A choice that changes the piece alone. */
export const ofPiece = (piece: Partial<Piece>): Choice => ({ piece, dough: {} });
/** A choice that changes the dough, and with it every piece made of it. */
export const ofDough = (dough: Partial<Dough>): Choice => ({ piece: {}, dough });
