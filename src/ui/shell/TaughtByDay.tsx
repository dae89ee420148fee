"use client";

import { useEffect, useState } from "react";
import type { TaughtHabit } from "@/core/run";
import { tellFigure } from "../taught/tellFigure";

/** So many are named, those that moved most. */
const MOST_TOLD = 4;
/** A habit that moved by less of its range is as it was. */
const LEAST_MOVE = 0.03;

/** What a day taught that is made again: the new plan has it already. Nothing where it was never run. */
export function TaughtByDay({ date, name }: { readonly date: string; readonly name: string }) {
  const [taught, setTaught] = useState<readonly TaughtHabit[]>([]);
  useEffect(() => {
    const isOver = new AbortController();
    fetch(`/api/v1/runs/${date}/taught`, { signal: isOver.signal })
      .then(async (answer) =>
        answer.ok ? ((await answer.json()) as { taught: readonly TaughtHabit[] }).taught : [],
      )
      .then(setTaught)
      // Without an answer the day is made all the same.
      .catch(() => undefined);
    return () => isOver.abort();
  }, [date]);
  const told = taught.filter(({ moved }) => moved >= LEAST_MOVE).slice(0, MOST_TOLD);
  if (told.length === 0) return null;
  return (
    <section aria-label={`What ${name} taught`} className="text-sm">
      <p>What {name} taught is in the new plan:</p>
      <ul>
        {told.map(({ habit, name: whose, what, scale, before, after }) => (
          <li key={habit}>
            {whose}, {what}: <strong>{tellFigure(after.mean, scale)}</strong>, was{" "}
            {tellFigure(before.mean, scale)}
          </li>
        ))}
      </ul>
    </section>
  );
}
