import Link from "next/link";
import type { RunRecord, TaughtHabit } from "@/core/run";
import { formatCount } from "@/core/units";
import { CauseList } from "../remedy/CauseList";
import { formatDayDate } from "../shell/formatDayDate";
import { HabitStrip } from "./HabitStrip";
import { tellFigure } from "./tellFigure";

interface Props {
  readonly record: Pick<RunRecord, "date" | "dayName" | "rows" | "doneCount">;
  readonly taught: readonly TaughtHabit[];
  /** Days with a run before it that were looked at. */
  readonly daysBefore: number;
}

/** Causes that are named of each trouble. */
const CAUSES_SHOWN = 4;

/** What a day taught: which habits moved on what it gave, whether what was expected held, and why what went wrong did. */
export function TaughtPage({ record: { date, dayName, rows, doneCount }, taught, daysBefore }: Props) {
  const lots = taught.reduce((sum, { points }) => sum + points.length, 0);
  const held = taught.reduce((sum, each) => sum + each.held, 0);
  const troubles = rows.flatMap((row) => row.causes.map((cause) => ({ ...cause, row })));
  return (
    <main className="board min-h-dvh p-4 sm:p-7">
      <header className="flex flex-wrap items-center gap-3">
        <div className="min-w-0 flex-1">
          <h1 className="text-3xl sm:text-4xl">What the day taught</h1>
          <p className="quiet">
            {dayName}, {formatDayDate(date)}
          </p>
        </div>
        <Link className="btn touch" href={`/run/${date}/record`}>
          The record
        </Link>
      </header>
      <p className="my-3 text-lg" data-testid="taught">
        {lots === 0
          ? doneCount === 0
            ? "Nothing is done yet: a day teaches by its lots."
            : "Nothing was timed, weighed or read yet."
          : `${formatCount(taught.length, "habit")} by ${formatCount(lots, "figure")}. What was expected nine times in ten held ${held} of ${lots} times.`}
        {lots > 0 &&
          (daysBefore > 0
            ? ` Before it: ${formatCount(daysBefore, "day")}.`
            : " It is the first day: what was expected is the craft’s.")}
      </p>
      <div className="grid gap-8 lg:grid-cols-[minmax(0,1fr)_24rem]">
        <ul aria-label="Habits">
          {taught.map((habit) => (
            <Habit key={`${habit.kind} ${habit.key}`} habit={habit} />
          ))}
        </ul>
        {troubles.length > 0 && (
          <div className="flex flex-col gap-6">
            {troubles.map(({ trouble, figures, row }) => (
              <div key={`${row.job.taskId} ${trouble}`}>
                <h2 className="text-xl">{row.job.title}</h2>
                <CauseList
                  trouble={trouble}
                  figures={figures}
                  now={row.now}
                  most={CAUSES_SHOWN}
                  onTake={null}
                />
              </div>
            ))}
          </div>
        )}
      </div>
    </main>
  );
}

function Habit({ habit }: { readonly habit: TaughtHabit }) {
  const { name, what, scale, before, after, points } = habit;
  const told = (value: number) => tellFigure(value, scale);
  return (
    <li className="flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-base-300 py-2.5">
      <span className="w-52 shrink-0">
        <strong className="block text-lg leading-snug">{name}</strong>
        <span className="quiet text-sm">
          {what}, {formatCount(points.length, "lot")}
        </span>
      </span>
      <HabitStrip habit={habit} />
      <span className="min-w-48 flex-1">
        <span className="block text-lg">
          likely <span className="figure text-2xl">{told(after.mean)}</span>, was {told(before.mean)}
        </span>
        <span className="quiet text-sm">
          the next, nine times in ten, {told(after.nextLow)} to {told(after.nextHigh)}
        </span>
      </span>
    </li>
  );
}
