import { expose } from "comlink";
import { metricMeasures, setHouseMeasures } from "@/core/units";
import {
  followRun,
  listBells,
  listRunMends,
  tellCounts,
  tellMoved,
  viewRun,
  type Bell,
  type Counts,
  type JobSheet,
  type Retimed,
  type RunEvent,
  type RunFollower,
  type RunMend,
  type RunSheet,
  type RunState,
  type RunView,
} from "@/core/run";

/** Whose jobs are shown: a person's, or everyone's. */
export type Whose = "baker" | "helper" | "both";

export interface RunQuestion {
  readonly events: readonly RunEvent[];
  readonly nowMin: number;
  readonly whose: Whose;
}

/** Where the day stands, for the face. */
export interface RunAnswer {
  readonly view: RunView;
  readonly tasks: RunState["tasks"];
  /** What counts, the newest last. */
  readonly counted: readonly RunEvent[];
  /** Jobs that are done to another number of pieces than planned, by task id. */
  readonly changed: Readonly<Record<string, JobSheet>>;
  /** Promises for which there are not enough pieces any more. */
  readonly short: Counts["short"];
  readonly lastId: string | null;
  readonly bells: readonly Bell[];
  /** Waits that what has begun did not keep. */
  readonly breached: Retimed["breached"];
  /** What moved with the newest events, in one line; null if nothing did. */
  readonly moved: string | null;
  /** Promises that will not be kept as it stands, the latest first. */
  readonly late: readonly { readonly taskId: string; readonly lateMin: number }[];
}

let open: { readonly frozen: RunSheet; readonly follower: RunFollower } | null = null;

/** The sheet that is asked about from now on. */
function openRun(frozen: RunSheet): void {
  setHouseMeasures(frozen.measures ?? metricMeasures);
  open = { frozen, follower: followRun(frozen) };
  warmUp(frozen);
}

/** Jobs of a made-up day, each an hour late. */
const WARMING_JOBS = 8;

/**
 * Times a day that goes badly, for nobody, a step whenever no question waits: code that has run before answers three times
 * as fast, and a first mishap should not wait for it.
 */
function warmUp(frozen: RunSheet): void {
  const follower = followRun(frozen);
  const first = frozen.placed.toSorted((a, b) => a.startMin - b.startMin).slice(0, WARMING_JOBS);
  const about = { person: 0, deviceId: "nobody" };
  const events: RunEvent[] = [];
  const step = (at: number) => {
    const job = first[at];
    if (!job || open?.frozen !== frozen) return;
    const { taskId, startMin } = job;
    events.push(
      { ...about, id: `b${at}`, kind: "begun", taskId, atMin: startMin },
      { ...about, id: `m${at}`, kind: "more", taskId, minutes: 60, atMin: startMin },
    );
    follower.follow(events, startMin);
    setTimeout(() => step(at + 1), 0);
  };
  setTimeout(() => step(0), 0);
}

/** Times the rest of the day anew with the least change from how it was told last. */
function answerRun({ events, nowMin, whose }: RunQuestion): RunAnswer {
  if (!open) throw new Error("answerRun: no run is open");
  const { now, before } = open.follower.follow(events, nowMin);
  const { state, sheet, counts, retimed } = now;
  const personOf = new Map(sheet.jobs.map(({ taskId, person }) => [taskId, person]));
  const isOurs = (taskId: string) =>
    whose === "both" ||
    (state.tasks[taskId]?.person ?? personOf.get(taskId) ?? 0) === (whose === "baker" ? 0 : 1);
  const view = viewRun(sheet, retimed, state, nowMin, isOurs);
  const moved = [tellCounts(sheet, before?.counts ?? null, counts), tellMoved(retimed, sheet.jobs)];
  return {
    view,
    tasks: state.tasks,
    counted: state.counted,
    lastId: state.lastId,
    bells: listBells(sheet, retimed, state, view),
    breached: retimed.breached,
    moved: moved.filter((line) => line !== null).join(" ") || null,
    changed: listChanged(open.frozen, sheet),
    short: counts.short,
    late: [...retimed.schedule.late]
      .sort((a, b) => b.lateMin - a.lateMin)
      .map(({ taskId, lateMin }) => ({ taskId, lateMin })),
  };
}

function listChanged(frozen: RunSheet, now: RunSheet): RunAnswer["changed"] {
  if (now.jobs === frozen.jobs) return {};
  const planned = new Map(frozen.jobs.map((job) => [job.taskId, job]));
  return Object.fromEntries(
    now.jobs.flatMap((job) => (planned.get(job.taskId) === job ? [] : [[job.taskId, job]])),
  );
}

/** What would help the day as it was told last, where a promise breaks. */
function mendRun({ events, nowMin }: RunQuestion): RunMend[] {
  if (!open) throw new Error("mendRun: no run is open");
  const { sheet, retimed, state } = open.follower.peek(events, nowMin);
  return listRunMends(sheet, retimed, state, nowMin);
}

const api = { openRun, answerRun, mendRun };
export type RunWorkerApi = typeof api;
expose(api);
