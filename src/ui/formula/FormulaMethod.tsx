"use client";

import { Plus, Trash2 } from "lucide-react";
import { MAX_STEP_CHARACTERS } from "@/schemas/limits";
import { TextField } from "../controls/TextField";
import type { FormulaEditProps } from "./FormulaLines";
import { MakingList } from "./MakingList";

function checkStep(text: string): string | null {
  if (text.trim() === "") return "Write what to do, or take the step out.";
  const over = text.trim().length - MAX_STEP_CHARACTERS;
  return over > 0 ? `${over} characters too long. Make two steps of it.` : null;
}

/** How a formula is made: of a filling its steps on the clock; of each the method in words. */
export function FormulaMethod({ formula, save }: FormulaEditProps) {
  const { steps } = formula;
  return (
    <div className="mx-auto flex w-full max-w-4xl flex-col gap-3">
      <h2 className="text-2xl">{formula.name}: how it is made</h2>
      {formula.kind === "filling" && <MakingList filling={formula} save={save} />}
      {formula.kind === "filling" && <h3 className="text-lg">In words</h3>}
      <ol className="flex flex-col gap-2">
        {steps.map((step, i) => (
          <li key={`${i}-${step}`} className="grid grid-cols-[2rem_minmax(0,1fr)_auto] items-start gap-2">
            <span className="figure pt-1.5 text-xl">{i + 1}</span>
            <TextField
              hideLabel
              label={`Step ${i + 1}`}
              value={step}
              check={checkStep}
              onCommit={(text) => save({ ...formula, steps: steps.with(i, text) })}
            />
            <button
              type="button"
              className="btn btn-ghost touch px-2"
              aria-label={`Remove step ${i + 1}`}
              onClick={() => save({ ...formula, steps: steps.toSpliced(i, 1) })}
            >
              <Trash2 size={20} aria-hidden />
            </button>
          </li>
        ))}
      </ol>
      <button
        type="button"
        className="btn touch self-start"
        onClick={() => save({ ...formula, steps: [...steps, "Next step"] })}
      >
        <Plus size={20} aria-hidden /> Another step
      </button>
    </div>
  );
}
