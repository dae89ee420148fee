import { planDay } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
const records = listDemoRecords(); const book = toDayBook(records, "2026-11-28", null)!;
const withOrders = (count: number) => ({ ...book, orders: Array.from({ length: count }, (_, i) => ({ id: `o${i}`, dayId: book.day.id, pieceId: book.pieces[i % book.pieces.length]?.id ?? "", count: 10, dueMin: 600 + (i % 8) * 60, customer: "" })) });
let t = 0; const unknown = (b: any) => ({ ...b, bench: { ...b.bench, sheetMaxWidthMm: b.bench.sheetMaxWidthMm - (t++ % 1000) / 1e4 } });
const n = Number(process.argv[2]); const reps = Number(process.argv[3] ?? 3);
for (let i = 0; i < reps; i++) { const c = process.cpuUsage(); const s = performance.now(); const p = planDay(unknown(withOrders(n))); const u = process.cpuUsage(c); console.log(n, (performance.now() - s).toFixed(0), ((u.user+u.system)/1000).toFixed(0), p.tasks.length, p.problem!.tasks.length); }
