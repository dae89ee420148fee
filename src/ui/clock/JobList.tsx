"use client";

import { memo, useEffect, useMemo, useRef, useState } from "react";
import type { DayPlan, DayTask } from "@/core/plan";
import { formatClock, formatDuration } from "@/core/units";
import { findLaneOwners } from "./dayLanes";
import { sayPerson } from "./DayClock";
import { joinLots, sayJobs, type JobWords } from "./joinJobs";

interface Props {
  readonly plan: DayPlan;
  readonly nameOf: (pieceOrFormulaId: string) => string;
  readonly sayLoad: (task: DayTask) => JobWords;
  readonly selectedId: string | null;
  readonly hoveredId: string | null;
  /** From when the clock is looked at: the list is then there too. */
  readonly fromMin: number;
  readonly onSelect: (taskId: string) => void;
  readonly onHover: (taskId: string | null) => void;
}

/** A line of the list: a lot of somebody's hands, or a load in the heat. */
interface Row extends JobWords {
  readonly ids: readonly string[];
  readonly startMin: number;
  readonly minutes: number;
}

const HEAT = "heat";

/** The jobs by the clock, of one pair of hands or of all ovens: what is pointed at here is shown on the clock, and the other way. */
export const JobList = memo(function JobList(props: Props) {
  const { plan, nameOf, sayLoad, selectedId, hoveredId, fromMin } = props;
  const { people } = findLaneOwners(plan);
  const [whose, setWhose] = useState("0");
  const chosen = plan.tasks.find(({ id }) => id === selectedId);
  // What is chosen on the clock is shown here, whoever does it.
  const [lastId, setLastId] = useState(selectedId);
  if (selectedId !== lastId) {
    setLastId(selectedId);
    if (chosen) setWhose(chosen.machineId === null ? String(chosen.person) : HEAT);
  }
  const sides = [
    ...Array.from({ length: people }, (_, person) => ({
      id: String(person),
      title: sayPerson(person, people),
    })),
    { id: HEAT, title: "Heat" },
  ];
  const rows = useMemo(() => listRows(plan, whose, nameOf, sayLoad), [plan, whose, nameOf, sayLoad]);
  const list = useRef<HTMLUListElement>(null);
  useEffect(() => {
    list.current?.querySelector('[aria-pressed="true"]')?.scrollIntoView?.({ block: "nearest" });
  }, [selectedId, whose]);
  const firstIn = rows.findIndex(({ startMin, minutes }) => startMin + minutes > fromMin);
  const seenId = useRef(selectedId);
  useEffect(() => {
    // A job that is chosen brings the clock to itself; the list stays under the finger that chose it.
    const isChosenNow = seenId.current !== selectedId;
    seenId.current = selectedId;
    if (isChosenNow) return;
    // Within the list's own frame: nothing else of the screen is moved by a look at the clock.
    const [frame, row] = [list.current, list.current?.children[firstIn]];
    if (frame && row) frame.scrollTop += row.getBoundingClientRect().top - frame.getBoundingClientRect().top;
  }, [firstIn, whose, selectedId]);
  return (
    <div className="flex shrink-0 flex-col gap-2">
      <div role="group" aria-label="Whose jobs" className="flex rounded-lg border-2 border-base-300">
        {sides.map(({ id, title }) => (
          <button
            key={id}
            type="button"
            aria-pressed={id === whose}
            className="touch flex-1 cursor-pointer rounded-md font-bold aria-pressed:bg-(--tally) aria-pressed:text-(--tally-text)"
            onClick={() => setWhose(id)}
          >
            {title}
          </button>
        ))}
      </div>
      <ul
        ref={list}
        aria-label="Jobs by the clock"
        className="flex max-h-[60dvh] flex-col overflow-y-auto lg:max-h-[max(18rem,calc(100dvh-27rem))]"
      >
        {rows.map(({ ids, startMin, minutes, line, count }) => {
          const isChosen = selectedId !== null && ids.includes(selectedId);
          const isHovered = hoveredId !== null && ids.includes(hoveredId);
          return (
            <li key={ids[0]} className="border-t border-base-300 first:border-t-0">
              <button
                type="button"
                aria-pressed={isChosen}
                className={`flex min-h-12 w-full cursor-pointer items-baseline gap-3 rounded-lg border-3 px-2 py-1 text-left ${
                  isChosen
                    ? "border-primary"
                    : isHovered
                      ? "border-base-300 bg-base-200"
                      : "border-transparent"
                }`}
                onClick={() => props.onSelect(ids[0] ?? "")}
                onPointerEnter={() => props.onHover(ids[0] ?? null)}
                onPointerLeave={() => props.onHover(null)}
              >
                <span className="figure">{formatClock(startMin)}</span>
                <span className="min-w-0 flex-1">
                  <span className="block leading-5">{line}</span>
                  <span className="quiet block text-sm">
                    {[count, formatDuration(minutes)].filter(Boolean).join(", ")}
                  </span>
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
});

function listRows(plan: DayPlan, whose: string, nameOf: Props["nameOf"], sayLoad: Props["sayLoad"]): Row[] {
  const { tasks } = plan;
  if (whose === HEAT)
    return tasks
      .filter(({ machineId }) => machineId !== null)
      .toSorted((a, b) => a.placed.startMin - b.placed.startMin)
      .map((task) => ({
        ids: [task.id],
        startMin: task.placed.startMin,
        minutes: task.placed.endMin - task.placed.startMin,
        ...sayLoad(task),
      }));
  return joinLots(
    tasks.filter(({ machineId, person }) => machineId === null && person === Number(whose)),
  ).map((joined) => ({
    ids: joined.jobs.map(({ id }) => id),
    startMin: joined.startMin,
    minutes: joined.endMin - joined.startMin,
    ...sayJobs(joined, nameOf),
  }));
}
