import path from "node:path";
import { openDatabase } from "./openDatabase";
import { createStore, type Store } from "./store";

const MIGRATIONS_FOLDER = path.join(process.cwd(), "src/data/migrations");

/** One connection a process, kept across hot reloads. */
const holder = globalThis as { tezgahStore?: Store };

/** The store of the data file named by TEZGAH_DATA, or the baker's own. */
export function getStore(): Store {
  holder.tezgahStore ??= createStore(
    openDatabase(process.env.TEZGAH_DATA ?? "data/tezgah.db", MIGRATIONS_FOLDER),
  );
  return holder.tezgahStore;
}
