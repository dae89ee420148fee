"use client";

import { TriangleAlert } from "lucide-react";
import type { Station } from "@/core/plan";
import { useBench } from "../bench/BenchProvider";
import { Mends } from "./Mends";

/** What this station needs decided, in full; what stops a piece is said at every station, with what would mend it. */
export function ProblemList({ station }: { readonly station: Station }) {
  const problems = useBench((state) => state.plan.problems);
  const here = problems.filter((problem) => problem.station === station || problem.stops);
  if (here.length === 0) return null;
  return (
    <ul className="flex flex-col gap-2" aria-label="To decide">
      {here.map(({ message, remedy, stops, pieceId }) => (
        <li key={message} className="flex gap-2 rounded-lg border-2 border-error bg-base-100 p-3">
          <TriangleAlert size={22} className="shrink-0 text-error" aria-hidden />
          <div className="flex min-w-0 flex-col gap-2">
            <span>
              {message} <strong>{remedy}</strong>
            </span>
            {stops && pieceId !== null && <Mends pieceId={pieceId} />}
          </div>
        </li>
      ))}
    </ul>
  );
}
