"use client";

import type { JobSheet, RunSheet } from "@/core/run";
import { formatClock, formatCount, formatDuration, formatHeat } from "@/core/units";
import type { RunAnswer } from "@/workers/createRunClient";
import { formatLeft } from "./countDown";

interface Props {
  readonly sheetOf: (taskId: string) => JobSheet | undefined;
  readonly sheet: Pick<RunSheet, "machines" | "ovenScale">;
  readonly answer: RunAnswer;
  readonly nowMin: number;
  readonly chosen: string | null;
  readonly onChoose: (taskId: string) => void;
}

/** Jobs that are named after the one now. */
const NAMED = 4;
/** Less than this is soon, min. */
const SOON_MIN = 3;
/** From here on nobody counts seconds, min. */
const LONG_MIN = 60;

/** What goes on by itself with the time it has left, and what comes next. */
export function AsideLists({
  sheetOf,
  sheet: { machines, ovenScale },
  answer,
  nowMin,
  chosen,
  onChoose,
}: Props) {
  const { view, bells } = answer;
  const nameOf = (taskId: string) => sheetOf(taskId)?.title ?? taskId;
  const rows = [
    ...view.byItself.map(({ taskId, endMin }) => {
      const bell = bells.find((each) => each.taskId === taskId && each.dueMin > nowMin);
      return {
        id: taskId,
        taskId,
        dueMin: bell?.dueMin ?? endMin,
        text: nameOf(taskId),
        detail: [sheetOf(taskId)?.about, bell?.lookFor].filter(Boolean).join(" · "),
      };
    }),
    ...view.standing.map(({ taskId, afterTaskId, readyMin }) => {
      const stood = sheetOf(taskId)?.stands.at(-1);
      // A dough rests and a filling cools before anything is made of it.
      const name = stood?.name ?? (sheetOf(afterTaskId)?.kind === "mix" ? "Rest" : "Cool");
      return {
        id: `before ${taskId}`,
        taskId,
        dueMin: readyMin,
        text: `${name}, after: ${nameOf(afterTaskId)}`,
        detail: [stood?.lookFor, `then ${nameOf(taskId)}`].filter(Boolean).join(" · "),
      };
    }),
    ...view.heating.map(({ resourceId, toC, hotMin, taskId }) => ({
      id: resourceId,
      taskId,
      dueMin: hotMin,
      text: `${machines.find((machine) => machine.resourceId === resourceId)?.name ?? "Heat"} on its way to ${formatHeat(toC, ovenScale)}`,
      detail: `for: ${nameOf(taskId)}`,
    })),
  ]
    .map((row) => ({ ...row, leftMin: Math.max(row.dueMin - nowMin, 0) }))
    .sort((a, b) => a.leftMin - b.leftMin);
  const last = view.next.at(-1);
  return (
    <aside className="flex flex-col gap-6 border-base-300 bg-base-100 p-4 sm:p-6 lg:overflow-y-auto lg:border-l">
      <section aria-labelledby="by-itself">
        <h2 id="by-itself" className="quiet text-base font-bold">
          Going on by itself
        </h2>
        {rows.length === 0 && <p className="quiet py-2">Nothing.</p>}
        <ul>
          {rows.map(({ id, taskId, leftMin, text, detail }) => (
            <li key={id} className="border-b border-base-300">
              <button
                type="button"
                className="flex w-full cursor-pointer items-center gap-4 py-2 text-left"
                onClick={() => onChoose(taskId)}
              >
                <span
                  className={`figure w-24 shrink-0 tabular-nums ${leftMin < LONG_MIN ? "text-4xl" : "text-2xl"} ${leftMin < SOON_MIN ? "text-error" : ""}`}
                >
                  {leftMin < LONG_MIN ? formatLeft(leftMin) : formatDuration(leftMin)}
                </span>
                <span className="min-w-0">
                  <span className="block leading-snug">{text}</span>
                  {detail && <span className="quiet block text-sm">{detail}</span>}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </section>
      <section aria-labelledby="then">
        <h2 id="then" className="quiet text-base font-bold">
          Then
        </h2>
        <ol>
          {view.next.slice(0, NAMED).map(({ taskId, startMin }) => (
            <li key={taskId} className="border-b border-base-300">
              <button
                type="button"
                aria-pressed={chosen === taskId}
                className="flex min-h-12 w-full cursor-pointer items-baseline gap-4 py-2 text-left aria-pressed:bg-base-200"
                onClick={() => onChoose(taskId)}
              >
                <span className="figure w-16 shrink-0 text-xl">{formatClock(startMin)}</span>
                <span className="min-w-0">
                  {nameOf(taskId)}
                  <span className="quiet block text-sm">{sheetOf(taskId)?.about}</span>
                </span>
              </button>
            </li>
          ))}
        </ol>
        {view.next.length > NAMED && last && (
          <p className="quiet py-2">
            and {formatCount(view.next.length - NAMED, "more job")}, the last at {formatClock(last.startMin)}
          </p>
        )}
      </section>
    </aside>
  );
}
