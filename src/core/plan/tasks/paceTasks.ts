import { knowHabit, toHabitId, type HabitId, type PastLog } from "../../habits";
import type { ScheduleTask } from "../../schedule";
import type { TaskKind } from "../result";
import type { DraftTask } from "./draftTask";

/** Work of hands that is one to a formula: a stiff dough takes its own minutes. */
const byFormula: ReadonlySet<TaskKind> = new Set(["mix", "precook", "make"]);
/** Work of hands that is alike for whatever it is done to. */
const byKind: ReadonlySet<TaskKind> = new Set([
  ...(["roll", "sugar", "line", "warm", "pour", "unmould", "glaze", "finish", "store"] as const),
]);

/** The habit of a job that is nothing but hands; null for what is filled, closed or heated, whose habits are others. */
export function toJobHabit({
  kind,
  formulaId,
}: {
  readonly kind: TaskKind;
  readonly formulaId: string | null;
}): HabitId | null {
  if (byFormula.has(kind)) return formulaId === null ? null : toHabitId("hands", `${kind}:${formulaId}`);
  return byKind.has(kind) ? toHabitId("hands", kind) : null;
}

/** A clock of whole minutes does not tell a share below this from none. */
const LEAST_SHARE = 0.01;

/** Minutes of a job for each of the craft's, by the log; 1 without one. */
function findJobFactor(past: Pick<PastLog, "habits">, habit: HabitId | null): number {
  const mean = habit && past.habits[habit] ? knowHabit(past, habit).mean : 0;
  return toJobFactor(mean);
}

/** What a plan makes of a habit's mean. */
export const toJobFactor = (mean: number): number => (Math.abs(mean) < LEAST_SHARE ? 1 : Math.exp(mean));

/** The day's jobs with the minutes that these hands take for them. */
export const paceTasks = (drafts: readonly DraftTask[], past: PastLog): DraftTask[] =>
  drafts.map((draft) => {
    const factor = findJobFactor(past, toJobHabit(draft));
    return factor === 1 ? draft : stretch(draft, factor);
  });

/** Whole minutes, at least one. */
function stretch(draft: DraftTask, factor: number): DraftTask {
  const modes = draft.schedule.modes.map((mode): ScheduleTask["modes"][number] => {
    const durationMin = Math.max(Math.round(mode.durationMin * factor), 1);
    const at = (minute: number) => Math.round((minute * durationMin) / mode.durationMin);
    return {
      ...mode,
      durationMin,
      uses: mode.uses.map((use) => ({ ...use, fromMin: at(use.fromMin), toMin: at(use.toMin) })),
    };
  });
  const shares = modes.map(
    ({ durationMin }, i) => durationMin / (draft.schedule.modes[i]?.durationMin ?? durationMin),
  );
  return {
    ...draft,
    handsMin: draft.handsMin * (shares[0] ?? 1),
    schedule: { ...draft.schedule, modes },
    stepTimes: draft.stepTimes.map((times, i) =>
      Object.fromEntries(Object.entries(times).map(([id, min]) => [id, min * (shares[i] ?? 1)])),
    ),
  };
}
