"use client";

import { TOO_MUCH_MIN } from "@/core/plan";
import { useBench } from "../bench/BenchProvider";
import { useIsBehind } from "./useIsBehind";
import { RunButton } from "./RunButton";
import { formatClock, formatDuration, formatMass } from "@/core/units";

/** A range that is less later is not told, min. */
const TOLD_MIN = 3;

/** Dough in → blanks → filling → ready, with what is short or in hand: in view everywhere. */
export function Tally() {
  const { tally, problems, lines, ends } = useBench((state) => state.plan);
  const date = useBench((state) => state.date);
  const isBehind = useIsBehind();
  const stopped = problems.filter(({ stops }) => stops).length;
  const shortPieces = tally.ordered - lines.reduce((sum, { counts: { ordered } }) => sum + ordered, 0);
  return (
    <footer
      aria-label="Tally"
      className="flex min-h-14 flex-wrap items-center gap-x-3 gap-y-0 bg-(--tally) px-4 py-1 text-(--tally-text) sm:px-6"
    >
      {tally.ordered === 0 ? (
        <span>Nothing ordered yet: the day begins with an order.</span>
      ) : (
        <p
          className="flex flex-wrap items-baseline gap-x-2 sm:gap-x-3"
          aria-live="polite"
          data-testid="tally"
        >
          <Figure label="dough" value={formatMass(tally.doughG)} />
          <Arrow />
          <Figure label="blanks" value={String(tally.blanks)} />
          <Arrow />
          <Figure label="filling" value={formatMass(tally.fillingG)} />
          <Arrow />
          <Figure label="ready" value={String(tally.ready)} />
          {tally.readyMin !== null && (
            <span>
              by {formatClock(tally.readyMin)}
              {ends && !isTooMuch(tally.inHandMin ?? 0) && ends.mostMin - tally.readyMin >= TOLD_MIN && (
                <span className="hidden xl:inline">
                  , nine days in ten {formatClock(Math.round(ends.mostMin))}
                </span>
              )}
            </span>
          )}
        </p>
      )}
      <div className="ml-auto flex min-w-0 items-center gap-x-3">
        <p className="flex min-w-0 flex-wrap items-baseline justify-end gap-x-4">
          {shortPieces > 0 && (
            <strong className="text-(--tally-bad)">
              {shortPieces} of {tally.ordered} not planned{stopped > 1 ? `, ${stopped} reasons` : ""}
            </strong>
          )}
          {tally.startMin !== null && <span>start {formatClock(tally.startMin)}</span>}
          {isBehind ? (
            // In the place of what it will say, so that nothing moves meanwhile.
            <strong role="status" className="text-(--tally-good)">
              working out…
            </strong>
          ) : (
            tally.inHandMin !== null && <InHand minutes={tally.inHandMin} />
          )}
        </p>
        {tally.startMin !== null && <RunButton date={date} />}
      </div>
    </footer>
  );
}

/** Nobody asks how such a day may end. */
const isTooMuch = (inHandMin: number): boolean => -inHandMin >= TOO_MUCH_MIN;

function InHand({ minutes }: { minutes: number }) {
  if (isTooMuch(minutes)) return <strong className="text-(--tally-bad)">too much for one day</strong>;
  if (minutes < 0) return <strong className="text-(--tally-bad)">{formatDuration(-minutes)} late</strong>;
  return <strong className="text-(--tally-good)">{formatDuration(minutes)} in hand</strong>;
}

function Figure({ label, value }: { label: string; value: string }) {
  return (
    <span>
      {label} <strong className="figure text-lg">{value}</strong>
    </span>
  );
}

function Arrow() {
  return (
    <span aria-hidden className="opacity-60">
      →
    </span>
  );
}
