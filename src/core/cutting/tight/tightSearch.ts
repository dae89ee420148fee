import type { SheetShape } from "../../shape";
import { countSets, type Ratioed, type Placement } from "../sheet";

/** A sheet that is searched for more than rows give. */
export interface TightSheet {
  readonly sheet: SheetShape;
  /** Least dough between two cuts, ≥ 0. */
  readonly webMm: number;
  /** Ragged edge lost all round, ≥ 0. */
  readonly marginMm: number;
  /** The same seed gives the same search. */
  readonly seed: number;
  /** What the search begins with, cuts in rows by outline, where they are laid already; else it lays them. */
  readonly rows?: readonly (readonly Placement[])[];
}

/** How far a search has come. */
export interface TightProgress {
  readonly attempts: number;
  /** Cuts by outline, in the order asked for, mm from the sheet's top left corner. */
  readonly parts: readonly (readonly Placement[])[];
  /** Whole sets by ratio; of a single outline its cuts. At least as many as rows give. */
  readonly sets: number;
  readonly rowsSets: number;
  /** No arrangement whatever can hold more sets. */
  readonly upperBound: number;
  /** The bound is reached: there is nothing left to look for. */
  readonly isProven: boolean;
}

/** The best of a search and what is said of it. */
export class TightBest {
  readonly rowsSets: number;
  sets: number;
  attempts = 0;

  constructor(
    private readonly outlines: readonly Ratioed[],
    private parts: readonly (readonly Placement[])[],
    /** No arrangement holds more. */
    readonly mostSets: number,
  ) {
    this.sets = this.rowsSets = this.count(parts);
  }

  /** Nothing more can be found. */
  get isProven(): boolean {
    return this.sets >= this.mostSets;
  }

  /** Keeps what makes more sets than the best so far. */
  offer(parts: readonly (readonly Placement[])[]): void {
    const sets = this.count(parts);
    if (sets <= this.sets) return;
    this.sets = sets;
    this.parts = parts;
  }

  report(): TightProgress {
    const { attempts, parts, sets, rowsSets, mostSets, isProven } = this;
    return { attempts, parts, sets, rowsSets, upperBound: mostSets, isProven };
  }

  private count(parts: readonly (readonly Placement[])[]): number {
    return countSets(
      this.outlines,
      parts.map(({ length }) => length),
    );
  }
}
