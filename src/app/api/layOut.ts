import { layOutParts, searchTight, toLaidParts, type LaidParts } from "@/core/cutting";
import { ok, type Result } from "@/core/result";
import type { LayoutDocument } from "@/schemas/validate";

/** Lays out a sheet, or searches tight within the document's budget. @returns A sentence if not one fits. */
export function layOut(document: LayoutDocument): Result<LaidParts, string> {
  const rows = layOutParts({ ...document, mode: document.mode === "tight" ? "rows" : document.mode });
  if (!rows.ok || document.mode !== "tight") return rows;
  const deadline = performance.now() + document.budgetMs;
  let best = rows.value;
  for (const { placements } of searchTight(document)) {
    best = toLaidParts(document, placements);
    if (performance.now() >= deadline) break;
  }
  return ok(best);
}
