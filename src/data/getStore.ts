import path from "node:path";
import { createCopies, type Copies } from "./copies";
import { findDataFile, openFile, type OpenFile } from "./dataFile";
import { openDatabase } from "./openDatabase";
import { createStore, type Store } from "./store";

/** Numbered SQL files. */
export const findMigrationsFolder = (): string => path.join(process.cwd(), "src/data/migrations");

/** @throws {FileFault} If the data file cannot be used; the next call tries again. */
function open(): OpenFile {
  if (openFile.tezgahFile) return openFile.tezgahFile;
  const file = findDataFile();
  const db = openDatabase(file, findMigrationsFolder());
  const opened = { store: createStore(db), copies: createCopies(db, file) };
  openFile.tezgahFile = opened;
  return opened;
}

/** The store of the data file. @throws {FileFault} If it cannot be used. */
export const getStore = (): Store => open().store;

/** The copies of the data file. @throws {FileFault} If it cannot be used. */
export const getCopies = (): Copies => open().copies;

/** Lets go of the data file, so that another can take its place; the next call opens it anew. */
export function closeStore(): void {
  openFile.tezgahFile?.store.close();
  delete openFile.tezgahFile;
}
