"use client";

import { TriangleAlert } from "lucide-react";
import { lazy, Suspense } from "react";
import { gatherProblems, type Problem, type ProblemCode, type Station } from "@/core/plan";
import { formatCount } from "@/core/units";
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

/** Each problem once, the most harmful first, with what to do and what mends it at a tap; many of a kind open from a line. */
export function ProblemCards({ problems, isAlert = false }: CardsProps) {
  if (problems.length === 0) return null;
  return (
    <ul className="flex flex-col gap-2" aria-label="To decide">
      {gatherProblems(problems).map(({ code, problems: kind, isGathered }) => (
        <li key={kind[0].message} className="rounded-lg border-2 border-error bg-base-100 px-3 py-1">
          {isGathered ? (
            <details>
              <summary className="touch flex cursor-pointer items-center gap-2">
                <TriangleAlert size={22} className="shrink-0 text-error" aria-hidden />
                <span className="min-w-0 flex-1">{sayKind(code, kind)}</span>
                <span className="why-link text-sm">which?</span>
              </summary>
              <ul className="flex flex-col">
                {kind.map((problem) => (
                  <li key={problem.message} className="border-t border-base-300">
                    <OneProblem problem={problem} isAlert={isAlert} />
                  </li>
                ))}
              </ul>
            </details>
          ) : (
            <OneProblem problem={kind[0]} isAlert={isAlert} hasSign />
          )}
        </li>
      ))}
    </ul>
  );
}

/** All of a kind in a line. */
function sayKind(code: ProblemCode, kind: readonly [Problem, ...Problem[]]): string {
  if (code === "expired")
    return `${formatCount(kind.length, "thing")} in the larder past ${kind.length === 1 ? "its" : "their"} date: not planned with.`;
  return `${kind[0].message} So it is with ${kind.length - 1} more.`;
}

interface OneProps {
  readonly problem: Problem;
  readonly isAlert: boolean;
  readonly hasSign?: boolean;
}

/** What is the matter, what to do, and beside it what does it. */
function OneProblem({ problem, isAlert, hasSign = false }: OneProps) {
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1">
      {hasSign && <TriangleAlert size={22} className="shrink-0 text-error" aria-hidden />}
      <p className="min-w-0 flex-1 basis-72" role={isAlert ? "alert" : undefined}>
        {problem.message} <strong>{problem.remedy}</strong>
      </p>
      <Suspense>
        <OneTap problem={problem} />
      </Suspense>
      {isMendedByTrying(problem) && <Mends pieceId={problem.pieceId} />}
    </div>
  );
}

/** What cannot be made, ordered or only in the book, is tried otherwise until it can. */
const isMendedByTrying = (problem: Problem): problem is Problem & { readonly pieceId: string } =>
  problem.pieceId !== null && (problem.stops || problem.code === "cannotForm");
