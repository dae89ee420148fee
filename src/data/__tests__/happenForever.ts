// Adds one event after another to a run and says each that was acknowledged, until it is killed. For tests: node FILE COUNT-FROM BEGUN-BY.
import { openDatabase } from "@/data/openDatabase";
import { createStore } from "@/data/store";

const NOON = "2026-11-28T12:00:00.000Z";
const [file = "", from = "0", begunBy] = process.argv.slice(2);
const { runs } = createStore(openDatabase(file, "src/data/migrations"));
const run =
  runs.find("2026-11-28") ??
  runs.freeze({ id: "day-2026-11-28", date: "2026-11-28" }, Buffer.from("{}"), NOON);
// Nor does it outlive who began it: a test that is broken off kills nobody.
for (let n = Number(from); process.ppid === Number(begunBy); n++) {
  const event = {
    id: `kept-${n}`,
    kind: "done",
    taskId: `t${n}`,
    atMin: n / 10,
    person: 0,
    deviceId: "tablet",
  } as const;
  runs.append(run.id, [event], NOON);
  process.stdout.write(`${n}\n`);
}
