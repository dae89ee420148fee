import { craftHandTimes, type CutSheet } from "../cutting";
import type { Dough, Filling } from "../formula";
import type { ScheduleProblem, ScheduleTask, TaskWait } from "../schedule";
import type { Order, Oven } from "./book";
import type { DayBatch, DayTask, PiecePlan, TaskKind } from "./dayPlan";

/** Resource ids of the schedule. */
export const HANDS = "hands";
export const OVEN = "oven";

/** Spooning one portion and placing it. Craft's first guess; the baker's own time replaces it. */
const FILL_SECONDS_PER_PIECE = 12;
/** Taking one piece off the tray, looking at it and setting it out. */
const FINISH_SECONDS_PER_PIECE = 4;
/** Opening the oven and setting trays in, and taking them out again: each. */
const OVEN_HANDLING_MIN = 2;
/** A frozen piece first has to thaw in the oven. Craft's first guess; the baker's own bakes replace it. */
const FROZEN_EXTRA_MIN = 5;
/** A room's temperature, from which an oven starts: a mild kitchen before dawn. */
const ROOM_C = 20;

/** A task before it has a time. */
export type DraftTask = Omit<DayTask, "placed"> & { readonly schedule: ScheduleTask };

export interface PieceWork {
  readonly line: PiecePlan;
  readonly dough: Dough;
  readonly filling: Filling;
}

/** Every operation of the day with what it uses and what it waits for. */
export function listTasks(works: readonly PieceWork[], batches: readonly DayBatch[]): DraftTask[] {
  const mixes = batches
    .filter(({ batch }) => batch !== null)
    .map(({ formula }) =>
      formula.kind === "dough"
        ? handTask("mix", `mix:${formula.id}`, formula.mixMin, [], {
            formulaId: formula.id,
            label: `Mix ${formula.name}`,
          })
        : handTask("make", `make:${formula.id}`, formula.mixMin, [], {
            formulaId: formula.id,
            label: `Make ${formula.name}`,
          }),
    );
  const mixedIds = new Set(mixes.map(({ id }) => id));
  const restOf = new Map(batches.map(({ formula, rest }) => [formula.id, rest?.minutes ?? 0]));
  // What comes from the larder has been made and has rested.
  const afterMix = (id: string, minWaitMin: number) => (mixedIds.has(id) ? [wait(id, minWaitMin)] : []);
  return [
    ...mixes,
    ...works.flatMap((work) =>
      listPieceTasks(
        work,
        afterMix(`mix:${work.dough.id}`, restOf.get(work.dough.id) ?? 0),
        afterMix(`make:${work.filling.id}`, work.filling.coolMin),
      ),
    ),
  ];
}

/** The scheduling problem of these tasks with one pair of hands and one oven. */
export function toScheduleProblem(tasks: readonly DraftTask[], oven: Oven, openMin: number): ScheduleProblem {
  const { heatUpCPerMin, coolDownCPerMin } = oven;
  return {
    tasks: tasks.map(({ schedule }) => schedule),
    resources: [
      { id: HANDS, heater: null },
      { id: OVEN, heater: { restC: ROOM_C, heatUpCPerMin, coolDownCPerMin } },
    ],
    openMin,
  };
}

function listPieceTasks(
  { line, dough }: PieceWork,
  afterDough: readonly TaskWait[],
  afterFilling: readonly TaskWait[],
): DraftTask[] {
  const { piece, cut, loading, seal } = line;
  const rolls = cut.sheets.map((sheet, i) => {
    const firstOfPass = i === 0 || cut.sheets[i - 1]?.pass !== sheet.pass;
    const after: readonly TaskWait[] =
      sheet.pass === 0
        ? afterDough
        : cut.sheets.flatMap((earlier, j) =>
            earlier.pass === sheet.pass - 1 ? [wait(rollId(piece.id, j), dough.rerollRestMin)] : [],
          );
    const gatherMin = sheet.pass > 0 && firstOfPass ? craftHandTimes.perRerollMin : 0;
    const label = `Roll and cut ${sheet.pass > 0 ? `re-roll ${sheet.pass}` : `sheet ${i + 1}`}, ${piece.name}`;
    return handTask("roll", rollId(piece.id, i), estimateSheetMin(sheet) + gatherMin, after, {
      pieceId: piece.id,
      index: i + 1,
      pieces: sheet.layout.count,
      label,
    });
  });
  const dues = spreadDues(line);
  let before = 0;
  const loads = loading.loads.flatMap((load, i) => {
    const index = i + 1;
    const of = `${piece.name}, load ${index} of ${loading.loads.length}`;
    const facts = { pieceId: piece.id, index, pieces: load.pieces };
    const id = (kind: TaskKind) => `${kind}:${piece.id}:${index}`;
    const [from, to] = [before, before + load.pieces];
    before = to;
    // Frozen pieces are baked first: this load fills what is not among them.
    const fillFrom = Math.max(from, line.frozenTaken);
    const toFill = Math.max(to - fillFrom, 0);
    const filled = { ...facts, pieces: toFill };
    const cutBefore = line.frozenTaken + line.blanksTaken;
    const sheets = findSheets(cut.sheets, Math.max(fillFrom - cutBefore, 0), to - cutBefore);
    const closing =
      toFill === 0
        ? []
        : [
            handTask(
              "fill",
              id("fill"),
              (toFill * FILL_SECONDS_PER_PIECE) / 60,
              [
                ...sheets.map((sheet) => wait(rollId(piece.id, sheet), 0, dough.benchLimitMin)),
                ...afterFilling,
              ],
              { ...filled, label: `Fill ${of}` },
            ),
            handTask("seal", id("seal"), (toFill * seal.secondsPerPiece) / 60, [wait(id("fill"))], {
              ...filled,
              label: `Close ${of}`,
            }),
          ];
    const bake = bakeTask(
      id("bake"),
      piece.bakeMin + (from < line.frozenTaken ? FROZEN_EXTRA_MIN : 0),
      piece.ovenC,
      toFill > 0 ? [wait(id("seal"), piece.chillMin)] : [],
      { ...facts, label: `Bake ${of}` },
    );
    const dueMin = dues[from] ?? null;
    const finish = handTask(
      "finish",
      id("finish"),
      (load.pieces * FINISH_SECONDS_PER_PIECE) / 60,
      [wait(id("bake"), piece.coolMin)],
      { ...facts, label: `Set out ${of}` },
      dueMin,
    );
    return [...closing, bake, finish];
  });
  return [...rolls, ...loads];
}

