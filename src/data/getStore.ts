import path from "node:path";
import { createCopies, type Copies } from "./copies";
import { openDatabase } from "./openDatabase";
import { createStore, type Store } from "./store";

/** Numbered SQL files. */
export const findMigrationsFolder = (): string => path.join(process.cwd(), "src/data/migrations");

interface Opened {
  readonly store: Store;
  readonly copies: Copies;
}

/** One connection a process, kept across hot reloads. */
const holder = globalThis as { tezgahFile?: Opened };

/** The data file named by TEZGAH_DATA, or the baker's own. */
export const findDataFile = (): string => process.env.TEZGAH_DATA ?? "data/tezgah.db";

/** @throws {FileFault} If the data file cannot be used; the next call tries again. */
function openFile(): Opened {
  if (holder.tezgahFile) return holder.tezgahFile;
  const file = findDataFile();
  const db = openDatabase(file, findMigrationsFolder());
  const opened = { store: createStore(db), copies: createCopies(db, file) };
  holder.tezgahFile = opened;
  return opened;
}

/** The store of the data file. @throws {FileFault} If it cannot be used. */
export const getStore = (): Store => openFile().store;

/** The copies of the data file. @throws {FileFault} If it cannot be used. */
export const getCopies = (): Copies => openFile().copies;

/** Lets go of the data file, so that another can take its place; the next call opens it anew. */
export function closeStore(): void {
  holder.tezgahFile?.store.close();
  delete holder.tezgahFile;
}
