import { findFigureHabit, type FigureHabit, type FigurePrior } from "../habits";
import type { RunEvent } from "./event";
import { countBlanks } from "./countBlanks";
import { foldRun, UNTOUCHED, type TaskRun } from "./foldRun";
import { adjustRun } from "./adjustRun";
import type { JobSheet, RunSheet } from "./runSheet";

/** How a figure is told: as a share of what was planned, kept as its logarithm; or in degrees off a setting. */
export type FigureScale = "share" | "degrees";

interface FigureKind {
  readonly what: string;
  readonly scale: FigureScale;
  readonly prior: FigurePrior;
}

/** Of the middle the craft's word is worth two lots, of the stray four: a baker's third market day outweighs it. */
const worth = { worthLots: 2, sdWorthLots: 4 } as const;

/** What is learned of a day, each with what the craft expects of a practised hand and a sound oven. */
const figureKinds = {
  heat: { what: "minutes in the heat", scale: "share", prior: { mean: 0, sd: 0.08, ...worth } },
  hands: { what: "minutes of hands", scale: "share", prior: { mean: 0, sd: 0.25, ...worth } },
  oven: { what: "off its setting", scale: "degrees", prior: { mean: 0, sd: 6, ...worth } },
  portion: { what: "portions on the scale", scale: "share", prior: { mean: 0, sd: 0.06, ...worth } },
  blanks: { what: "blanks got", scale: "share", prior: { mean: 0, sd: 0.03, ...worth } },
} as const satisfies Readonly<Record<string, FigureKind>>;
export type FigureKindId = keyof typeof figureKinds;

/** One figure of one lot. */
export interface DayFigure {
  readonly kind: FigureKindId;
  /** Whose it is: a piece's, a dough's, an oven's, a way of working. */
  readonly key: string;
  readonly name: string;
  readonly value: number;
}

/** Nothing that took or was planned to take less is timed, min. */
const LEAST_MIN = 1;

/** The figures that a run has of its lots, in the order of its jobs; of what is not done or was not read there is none. */
export function listDayFigures(frozen: RunSheet, events: readonly RunEvent[]): DayFigure[] {
  const state = foldRun(events);
  const { sheet, counts } = adjustRun(frozen, state);
  const plannedOf = new Map(
    sheet.problem.tasks.map(({ id, modes }) => [
      id,
      modes[sheet.placed.find((each) => each.taskId === id)?.mode ?? 0]?.durationMin,
    ]),
  );
  return sheet.jobs.flatMap((job): DayFigure[] => {
    const run = state.tasks[job.taskId] ?? UNTOUCHED;
    const piece = sheet.pieces.find(({ id }) => id === job.pieceId);
    const machine = sheet.machines.find(({ resourceId }) => resourceId.endsWith(`:${job.targets.machineId}`));
    const took = run.begunMin !== null && run.doneMin !== null ? run.doneMin - run.begunMin : null;
    const planned = (plannedOf.get(job.taskId) ?? job.plannedMin) - job.slackMin;
    const isHeat = job.kind === "bake" || job.kind === "fry";
    const isTimed =
      took !== null && took >= LEAST_MIN && planned >= LEAST_MIN && counts.pieces[job.taskId] !== 0;
    const ovenC = run.measured.findLast(({ measure }) => measure === "ovenC")?.value;
    const style = piece && (job.kind === "fill" ? piece.craft.fill.style : piece.craft.close.style);
    return [
      ...(piece && isTimed && isHeat
        ? [{ kind: "heat", key: piece.id, name: piece.name, value: Math.log(took / planned) } as const]
        : []),
      ...(style && isTimed && (job.kind === "fill" || job.kind === "seal")
        ? [
            {
              kind: "hands",
              key: `${job.kind}:${style}`,
              name: tellStyle(job.kind, style),
              value: Math.log(took / planned),
            } as const,
          ]
        : []),
      ...(machine && job.kind === "bake" && ovenC !== undefined && job.targets.endC !== null
        ? [
            {
              kind: "oven",
              key: machine.resourceId,
              name: machine.name,
              value: ovenC - job.targets.endC,
            } as const,
          ]
        : []),
      ...(piece ? listPortions(job, run.measured, piece) : []),
      ...listBlanks(job, run.measured, frozen),
    ];
  });
}

