import { answerAhead } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
const market = toDayBook(listDemoRecords(), "2026-12-05", null)!;
for (let i=0;i<40;i++) { const s=performance.now(); const a = answerAhead(market, null); console.log((performance.now()-s).toFixed(0)); if (i===39) console.log(JSON.stringify(a).length, Object.keys(a)); }
