"use client";

import { TriangleAlert } from "lucide-react";
import { lazy, Suspense } from "react";
import type { Problem, Station } from "@/core/plan";
import { useBench } from "../bench/BenchProvider";
import { untilThere } from "../shell/untilThere";
import { Mends } from "./Mends";

/** Loaded where there is a problem, with what it knows of moulds and ovens. */
const OneTap = lazy(untilThere(() => import("./OneTap").then(({ OneTap: tap }) => ({ default: tap }))));

/** What this station needs decided, in full; what stops a piece is said at every station. Each with what mends it. */
export function ProblemList({ station }: { readonly station: Station }) {
  const problems = useBench((state) => state.plan.problems);
  const here = problems.filter((problem) => problem.station === station || problem.stops);
  return <ProblemCards problems={here} />;
}

interface CardsProps {
  readonly problems: readonly Problem[];
  /** Read out as they come: where what is turned here makes them. */
  readonly isAlert?: boolean;
}

/** Each problem with its figures, what to do, and what mends it at a tap; nothing where there is none. */
export function ProblemCards({ problems, isAlert = false }: CardsProps) {
  if (problems.length === 0) return null;
  return (
    <ul className="flex flex-col gap-2" aria-label="To decide">
      {problems.map((problem) => (
        <li key={problem.message} className="flex gap-2 rounded-lg border-2 border-error bg-base-100 p-3">
          <TriangleAlert size={22} className="shrink-0 text-error" aria-hidden />
          <div className="flex min-w-0 flex-col gap-2">
            <p role={isAlert ? "alert" : undefined}>
              {problem.message} <strong>{problem.remedy}</strong>
            </p>
            <Suspense>
              <OneTap problem={problem} />
            </Suspense>
            {isMendedByTrying(problem) && <Mends pieceId={problem.pieceId} />}
          </div>
        </li>
      ))}
    </ul>
  );
}

/** What cannot be made, ordered or only in the book, is tried otherwise until it can. */
const isMendedByTrying = (problem: Problem): problem is Problem & { readonly pieceId: string } =>
  problem.pieceId !== null && (problem.stops || problem.code === "cannotForm");
