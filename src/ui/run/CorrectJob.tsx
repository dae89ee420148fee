"use client";

import { useState } from "react";
import { correctCount, correctTimes, type RecordRow, type RunEvent, type RunRecord } from "@/core/run";
import { formatClock, parseClock } from "@/core/units";
import { sayParseFailure } from "@/core/words";
import { createId } from "../bench/createId";
import { Dialog } from "../shell/Dialog";
import { CauseList } from "../remedy/CauseList";
import { CutCounts } from "./CutCounts";
import { MeasureByHand } from "./MeasureByHand";
import { sendEvents } from "./sendEvents";
import { tellEvent } from "./tellEvent";
import { WrongForm, type Wrong } from "./WentWrong";

interface Props {
  /** Null while nothing is corrected. */
  readonly row: RecordRow | null;
  readonly record: Pick<RunRecord, "date" | "fillings">;
  readonly events: readonly RunEvent[];
  readonly onClose: () => void;
  readonly onCorrected: () => void;
}

/** All that may have been it. */
const MOST_CAUSES = 8;
/** Where events of the record page come from. */
const DEVICE_ID = "record";

/** What really happened with a job, told afterwards: when, how many, what went wrong, and what of it was told wrongly. */
export function CorrectJob({ row, onClose, ...props }: Props) {
  return (
    <Dialog open={row !== null} onClose={onClose} title="How was it really?">
      {row && <JobForm key={row.job.taskId} row={row} onClose={onClose} {...props} />}
    </Dialog>
  );
}

function JobForm({
  row,
  record: { date, fillings },
  events,
  onClose,
  onCorrected,
}: Omit<Props, "row"> & { readonly row: RecordRow }) {
  const { job, begunMin, doneMin, plannedStartMin, plannedEndMin, measured } = row;
  const [fault, setFault] = useState<string | null>(null);
  const [isAdding, setAdding] = useState(false);
  const atMin = doneMin ?? begunMin ?? plannedEndMin;
  const stamp = { createId: () => createId("correction"), atMin, person: job.person, deviceId: DEVICE_ID };
  const about = { taskId: job.taskId };
  const send = async (corrections: readonly RunEvent[]): Promise<boolean> => {
    const { failure } = await sendEvents(date, corrections);
    setFault(failure && `It could not be kept: ${failure}`);
    if (failure === null) onCorrected();
    return failure === null;
  };
  /** One thing more about this job, at its own time. */
  const tell = (event: object) =>
    void send([
      {
        ...event,
        id: createId("correction"),
        atMin,
        person: job.person,
        deviceId: DEVICE_ID,
      } as RunEvent,
    ]);
  if (isAdding)
    return (
      <WrongForm
        told={job}
        fillings={fillings}
        onWrong={(wrong: Wrong) => {
          setAdding(false);
          tell({ ...about, kind: "wrong", ...wrong });
        }}
        onRanOut={(formulaId, made) => {
          setAdding(false);
          tell({ ...about, kind: "ranOut", formulaId, made });
        }}
      />
    );
  return (
    <div className="flex flex-col gap-4">
      <p className="quiet">{job.title}</p>
      <TimesForm
        from={formatClock(begunMin ?? plannedStartMin)}
        until={formatClock(doneMin ?? plannedEndMin)}
        onFault={setFault}
        onTimes={async (times) => {
          if (await send(correctTimes(events, job.taskId, times, stamp))) onClose();
        }}
      />
      {fault && (
        <p role="alert" className="text-error">
          {fault}
        </p>
      )}
      {job.drawing?.kind === "sheet" && (
        <CutCounts
          drawing={job.drawing}
          measured={measured}
          onCount={(value, part) => void send(correctCount(events, job.taskId, part, value, stamp))}
        />
      )}
      <MeasureByHand job={job} onMeasured={(measured) => tell({ ...about, kind: "measured", ...measured })} />
      <ToldList
        told={events.filter(
          (event) => "taskId" in event && event.taskId === job.taskId && tellEvent(event) !== null,
        )}
        onTakeBack={(eventId) => tell({ kind: "undone", eventId })}
      />
      {row.causes.map(({ trouble, figures }) => (
        <CauseList
          key={trouble}
          trouble={trouble}
          figures={figures}
          now={row.now}
          most={MOST_CAUSES}
          onTake={null}
        />
      ))}
      <button type="button" className="btn touch" onClick={() => setAdding(true)}>
        Something went wrong
      </button>
    </div>
  );
}

function TimesForm({
  from: firstFrom,
  until: firstUntil,
  onFault,
  onTimes,
}: {
  readonly from: string;
  readonly until: string;
  readonly onFault: (fault: string) => void;
  readonly onTimes: (times: { readonly begunMin: number; readonly doneMin: number }) => Promise<void>;
}) {
  const [from, setFrom] = useState(firstFrom);
  const [until, setUntil] = useState(firstUntil);
  const save = () => {
    const [begun, done] = [parseClock(from), parseClock(until)];
    if (!begun.ok) return onFault(`Begun: ${sayParseFailure(begun.failure)}`);
    if (!done.ok) return onFault(`Done: ${sayParseFailure(done.failure)}`);
    if (done.value <= begun.value)
      return onFault(
        `It would be done ${formatClock(done.value)}, before it was begun. Give a later time to “done”.`,
      );
    void onTimes({ begunMin: begun.value, doneMin: done.value });
  };
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <label className="flex flex-1 flex-col gap-1">
        Begun
        <input
          data-first
          className="input w-full"
          value={from}
          onChange={({ target }) => setFrom(target.value)}
        />
      </label>
      <label className="flex flex-1 flex-col gap-1">
        Done
        <input className="input w-full" value={until} onChange={({ target }) => setUntil(target.value)} />
      </label>
      <button type="submit" className="btn btn-primary touch">
        Keep it so
      </button>
    </form>
  );
}

/** What was told of a job and stands, each to be taken back. */
function ToldList({
  told,
  onTakeBack,
}: {
  readonly told: readonly RunEvent[];
  readonly onTakeBack: (eventId: string) => void;
}) {
  if (told.length === 0) return null;
  return (
    <ul aria-label="What was told">
      {told.map((event) => (
        <li key={event.id} className="flex items-center gap-3 border-t border-base-300 py-1">
          <span className="flex-1">
            {formatClock(Math.floor(event.atMin))} {tellEvent(event)}
          </span>
          <button type="button" className="btn touch" onClick={() => onTakeBack(event.id)}>
            Take it back
          </button>
        </li>
      ))}
    </ul>
  );
}
