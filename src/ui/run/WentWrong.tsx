"use client";

import { Minus, Plus } from "lucide-react";
import { useState } from "react";
import { mishaps, type JobSheet, type Mishap } from "@/core/run";
import { MAX_WORD_CHARACTERS } from "@/schemas/limits";
import { Dialog } from "../shell/Dialog";

interface Props {
  readonly open: boolean;
  readonly told: JobSheet | null;
  readonly onClose: () => void;
  readonly onWrong: (mishap: Mishap, count: number, word: string) => void;
}

/** What went wrong, with how many pieces, and a word if one is wanted. */
export function WentWrong({ open, told, onClose, onWrong }: Props) {
  return (
    <Dialog open={open} onClose={onClose} title="What went wrong?">
      {told && <WrongForm told={told} onWrong={onWrong} />}
    </Dialog>
  );
}

function WrongForm({ told, onWrong }: { readonly told: JobSheet; readonly onWrong: Props["onWrong"] }) {
  const [mishap, setMishap] = useState<Mishap | null>(null);
  const [count, setCount] = useState(1);
  const [word, setWord] = useState("");
  // Of a job without pieces any number may be meant; nothing else is asked of it.
  const most = told.pieces > 0 ? told.pieces : Infinity;
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (mishap) onWrong(mishap, count, word);
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
            onClick={() => setMishap(each)}
          >
            {each}
          </button>
        ))}
      </div>
      <div className="flex items-center gap-3" role="group" aria-label="How many">
        <button
          type="button"
          className="btn h-16 w-20"
          aria-label="One less"
          disabled={count <= 1}
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
      <label className="flex flex-col gap-1">
        A word, if wanted
        <input
          className="input h-12 w-full"
          maxLength={MAX_WORD_CHARACTERS}
          value={word}
          onChange={({ target }) => setWord(target.value)}
        />
      </label>
      <button type="submit" className="btn btn-primary figure h-22 text-2xl" disabled={!mishap}>
        {mishap ? `${count} ${mishap}` : "Say what first"}
      </button>
    </form>
  );
}
