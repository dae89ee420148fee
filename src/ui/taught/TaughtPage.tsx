"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { LeftOutFigures, PieceNow, RunEvent, RunRecord, TaughtHabit, TaughtPoint } from "@/core/run";
import { formatCount } from "@/core/units";
import { createId } from "../bench/createId";
import { Link } from "../controls/Link";
import { CauseList } from "../remedy/CauseList";
import { sendEvents } from "../run/sendEvents";
import { formatDayDate } from "../shell/formatDayDate";
import { HabitRow } from "./HabitRow";
import { LeaveOut, type AskedToLeave, type LotToLeave } from "./LeaveOut";
import { NextDay } from "./NextDay";
import { NextTime } from "./NextTime";
import { tellFigure } from "./tellFigure";
import { Scores, type KindScore } from "./Scores";

interface Props {
  readonly record: Pick<RunRecord, "date" | "dayName" | "rows" | "doneCount" | "isClosed">;
  readonly taught: readonly TaughtHabit[];
  readonly leftOut: LeftOutFigures;
  readonly scores: readonly KindScore[];
  /** By piece id: what it is made by now, where it is still in the book. */
  readonly piecesNow: Readonly<Record<string, PieceNow>>;
  /** A minute of the day after all that happened. */
  readonly atMin: number;
}

/** Causes that are named of each trouble. */
const CAUSES_SHOWN = 4;
/** A habit that moved by less of its range is as it was. */
const LEAST_MOVE = 0.03;
/** Where events of this page come from. */
const DEVICE_ID = "taught";

