"use client";

import { useState } from "react";
import type { JobSheet } from "@/core/run";
import { Link } from "../controls/Link";
import { AsideLists } from "./AsideLists";
import { BellBanner } from "./BellBanner";
import { JobFace } from "./JobFace";
import { listMeasured } from "./listMeasured";
import { NeedsMore } from "./NeedsMore";
import { RunButtons } from "./RunButtons";
import { RunHeader } from "./RunHeader";
import type { Happening, RunStore } from "./runStore";
import { useBells } from "./useBells";
import { useKnuckle } from "./useKnuckle";
import { useNowMin } from "./useNowMin";
import { useReadings } from "./useReadings";
import { useRunKeys } from "./useRunKeys";
import { WentWrong } from "./WentWrong";
import { useRun } from "./useRun";

interface Props {
  readonly store: RunStore;
  readonly nowMin: () => number;
}

/** The face of a running day: one job, what goes on by itself, what comes next. */
export function RunFace({ store, nowMin: readNowMin }: Props) {
  const { sheet, answer, whose, happen, undo, undoable, take } = useRun(
    store,
    "sheet",
    "answer",
    "whose",
    "happen",
    "undo",
    "undoable",
    "take",
  );
  const nowMin = useNowMin(readNowMin);
  const knock = useKnuckle();
  const [lookedAt, setLookedAt] = useState<string | null>(null);
  const [panel, setPanel] = useState<"more" | "wrong" | null>(null);
  const readings = useReadings(readNowMin);
  const bells = useBells(answer?.bells ?? [], nowMin);
  const jobs = answer ? [answer.view.now, ...answer.view.next].filter((job) => job !== null) : [];
  const sheetOf = (taskId: string) =>
    answer?.changed[taskId] ?? sheet?.jobs.find((job) => job.taskId === taskId);
  const running = answer?.view.byItself ?? [];
  const looked = [...jobs, ...running].find(({ taskId }) => taskId === lookedAt) ?? null;
  const job = looked ?? answer?.view.now ?? null;
  const told = job ? sheetOf(job.taskId) : undefined;

  /** What begins or ends takes with it what the thermometers say of it. */
  const tell = (...happenings: readonly Happening[]) =>
    happen(
      ...happenings.flatMap((each) => {
        if (each.kind !== "begun" && !(each.kind === "done" && each.part === undefined)) return [each];
        const told = sheetOf(each.taskId);
        return told ? [...listMeasured(told, each.kind, readings), each] : [each];
      }),
    );
  const done = () => {
    if (!job || !answer) return;
    setLookedAt(null);
    if (!job.hasBegun) return tell({ kind: "begun", taskId: job.taskId });
    const { now, following } = answer.view;
    tell(
      { kind: "done", taskId: job.taskId },
      ...(following && now?.taskId === job.taskId ? [{ kind: "begun", taskId: following } as const] : []),
    );
  };
  const step = (by: 1 | -1) => {
    const at = jobs.findIndex(({ taskId }) => taskId === job?.taskId);
    const other = jobs[Math.min(Math.max(at + by, 0), jobs.length - 1)];
    setLookedAt(other && other.taskId !== answer?.view.now?.taskId ? other.taskId : null);
  };
  useRunKeys(panel === null, {
    Enter: done,
    m: () => job && setPanel("more"),
    w: () => job && setPanel("wrong"),
    u: () => undoable && knock(undo),
    ArrowDown: () => step(1),
    ArrowRight: () => step(1),
    ArrowUp: () => step(-1),
    ArrowLeft: () => step(-1),
  });
  if (!sheet || !answer) return null;
  const last = undoable;
  const lastJob = last && "taskId" in last && last.taskId !== null ? sheetOf(last.taskId) : undefined;
  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh">
      <RunHeader store={store} nowMin={nowMin} bells={bells} />
      <div className="flex min-h-0 flex-1 flex-col lg:grid lg:grid-cols-[minmax(0,1fr)_26rem]">
        <main id="surface" className="board flex min-h-0 flex-col gap-3 p-4 sm:p-7 lg:overflow-y-auto">
          <BellBanner bells={bells} sheetOf={sheetOf} onHappen={tell} />
          {told && job ? (
            <JobFace
              key={told.taskId}
              job={job}
              told={told}
              sheet={sheet}
              readings={readings}
              run={answer.tasks[job.taskId] ?? null}
              breaches={answer.breached.filter(({ taskId }) => taskId === job.taskId)}
              isLater={looked !== null}
              onBack={() => setLookedAt(null)}
              tasks={answer.tasks}
              onTake={(remedy) => told.pieceId !== null && void take(told.pieceId, remedy)}
              onPoured={(part, massG) =>
                happen(
                  { kind: "poured", taskId: job.taskId, massG },
                  { kind: "done", taskId: job.taskId, part },
                )
              }
              onMeasured={(measured) => happen({ kind: "measured", taskId: job.taskId, ...measured })}
              onCount={(value, part) =>
                happen({
                  kind: "measured",
                  taskId: job.taskId,
                  measure: "cutCount",
                  value,
                  ...(part !== null && { part }),
                })
              }
              onPart={(part) => happen({ kind: "done", taskId: job.taskId, part })}
              onBegin={job.hasBegun ? null : done}
              onHandOver={
                sheet.hasHelper
                  ? () =>
                      happen({
                        kind: "moved",
                        taskId: job.taskId,
                        person: (answer.tasks[job.taskId]?.person ?? told.person) === 0 ? 1 : 0,
                      })
                  : null
              }
            />
          ) : (
            <Rest isOver={answer.view.doneCount === answer.view.taskCount} whose={whose} date={sheet.date} />
          )}
        </main>
        <AsideLists
          sheetOf={sheetOf}
          sheet={sheet}
          answer={answer}
          nowMin={nowMin}
          chosen={looked?.taskId ?? null}
          onChoose={setLookedAt}
        />
      </div>
      <RunButtons
        job={job}
        told={told ?? null}
        begunMin={job ? (answer.tasks[job.taskId]?.begunMin ?? null) : null}
        nowMin={nowMin}
        knock={knock}
        undoing={last ? tellLast(last.kind, last.atMin, lastJob) : null}
        onDone={done}
        onMore={() => setPanel("more")}
        onWrong={() => setPanel("wrong")}
        onUndo={undo}
      />
      <NeedsMore
        open={panel === "more"}
        told={told ?? null}
        onClose={() => setPanel(null)}
        onMore={(minutes) => {
          setPanel(null);
          if (job) happen({ kind: "more", taskId: job.taskId, minutes });
        }}
      />
      <WentWrong
        open={panel === "wrong"}
        told={told ?? null}
        onClose={() => setPanel(null)}
        fillings={sheet.fillings}
        onWrong={(wrong) => {
          setPanel(null);
          if (job) happen({ kind: "wrong", taskId: job.taskId, ...wrong });
        }}
        onRanOut={(formulaId, made) => {
          setPanel(null);
          if (job) happen({ kind: "ranOut", taskId: job.taskId, formulaId, made });
        }}
      />
    </div>
  );
}

