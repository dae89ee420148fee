// npm test: installs what it needs, then lint with types, layers, dead code, format, unit and end-to-end tests. Everything
// runs even if something fails; the last line is the true sum.
import { installChromium, installPackages, runAndRead } from "./house.mjs";

// Only the journeys need it, and it comes over the net: meanwhile all else is installed and tested.
const chromium = installChromium();
await installPackages();

let passed = 0;
let failed = 0;
const count = (ok) => (ok ? passed++ : failed++);

// The linter takes as long as all the others.
const lanes = [["lint"], ["layers", "dead", "ratio", "format:check"]];
await Promise.all(
  lanes.map(async (scripts) => {
    for (const script of scripts) {
      const { code } = await runAndRead("npm", ["run", "--silent", script]);
      count(code === 0);
    }
  }),
);

// Jest's and Playwright's own sums, read off their last lines; a suite that broke counts as one failure.
const [unit, build] = await Promise.all([
  runAndRead("npx", ["jest", "--ci"]),
  runAndRead("npm", ["run", "--silent", "build", "--", "--if-older"], { TEZGAH_TYPES_CHECKED: "1" }),
]);
addSum(unit, /^Tests:.*$/m);

if ((await chromium) && build.code === 0) {
  const endToEnd = await runAndRead("npx", ["playwright", "test"]);
  addSum(endToEnd, /^\s*\d+ (passed|failed|did not run|flaky|interrupted)[\s\S]*$/m);
} else failed++;

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);

function addSum({ code, output }, where) {
  const plain = output.replace(/\u001b\[[0-9;]*m/g, "");
  const sum = where.exec(plain)?.[0] ?? "";
  const read = (word) => Number(new RegExp(`(\\d+) ${word}`).exec(sum)?.[1] ?? 0);
  const bad = read("failed") + read("did not run") + read("interrupted") + read("flaky");
  passed += read("passed");
  failed += bad > 0 ? bad : code === 0 ? 0 : 1;
}
