"use client";

import { useState, type FormEvent } from "react";
import { parseClock, parseNumber } from "@/core/units";
import type { FirstDay } from "@/schemas/validate";
import { checkClock, checkCount } from "../controls/checks";

export interface StarterCard {
  readonly id: string;
  readonly title: string;
  readonly blurb: string;
}

interface Props {
  readonly starters: readonly StarterCard[];
  readonly tomorrow: string;
}

/** From nothing to a first plan: what, how many, by when. */
export function Welcome({ starters, tomorrow }: Props) {
  const [starterId, setStarterId] = useState<string | null>(starters[0]?.id ?? null);
  const [date, setDate] = useState(tomorrow);
  const [count, setCount] = useState("48");
  const [due, setDue] = useState("09:00");
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const [pieces, dueMin] = [parseNumber(count), parseClock(due)];
    const problem = starterId === null ? null : (checkCount(count) ?? checkClock(due));
    setFault(problem);
    if (problem) return;
    setBusy(true);
    setFault(
      await beginFirstDay({
        starterId,
        date,
        count: pieces.ok ? pieces.value : 0,
        dueMin: dueMin.ok ? dueMin.value : 0,
      }),
    );
    setBusy(false);
  };
  const card = (id: string | null, title: string, blurb: string) => (
    <label
      key={title}
      className="touch flex cursor-pointer flex-col gap-1 rounded-xl border-2 border-base-300 bg-base-100 p-4 has-checked:border-primary has-checked:bg-base-200 has-focus-visible:outline-3 has-focus-visible:outline-primary"
    >
      <input
        type="radio"
        name="starter"
        className="sr-only"
        checked={id === starterId}
        onChange={() => setStarterId(id)}
      />
      <span className="figure text-xl">{title}</span>
      <span className="quiet">{blurb}</span>
    </label>
  );
  return (
    <main className="board min-h-dvh p-6">
      <form
        onSubmit={(event) => void submit(event)}
        className="mx-auto flex max-w-4xl flex-col gap-6"
        noValidate
      >
        <header>
          <p className="figure text-3xl">tezgah</p>
          <h1 className="mt-4 text-4xl">What is on the bench first?</h1>
          <p className="quiet mt-1 text-lg">
            Take one of these and change it, or begin with your own. Sheets, portions, loads and times follow.
          </p>
        </header>
        <fieldset>
          <legend className="sr-only">Begin with</legend>
          <div className="grid gap-3 sm:grid-cols-2">
            {starters.map(({ id, title, blurb }) => card(id, title, blurb))}
            {card(
              null,
              "My own, from nothing",
              "An empty book: write the dough, the filling and the piece yourself.",
            )}
          </div>
        </fieldset>
        <div className="flex flex-wrap items-end gap-4">
          {starterId !== null && (
            <>
              <label className="flex flex-col gap-1">
                How many
                <input
                  className="input figure w-28 text-xl"
                  inputMode="numeric"
                  value={count}
                  onChange={(event) => setCount(event.target.value)}
                />
              </label>
              <label className="flex flex-col gap-1">
                By
                <input
                  className="input figure w-28 text-xl"
                  value={due}
                  onChange={(event) => setDue(event.target.value)}
                />
              </label>
            </>
          )}
          <label className="flex flex-col gap-1">
            Day
            <input
              type="date"
              className="input w-44"
              value={date}
              required
              onChange={(event) => setDate(event.target.value)}
            />
          </label>
          <button className="btn btn-primary touch px-8 text-lg" disabled={busy || date === ""}>
            {starterId === null ? "Open the bench" : "Plan it"}
          </button>
        </div>
        {fault && (
          <p className="text-error" role="alert">
            {fault}
          </p>
        )}
      </form>
    </main>
  );
}

/** Makes the first day and goes to it. @returns Why it could not be made. */
async function beginFirstDay(day: FirstDay): Promise<string | null> {
  const answer = await fetch("/api/bench/first-day", {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(day),
  }).catch(() => null);
  const told = (await answer?.json().catch(() => null)) as
    { goTo?: string; faults?: readonly { message: string }[] } | null | undefined;
  if (!answer?.ok || !told?.goTo)
    return (
      told?.faults?.[0]?.message ??
      "Tezgah does not answer. What you chose stays here; try again in a moment."
    );
  window.location.assign(told.goTo);
  return null;
}
