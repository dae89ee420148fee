"use client";

import { useEffect, useState } from "react";
import type { RemedyChange } from "@/core/remedy";
import type { TaughtOutlook } from "@/core/run";
import { formatClock, formatDuration, formatNumber } from "@/core/units";
import { formatShortDate } from "../shell/formatDayDate";

/** A day without a remedy and with it. */
export interface RemedyOutlook extends TaughtOutlook {
  readonly date: string;
  readonly name: string;
}

interface Props {
  /** Of the run. */
  readonly date: string;
  readonly pieceId: string;
  readonly change: RemedyChange;
  readonly text: string;
  /** What it would do is asked for at once; else when somebody wants to know. */
  readonly isAskedAtOnce: boolean;
}

const post = (path: string, body: object) =>
  fetch(path, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(body),
  }).catch(() => null);

/** A remedy for the next day: what it would do to plan and risk, taken by one tap. */
export function NextTime({ date, pieceId, change, text, isAskedAtOnce }: Props) {
  const [outlook, setOutlook] = useState<RemedyOutlook | null>(null);
  const [isAsked, setAsked] = useState(isAskedAtOnce);
  const [said, setSaid] = useState<{ readonly text: string; readonly isFault: boolean } | null>(null);
  const told = JSON.stringify({ pieceId, change });
  useEffect(() => {
    if (!isAsked) return;
    let isOver = false;
    void post(`/api/v1/runs/${date}/outlook`, JSON.parse(told) as object).then(async (answer) => {
      const found = answer?.ok ? ((await answer.json()) as RemedyOutlook) : null;
      if (!isOver) setOutlook(found);
    });
    return () => {
      isOver = true;
    };
  }, [date, told, isAsked]);
  const take = async () => {
    const answer = await post(`/api/v1/runs/${date}/remedy`, { pieceId, change, from: "next" });
    if (answer?.ok) return setSaid({ text: "It is planned so from now on.", isFault: false });
    const { faults = [] } = answer
      ? ((await answer.json()) as { readonly faults?: readonly { readonly message: string }[] })
      : {};
    setSaid({ text: faults[0]?.message ?? "Tezgah does not answer. Try again.", isFault: true });
  };
  return (
    <span className="flex basis-full flex-wrap items-center gap-x-3 gap-y-1">
      {said?.isFault === false ? (
        <span role="status" className="font-bold">
          {said.text}
        </span>
      ) : (
        <button type="button" className="btn h-auto min-h-12 py-1 text-base" onClick={() => void take()}>
          Next time {text}
        </button>
      )}
      {outlook ? (
        <span className="text-sm" data-testid="effect">
          {tellEffect(outlook)}
        </span>
      ) : (
        !isAsked && (
          <button type="button" className="btn btn-ghost touch text-sm" onClick={() => setAsked(true)}>
            What would it do?
          </button>
        )
      )}
      {said?.isFault && (
        <span role="alert" className="text-error">
          {said.text}
        </span>
      )}
    </span>
  );
}

/** Less than this nobody plans by, min and pieces. */
const LEAST_MIN = 1;
const LEAST_LEAKS = 0.05;

/** "Sat 5 Dec: leaks expected 1.2, not 3.4; hands 6 min more; begin 04:41, not 04:50." */
function tellEffect({ date, name, before, now }: RemedyOutlook): string {
  const handsMin = now.handsMin - before.handsMin;
  const parts = [
    Math.abs(now.leaks - before.leaks) >= LEAST_LEAKS &&
      `leaks expected ${formatNumber(now.leaks, 1)}, not ${formatNumber(before.leaks, 1)}`,
    Math.abs(handsMin) >= LEAST_MIN &&
      `hands ${formatDuration(Math.abs(handsMin))} ${handsMin > 0 ? "more" : "less"}`,
    tellMoved("begin", before.startMin, now.startMin),
    tellMoved("nine days in ten done by", before.mostMin, now.mostMin),
  ].filter((part) => part !== false);
  return `${name}, ${formatShortDate(date)}: ${parts.length > 0 ? parts.join("; ") : "the clock and the leaks as they are"}.`;
}

function tellMoved(what: string, wasMin: number | null, isMin: number | null): string | false {
  if (wasMin === null || isMin === null || Math.abs(isMin - wasMin) < LEAST_MIN) return false;
  return `${what} ${formatClock(Math.round(isMin))}, not ${formatClock(Math.round(wasMin))}`;
}
