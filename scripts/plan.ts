import { readFileSync } from "node:fs";
import { checkDay, planDay, sayProblem } from "@/core/plan";
import { formatClock, formatMass } from "@/core/units";
import { validateDayBook } from "@/schemas/validate";

/** Plans a day document and prints what came of it: `npm run plan -- day.json`. Exits with 1 if it is none. */
const [file] = process.argv.slice(2);
if (!file) {
  console.error("Which day? npm run plan -- day.json");
  process.exit(1);
}
const valid = validateDayBook(readDocument(file));
if (!valid.ok) {
  for (const { path, message } of valid.failure) console.error(`${path || "day"}: ${message}`);
  process.exit(1);
}
const startedAt = performance.now();
const plan = planDay(valid.value);
const ms = Math.round(performance.now() - startedAt);
const { lines, cuts, doughs, fillings, tasks, problems } = plan;
console.log(`${valid.value.day.name}, ${valid.value.day.date}: planned in ${ms} ms`);
for (const {
  piece,
  counts: { made },
  shaped: { portion },
} of lines)
  console.log(`  ${made} × ${piece.name}, ${formatMass(portion.massG)} of filling each`);
for (const { dough, thicknessMm, plan: cut } of cuts)
  console.log(`  ${dough.name} at ${thicknessMm} mm: ${cut.sheets.length} sheets, ${formatMass(cut.doughG)}`);
for (const { formula, neededG } of [...doughs, ...fillings])
  console.log(`  ${formula.name}: ${formatMass(neededG)}`);
for (const { placed, label } of tasks)
  console.log(`  ${formatClock(placed.startMin)}–${formatClock(placed.endMin)} ${label}`);
for (const problem of problems) console.log(`! ${sayProblem(problem)}`);
for (const finding of checkDay(plan)) console.log(`checker: ${JSON.stringify(finding)}`);

function readDocument(path: string): unknown {
  try {
    return JSON.parse(readFileSync(path, "utf8"));
  } catch (error) {
    console.error(`${path} cannot be read: ${error instanceof Error ? error.message : String(error)}`);
    process.exit(1);
  }
}
