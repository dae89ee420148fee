import type { CutAim } from "../cutting";
import type { FoldForm } from "../forming";
import type { Formula } from "../formula";
import type { CrimpId } from "../sealing";
import type { BoxMm, Outline } from "../shape";

/** One kind of pastry, as the baker makes it. */
export interface Piece {
  readonly id: string;
  readonly name: string;
  readonly form: FoldForm;
  /** The blank as it is cut. */
  readonly cut: Outline;
  readonly doughId: string;
  readonly fillingId: string;
  readonly thicknessMm: number;
  readonly marginMm: number;
  /** 0 flat to 1 round. */
  readonly plumpness: number;
  readonly crimp: CrimpId;
  /** Least dough left between two cuts. */
  readonly webMm: number;
  /** Edge of the sheet lost all round. */
  readonly raggedMm: number;
  readonly cutAim: CutAim;
  /** The sheet size the baker drew, used while `cutAim` is pinned. */
  readonly pinnedSheet: BoxMm | null;
  /** Pieces made beyond the orders. */
  readonly spares: number;
  readonly chillMin: number;
  readonly ovenC: number;
  readonly bakeMin: number;
  /** Share of the filled piece's mass that leaves as water in the oven. */
  readonly bakeLossShare: number;
  /** Gap between pieces on the tray. */
  readonly spacingMm: number;
  readonly coolMin: number;
}

/** The bench, and the largest sheet the baker rolls on it. */
export interface Bench {
  readonly id: string;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly sheetMaxWidthMm: number;
  readonly sheetMaxDepthMm: number;
}

export interface Oven {
  readonly id: string;
  readonly name: string;
  /** Trays that bake at the same time, over all decks. */
  readonly traysAtOnce: number;
  readonly trayWidthMm: number;
  readonly trayDepthMm: number;
  readonly heatUpCPerMin: number;
  readonly coolDownCPerMin: number;
  readonly maxC: number;
}

/** A cutter in the drawer. */
export interface Cutter {
  readonly id: string;
  readonly name: string;
  readonly outline: Outline;
}

export interface Day {
  readonly id: string;
  /** Local calendar date, YYYY-MM-DD; one day a date. */
  readonly date: string;
  readonly name: string;
  /** Minutes after midnight before which nobody starts. */
  readonly openMin: number;
}

export interface Order {
  readonly id: string;
  readonly dayId: string;
  readonly pieceId: string;
  readonly count: number;
  /** Promised for, minutes after midnight. */
  readonly dueMin: number;
  readonly customer: string;
}

/** Everything a day's plan is made of: one self-contained document. */
export interface DayBook {
  readonly day: Day;
  readonly orders: readonly Order[];
  readonly pieces: readonly Piece[];
  readonly formulas: readonly Formula[];
  readonly bench: Bench;
  readonly ovens: readonly Oven[];
  readonly cutters: readonly Cutter[];
  /** Minutes after the day's midnight it is now, or null if the day is planned ahead. */
  readonly nowMin: number | null;
}
