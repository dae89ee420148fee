// npm run bench: the engines' figures, bundled as the application is; what runs sources as they are slows them by a third.
import { bundle, run } from "./house.mjs";

bundle("scripts/bench.ts", "build/bench.mjs");
run(process.execPath, ["build/bench.mjs", ...process.argv.slice(2)]);
// Where only some figures are asked for, not these.
if (process.argv.length === 2) {
  bundle("scripts/benchBudgets.ts", "build/benchBudgets.mjs");
  run(process.execPath, ["build/benchBudgets.mjs"]);
}