/** What a day taught: which habits moved on what it gave, whether what was expected held, and why what went wrong did. */
export function TaughtPage({ record, taught, leftOut, scores, piecesNow, atMin }: Props) {
  const { date, dayName, rows, doneCount, isClosed } = record;
  const router = useRouter();
  const [asked, setAsked] = useState<AskedToLeave | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const troubles = rows.flatMap((row) => row.causes.map((cause) => ({ ...cause, row })));
  const tell = async (events: readonly object[]) => {
    const { failure } = await sendEvents(
      date,
      events.map(
        (event) => ({ ...event, id: createId("taught"), atMin, person: 0, deviceId: DEVICE_ID }) as RunEvent,
      ),
    );
    setFault(failure && `It could not be kept: ${failure}`);
    if (failure === null) router.refresh();
  };
  const leave: Parameters<typeof LeaveOut>[0]["onLeave"] = (taskIds, word) => {
    void tell(taskIds.map((taskId) => ({ kind: "leftOut", taskId, word })));
    setAsked(null);
  };
  /** A lot by its figure and the job that it is of. */
  const toLot = ({ scale }: TaughtHabit, { value, taskIds }: TaughtPoint): LotToLeave => {
    const title = rows.find(({ job }) => job.taskId === taskIds[0])?.job;
    return { label: [tellFigure(value, scale), title?.title].filter(Boolean).join(", "), taskIds };
  };
  const takeIn = (eventIds: readonly string[]) =>
    void tell(eventIds.map((eventId) => ({ kind: "undone", eventId })));
  const isTold = ({ before, after, scale, moved, held, points }: TaughtHabit) =>
    held < points.length ||
    (moved >= LEAST_MOVE && tellFigure(before.mean, scale) !== tellFigure(after.mean, scale));
  const told = taught.filter(isTold);
  const still = taught.filter((habit) => !isTold(habit));
  const row = (habit: TaughtHabit) => (
    <HabitRow
      key={habit.habit}
      habit={habit}
      leftOut={null}
      onTurn={
        habit.points.some(({ taskIds }) => taskIds.length > 0)
          ? () =>
              setAsked({
                what: `${habit.name}, ${habit.what}`,
                lots: habit.points.map((point) => toLot(habit, point)),
              })
          : null
      }
    />
  );
  return (
    <main className="board flex min-h-dvh flex-col p-4 sm:p-7">
      <header className="flex flex-wrap items-center gap-3">
        <div className="min-w-0 basis-full sm:flex-1 sm:basis-0">
          <h1 className="text-3xl sm:text-4xl">What the day taught</h1>
          <p className="quiet">
            {dayName}, {formatDayDate(date)}
          </p>
        </div>
        {!isClosed && (
          <Link className="btn touch" href={`/run/${date}/close`}>
            Close the day
          </Link>
        )}
        <Link className="btn touch" href="/habits">
          All habits
        </Link>
        <Link className="btn touch" href={`/run/${date}/record`}>
          The record
        </Link>
      </header>
      <p className="my-3 text-lg" data-testid="taught">
        {tellSum(taught, leftOut, doneCount)}
      </p>
      {fault && (
        <p role="alert" className="text-error">
          {fault}
        </p>
      )}
      <div className="grid flex-1 items-start gap-8 lg:grid-cols-[minmax(0,1fr)_24rem]">
        <div>
          <ul aria-label="Habits">
            {told.map(row)}
            {leftOut.habits.map(({ habit, word, eventIds }) => (
              <HabitRow
                key={habit.habit}
                habit={habit}
                leftOut={word}
                onTurn={eventIds.length > 0 ? () => takeIn(eventIds) : null}
              />
            ))}
          </ul>
          {still.length > 0 && (
            <details className="mt-2">
              <summary className="touch flex cursor-pointer items-center">
                {formatCount(still.length, "habit")} hardly moved
              </summary>
              <ul aria-label="Habits that hardly moved">{still.map(row)}</ul>
            </details>
          )}
          {leftOut.day ? (
            <p className="mt-3 flex flex-wrap items-center gap-3">
              The whole day is left out{leftOut.day.word && `: ${leftOut.day.word}`}.
              <button type="button" className="btn touch" onClick={() => takeIn(leftOut.day?.eventIds ?? [])}>
                Take it in again
              </button>
            </p>
          ) : (
            taught.length > 0 && (
              <button
                type="button"
                className="btn touch mt-3"
                onClick={() =>
                  setAsked({ what: `The whole of ${dayName}`, lots: [{ label: dayName, taskIds: [null] }] })
                }
              >
                Leave the whole day out
              </button>
            )
          )}
        </div>
        <div className="flex flex-col gap-6">
          {troubles.map(({ trouble, figures, row }) => (
            <div key={`${row.job.taskId} ${trouble}`}>
              <h2 className="text-xl">{row.job.title}</h2>
              <CauseList
                trouble={trouble}
                figures={figures}
                now={(row.job.pieceId !== null && piecesNow[row.job.pieceId]) || row.now}
                most={CAUSES_SHOWN}
                onTake={null}
                nextTime={(change, { text }, isLikeliest) =>
                  row.job.pieceId !== null &&
                  row.job.pieceId in piecesNow && (
                    <NextTime
                      date={date}
                      pieceId={row.job.pieceId}
                      change={change}
                      text={text}
                      isAskedAtOnce={isLikeliest}
                    />
                  )
                }
              />
            </div>
          ))}
          <Scores scores={scores} />
        </div>
      </div>
      <NextDay date={date} />
      <LeaveOut asked={asked} onClose={() => setAsked(null)} onLeave={leave} />
    </main>
  );
}

function tellSum(taught: readonly TaughtHabit[], leftOut: LeftOutFigures, doneCount: number): string {
  const lots = taught.reduce((sum, { points }) => sum + points.length, 0);
  const held = taught.reduce((sum, each) => sum + each.held, 0);
  if (lots === 0)
    return leftOut.day || leftOut.habits.length > 0
      ? "All that it gave is left out."
      : doneCount === 0
        ? "Nothing is done yet: a day teaches by its lots."
        : "Nothing was timed, weighed or read yet.";
  return `${formatCount(taught.length, "habit")} by ${formatCount(lots, "figure")}. What was expected nine times in ten held ${held} of ${lots} times.`;
}
