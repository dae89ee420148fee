"use client";

import { useEffect, useRef, useState } from "react";
import type { Improvement, ScheduleCost } from "@/core/schedule";
import { formatDuration, formatNumber } from "@/core/units";
import { createSearchClient, type SearchClient } from "@/workers/createPlanClient";
import { usePicked } from "../bench/BenchProvider";

/** As long as a baker waits for a better day, ms. */
const BUDGET_MS = 10_000;

/** Looks for a shorter day in a worker, live, and keeps its order if the baker wants it. */
export function DaySearch() {
  const { plan, book, edit } = usePicked("plan", "book", "edit");
  const client = useRef<SearchClient | null>(null);
  const [found, setFound] = useState<Improvement | null>(null);
  const [isBusy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(
    () => () => {
      client.current?.close();
      client.current = null;
    },
    [],
  );
  const { problem, schedule } = plan;
  if (!problem || !schedule) return null;
  const start = () => {
    client.current ??= createSearchClient();
    setBusy(true);
    setFault(null);
    client.current
      .search({ problem, budgetMs: BUDGET_MS }, setFound)
      .then((best) => best && setFound(best))
      .catch((error: unknown) => setFault(error instanceof Error ? error.message : String(error)))
      .finally(() => setBusy(false));
  };
  const keep = (improvement: Improvement) => {
    const laid = improvement.schedule.placed.map(({ taskId, startMin, mode }) => ({
      taskId,
      startMin,
      mode,
    }));
    edit([{ kind: "day", id: book.day.id, record: { ...book.day, laid } }]);
    setFound(null);
  };
  return (
    <section aria-labelledby="shorter-day" className="flex flex-col gap-2">
      <h2 id="shorter-day" className="text-lg">
        A shorter day
      </h2>
      <p aria-live="polite">
        The hands’ day is <span className="figure">{formatDuration(schedule.cost.dayMin)}</span>
        {found &&
          `; found ${describeCost(found.schedule.cost)}, no day can be under ${formatDuration(found.bound.dayMin)}, ${formatNumber(found.tries)} tries`}
        .
      </p>
      <div className="flex flex-wrap gap-2">
        {isBusy ? (
          <button type="button" className="btn touch" onClick={() => client.current?.stop()}>
            Stop looking
          </button>
        ) : (
          <button type="button" className="btn touch" onClick={start}>
            Look for a shorter day
          </button>
        )}
        {found && !isBusy && isBetter(found.schedule.cost, schedule.cost) && (
          <button type="button" className="btn btn-primary touch" onClick={() => keep(found)}>
            Keep this order
          </button>
        )}
        {book.day.laid.length > 0 && (
          <button
            type="button"
            className="btn touch"
            onClick={() => edit([{ kind: "day", id: book.day.id, record: { ...book.day, laid: [] } }])}
          >
            Forget the order kept
          </button>
        )}
      </div>
      {fault && (
        <p role="alert" className="text-error">
          {fault} Reload the page.
        </p>
      )}
    </section>
  );
}

const describeCost = ({ latenessMin, dayMin }: ScheduleCost) =>
  `${formatDuration(dayMin)}${latenessMin > 0 ? `, ${formatDuration(latenessMin)} late` : ""}`;

const isBetter = (one: ScheduleCost, other: ScheduleCost) =>
  one.latenessMin < other.latenessMin || (one.latenessMin === other.latenessMin && one.dayMin < other.dayMin);
