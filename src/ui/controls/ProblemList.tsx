"use client";

import { TriangleAlert } from "lucide-react";
import { listProblemMends, type Problem, type Station } from "@/core/plan";
import { useBench, useBenchStore } from "../bench/BenchProvider";
import { toEdits } from "../bench/toEdits";
import { Mends } from "./Mends";

/** What this station needs decided, in full; what stops a piece is said at every station. Each with what mends it. */
export function ProblemList({ station }: { readonly station: Station }) {
  const problems = useBench((state) => state.plan.problems);
  const here = problems.filter((problem) => problem.station === station || problem.stops);
  if (here.length === 0) return null;
  return (
    <ul className="flex flex-col gap-2" aria-label="To decide">
      {here.map((problem) => (
        <li key={problem.message} className="flex gap-2 rounded-lg border-2 border-error bg-base-100 p-3">
          <TriangleAlert size={22} className="shrink-0 text-error" aria-hidden />
          <div className="flex min-w-0 flex-col gap-2">
            <span>
              {problem.message} <strong>{problem.remedy}</strong>
            </span>
            <OneTap problem={problem} />
            {problem.stops && problem.pieceId !== null && <Mends pieceId={problem.pieceId} />}
          </div>
        </li>
      ))}
    </ul>
  );
}

/** What takes a problem away by itself, a tap each. */
function OneTap({ problem }: { readonly problem: Problem }) {
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
