import type { Station } from "../../way";

/** Something the baker has to decide. `stops` means that the piece cannot be made as described. */
export interface Problem {
  readonly station: Station;
  readonly pieceId: string | null;
  readonly stops: boolean;
  readonly message: string;
}
