"use client";

import Link from "next/link";
import type { DayBatch } from "@/core/plan";
import { formatClock, formatDuration, formatMass } from "@/core/units";
import { useBench } from "../bench/BenchProvider";
import { EmptyDay } from "../controls/EmptyDay";
import { ProblemList } from "../controls/ProblemList";
import { StationLayout } from "../controls/StationLayout";

/** What to weigh for the day, dough by dough and filling by filling. */
export function MixStation() {
  const plan = useBench((state) => state.plan);
  const batches = [...plan.doughs, ...plan.fillings];
  if (batches.length === 0) return <EmptyDay station="mix" />;
  return (
    <StationLayout
      label="Mix"
      surface={
        <div className="flex flex-col gap-4">
          <ProblemList station="mix" />
          <div className="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
            {batches.map((batch) => (
              <BatchCard key={batch.formula.id} batch={batch} />
            ))}
          </div>
        </div>
      }
    />
  );
}

function BatchCard({ batch: { formula, batch, pieceIds } }: { readonly batch: DayBatch }) {
  const { date, book, plan } = useBench((state) => state);
  const task = plan.tasks.find(
    ({ formulaId, kind }) => formulaId === formula.id && (kind === "mix" || kind === "make"),
  );
  const names = pieceIds.map((pieceId) => book.pieces.find(({ id }) => id === pieceId)?.name).join(", ");
  const after =
    formula.kind === "dough"
      ? `rests ${formatDuration(formula.restMin)}`
      : `cools ${formatDuration(formula.coolMin)}`;
  return (
    <article className="rounded-xl border border-base-300 bg-base-100 p-4">
      <header className="flex items-baseline gap-2">
        <h2 className="text-lg">
          <Link
            href={`/day/${date}/formula/${formula.id}`}
            className="touch inline-flex items-center underline-offset-4 hover:underline"
          >
            {formula.name}
          </Link>
        </h2>
        <span className="figure ml-auto text-2xl whitespace-nowrap">{formatMass(batch.weighedG)}</span>
      </header>
      <p className="quiet text-sm">
        {task && <>mix at {formatClock(task.placed.startMin)}, </>}
        {after} · for {names}
        {batch.weighedG - batch.usableG > 0.5 && <> · gives {formatMass(batch.usableG)}</>}
      </p>
      <table className="mt-2 w-full">
        <caption className="sr-only">Weigh for {formula.name}</caption>
        <tbody>
          {batch.lines.map(({ lineId, name, massG }) => (
            <tr key={lineId} className="border-t border-base-300">
              <th scope="row" className="py-1.5 text-left font-normal">
                {name}
              </th>
              <td className="figure text-right text-xl whitespace-nowrap">{formatMass(massG)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </article>
  );
}
