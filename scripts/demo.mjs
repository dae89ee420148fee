// npm run demo: installs, builds, lays the demo world into a file of its own, starts.
import { rmSync } from "node:fs";
import { buildApplication, installPackages, run, startApplication } from "./house.mjs";

const DEMO_DATA = "data/demo.db";

installPackages();
buildApplication();
for (const suffix of ["", "-wal", "-shm"]) rmSync(DEMO_DATA + suffix, { force: true });
run("npx", ["tsx", "scripts/seedDemo.ts", DEMO_DATA]);
startApplication(DEMO_DATA, Number(process.env.PORT ?? 3000));
