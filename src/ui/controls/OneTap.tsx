"use client";

import { listProblemMends, type Problem } from "@/core/plan";
import { useBench, useBenchStore } from "../bench/BenchProvider";
import { toEdits } from "../bench/toEdits";

/** What takes a problem away by itself, a tap each. */
export function OneTap({ problem }: { readonly problem: Problem }) {
  const store = useBenchStore();
  const book = useBench((state) => state.book);
  const mends = listProblemMends(problem, book);
  if (mends.length === 0) return null;
  return (
    <div className="flex flex-wrap gap-2" role="group" aria-label={`What mends it: ${problem.message}`}>
      {mends.map(({ title, change }) => (
        <button
          key={title}
          type="button"
          className="btn touch h-auto max-w-full py-2 text-left whitespace-normal"
          onClick={() => store.getState().edit(toEdits(change))}
        >
          {title}
        </button>
      ))}
    </div>
  );
}
