import { openDatabase } from "@/data/openDatabase";
import { createStore } from "@/data/store";
import { fromLists } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { planDay } from "@/core/plan";
const s = createStore(openDatabase(process.argv[2]!, "src/data/migrations"));
for (const d of ["2026-12-05", "2026-11-28", "2024-03-02", "2026-11-27"])
  for (let k = 0; k < 3; k++) {
    const t = performance.now();
    const snap = s.readDay(d)!;
    const ms = performance.now() - t;
    const t2 = performance.now();
    const plan = planDay(toDayBook(fromLists(snap.lists), d, null, { formulasThen: [], past: snap.past })!);
    console.log(
      d,
      ms.toFixed(1),
      "json",
      JSON.stringify(snap).length,
      "plan",
      (performance.now() - t2).toFixed(0),
      plan.tasks.length,
    );
  }
let t = performance.now();
const sp = s.readSpan("2026-10-10", "2026-11-09", 31);
console.log("span", performance.now() - t, sp.lists.order!.length);
t = performance.now();
s.listFormulasAsOf("2024-01-01T00:00:00Z");
console.log("asof", performance.now() - t);
