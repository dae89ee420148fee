"use client";

import { Minus, Plus } from "lucide-react";
import { useState } from "react";
import { mishaps, type JobSheet, type Mishap, type RunSheet } from "@/core/run";
import { MAX_WORD_CHARACTERS } from "@/schemas/limits";
import { Dialog } from "../shell/Dialog";

/** What went wrong with pieces. */
export interface Wrong {
  readonly mishap: Mishap;
  readonly count: number;
  readonly word: string;
  /** They go no further. */
  readonly isLost: boolean;
}

interface Props {
  readonly open: boolean;
  readonly told: JobSheet | null;
  readonly fillings: RunSheet["fillings"];
  readonly onClose: () => void;
  readonly onWrong: (wrong: Wrong) => void;
  /** Of a filling nothing is left after so many pieces. */
  readonly onRanOut: (formulaId: string, made: number) => void;
}

/** What is chosen first: pieces that nobody sells. */
const usuallyLost: ReadonlySet<Mishap> = new Set(["torn", "burnt", "stuck", "dropped"]);

/** What went wrong, with how many pieces, whether they are lost, and a word if one is wanted. */
export function WentWrong({ open, onClose, told, ...props }: Props) {
  return (
    <Dialog open={open} onClose={onClose} title="What went wrong?">
      {told && <WrongForm told={told} {...props} />}
    </Dialog>
  );
}

/** A trouble, or that a filling ran out. */
type Choice = { readonly mishap: Mishap } | { readonly formulaId: string; readonly name: string };

/** The form by itself. */
export function WrongForm({
  told,
  fillings,
  onWrong,
  onRanOut,
}: Omit<Props, "open" | "onClose" | "told"> & { readonly told: JobSheet }) {
  const [choice, setChoice] = useState<Choice | null>(null);
  const [count, setCount] = useState(1);
  const [isLost, setLost] = useState(false);
  const [word, setWord] = useState("");
  // Of a job without pieces any number may be meant; nothing else is asked of it.
  const most = told.pieces > 0 ? told.pieces : Infinity;
  const takes = fillings.filter(({ id }) => told.lot?.takes.includes(id));
  const mishap = choice && "mishap" in choice ? choice.mishap : null;
  const out = choice && "formulaId" in choice ? choice : null;
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (mishap) onWrong({ mishap, count, word, isLost: isLost && told.lot !== null });
        else if (out) onRanOut(out.formulaId, count);
      }}
    >
      <p className="quiet">{told.title}</p>
      <div className="grid grid-cols-3 gap-2" role="group" aria-label="What">
        {mishaps.map((each, i) => (
          <button
            key={each}
            type="button"
            data-first={i === 0 ? true : undefined}
            aria-pressed={mishap === each}
            className="btn h-16 px-1 text-lg aria-pressed:btn-primary"
            onClick={() => {
              setChoice({ mishap: each });
              setLost(usuallyLost.has(each));
            }}
          >
            {each}
          </button>
        ))}
        {takes.map((filling) => (
          <button
            key={filling.id}
            type="button"
            aria-pressed={out?.formulaId === filling.id}
            className="btn col-span-3 h-16 px-1 text-lg aria-pressed:btn-primary"
            onClick={() => setChoice({ formulaId: filling.id, name: filling.name })}
          >
            {filling.name} ran out
          </button>
        ))}
      </div>
      {out && <p>How many are filled of this load? What is still to be filled with it gets none.</p>}
      <div className="flex items-center gap-3" role="group" aria-label="How many">
        <button
          type="button"
          className="btn h-16 w-20"
          aria-label="One less"
          disabled={count <= (out ? 0 : 1)}
          onClick={() => setCount(count - 1)}
        >
          <Minus aria-hidden />
        </button>
        <output className="figure flex-1 text-center text-5xl" aria-live="polite">
          {count}
        </output>
        <button
          type="button"
          className="btn h-16 w-20"
          aria-label="One more"
          disabled={count >= most}
          onClick={() => setCount(count + 1)}
        >
          <Plus aria-hidden />
        </button>
        <button
          type="button"
          className="btn h-16"
          disabled={count + 5 > most}
          onClick={() => setCount(count + 5)}
        >
          +5
        </button>
      </div>
      {told.pieces > 0 && <p className="quiet text-sm">of {told.pieces}</p>}
      {mishap && told.lot && (
        <div className="grid grid-cols-2 gap-2" role="group" aria-label="What becomes of them">
          {[false, true].map((lost) => (
            <button
              key={String(lost)}
              type="button"
              aria-pressed={isLost === lost}
              className="btn h-14 text-lg aria-pressed:btn-primary"
              onClick={() => setLost(lost)}
            >
              {lost ? "Lost" : "They go on"}
            </button>
          ))}
        </div>
      )}
      {!out && (
        <label className="flex flex-col gap-1">
          A word, if wanted
          <input
            className="input h-12 w-full"
            maxLength={MAX_WORD_CHARACTERS}
            value={word}
            onChange={({ target }) => setWord(target.value)}
          />
        </label>
      )}
      <button type="submit" className="btn btn-primary figure h-22 text-2xl" disabled={!choice}>
        {mishap
          ? `${count} ${mishap}${isLost && told.lot ? " and lost" : ""}`
          : out
            ? `${count} filled, ${out.name} is out`
            : "Say what first"}
      </button>
    </form>
  );
}
