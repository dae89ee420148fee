"use client";

import { useState } from "react";
import type { DayPlan, Piece, PiecePlan } from "@/core/plan";
import { formatClock, formatDuration } from "@/core/units";
import { factsOf } from "@/core/way";
import { useBench } from "../bench/BenchProvider";
import { Link } from "../controls/Link";

/** What of the day a way changes, min. */
interface Figures {
  readonly startMin: number | null;
  readonly readyMin: number | null;
  readonly handsMin: number;
}

interface Props {
  readonly piece: Piece;
  /** Null where the day makes none of it. */
  readonly line: PiecePlan | null;
}

/** What the way comes to on this day, and what has changed of it since the page was opened. */
export function WayTotals({ piece, line }: Props) {
  const plan = useBench((state) => state.plan);
  const date = useBench((state) => state.date);
  const now = readFigures(plan, piece, line);
  const [first] = useState(now);
  if (!line)
    return (
      <p className="quiet ml-auto">
        Nobody has ordered it:{" "}
        <Link className="why-link" href={`/day/${date}/orders`}>
          take an order
        </Link>{" "}
        to see it on the clock.
      </p>
    );
  const changes = describeChanges(first, now);
  return (
    <div className="ml-auto text-right">
      <p>
        <span className="figure text-xl">{line.counts.made}</span> <span className="quiet">pieces ·</span>{" "}
        <span className="figure text-xl">{formatDuration(now.handsMin)}</span>{" "}
        <span className="quiet">of hands · ready</span>{" "}
        <span className="figure text-2xl">{now.readyMin === null ? "–" : formatClock(now.readyMin)}</span>
      </p>
      {changes && (
        <p aria-live="polite" className="text-accent">
          {changes}
        </p>
      )}
    </div>
  );
}

function readFigures(plan: DayPlan, { way }: Piece, line: PiecePlan | null): Figures {
  const ends = line ? Object.values(line.readyMin) : [];
  const seconds = line
    ? way.reduce((sum, { id, kind }) => {
        const times = factsOf(kind).per === "load" ? line.loading.loads.length : line.counts.toFill;
        return sum + (line.shaped.works.stepS[id] ?? 0) * times;
      }, 0)
    : 0;
  return {
    startMin: plan.tally.startMin,
    readyMin: ends.length > 0 ? Math.max(...ends) : null,
    handsMin: Math.round(seconds / 60),
  };
}

/** `since you began: hands 3 min more, ready 6 min later, the day starts 4 min earlier`. */
function describeChanges(first: Figures, now: Figures): string {
  const differ = (was: number | null, is: number | null, more: string, less: string, what: string) => {
    if (was === null || is === null || was === is) return [];
    return [`${what} ${formatDuration(Math.abs(is - was))} ${is > was ? more : less}`];
  };
  const all = [
    ...differ(first.handsMin, now.handsMin, "more", "less", "hands"),
    ...differ(first.readyMin, now.readyMin, "later", "earlier", "ready"),
    ...differ(first.startMin, now.startMin, "later", "earlier", "the day starts"),
  ];
  return all.length > 0 ? `since you began: ${all.join(", ")}` : "";
}
