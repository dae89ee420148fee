import {
  habitKinds,
  knowHabit,
  spreadOfNext,
  toHabitId,
  toPaceKey,
  type HabitId,
  type PastLog,
} from "../../habits";
import {
  forecastEnds,
  type DayForecast,
  type Schedule,
  type ScheduleProblem,
  type TaskSpread,
} from "../../schedule";
import { createRandom } from "../../seededRandom";
import { toHeatHabit } from "../learned";
import { type DraftTask, toJobHabit } from "../tasks";
import type { PieceWork } from "../result";

/** The same day forecasts the same: normal numbers drawn once, and read from the first on for each day. */
const SEED = 1;
const NORMALS = 1 << 15;
let normals: Float64Array | null = null;

function readNormals(): () => number {
  const random = createRandom(SEED);
  // Box and Muller's.
  normals ??= Float64Array.from(
    { length: NORMALS },
    () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random()),
  );
  const table = normals;
  let at = 0;
  return () => table[at++ % NORMALS]!;
}

/** Of what a lot strays so much is the hand's or the oven's of that day, the rest the lot's own: halves of the square. */
const SHARED = Math.SQRT1_2;

/** Minutes of one pair of hands against what the house's take: 0 the baker, 1 the helper. */
export const toPersonHabit = (person: number): HabitId => toHabitId("person", String(person));

/** When a day's work ends, likeliest and nine days in ten, by what is known of its hands and ovens. */
export function forecastDay(
  drafts: readonly DraftTask[],
  problem: ScheduleProblem,
  { placed }: Schedule,
  works: readonly PieceWork[],
  past: PastLog,
  personOf: ReadonlyMap<string, number>,
): DayForecast | null {
  const modeOf = new Map(placed.map(({ taskId, mode }) => [taskId, mode]));
  const spreads = new Map(
    drafts.map((draft): [string, TaskSpread] => {
      const habit = findHabit(draft, modeOf.get(draft.id) ?? 0, works);
      const sd = habit ? spreadOfNext(knowHabit(past, habit)) : habitKinds.hands.prior.sd;
      const byHand = draft.kind !== "bake" && draft.kind !== "fry";
      const slowerLog = byHand ? (past.habits[toPersonHabit(personOf.get(draft.id) ?? 0)]?.mean ?? 0) : 0;
      return [draft.id, { group: habit ?? draft.kind, groupSd: sd * SHARED, ownSd: sd * SHARED, slowerLog }];
    }),
  );
  return forecastEnds(problem, placed, spreads, readNormals());
}

/** The habit by which a task's minutes are known; null where it has none of its own. */
function findHabit(
  { kind, pieceId, formulaId, machineIds }: DraftTask,
  mode: number,
  works: readonly PieceWork[],
): HabitId | null {
  const job = toJobHabit({ kind, formulaId });
  if (job) return job;
  const line = works.find((work) => work.line.piece.id === pieceId)?.line;
  if (!line) return null;
  const machineId = machineIds[mode];
  if ((kind === "bake" || kind === "fry") && machineId) return toHeatHabit(line.piece.id, machineId);
  if (kind === "fill") return toHabitId("hands", toPaceKey("fill", line.shaped.works.fill.style));
  if (kind === "seal") return toHabitId("hands", toPaceKey("close", line.shaped.works.close.style));
  return null;
}
