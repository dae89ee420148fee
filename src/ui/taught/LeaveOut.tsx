"use client";

import { useState } from "react";
import { MAX_WORD_CHARACTERS } from "@/schemas/limits";
import { Dialog } from "../shell/Dialog";

/** A lot that may be left out; with no task the whole day. */
export interface LotToLeave {
  readonly label: string;
  readonly taskIds: readonly (string | null)[];
}

/** What is asked about. */
export interface AskedToLeave {
  readonly what: string;
  /** Where there are several they are chosen from. */
  readonly lots: readonly LotToLeave[];
}

interface Props {
  /** Null while nothing is asked. */
  readonly asked: AskedToLeave | null;
  readonly onClose: () => void;
  readonly onLeave: (taskIds: readonly (string | null)[], word: string) => void;
}

/** Asks why something is left out of the learning. */
export function LeaveOut({ asked, onClose, onLeave }: Props) {
  return (
    <Dialog open={asked !== null} onClose={onClose} title="Leave it out">
      {asked !== null && <WordForm key={asked.what} asked={asked} onLeave={onLeave} />}
    </Dialog>
  );
}

function WordForm({
  asked: { what, lots },
  onLeave,
}: {
  readonly asked: AskedToLeave;
  readonly onLeave: Props["onLeave"];
}) {
  const [word, setWord] = useState("");
  const [taken, setTaken] = useState<ReadonlySet<number>>(new Set());
  const chosen = lots.filter((_, i) => !taken.has(i));
  const turn = (i: number) =>
    setTaken(new Set(taken.has(i) ? [...taken].filter((each) => each !== i) : [...taken, i]));
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        onLeave([...new Set(chosen.flatMap(({ taskIds }) => taskIds))], word.trim());
      }}
    >
      <p>{what}. It stays on record; plans do not learn from it until it is taken in again.</p>
      {lots.length > 1 && (
        <fieldset>
          <legend className="quiet text-sm">Which lots</legend>
          {lots.map(({ label }, i) => (
            <label key={i} className="touch flex items-center gap-3">
              <input type="checkbox" className="checkbox" checked={!taken.has(i)} onChange={() => turn(i)} />
              {label}
            </label>
          ))}
        </fieldset>
      )}
      <label className="flex flex-col gap-1">
        Why
        <input
          data-first
          className="input w-full"
          maxLength={MAX_WORD_CHARACTERS}
          placeholder="the freezer was off"
          value={word}
          onChange={({ target }) => setWord(target.value)}
        />
      </label>
      <button type="submit" className="btn btn-primary touch" disabled={chosen.length === 0}>
        Leave it out
      </button>
    </form>
  );
}
