import { openDatabase } from "@/data/openDatabase";
import { createStore } from "@/data/store";
import { fromLists, pickRecords } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { planMakings } from "@/core/plan";
const s = createStore(openDatabase("data/years.db", "src/data/migrations"));
const run=()=>{ const t=performance.now(); const sp=s.readSpan("2026-10-20","2026-11-19",31); const tb=fromLists(sp.lists); const r=performance.now()-t;
 const books=pickRecords(tb,"day").map(d=>toDayBook(tb,d.date,null,{formulasThen:[],past:sp.past})!); const t2=performance.now(); for(const b of books) planMakings(structuredClone(b)); console.log("read",r.toFixed(0),"makings",(performance.now()-t2).toFixed(0)); };
for(let i=0;i<6;i++) run();
