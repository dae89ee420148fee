import type { CutAim, CutPlan } from "../cutting";
import type { Batch, Formula } from "../formula";
import type { TrayLoading } from "../loading";
import type { PlacedTask, Schedule } from "../schedule";
import type { Order, Oven, Piece } from "./book";
import type { ShapedPiece } from "./shapePiece";

/** The stations of a day in working order. */
export const stations = ["orders", "mix", "roll", "fill", "seal", "bake", "cool"] as const;
export type Station = (typeof stations)[number];

/** Something the baker has to decide. `stops` means that the piece cannot be made as described. */
export interface Problem {
  readonly station: Station;
  readonly pieceId: string | null;
  readonly stops: boolean;
  readonly message: string;
}

/** What one aim would cost. */
export interface CutPrice {
  readonly aim: CutAim;
  readonly doughG: number;
  readonly sheets: number;
  readonly rerolls: number;
  readonly handMin: number;
}

/** One step of a reason: what was done and the figure it gave. */
export interface WhyStep {
  readonly text: string;
  readonly figure: string;
}

/** Everything known about one kind of piece on this day. */
export interface PiecePlan extends ShapedPiece {
  readonly piece: Piece;
  readonly orders: readonly Order[];
  readonly ordered: number;
  /** Ordered and spare: what is filled and baked. */
  readonly made: number;
  readonly cut: CutPlan;
  readonly prices: readonly CutPrice[];
  readonly fillingG: number;
  readonly loading: TrayLoading;
  /** By order id: when the last of its pieces is set out, minutes after midnight; empty without a schedule. */
  readonly readyMin: Readonly<Record<string, number>>;
  readonly why: Readonly<Record<"cut" | "portion" | "load", readonly WhyStep[]>>;
}

/** A formula scaled for the day, and what it is for. */
export interface DayBatch {
  readonly formula: Formula;
  readonly batch: Batch;
  readonly pieceIds: readonly string[];
}

export type TaskKind = "mix" | "make" | "roll" | "fill" | "seal" | "bake" | "finish";

/** What a placed task is. `index` counts sheets or loads from 1 within the piece. */
export interface DayTask {
  readonly id: string;
  readonly kind: TaskKind;
  readonly station: Station;
  readonly pieceId: string | null;
  readonly formulaId: string | null;
  readonly index: number;
  readonly pieces: number;
  readonly label: string;
  readonly handsMin: number;
  readonly placed: PlacedTask;
}

/** The day's mass from dough to pieces, g. Everything in equals everything out. */
export interface MassFlow {
  readonly doughG: number;
  readonly blanksG: number;
  /** Dough that went through a re-roll. */
  readonly rerolledG: number;
  readonly trimLeftG: number;
  readonly rollingLossG: number;
  /** Blanks cut beyond what is filled. */
  readonly surplusBlanksG: number;
  readonly fillingG: number;
  readonly waterG: number;
  readonly piecesG: number;
}

export interface Tally {
  readonly doughG: number;
  readonly blanks: number;
  readonly fillingG: number;
  readonly ready: number;
  readonly ordered: number;
  readonly readyMin: number | null;
  readonly startMin: number | null;
  /** Minutes between opening and the first thing to do; negative minutes are late ones. */
  readonly inHandMin: number | null;
}

export interface DayPlan {
  /** Every piece of the book by its id, ordered or not; null where it cannot be made as described. */
  readonly shaped: Readonly<Record<string, ShapedPiece | null>>;
  readonly lines: readonly PiecePlan[];
  readonly doughs: readonly DayBatch[];
  readonly fillings: readonly DayBatch[];
  readonly oven: Oven | null;
  readonly schedule: Schedule | null;
  readonly tasks: readonly DayTask[];
  readonly flow: MassFlow;
  readonly tally: Tally;
  readonly problems: readonly Problem[];
}