const lastWords = {
  begun: "begun",
  done: "done",
  more: "needs more",
  wrong: "went wrong",
  measured: "measured",
  poured: "poured",
  ranOut: "the filling ran out",
  ordered: "another order",
  helped: "another pair of hands",
  told: "told later",
  moved: "handed over",
  note: "a note",
  sold: "sold",
  left: "left over",
  thrown: "thrown out",
  closed: "the day closed",
  leftOut: "left out of the learning",
  undone: "taken back",
} as const;

const tellLast = (kind: keyof typeof lastWords, atMin: number, job: JobSheet | undefined) => ({
  atMin,
  text: job ? `${job.title}: ${lastWords[kind]}` : lastWords[kind],
});

function Rest({
  isOver,
  whose,
  date,
}: {
  readonly isOver: boolean;
  readonly whose: string;
  readonly date: string;
}) {
  return (
    <div className="flex flex-1 flex-col items-start justify-center gap-2">
      <h1 className="text-4xl sm:text-5xl">{isOver ? "All is done." : "Nothing for these hands now."}</h1>
      {isOver ? (
        <Link className="btn btn-primary touch mt-3 text-xl" href={`/run/${date}/close`}>
          Close the day
        </Link>
      ) : (
        <p className="quiet text-xl">
          {whose === "both" ? "What goes on by itself rings." : "Look at “Both” for the other’s jobs."}
        </p>
      )}
    </div>
  );
}
