"use client";

import { useEffect, useState } from "react";
import type { TaughtOutlook } from "@/core/run";
import { formatClock, formatDuration, formatNumber } from "@/core/units";
import { Link } from "../controls/Link";
import { formatShortDate } from "../shell/formatDayDate";

/** The day to come as the server tells it. */
export interface NextOutlook extends TaughtOutlook {
  readonly date: string;
  readonly name: string;
}

/** What the next day gains by what this one taught; asked for once the page stands, as it is planned twice for it. */
export function NextDay({ date }: { readonly date: string }) {
  const [next, setNext] = useState<NextOutlook | null>(null);
  useEffect(() => {
    const isOver = new AbortController();
    fetch(`/api/v1/runs/${date}/outlook`, { signal: isOver.signal })
      .then(async (answer) => (answer.ok ? ((await answer.json()) as NextOutlook | null) : null))
      .then(setNext)
      // Without an answer the page is what it is.
      .catch(() => undefined);
    return () => isOver.abort();
  }, [date]);
  return next ? <NextStrip next={next} /> : null;
}

/** Less than this nobody plans by, min. */
const LEAST_MIN = 1;
const LEAST_LEAKS = 0.1;

export function NextStrip({ next: { date, name, before, now } }: { readonly next: NextOutlook }) {
  const handsMin = now.handsMin - before.handsMin;
  const startMin = (now.startMin ?? 0) - (before.startMin ?? 0);
  const isSame =
    Math.abs(handsMin) < LEAST_MIN &&
    Math.abs(startMin) < LEAST_MIN &&
    Math.abs(now.leaks - before.leaks) < LEAST_LEAKS &&
    Math.abs((now.mostMin ?? 0) - (before.mostMin ?? 0)) < LEAST_MIN;
  return (
    <section
      aria-label="The next day"
      className="mt-6 flex flex-wrap items-baseline gap-x-6 gap-y-1 rounded-xl bg-(--tally) px-5 py-3 text-(--tally-text)"
    >
      <span>
        {name}, {formatShortDate(date)}:
      </span>
      {isSame && <span>as it was</span>}
      {Math.abs(handsMin) >= LEAST_MIN && (
        <span>
          hands <Figure>{formatDuration(Math.abs(handsMin))}</Figure> {handsMin < 0 ? "less" : "more"}
        </span>
      )}
      {Math.abs(startMin) >= LEAST_MIN && now.startMin !== null && (
        <span>
          begin <Figure>{formatClock(now.startMin)}</Figure>, was {formatClock(before.startMin ?? 0)}
        </span>
      )}
      {now.likelyMin !== null && now.mostMin !== null && (
        <span>
          all done <Figure>{formatClock(Math.round(now.likelyMin))}</Figure>, nine days in ten by{" "}
          <Figure>{formatClock(Math.round(now.mostMin))}</Figure>
        </span>
      )}
      {(now.leaks >= LEAST_LEAKS || before.leaks >= LEAST_LEAKS) && (
        <span>
          leaks expected <Figure>{formatNumber(now.leaks, 1)}</Figure>
          {Math.abs(now.leaks - before.leaks) >= LEAST_LEAKS && `, were ${formatNumber(before.leaks, 1)}`}
        </span>
      )}
      <Link className="reach ml-auto underline" href={`/day/${date}/orders`}>
        to that day
      </Link>
    </section>
  );
}

const Figure = ({ children }: { readonly children: React.ReactNode }) => (
  <strong className="figure text-2xl">{children}</strong>
);
