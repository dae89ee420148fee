"use client";

import { listClockSteps, sayClockStep, type PiecePlan, type Station } from "@/core/plan";
import { formatClock, formatCount } from "@/core/units";
import { usePicked } from "../bench/BenchProvider";
import { Section } from "./Section";

/** What a piece's way does at a station, step by step with its figures; of its first load, the others go alike. */
export function StationSteps({ line, station }: { readonly line: PiecePlan; readonly station: Station }) {
  const { book, plan } = usePicked("book", "plan");
  const jobs = plan.tasks.filter(
    (task) => task.station === station && task.pieceId === line.piece.id && task.index === 1,
  );
  const told = jobs.flatMap((job) => {
    const steps = listClockSteps(job, plan, book);
    return steps.length > 0
      ? steps.map((step) => ({ id: step.id, text: sayClockStep(step), fromMin: job.placed.startMin }))
      : [{ id: job.id, text: job.label, fromMin: job.placed.startMin }];
  });
  if (told.length === 0) return null;
  const loads = line.loading.loads.length;
  return (
    <Section title="Step by step" note={formatCount(told.length, "step")}>
      <ol className="list-decimal pl-5">
        {told.map(({ id, text }) => (
          <li key={id}>{text}</li>
        ))}
      </ol>
      <p className="quiet text-sm">
        The first load from {formatClock(told[0]?.fromMin ?? 0)}
        {loads > 1 && `; the other ${loads - 1} go alike`}.
      </p>
    </Section>
  );
}
