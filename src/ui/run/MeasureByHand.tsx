"use client";

import { useId, useState } from "react";
import { listAsked, toDeckPart, type AskedMeasure, type JobSheet, type Measure } from "@/core/run";
import { formatNumber, parseNumber } from "@/core/units";
import { sayParseFailure } from "@/core/words";
import { describeLimitFault } from "@/schemas/checkValue";
import { measureLimits } from "@/schemas/limits";

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

const facts: Readonly<Partial<Record<Measure, { readonly what: string; readonly unit: string }>>> = {
  massG: { what: "One portion", unit: "g" },
  coreC: { what: "Core", unit: "°C" },
  thicknessMm: { what: "Rolled to", unit: "mm" },
  blankMm: { what: "A blank across, once it lies still", unit: "mm" },
  trimG: { what: "Trim off the sheet", unit: "g" },
  heatUpMin: { what: "It was hot after", unit: "min" },
  oilLowC: { what: "Oil at its coldest", unit: "°C" },
  ovenC: { what: "Oven", unit: "°C" },
  oilC: { what: "Oil", unit: "°C" },
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
  const { what, unit } = facts[measure] ?? { what: measure, unit: "" };
  const note = () => {
    const parsed = parseNumber(text.replace(/\s*(mm|min|g|°?C)\s*$/i, ""));
    const fault = parsed.ok
      ? describeLimitFault(parsed.value, measureLimits[measure])
      : sayParseFailure(parsed.failure);
    if (!parsed.ok || fault !== null) return setSaid({ text: fault ?? "", isFault: true });
    setText("");
    setSaid({ text: `${formatNumber(parsed.value, 1)} ${unit} noted`, isFault: false });
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
        {what}
        {deck !== null && `, deck ${deck}`}, {unit}
      </label>
      <span className="flex gap-2">
        <input
          id={id}
          className="input figure h-14 w-28 text-2xl"
          inputMode="decimal"
          autoComplete="off"
          value={text}
          placeholder={meant === null ? "" : formatNumber(meant, 1)}
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
