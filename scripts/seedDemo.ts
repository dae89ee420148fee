// Lays the demo world into the data file named on the command line, which must not hold anything yet; with --past also
// six Saturdays that were run before it.
import { openDatabase } from "@/data/openDatabase";
import { createStore } from "@/data/store";
import { seedSaturdays } from "./seedSaturdays";
import { seedWorld } from "./seedWorld";

const [file, past] = process.argv.slice(2);
if (!file) throw new Error("Name the data file: tsx scripts/seedDemo.ts data/demo.db");
const store = createStore(openDatabase(file, "src/data/migrations"));
seedWorld(store);
if (past === "--past") seedSaturdays(store);
store.close();