const tellStyle = (kind: "fill" | "seal", style: string) =>
  `${kind === "fill" ? "Filling" : "Closing"}, ${style
    .replace(/([A-Z])/g, " $1")
    .replaceAll("-", ", ")
    .toLowerCase()}`;

function listPortions(
  { targets: { portionG } }: JobSheet,
  measured: TaskRun["measured"],
  { id, name }: { readonly id: string; readonly name: string },
): DayFigure[] {
  const weighed = measured.flatMap(({ measure, value }) => (measure === "massG" && value > 0 ? [value] : []));
  if (portionG === null || portionG <= 0 || weighed.length === 0) return [];
  const meanG = weighed.reduce((sum, each) => sum + each, 0) / weighed.length;
  return [{ kind: "portion", key: id, name, value: Math.log(meanG / portionG) }];
}

function listBlanks(
  { drawing, cutId, about }: JobSheet,
  measured: TaskRun["measured"],
  { cuts }: RunSheet,
): DayFigure[] {
  if (drawing?.kind !== "sheet" || drawing.sheet.isDecoration) return [];
  const got = countBlanks(drawing.sheet, measured);
  const planned = drawing.sheet.count;
  const doughId = cuts.find(({ id }) => id === cutId)?.doughId;
  if (got === undefined || doughId === undefined || planned < 1 || got < 1) return [];
  return [
    { kind: "blanks", key: doughId, name: about.split(",")[0] ?? doughId, value: Math.log(got / planned) },
  ];
}

/** A habit before a day and after it, with what the day gave. */
export interface TaughtHabit {
  readonly kind: FigureKindId;
  readonly key: string;
  readonly name: string;
  readonly what: string;
  readonly scale: FigureScale;
  readonly before: FigureHabit;
  readonly after: FigureHabit;
  /** The day's own lots. */
  readonly points: readonly number[];
  /** Of these, how many lay in the range in which nine in ten were expected. */
  readonly held: number;
}

/** How far a habit moved, against how far a lot may stray. */
const findMove = ({ before, after }: TaughtHabit): number =>
  Math.abs(after.mean - before.mean) / (before.nextHigh - before.nextLow);

/**
 * What a day taught: each habit of which it has a figure, before and after it, the one that moved most first.
 * @param earlier - The figures of the days before, the oldest day first.
 */
export function findTaught(
  earlier: readonly (readonly DayFigure[])[],
  today: readonly DayFigure[],
): TaughtHabit[] {
  const past = earlier.flat();
  const ids = [
    ...new Map(today.map(({ kind, key, name }) => [`${kind} ${key}`, { kind, key, name }])).values(),
  ];
  const taught = ids.map(({ kind, key, name }): TaughtHabit => {
    const own = (figures: readonly DayFigure[]) =>
      figures.flatMap((each) => (each.kind === kind && each.key === key ? [each.value] : []));
    const { what, scale, prior } = figureKinds[kind];
    const [was, points] = [own(past), own(today)];
    const toLog = (values: readonly number[], since: number) =>
      values.map((value, i) => ({ value, lotsAgo: values.length - 1 - i + since }));
    const before = findFigureHabit(prior, toLog(was, 0));
    // The order of a day's lots says nothing.
    const todays = points.map((value) => ({ value, lotsAgo: 0 }));
    const after = findFigureHabit(prior, [...toLog(was, points.length), ...todays]);
    const held = points.filter((value) => before.nextLow <= value && value <= before.nextHigh).length;
    return { kind, key, name, what, scale, before, after, points, held };
  });
  return taught.sort((a, b) => findMove(b) - findMove(a));
}
