import type { Standing } from "./change";

/** What was written to the file after a revision, as it is told to a screen that is open. */
export interface LiveNews {
  /** Which file; revisions of one say nothing about those of another. */
  readonly epoch: string;
  /** All that was written after this one is told. */
  readonly after: number;
  readonly revision: number;
  /** Records that were touched as they stand; null where the screen has to read its day whole. */
  readonly standing: readonly Standing[] | null;
}

/** Another screen that is open. */
export interface Neighbour {
  readonly deviceId: string;
  readonly name: string;
  /** Where it is: the path of its page. */
  readonly at: string;
  /** The field it is in, by its name on the screen; null where it is in none. */
  readonly field: string | null;
}

/** Longest of a name, a path or a field that is told on, characters. */
export const MAX_TOLD_CHARACTERS = 120;
