import { planDay } from "@/core/plan";
import { listDemoWorld } from "@/demo";
import { toTable } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { freezeRun } from "@/core/run";
for (const date of ["2026-11-28","2026-12-05"]) {
const book = toDayBook(toTable(listDemoWorld()), date, null)!;
const plan = planDay(book);
const sheet = freezeRun(plan, book)!;
for (const p of sheet.pieces) console.log(p.id, p.toFill, JSON.stringify({lots:p.lots, roles:p.roles, need:p.needBlanks, taken:p.blanksTaken, promises:p.promises, fillings:p.fillings}));
console.log(JSON.stringify(sheet.fillings));
for (const j of sheet.jobs) if (j.lot) console.log(j.taskId, j.pieces, j.handsMin, j.plannedMin, j.lot.eachMin.toFixed(3), j.lot.takes.join(), j.lot.perBasket.join());
for (const j of sheet.jobs) if (j.drawing?.kind==="sheet") console.log(j.taskId, j.drawing.sheet.parts.flatMap(p=>p.uses).map(u=>u.demandId+"×"+u.count).join(" "));
}
