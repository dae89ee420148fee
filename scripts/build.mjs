// npm run build: the programme of the server's threads, and the application unless only the first is asked for
// (--jobs-only) or both are newer than every source (--if-older).
import { buildApplication, buildJobs, buildPages } from "./house.mjs";

if (process.argv.includes("--if-older")) buildApplication();
else {
  buildJobs();
  if (!process.argv.includes("--jobs-only")) buildPages();
}
