"use client";

import { ChevronRight } from "lucide-react";
import { useState } from "react";
import { formatCount } from "@/core/units";
import { MAX_WORD_CHARACTERS } from "@/schemas/limits";
import { formatShortDate } from "../shell/formatDayDate";
import { Dialog } from "../shell/Dialog";
import { tellFigure } from "../taught/tellFigure";
import type { TrendFigure } from "./HabitTrend";
import type { ToldHabit } from "./toldHabit";

interface Props {
  readonly habit: Pick<ToldHabit, "habit" | "name" | "scale">;
  /** The oldest first. */
  readonly figures: readonly TrendFigure[];
  readonly onTurned: () => void;
}

/** Lots that are listed, the latest first. */
const MOST_LISTED = 40;

/** Each lot of a habit, to be left out of the learning with a word why, and taken in again. */
export function LotList({ habit: { habit, name, scale }, figures, onTurned }: Props) {
  const [asked, setAsked] = useState<TrendFigure | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const out = figures.filter(({ leftOut }) => leftOut !== null).length;
  const turn = async ({ date, source }: TrendFigure, word: string | null) => {
    setAsked(null);
    const answer = await fetch("/api/v1/habits/lots", {
      method: "PUT",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ habit, date, source, word }),
    }).catch(() => null);
    if (answer?.ok) {
      setFault(null);
      return onTurned();
    }
    const faults = answer ? ((await answer.json()) as { faults: readonly { message: string }[] }).faults : [];
    setFault(faults[0]?.message ?? "Tezgah does not answer. Try again.");
  };
  if (figures.length === 0) return null;
  return (
    <details>
      <summary className="touch flex cursor-pointer items-center gap-2">
        <ChevronRight size={20} aria-hidden />
        <span>
          {formatCount(figures.length, "lot")}
          {out > 0 && `, ${out} left out`}
        </span>
      </summary>
      {fault && (
        <p role="alert" className="text-error">
          {fault}
        </p>
      )}
      <ul aria-label={`Lots of ${name}`}>
        {figures
          .toReversed()
          .slice(0, MOST_LISTED)
          .map((lot) => (
            <li
              key={`${lot.date} ${lot.source}`}
              className="flex items-center gap-4 border-b border-base-300 py-1"
            >
              <span className="w-28 shrink-0">{formatShortDate(lot.date)}</span>
              <span className={`figure w-24 text-xl ${lot.leftOut === null ? "" : "line-through"}`}>
                {tellFigure(lot.value, scale)}
              </span>
              <span className="quiet min-w-0 flex-1">{lot.leftOut}</span>
              <button
                type="button"
                className="btn touch"
                onClick={() => (lot.leftOut === null ? setAsked(lot) : void turn(lot, null))}
              >
                {lot.leftOut === null ? "Leave it out" : "Take it in"}
              </button>
            </li>
          ))}
      </ul>
      <Dialog open={asked !== null} onClose={() => setAsked(null)} title="Leave it out">
        {asked && (
          <WhyForm
            told={`${name}, ${formatShortDate(asked.date)}: ${tellFigure(asked.value, scale)}`}
            onLeave={(word) => void turn(asked, word)}
          />
        )}
      </Dialog>
    </details>
  );
}

function WhyForm({ told, onLeave }: { readonly told: string; readonly onLeave: (word: string) => void }) {
  const [word, setWord] = useState("");
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        onLeave(word.trim());
      }}
    >
      <p>{told}. It stays in the log; plans do not learn from it until it is taken in again.</p>
      <label className="flex flex-col gap-1">
        Why
        <input
          data-first
          className="input w-full"
          maxLength={MAX_WORD_CHARACTERS}
          value={word}
          onChange={({ target }) => setWord(target.value)}
        />
      </label>
      <button type="submit" className="btn btn-primary touch">
        Leave it out
      </button>
    </form>
  );
}
