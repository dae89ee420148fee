"use client";

import { useState, type FormEvent } from "react";
import { parseClock, parseNumber } from "@/core/units";
import type { FirstDay } from "@/schemas/validate";
import { checkClock, checkCount } from "../controls/checks";
import type { Face } from "../drawings/PieceFace";
import { FaceMark } from "../drawings/PieceMark";

export interface StarterCard {
  readonly id: string;
  readonly title: string;
  readonly blurb: string;
  /** As it lies on its tray; null where it cannot be drawn. */
  readonly face: Face | null;
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
  const card = (id: string | null, title: string, blurb: string, face: StarterCard["face"]) => (
    <label
      key={title}
      className="flex cursor-pointer items-center gap-3 rounded-xl border-2 border-base-300 bg-base-100 p-3 has-checked:border-primary has-checked:bg-base-200 has-focus-visible:outline-3 has-focus-visible:outline-primary"
    >
      <input
        type="radio"
        name="starter"
        className="sr-only"
        checked={id === starterId}
        onChange={() => setStarterId(id)}
      />
      {face && <FaceMark {...face} sizePx={CARD_MARK_PX} />}
      <span className="flex min-w-0 flex-col">
        <span className="figure text-lg leading-6">{title}</span>
        <span className="quiet text-sm">{blurb}</span>
      </span>
    </label>
  );
  return (
    <form
      onSubmit={(event) => void submit(event)}
      className="board grid h-dvh grid-rows-[minmax(0,1fr)_auto]"
      noValidate
    >
      <main className="overflow-y-auto p-6">
        <div className="mx-auto flex max-w-6xl flex-col gap-4">
          <header>
            <p className="figure text-2xl">tezgah</p>
            <h1 className="mt-2 text-3xl">What is on the bench first?</h1>
            <p className="quiet mt-1">
              Take one of these and change it, or begin with your own. Sheets, portions, loads and times
              follow.
            </p>
          </header>
          <fieldset>
            <legend className="sr-only">Begin with</legend>
            <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
              {starters.map(({ id, title, blurb, face }) => card(id, title, blurb, face))}
              {card(
                null,
                "My own, from nothing",
                "An empty book: write the dough, the filling and the piece yourself.",
                null,
              )}
            </div>
          </fieldset>
        </div>
      </main>
      <div className="border-t border-base-300 bg-base-100 px-6 py-3">
        <div className="mx-auto flex max-w-6xl flex-wrap items-end gap-x-4 gap-y-2">
          {starterId !== null && (
            <>
              <label className="flex flex-col gap-0.5">
                How many
                <input
                  className="input figure w-24 text-xl"
                  inputMode="numeric"
                  value={count}
                  onChange={(event) => setCount(event.target.value)}
                />
              </label>
              <label className="flex flex-col gap-0.5">
                By
                <input
                  className="input figure w-24 text-xl"
                  value={due}
                  onChange={(event) => setDue(event.target.value)}
                />
              </label>
            </>
          )}
          <label className="flex flex-col gap-0.5">
            Day
            <input
              type="date"
              className="input w-40"
              value={date}
              required
              onChange={(event) => setDate(event.target.value)}
            />
          </label>
          <button className="btn btn-primary touch px-8 text-lg" disabled={busy || date === ""}>
            {starterId === null ? "Open the bench" : "Plan it"}
          </button>
          {fault && (
            <p className="basis-full text-error" role="alert">
              {fault}
            </p>
          )}
        </div>
      </div>
    </form>
  );
}

/** Of a card's drawing, px: large enough to tell a crimp from a fold. */
const CARD_MARK_PX = 76;

/** Makes the first day and goes to it. @returns Why it could not be made. */
async function beginFirstDay(day: FirstDay): Promise<string | null> {
  const answer = await fetch("/api/bench/first-day", {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(day),
  }).catch(() => null);
  const told = (await answer?.json().catch(() => null)) as
    | { goTo?: string; faults?: readonly { message: string }[] }
    | null
    | undefined;
  if (!answer?.ok || !told?.goTo)
    return (
      told?.faults?.[0]?.message ??
      "Tezgah does not answer. What you chose stays here; try again in a moment."
    );
  window.location.assign(told.goTo);
  return null;
}
