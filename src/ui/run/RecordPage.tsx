"use client";

import { Download, Printer } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { RecordRow, RunEvent, RunRecord } from "@/core/run";
import { formatClock, formatDuration, formatNumber, formatScale } from "@/core/units";
import { Link } from "../controls/Link";
import { formatDayDate } from "../shell/formatDayDate";
import { CorrectJob } from "./CorrectJob";
import { tellMishap, tellReading } from "./tellEvent";
import { DataTable, type Column } from "../table/DataTable";

interface Props {
  readonly record: RunRecord;
  readonly events: readonly RunEvent[];
}

/** The day's record: each job planned and real, what went wrong and who; corrected, printed, written out, kept in the log. */
export function RecordPage({ record, events }: Props) {
  const router = useRouter();
  const [correctedId, setCorrectedId] = useState<string | null>(null);
  const {
    date,
    dayName,
    rows,
    doneCount,
    tookMin,
    plannedMin,
    faults,
    takenBack,
    notes,
    short,
    names,
    isClosed,
  } = record;
  const api = `/api/v1/runs/${date}`;
  return (
    <main className="board min-h-dvh p-4 sm:p-7 print:bg-white print:p-0">
      <header className="flex flex-wrap items-center gap-3">
        <div className="min-w-0 flex-1">
          <h1 className="text-3xl">{dayName}, as it went</h1>
          <p className="quiet">{formatDayDate(date)}</p>
        </div>
        <div className="no-print flex flex-wrap gap-2">
          <Link className="btn touch" href={`/run/${date}`}>
            To the run
          </Link>
          <Link className="btn touch" href={`/run/${date}/taught`}>
            What it taught
          </Link>
          <Link className="btn btn-primary touch" href={`/run/${date}/close`}>
            {isClosed ? "Closed" : "Close the day"}
          </Link>
          <button type="button" className="btn touch" onClick={() => window.print()}>
            <Printer size={20} aria-hidden /> Print
          </button>
          <a className="btn touch" href={`${api}/record?form=csv`}>
            <Download size={20} aria-hidden /> CSV
          </a>
          <a className="btn touch" href={`${api}/record`}>
            <Download size={20} aria-hidden /> JSON
          </a>
        </div>
      </header>
      <dl className="my-4 flex flex-wrap gap-x-10 gap-y-3">
        <Sum value={`${doneCount} of ${rows.filter(isNeeded).length}`} what="jobs done" />
        {doneCount > 0 && (
          <Sum
            value={formatDuration(tookMin)}
            what={`they took; ${formatDuration(plannedMin)} were planned`}
          />
        )}
        {Object.entries(faults).map(([mishap, count]) => (
          <Sum key={mishap} value={String(count)} what={mishap} />
        ))}
        {takenBack > 0 && <Sum value={String(takenBack)} what="taken back" />}
      </dl>
      {short.map(({ pieceId, dueMin, promised, made }) => (
        <p key={`${pieceId} ${dueMin}`} className="text-error">
          {names[pieceId] ?? pieceId}: {made} of {promised} promised for {formatClock(dueMin)}
        </p>
      ))}
      {notes.map((word, i) => (
        <p key={i}>{word}</p>
      ))}
      <DataTable
        caption="Each job, planned and real"
        columns={listRecordColumns((row) => setCorrectedId(row.job.taskId))}
        rows={rows}
        idOf={({ job }) => job.taskId}
      />
      <CorrectJob
        row={rows.find(({ job }) => job.taskId === correctedId) ?? null}
        record={record}
        events={events}
        onClose={() => setCorrectedId(null)}
        onCorrected={() => router.refresh()}
      />
    </main>
  );
}

function Sum({ value, what }: { readonly value: string; readonly what: string }) {
  return (
    <div className="flex flex-col-reverse">
      <dt className="quiet">{what}</dt>
      <dd className="figure text-4xl">{value}</dd>
    </div>
  );
}

const offOf = ({ job, tookMin }: RecordRow): number | null =>
  tookMin === null ? null : tookMin - job.plannedMin;

const listRecordColumns = (onCorrect: (row: RecordRow) => void): Column<RecordRow>[] => [
  {
    id: "job",
    title: "Job",
    cell: (row) => (
      <>
        {row.job.title}
        <span className="quiet block text-sm">
          {[row.job.about, (row.person ?? row.job.person) > 0 ? "helper" : ""].filter(Boolean).join(" · ")}
        </span>
        <span className="block text-sm sm:hidden">{tellWhat(row, row.moreMin)}</span>
      </>
    ),
  },
  {
    id: "planned",
    title: "Planned",
    isFigure: true,
    className: "whitespace-nowrap",
    cell: ({ plannedStartMin }) => formatClock(plannedStartMin),
    sortBy: ({ plannedStartMin }) => plannedStartMin,
  },
  {
    id: "really",
    title: "Really",
    isFigure: true,
    className: "figure whitespace-normal sm:whitespace-nowrap",
    cell: ({ begunMin, doneMin }) => (
      <>
        {begunMin === null ? "–" : formatClock(begunMin)}
        {doneMin !== null && (
          <>
            –<wbr className="sm:hidden" />
            {formatClock(doneMin)}
          </>
        )}
      </>
    ),
    sortBy: ({ begunMin }) => begunMin,
  },
  {
    id: "took",
    title: "Took",
    isMostFirst: true,
    isFigure: true,
    className: "whitespace-nowrap",
    cell: (row) => <Took row={row} />,
    // The farthest over its plan first.
    sortBy: offOf,
  },
  {
    id: "what",
    title: "What happened",
    from: "sm",
    cell: (row) => tellWhat(row, row.moreMin),
  },
  {
    id: "correct",
    title: "Correct",
    isTitleHidden: true,
    isFigure: true,
    isScreenOnly: true,
    cell: (row) => (
      <button
        type="button"
        className="btn btn-ghost touch px-2"
        aria-label={`Correct ${row.job.title}`}
        onClick={() => onCorrect(row)}
      >
        correct
      </button>
    ),
  },
];

function Took({ row }: { readonly row: RecordRow }) {
  const off = offOf(row);
  if (row.tookMin === null || off === null) return null;
  return (
    <>
      {formatDuration(row.tookMin)}
      {Math.abs(off) >= 1 && (
        <span className={`block text-sm ${off > 0 ? "text-error" : "quiet"}`}>
          {off > 0 ? "+" : "−"}
          {formatNumber(Math.abs(off))} min
        </span>
      )}
    </>
  );
}

/** What nothing was left for has not to be done. */
const isNeeded = ({ job, pieces, begunMin }: RecordRow): boolean =>
  begunMin !== null || pieces > 0 || job.pieces === 0;

const tellWhat = (row: RecordRow, moreMin: number): string => {
  const { job, pieces, mishaps, measured, notes, pouredG, ranOutAt } = row;
  if (!isNeeded(row)) return "nothing was left for it";
  return [
    ...(pieces !== job.pieces ? [`${pieces} of ${job.pieces}`] : []),
    ...(ranOutAt !== null ? [`the filling ran out at ${ranOutAt}`] : []),
    ...(moreMin > 0 ? [`needed ${formatDuration(moreMin)} more`] : []),
    ...mishaps.map(tellMishap),
    ...(pouredG > 0 ? [`${formatScale(pouredG)} poured`] : []),
    ...measured.map(tellReading),
    ...notes,
  ].join("; ");
};
