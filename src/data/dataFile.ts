import type { Copies } from "./copies";
import type { Store } from "./store";

/** What a process has open of its data file. */
export interface OpenFile {
  readonly store: Store;
  readonly copies: Copies;
}

/** One connection a process, kept across hot reloads. */
export const openFile = globalThis as { tezgahFile?: OpenFile };

/** The data file named by TEZGAH_DATA, or the baker's own. */
export const findDataFile = (): string => process.env.TEZGAH_DATA ?? "data/tezgah.db";

/**
 * The store, if the data file is open: from the server's start on it is, unless it is ill. For who asks before every page
 * and does not open it, so that the gate need not know how a file is read.
 */
export const findOpenStore = (): Store | null => openFile.tezgahFile?.store ?? null;
