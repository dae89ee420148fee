"use client";

import { Volume1, Volume2, VolumeX } from "lucide-react";
import { formatClock, formatDuration } from "@/core/units";
import type { Whose } from "@/workers/createRunClient";
import { Link } from "../controls/Link";
import { SaveWaiting } from "../controls/SaveWaiting";
import type { RunStore } from "./runStore";
import { WhatHelps } from "./WhatHelps";
import type { RingingBells } from "./useBells";
import { useRun } from "./useRun";

const sides: readonly { readonly whose: Whose; readonly name: string }[] = [
  { whose: "baker", name: "Me" },
  { whose: "helper", name: "Helper" },
  { whose: "both", name: "Both" },
];

/** The time, how the day stands, whose jobs are shown, and the way back to the bench. */
export function RunHeader({
  store,
  nowMin,
  bells,
}: {
  readonly store: RunStore;
  readonly nowMin: number;
  readonly bells: RingingBells;
}) {
  const { sheet, answer, whose, setWhose, waiting, isLinked, notice, ...troubles } = useRun(
    store,
    "sheet",
    "answer",
    "whose",
    "setWhose",
    "waiting",
    "isLinked",
    "notice",
    "fault",
    "isLogBehind",
    "isKeptHere",
    "tryAgain",
    "listWaiting",
  );
  if (!sheet || !answer) return null;
  const { view, late, short } = answer;
  const Speaker = speakers[bells.loudness];
  const [worst] = late;
  return (
    <header className="bg-(--tally) text-(--tally-text)">
      <div className="flex min-h-18 flex-wrap items-center gap-x-5 gap-y-1 px-4 py-1.5 sm:px-7">
        <p className="figure text-4xl sm:text-5xl" data-testid="clock">
          {formatClock(Math.floor(nowMin))}
        </p>
        <p
          className="order-last min-w-0 basis-full text-base sm:text-xl lg:order-none lg:flex-1 lg:basis-0"
          data-testid="standing"
        >
          {tellAhead(view.aheadMin)}
          {view.lastPromise && (
            <>
              {" · "}
              <span
                className={
                  view.lastPromise.endMin > view.lastPromise.dueMin
                    ? "text-(--tally-bad)"
                    : "text-(--tally-good)"
                }
              >
                last pieces {formatClock(view.lastPromise.endMin)}
              </span>
              , promised {formatClock(view.lastPromise.dueMin)}
            </>
          )}
          {worst && (
            <strong className="block text-base text-(--tally-bad)">
              {sheet.jobs.find(({ taskId }) => taskId === worst.taskId)?.title}:{" "}
              {formatDuration(worst.lateMin)} late
              {late.length > 1 && `, and ${late.length - 1} more`}
            </strong>
          )}
          {short.slice(0, SHORT_SHOWN).map(({ pieceId, dueMin, promised, made }, i) => (
            <strong key={`${pieceId} ${dueMin}`} className="block text-base text-(--tally-bad)">
              {sheet.pieces.find(({ id }) => id === pieceId)?.name}: {made} of {promised} for{" "}
              {formatClock(dueMin)}
              {i === SHORT_SHOWN - 1 &&
                short.length > SHORT_SHOWN &&
                `, and ${short.length - SHORT_SHOWN} more`}
            </strong>
          ))}
        </p>
        {worst && <WhatHelps store={store} />}
        {sheet.hasHelper && (
          <fieldset className="flex overflow-hidden rounded-xl border-2 border-current">
            <legend className="sr-only">Whose jobs</legend>
            {sides.map(({ whose: side, name }) => (
              <button
                key={side}
                type="button"
                aria-pressed={whose === side}
                className="touch cursor-pointer px-4 aria-pressed:bg-(--tally-text) aria-pressed:text-(--tally)"
                onClick={() => setWhose(side)}
              >
                {name}
              </button>
            ))}
          </fieldset>
        )}
        <button
          type="button"
          className="touch ml-auto inline-flex cursor-pointer items-center justify-center"
          aria-label={`Bells: ${bells.loudness}. Change it`}
          onClick={bells.turnLoudness}
        >
          <Speaker size={26} aria-hidden />
        </button>
        <Link className="touch inline-flex items-center" href={`/run/${sheet.date}/record`}>
          Record
        </Link>
        <Link className="touch inline-flex items-center" href={`/day/${sheet.date}/orders`}>
          Leave
        </Link>
      </div>
      <Progress done={view.doneCount} all={view.taskCount} />
      {(waiting > 0 || !isLinked) && (
        <p role="alert" className="bg-warning px-4 py-1 text-warning-content sm:px-7">
          {isLinked ? "" : "Tezgah does not answer. "}
          {waiting > 0
            ? `${waiting} ${waiting === 1 ? "tap waits" : "taps wait"} on this device and will be sent.`
            : "The day goes on here; it is asked again."}
        </p>
      )}
      {troubles.fault !== null && (
        <div
          role="alert"
          className="flex flex-wrap items-center gap-3 bg-error px-4 py-1 text-error-content sm:px-7"
        >
          <p>
            {troubles.fault} {waiting > 0 && "What you tapped is kept here and not sent again by itself."}
          </p>
          <button type="button" className="btn touch" onClick={() => void troubles.tryAgain()}>
            Try again
          </button>
          {waiting > 0 && <SaveWaiting name={sheet.date} read={troubles.listWaiting} />}
        </div>
      )}
      {troubles.isLogBehind && (
        <p role="alert" className="bg-warning px-4 py-1 text-warning-content sm:px-7">
          What happened is saved, but not in the log yet: habits, larder and oil wait. Tezgah tries again by
          itself.
        </p>
      )}
      {!troubles.isKeptHere && (
        <p role="alert" className="bg-warning px-4 py-1 text-warning-content sm:px-7">
          This device keeps nothing: what is not sent is kept only while this page is open.
        </p>
      )}
      {!bells.mayRing && (
        <p className="bg-base-200 px-4 py-1 text-base-content sm:px-7">
          Touch the page once, so that the browser lets it ring.
        </p>
      )}
      <p role="status" className={notice ? "bg-info px-4 py-1 text-info-content sm:px-7" : "sr-only"}>
        {notice}
      </p>
    </header>
  );
}

/** Promises without enough pieces that are named; all of them stand in the record. */
const SHORT_SHOWN = 2;

const speakers = { loud: Volume2, soft: Volume1, mute: VolumeX } as const;

function tellAhead(aheadMin: number): string {
  if (Math.abs(aheadMin) < 1) return "as planned";
  return `${formatDuration(Math.abs(aheadMin))} ${aheadMin > 0 ? "ahead" : "behind"}`;
}

function Progress({ done, all }: { readonly done: number; readonly all: number }) {
  return (
    <div
      role="progressbar"
      aria-label="Jobs done"
      aria-valuenow={done}
      aria-valuemin={0}
      aria-valuemax={all}
      className="h-2.5 bg-base-300"
    >
      <div className="h-full bg-primary" style={{ width: `${all > 0 ? (100 * done) / all : 0}%` }} />
    </div>
  );
}
