// npm run bench: the engines' figures, bundled as the application is; what runs sources as they are slows them by a third.
import { bundle, run } from "./house.mjs";

bundle("scripts/bench.ts", "build/bench.mjs");
run(process.execPath, ["build/bench.mjs", ...process.argv.slice(2)]);
