import { useState } from "react";
import type { ClosingAnswers, LeftOver } from "@/core/run";
import { formatMass } from "@/core/units";
import { parseKept } from "../larder/parseKept";

interface Props {
  readonly left: LeftOver;
  /** The day itself: nothing is used by an earlier date. */
  readonly from: string;
  /** What is kept; null while it cannot be read. */
  readonly onKept: (kept: ClosingAnswers["left"][string] | null) => void;
}

/** How much of one thing is kept, and until when. */
export function LeftRow({ left, from, onKept }: Props) {
  const isMass = left.kind === "dough" || left.kind === "filling";
  const [amount, setAmount] = useState(isMass ? formatMass(left.massG) : String(left.count));
  const [useBy, setUseBy] = useState(left.useBy);
  const [fault, setFault] = useState<string | null>(null);
  const change = (text: string, date: string) => {
    setAmount(text);
    setUseBy(date);
    const kept = parseKept(text, date, isMass, from);
    setFault(kept.ok ? null : kept.failure);
    onKept(kept.ok ? kept.value : null);
  };
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-base-300 py-2">
      <strong className="min-w-40 flex-1 text-lg">{left.label}</strong>
      <input
        className="input figure w-32 text-right text-2xl"
        aria-label={`${left.label} kept`}
        value={amount}
        onChange={({ target }) => change(target.value, useBy)}
      />
      <label className="flex items-center gap-2 text-sm">
        use by
        <input
          type="date"
          className="input w-40"
          value={useBy}
          min={from}
          onChange={({ target }) => change(amount, target.value)}
        />
      </label>
      {fault && (
        <p role="alert" className="basis-full text-sm text-error">
          {fault}
        </p>
      )}
    </li>
  );
}
