// Lays the demo world into the data file named on the command line, which must not hold anything yet.
import { openDatabase } from "@/data/openDatabase";
import { createStore } from "@/data/store";
import { listDemoChanges } from "@/demo";
import { validateChanges } from "@/schemas/validate";

/** When the demo's book was written: before its first day. */
const SEEDED_AT = "2026-11-20T06:00:00.000Z";

const [file] = process.argv.slice(2);
if (!file) throw new Error("Name the data file: tsx scripts/seedDemo.ts data/demo.db");
const store = createStore(openDatabase(file, "src/data/migrations"));
const changes = validateChanges(listDemoChanges());
if (!changes.ok) throw new Error(`The demo world breaks its own rules: ${JSON.stringify(changes.failure)}`);
const applied = store.applyChanges(changes.value, SEEDED_AT);
if (!applied.ok) throw new Error(`The data file is not empty: ${JSON.stringify(applied.failure)}`);
store.close();