const stationOf: Record<TaskKind, DayTask["station"]> = {
  mix: "mix",
  make: "mix",
  roll: "roll",
  fill: "fill",
  seal: "seal",
  bake: "bake",
  finish: "cool",
};

type Facts = Partial<Pick<DayTask, "pieceId" | "formulaId" | "index" | "pieces">> & {
  readonly label: string;
};

function draft(kind: TaskKind, facts: Facts, handsMin: number, schedule: ScheduleTask): DraftTask {
  return {
    id: schedule.id,
    kind,
    station: stationOf[kind],
    pieceId: facts.pieceId ?? null,
    formulaId: facts.formulaId ?? null,
    index: facts.index ?? 1,
    pieces: facts.pieces ?? 0,
    label: facts.label,
    handsMin,
    schedule,
  };
}

function handTask(
  kind: TaskKind,
  id: string,
  minutes: number,
  after: readonly TaskWait[],
  facts: Facts,
  dueMin: number | null = null,
): DraftTask {
  const durationMin = Math.max(Math.ceil(minutes), 1);
  const uses = [{ resourceId: HANDS, fromMin: 0, toMin: durationMin }];
  return draft(kind, facts, durationMin, { id, durationMin, uses, after, dueMin, heatC: null });
}

/** The oven is taken from the first tray in to the last tray out; hands only at either end. */
function bakeTask(
  id: string,
  bakeMin: number,
  heatC: number,
  after: readonly TaskWait[],
  facts: Facts,
): DraftTask {
  const durationMin = Math.ceil(bakeMin) + 2 * OVEN_HANDLING_MIN;
  const uses = [
    { resourceId: OVEN, fromMin: 0, toMin: durationMin },
    { resourceId: HANDS, fromMin: 0, toMin: OVEN_HANDLING_MIN },
    { resourceId: HANDS, fromMin: durationMin - OVEN_HANDLING_MIN, toMin: durationMin },
  ];
  return draft("bake", facts, 2 * OVEN_HANDLING_MIN, { id, durationMin, uses, after, dueMin: null, heatC });
}

const wait = (taskId: string, minWaitMin = 0, maxWaitMin: number | null = null): TaskWait => ({
  taskId,
  minWaitMin,
  maxWaitMin,
});

const rollId = (pieceId: string, sheet: number) => `roll:${pieceId}:${sheet + 1}`;

function estimateSheetMin({ layout }: CutSheet): number {
  const areaM2 = (layout.sheet.widthMm * layout.sheet.heightMm) / 1e6;
  return (
    craftHandTimes.perSheetMin +
    areaM2 * craftHandTimes.rollingMinPerM2 +
    (layout.count * craftHandTimes.perBlankS) / 60
  );
}

/** Sheets that supply the pieces from `from` up to `to`, cut in order. */
function findSheets(sheets: readonly CutSheet[], from: number, to: number): number[] {
  let cut = 0;
  return sheets.flatMap(({ layout }, i) => {
    const [first, last] = [cut, cut + layout.count];
    cut = last;
    return first < to && last > from ? [i] : [];
  });
}

/** The orders of one piece in the order in which they are made. */
export function sortByPromise(orders: readonly Order[]): Order[] {
  return [...orders].sort((a, b) => a.dueMin - b.dueMin);
}

/** When each piece is promised, in the order of baking: the earliest promise first, spares with the last. */
function spreadDues({ orders, made }: PiecePlan): number[] {
  const dues = sortByPromise(orders).flatMap(({ count, dueMin }) =>
    Array.from({ length: count }, () => dueMin),
  );
  const last = dues.at(-1) ?? 0;
  return [...dues, ...Array.from({ length: made - dues.length }, () => last)];
}
