// npm run demo: installs, builds, lays the demo world into a file of its own, starts it and the stand-ins for its devices.
import { spawn } from "node:child_process";
import { buildApplication, installPackages, removeDataFile, run, startApplication } from "./house.mjs";

const DEMO_DATA = "data/demo.db";
/** The fullest of its days that still fits the bench. */
const DEMO_DAY = "2026-11-28";

await installPackages();
buildApplication();
removeDataFile(DEMO_DATA);
run("npx", ["tsx", "scripts/seedDemo.ts", DEMO_DATA, "--past"]);
const devicePort = process.env.TEZGAH_DEVICE_PORT ?? "4510";
const devices = spawn("npx", ["tsx", "scripts/devices.ts", devicePort], { stdio: "inherit" });
process.on("exit", () => devices.kill());
startApplication(DEMO_DATA, Number(process.env.PORT ?? 3000), {
  TEZGAH_DEMO_DAY: DEMO_DAY,
  TEZGAH_DEVICES: process.env.TEZGAH_DEVICES ?? `127.0.0.1:${devicePort}`,
});
