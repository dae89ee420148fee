// npm run build: the programme of the server's threads, and the application unless only the first is asked for.
import { buildJobs, run } from "./house.mjs";

buildJobs();
if (!process.argv.includes("--jobs-only")) run("npx", ["next", "build"]);
