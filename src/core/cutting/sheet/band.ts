import type { BoxMm } from "../../shape";

/** Where on a sheet a stream's cuts lie, from the corner inside the ragged edge. */
export interface Band extends BoxMm {
  readonly xMm: number;
  readonly yMm: number;
}
