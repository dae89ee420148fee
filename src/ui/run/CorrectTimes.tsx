"use client";

import { useState } from "react";
import { correctTimes, type RecordRow, type RunEvent } from "@/core/run";
import { formatClock, parseClock } from "@/core/units";
import { createId } from "../bench/createId";
import { Dialog } from "../shell/Dialog";

interface Props {
  /** Null while nothing is corrected. */
  readonly row: RecordRow | null;
  readonly date: string;
  readonly events: readonly RunEvent[];
  readonly onClose: () => void;
  readonly onCorrected: () => void;
}

/** When a job was really begun and done, told afterwards. */
export function CorrectTimes({ row, onClose, ...props }: Props) {
  return (
    <Dialog open={row !== null} onClose={onClose} title="When was it really?">
      {row && <TimesForm row={row} {...props} />}
    </Dialog>
  );
}

function TimesForm({
  row,
  date,
  events,
  onCorrected,
}: Omit<Props, "row" | "onClose"> & { readonly row: RecordRow }) {
  const { job, begunMin, doneMin, plannedStartMin, plannedEndMin } = row;
  const [from, setFrom] = useState(formatClock(begunMin ?? plannedStartMin));
  const [until, setUntil] = useState(formatClock(doneMin ?? plannedEndMin));
  const [fault, setFault] = useState<string | null>(null);
  const save = async () => {
    const [begun, done] = [parseClock(from), parseClock(until)];
    if (!begun.ok) return setFault(`Begun: ${begun.failure}`);
    if (!done.ok) return setFault(`Done: ${done.failure}`);
    if (done.value <= begun.value)
      return setFault(
        `It would be done ${formatClock(done.value)}, before it was begun. Give a later time to “done”.`,
      );
    const stamp = {
      createId: () => createId("correction"),
      atMin: done.value,
      person: job.person,
      deviceId: "record",
    };
    const corrections = correctTimes(
      events,
      job.taskId,
      { begunMin: begun.value, doneMin: done.value },
      stamp,
    );
    const answer = await fetch(`/api/v1/runs/${date}/events`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ events: corrections }),
    }).catch(() => null);
    if (!answer?.ok) return setFault("It could not be kept: Tezgah does not answer. Try again.");
    const { refused } = (await answer.json()) as {
      refused: readonly { readonly faults: readonly { readonly message: string }[] }[];
    };
    if (refused[0])
      return setFault(`It could not be kept: ${refused[0].faults[0]?.message ?? "give another time."}`);
    onCorrected();
  };
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <p className="quiet">{job.title}</p>
      <label className="flex flex-col gap-1">
        Begun
        <input
          data-first
          className="input w-full"
          value={from}
          onChange={({ target }) => setFrom(target.value)}
        />
      </label>
      <label className="flex flex-col gap-1">
        Done
        <input className="input w-full" value={until} onChange={({ target }) => setUntil(target.value)} />
      </label>
      {fault && (
        <p role="alert" className="text-error">
          {fault}
        </p>
      )}
      <button type="submit" className="btn btn-primary touch">
        Keep it so
      </button>
    </form>
  );
}
