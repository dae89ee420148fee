"use client";

import { useState } from "react";
import { findImplausible, sayHabitFailure } from "@/core/habits";
import { parseNumber } from "@/core/units";
import { sayParseFailure } from "@/core/words";
import type { ToldHabit } from "./toldHabit";
import { formatShortDate } from "../shell/formatDayDate";
import { tellFigure } from "../taught/tellFigure";

interface Props {
  readonly habit: Pick<ToldHabit, "habit" | "scale" | "word">;
  readonly onSet: () => void;
}

/** A habit set by hand, put back to the craft's, or given back to its log. */
export function SetHabit({ habit: { habit, scale, word }, onSet }: Props) {
  const [text, setText] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const unit = scale === "share" ? "%" : "°C";
  const put = async (to: number | "craft" | "log") => {
    const answer = await fetch("/api/v1/habits", {
      method: "PUT",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ habit, to }),
    }).catch(() => null);
    if (answer?.ok) {
      setFault(null);
      setText("");
      return onSet();
    }
    const faults = answer ? ((await answer.json()) as { faults: readonly { message: string }[] }).faults : [];
    setFault(faults[0]?.message ?? "Tezgah does not answer. Try again.");
  };
  return (
    <section aria-label="Whether its log counts" className="flex flex-col gap-2">
      <p>
        {word === null
          ? "Plans go by its log."
          : word.value === null
            ? `Put back to the craft’s on ${formatShortDate(word.since)}: only what came since counts.`
            : `Set by hand to ${tellFigure(word.value, scale)} on ${formatShortDate(word.since)}: the log does not move it.`}
      </p>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          const parsed = parseNumber(text.replace(/\s*(%|°C)\s*$/, "").replace(/^[−–]/, "-"));
          if (!parsed.ok) return setFault(sayParseFailure(parsed.failure));
          const told = scale === "share" ? parsed.value / 100 : parsed.value;
          const cannotBe = findImplausible(habit, scale === "share" ? Math.log(Math.max(told, 0)) : told);
          if (cannotBe) return setFault(sayHabitFailure(cannotBe));
          void put(told);
        }}
      >
        <label className="flex flex-col gap-1">
          Set by hand, {unit}
          <input
            className="input figure w-32 text-lg"
            value={text}
            placeholder={scale === "share" ? "97" : "−7"}
            onChange={({ target }) => setText(target.value)}
          />
        </label>
        <button type="submit" className="btn btn-primary touch" disabled={text.trim() === ""}>
          Set it
        </button>
        {word?.value !== null && (
          <button type="button" className="btn touch" onClick={() => void put("craft")}>
            Back to the craft’s
          </button>
        )}
        {word !== null && (
          <button type="button" className="btn touch" onClick={() => void put("log")}>
            Let the whole log count
          </button>
        )}
      </form>
      {fault && (
        <p role="alert" className="text-error">
          {fault}
        </p>
      )}
    </section>
  );
}
