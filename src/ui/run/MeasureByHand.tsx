"use client";

import { useId, useState } from "react";
import { listAsked, toDeckPart, type AskedMeasure, type JobSheet, type Measure } from "@/core/run";
import { findShownUnit, formatKept } from "@/core/units";
import { measureLimits } from "@/schemas/limits";
import { parseDial } from "../controls/parseDial";

interface Props {
  readonly job: Pick<JobSheet, "kind" | "targets">;
  readonly onMeasured: (measured: Measured) => void;
}

/** A figure of a job; of one deck of its oven by its part. */
export interface Measured {
  readonly measure: Measure;
  readonly value: number;
  readonly part?: string;
}

const names: Readonly<Partial<Record<Measure, string>>> = {
  massG: "One portion",
  coreC: "Core",
  thicknessMm: "Rolled to",
  blankMm: "A blank across, once it lies still",
  trimG: "Trim off the sheet",
  heatUpMin: "It was hot after",
  oilLowC: "Oil at its coldest",
  ovenC: "Oven",
  oilC: "Oil",
};

/** A figure read off a scale, a ruler or a thermometer that Tezgah does not hear. */
export function MeasureByHand({ job, onMeasured }: Props) {
  const all = listAsked(job);
  if (all.length === 0) return null;
  return (
    <details>
      <summary className="touch quiet flex cursor-pointer items-center text-base">Measured by hand</summary>
      <div className="flex flex-wrap gap-x-6 gap-y-2 pb-2">
        {all.map(({ measure, meant, deck }) => (
          <MeasureForm
            key={`${measure} ${deck}`}
            asked={{ measure, meant, deck }}
            onMeasured={(value) =>
              onMeasured({ measure, value, ...(deck !== null && { part: toDeckPart(deck) }) })
            }
          />
        ))}
      </div>
    </details>
  );
}

function MeasureForm({
  asked: { measure, meant, deck },
  onMeasured,
}: {
  readonly asked: AskedMeasure;
  readonly onMeasured: (value: number) => void;
}) {
  const id = useId();
  const [text, setText] = useState("");
  const [said, setSaid] = useState<{ readonly text: string; readonly isFault: boolean } | null>(null);
  const limit = measureLimits[measure];
  const { sign, write } = findShownUnit(limit.unit);
  const note = () => {
    const parsed = parseDial(text, limit);
    if ("fault" in parsed) return setSaid({ text: parsed.fault, isFault: true });
    setText("");
    setSaid({ text: `${formatKept(parsed.value, limit.unit)} noted`, isFault: false });
    onMeasured(parsed.value);
  };
  return (
    <form
      className="flex flex-col gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        note();
      }}
    >
      <label htmlFor={id}>
        {names[measure] ?? measure}
        {deck !== null && `, deck ${deck}`}, {sign}
      </label>
      <span className="flex gap-2">
        <input
          id={id}
          className="input figure h-14 w-28 text-2xl"
          inputMode="decimal"
          autoComplete="off"
          value={text}
          placeholder={meant === null ? "" : write(Number(meant.toFixed(1)))}
          onChange={({ target }) => setText(target.value)}
        />
        <button type="submit" className="btn h-14" disabled={text.trim() === ""}>
          Note it
        </button>
      </span>
      {said && (
        <span role={said.isFault ? "alert" : "status"} className={said.isFault ? "text-error" : "quiet"}>
          {said.text}
        </span>
      )}
    </form>
  );
}
