// Saves one record after another and says each that was acknowledged, until it is killed. For tests: node FILE COUNT-FROM BEGUN-BY.
import { openDatabase } from "@/data/openDatabase";
import { createStore } from "@/data/store";

const [file = "", from = "0", begunBy] = process.argv.slice(2);
const store = createStore(openDatabase(file, "src/data/migrations"));
// Nor does it outlive who began it: a test that is broken off kills nobody.
for (let n = Number(from); process.ppid === Number(begunBy); n++) {
  const order = {
    id: `kept-${n}`,
    dayId: "day-2026-11-28",
    pieceId: "plum-pop",
    count: 1,
    dueMin: 600,
    customer: "",
  };
  const group = {
    id: `group-${n}`,
    changes: [{ kind: "order" as const, id: order.id, set: order, was: null }],
  };
  const [answer] = store.applyGroups([group], "2026-11-20T12:00:00.000Z").answers;
  if (answer?.kind !== "written") throw new Error(JSON.stringify(answer));
  // One write to the pipe: it is there whole or not at all.
  process.stdout.write(`${n}\n`);
}
