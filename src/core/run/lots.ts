import { assignTakings, isVesselId, type DayPlan, type PiecePlan } from "../plan";
import { factsOf } from "../way";

/** Pieces of one kind that go their way together: a load, or a tray that is made for another day. */
export interface LotSheet {
  readonly key: string;
  /** As it comes to its end. */
  readonly pieces: number;
  /** The most that its trays and moulds take. */
  readonly mostPieces: number;
  /** For another day: promised to nobody today. */
  readonly isAhead: boolean;
}

/** A kind of piece as far as its numbers may change while the day runs. */
export interface PieceLots {
  /** The first promise first, then what is made ahead. */
  readonly lots: readonly LotSheet[];
  /** Blanks by the cut plan's demands, one a piece: so many are cut today. */
  readonly roles: readonly { readonly demandId: string; readonly cut: number }[];
  /** Of its pieces those that need a blank, and how many of these the larder gives. */
  readonly needBlanks: number;
  readonly blanksTaken: number;
  /** What each is filled with, g. */
  readonly fillings: readonly { readonly formulaId: string; readonly eachG: number }[];
  /** Pieces that are promised, the first first; spares are promised to nobody. */
  readonly promises: readonly { readonly dueMin: number; readonly count: number }[];
}

/** How a job's minutes go with its pieces. */
export interface LotWork {
  readonly key: string;
  /** Hands, each piece. */
  readonly eachMin: number;
  /** By mode: pieces that are fried at once; nothing for all else. */
  readonly perBasket: readonly number[];
  /** Fillings that it takes. */
  readonly takes: readonly string[];
}

type Task = DayPlan["tasks"][number];

/** A line's lots, blanks and promises as the morning's plan has them. */
export function freezeLots(line: PiecePlan, plan: DayPlan): PieceLots {
  const {
    piece,
    loading,
    cut,
    blanks,
    fills,
    orders,
    counts: { frozenTaken, blanksTaken },
  } = line;
  const tasks = plan.tasks.filter(({ pieceId }) => pieceId === piece.id);
  const keys = [...new Set(tasks.flatMap(({ lotKey }) => lotKey ?? []))];
  const loads = loading.loads.map(({ pieces, trays }, i): LotSheet => {
    const key = `${piece.id}:${i + 1}`;
    const mostPieces = holdsKit(key, plan) ? pieces : Math.max(trays.length * loading.perTray, pieces);
    return { key, pieces, mostPieces, isAhead: false };
  });
  const ahead = keys
    .filter((key) => !loads.some((load) => load.key === key))
    .map((key): LotSheet => {
      const pieces = tasks.find(({ lotKey }) => lotKey === key)?.pieces ?? 0;
      return { key, pieces, mostPieces: pieces, isAhead: true };
    });
  const lots = [...loads, ...ahead];
  return {
    lots,
    roles: blanks.map(({ role, cut: count }) => {
      const demand = cut.roles.find((each) => each.pieceId === piece.id && each.role === role);
      return { demandId: demand?.demandId ?? "", cut: count };
    }),
    needBlanks: lots.reduce((sum, { pieces }) => sum + pieces, 0) - frozenTaken,
    blanksTaken,
    fillings: fills.map(({ part, count, totalG }) => ({
      formulaId: part.fillingId,
      eachG: count > 0 ? totalG / count : 0,
    })),
    promises: orders.map(({ dueMin, count }) => ({ dueMin, count })).sort((a, b) => a.dueMin - b.dueMin),
  };
}

/** Moulds, pans and the like are there for so many, and not for one more. */
const holdsKit = (key: string, { problem, tasks }: DayPlan): boolean => {
  const own = new Set(tasks.flatMap(({ id, lotKey }) => (lotKey === key ? [id] : [])));
  return (problem?.holds ?? []).some(
    ({ from, resourceId }) => isVesselId(resourceId) && own.has(from.taskId),
  );
};

/** @returns Null for what is done for no lot alone. */
export function freezeLotWork(task: Task, line: PiecePlan | null): LotWork | null {
  const { lotKey: key } = task;
  if (key === null || !line) return null;
  const {
    piece,
    fries,
    shaped: { works, parts },
  } = line;
  const takings = assignTakings(piece.way, parts, piece.extras);
  const steps = task.steps.flatMap(({ stepId }) => piece.way.find(({ id }) => id === stepId) ?? []);
  const isByHand = task.kind !== "bake" && task.kind !== "fry" && task.kind !== "store";
  const seconds = steps.reduce(
    (sum, { id, kind }) => sum + (factsOf(kind).per === "load" ? 0 : (works.stepS[id] ?? 0)),
    0,
  );
  return {
    key,
    eachMin: isByHand ? seconds / 60 : 0,
    perBasket: task.kind === "fry" ? fries.map(({ perBasket }) => perBasket) : [],
    takes: steps.flatMap(({ id }) => (takings.get(id)?.parts ?? []).map(({ fillingId }) => fillingId)),
  };
}
