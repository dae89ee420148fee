import { planDay } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { toDayPdf } from "@/formats";
import { readShippedFonts } from "@/formats/__tests__/testPdf";
async function main() {
  const book = toDayBook(listDemoRecords(), "2026-12-05", null)!;
  let t = performance.now();
  const plan = planDay(book);
  console.log("plan", performance.now() - t);
  for (let i = 0; i < 3; i++) {
    t = performance.now();
    const b = await toDayPdf(book.day, plan, "a4", readShippedFonts());
    console.log("pdf", (performance.now() - t).toFixed(0), b.length);
  }
}
void main();
