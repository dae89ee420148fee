import { craftHandTimes } from "../cutting";
import type { Dough, Filling, PrecookedPart } from "../formula";
import { findSugarLeadMin } from "../filling";
import type { ScheduleProblem, ScheduleTask, TaskMode, TaskWait } from "../schedule";
import type { BakeStage, Day, Order, Oven } from "./book";
import type { DayBatch, DayCut, DayTask, PiecePlan, TaskKind } from "./dayPlan";
import { setFor, toOvenId } from "./ovenSetting";
import { toDemandId } from "./shapePiece";

/** Resource ids of the schedule. */
export const HANDS = "hands";

/** Opening the oven and setting trays in, and taking them out again: each. */
const OVEN_HANDLING_MIN = 2;
/** Opening the door between stages, to turn a tray or take weights out. */
const ACT_MIN = 1;
/** A frozen piece first has to thaw in the oven. Craft's first guess; the baker's own bakes replace it. */
const FROZEN_EXTRA_MIN = 5;
/** A room's temperature, from which an oven starts: a mild kitchen before dawn. */
const ROOM_C = 20;

/** A task before it has a time. */
export type DraftTask = Omit<DayTask, "placed" | "heat" | "ovenId" | "person"> & {
  readonly schedule: ScheduleTask;
  /** Of a bake: the oven of each of its modes. */
  readonly ovenIds: readonly string[];
};

export interface PieceWork {
  readonly line: PiecePlan;
  readonly dough: Dough;
  /** The main one. */
  readonly filling: Filling;
  /** All that go into it, the main one included. */
  readonly fillings: readonly Filling[];
}

/** Every operation of the day with what it uses and what it waits for. */
export function listTasks(
  works: readonly PieceWork[],
  batches: readonly DayBatch[],
  ovens: readonly Oven[],
): DraftTask[] {
  const mixes = batches
    .filter(({ batch }) => batch !== null)
    .map(({ formula }) =>
      formula.kind === "dough"
        ? handTask("mix", `mix:${formula.id}`, formula.mixMin, [], {
            formulaId: formula.id,
            label: `Mix ${formula.name}`,
          })
        : handTask("make", `make:${formula.id}`, formula.mixMin, afterPrecooked(formula), {
            formulaId: formula.id,
            label: `Make ${formula.name}`,
          }),
    );
  const precooks = batches.flatMap(({ formula, batch }) =>
    formula.kind === "filling" && batch !== null
      ? formula.precooked.map((part) =>
          handTask("precook", precookId(formula, part), part.handMin, [], {
            formulaId: formula.id,
            label: `Cook ${part.name.toLowerCase()}`,
          }),
        )
      : [],
  );
  const mixedIds = new Set(mixes.map(({ id }) => id));
  const restOf = new Map(batches.map(({ formula, rest }) => [formula.id, rest?.minutes ?? 0]));
  // What comes from the larder has been made and has rested.
  const afterMix = (id: string, minWaitMin: number) => (mixedIds.has(id) ? [wait(id, minWaitMin)] : []);
  const cuts = [...new Set(works.map(({ line }) => line.cut))];
  const names = new Map(works.map(({ line }) => [line.piece.id, line.piece.name]));
  return [
    ...precooks,
    ...mixes,
    ...cuts.flatMap((cut) =>
      listCutTasks(cut, names, afterMix(`mix:${cut.dough.id}`, restOf.get(cut.dough.id) ?? 0)),
    ),
    ...works.flatMap((work) =>
      listPieceTasks(
        work,
        work.fillings.flatMap(({ id, coolMin }) => afterMix(`make:${id}`, coolMin)),
        ovens,
      ),
    ),
  ];
}

/** Loads whose heats differ by no more than this go into one oven together, °C: less than a dial holds to. */
const SHARED_HEAT_C = 5;
/** Before and after every day. */
const EVER_MIN = 7 * 24 * 60;

/** The scheduling problem of these tasks: the baker, a helper for a while, and every oven. */
export function toScheduleProblem(
  tasks: readonly DraftTask[],
  ovens: readonly Oven[],
  helper: Day["helper"],
  openMin: number,
): ScheduleProblem {
  return {
    tasks: tasks.map(({ schedule }) => schedule),
    resources: [
      {
        id: HANDS,
        capacity: helper ? 2 : 1,
        gapMin: 0,
        heater: null,
        isHands: true,
        away: helper
          ? [
              { fromMin: -EVER_MIN, toMin: helper.fromMin, amount: 1 },
              { fromMin: helper.toMin, toMin: EVER_MIN, amount: 1 },
            ]
          : [],
      },
      ...ovens.map((oven) => ({
        id: toOvenId(oven),
        capacity: oven.traysAtOnce,
        gapMin: 0,
        heater: {
          restC: ROOM_C,
          heatUpCPerMin: oven.heatUpCPerMin,
          coolDownCPerMin: oven.coolDownCPerMin,
          toleranceC: SHARED_HEAT_C,
        },
        isHands: false,
        away: [],
      })),
    ],
    openMin,
  };
}

/** Blanks that are weighed and rolled one by one are done in such lots: a tray of them, then they are filled. */
const PORTION_LOT = 24;

/** Rolling and cutting, or portioning, of one dough. */
function listCutTasks(
  cut: DayCut,
  names: ReadonlyMap<string, string>,
  afterDough: readonly TaskWait[],
): DraftTask[] {
  const { plan, dough, pieceIds } = cut;
  const of = pieceIds.map((id) => names.get(id) ?? id).join(" and ");
  const pieceId = pieceIds.length === 1 ? (pieceIds[0] ?? null) : null;
  const facts = { pieceId, cutId: cut.id };
  if (plan.portioning) {
    const { way, portions } = plan.portioning;
    const eachS = way === "sliced" ? craftHandTimes.perSliceS : craftHandTimes.perPortionS;
    const verb = way === "sliced" ? "Slice and flatten" : "Portion and roll";
    return portions.flatMap(({ demandId, count }) =>
      listLots(count).map(({ from, to }, i) =>
        handTask("roll", lotId(cut, demandId, i), ((to - from) * eachS) / 60, afterDough, {
          ...facts,
          index: i + 1,
          pieces: to - from,
          label: `${verb} ${to - from}, ${of}`,
        }),
      ),
    );
  }
  return plan.sheets.map((sheet, i) => {
    const firstOfPass = i === 0 || plan.sheets[i - 1]?.pass !== sheet.pass;
    const after: readonly TaskWait[] =
      sheet.pass === 0
        ? afterDough
        : plan.sheets.flatMap((earlier, j) =>
            earlier.pass === sheet.pass - 1 ? [wait(rollId(cut, j), dough.rerollRestMin)] : [],
          );
    const gatherMin = sheet.pass > 0 && firstOfPass ? craftHandTimes.perRerollMin : 0;
    const what = sheet.isDecoration
      ? "decorations"
      : sheet.pass > 0
        ? `re-roll ${sheet.pass}`
        : `sheet ${i + 1}`;
    return handTask("roll", rollId(cut, i), sheet.handMin + gatherMin, after, {
      ...facts,
      index: i + 1,
      pieces: sheet.count,
      label: `Roll and cut ${what}, ${of}`,
    });
  });
}

/** Parts cooked by themselves have cooled before the filling is made of them. */
const precookId = (filling: Filling, part: PrecookedPart) => `precook:${filling.id}:${part.id}`;
const afterPrecooked = (filling: Filling) =>
  filling.precooked.map((part) => wait(precookId(filling, part), part.cookMin + part.coolMin));

/** A blind-baked shell cools before it is filled: a hot one would cook or melt what goes in. */
const BLIND_COOL_MIN = 10;
/** Strewing sugar over one load's fruit and turning it. */
const SUGAR_MIN = 2;

function listPieceTasks(
  { line, dough, filling }: PieceWork,
  afterFilling: readonly TaskWait[],
  ovens: readonly Oven[],
): DraftTask[] {
  const { piece, loading, works, formed } = line;
  const dues = spreadDues(line);
  const fillStage = piece.stages.findIndex(({ act }) => act === "fill");
  let before = 0;
  return loading.loads.flatMap((load, i) => {
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
    const blanksCut =
      toFill === 0
        ? []
        : findRolls(line, Math.max(fillFrom - cutBefore, 0), to - cutBefore).map((rollTask) =>
            wait(rollTask, 0, dough.benchLimitMin),
          );
    // Leaves and the like go on as the piece is closed.
    const decorationsCut = line.cut.plan.sheets.flatMap(({ isDecoration }, sheet) =>
      isDecoration ? [wait(rollId(line.cut, sheet))] : [],
    );
    const sugar = filling.fruit
      ? handTask("sugar", id("sugar"), SUGAR_MIN, afterFilling, {
          ...filled,
          label: `Sugar the fruit for ${of}`,
        })
      : null;
    const fruitReady =
      sugar && filling.fruit ? [wait(sugar.id, 0, findSugarLeadMin(filling.fruit.varieties))] : afterFilling;
    const fill = (after: readonly TaskWait[]) => [
      ...(sugar ? [sugar] : []),
      handTask("fill", id("fill"), (toFill * works.fill.seconds) / 60, [...after, ...fruitReady], {
        ...filled,
        label: `Fill ${of}`,
      }),
    ];
    const close = (after: readonly TaskWait[]) =>
      handTask("seal", id("seal"), (toFill * works.close.seconds) / 60, [...after, ...decorationsCut], {
        ...filled,
        label: `${line.seal ? "Close" : "Put together"} ${of}`,
      });
    const extraMin = from < line.frozenTaken ? FROZEN_EXTRA_MIN : 0;
    const coatMin = (load.pieces * works.secondCoatS) / 60;
    const bake = (bakeId: string, stages: readonly BakeStage[], after: readonly TaskWait[], label: string) =>
      bakeTask(bakeId, stages, { ovens, trays: load.trays.length, extraMin, coatMin }, after, {
        ...facts,
        label,
      });
    const finish = (after: readonly TaskWait[]) =>
      handTask(
        "finish",
        id("finish"),
        (load.pieces * works.finishS) / 60,
        after,
        { ...facts, label: `Set out ${of}` },
        dues[from] ?? null,
      );
    const whole = (after: readonly TaskWait[]) => bake(id("bake"), piece.stages, after, `Bake ${of}`);
    const chilled = [wait(id("seal"), piece.chillMin)];
    const cooled = [wait(id("bake"), piece.coolMin)];
    if (toFill === 0) return [whole([]), finish(cooled)];
    if (formed.fillsBaked || fillStage === piece.stages.length - 1)
      return [close(blanksCut), whole(chilled), ...fill(cooled), finish([wait(id("fill"))])];
    if (fillStage < 0) return [...fill(blanksCut), close([wait(id("fill"))]), whole(chilled), finish(cooled)];
    const blindId = `${id("bake")}:blind`;
    return [
      close(blanksCut),
      bake(blindId, piece.stages.slice(0, fillStage + 1), chilled, `Bake empty ${of}`),
      ...fill([wait(blindId, BLIND_COOL_MIN)]),
      bake(id("bake"), piece.stages.slice(fillStage + 1), [wait(id("fill"))], `Bake ${of}`),
      finish(cooled),
    ];
  });
}

/** Neither held back nor pinned, and of the same weight as every other. */
const free = { releaseMin: null, weight: 1, pinnedMin: null } as const;

const stationOf: Record<TaskKind, DayTask["station"]> = {
  mix: "mix",
  precook: "mix",
  make: "mix",
  sugar: "fill",
  roll: "roll",
  fill: "fill",
  seal: "seal",
  bake: "bake",
  finish: "cool",
};

type Facts = Partial<Pick<DayTask, "pieceId" | "formulaId" | "cutId" | "index" | "pieces">> & {
  readonly label: string;
};

function draft(kind: TaskKind, facts: Facts, handsMin: number, schedule: ScheduleTask): DraftTask {
  return {
    id: schedule.id,
    kind,
    station: stationOf[kind],
    pieceId: facts.pieceId ?? null,
    formulaId: facts.formulaId ?? null,
    cutId: facts.cutId ?? null,
    index: facts.index ?? 1,
    pieces: facts.pieces ?? 0,
    label: facts.label,
    handsMin,
    schedule,
    ovenIds: [],
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
  const uses = [{ resourceId: HANDS, fromMin: 0, toMin: durationMin, amount: 1 }];
  return draft(kind, facts, durationMin, {
    ...free,
    id,
    modes: [{ durationMin, uses, heat: null }],
    after,
    dueMin,
  });
}

interface BakeFacts {
  /** The first is the one that its trays were laid for. */
  readonly ovens: readonly Oven[];
  readonly trays: number;
  readonly extraMin: number;
  readonly coatMin: number;
}

/** A bake in any of the ovens that are hot enough and take its trays. */
function bakeTask(
  id: string,
  stages: readonly BakeStage[],
  { ovens, trays, extraMin, coatMin }: BakeFacts,
  after: readonly TaskWait[],
  facts: Facts,
): DraftTask {
  const [home] = ovens;
  const able = ovens.filter(
    (oven) =>
      home &&
      takesTrays(oven, home, trays) &&
      stages.every((stage) => setFor(stage, oven).ovenC <= oven.maxC),
  );
  const modes = able.map((oven) => bakeMode(oven, stages, trays, extraMin, coatMin));
  const [first] = modes;
  if (!first) throw new RangeError(`bakeTask: no oven takes ${id}`);
  const handsMin = first.uses.reduce(
    (sum, { resourceId, fromMin, toMin }) => sum + (resourceId === HANDS ? toMin - fromMin : 0),
    0,
  );
  return {
    ...draft("bake", facts, handsMin, { ...free, id, modes, after, dueMin: null }),
    ovenIds: able.map((oven) => oven.id),
  };
}

/** Trays laid for one oven go into another that is as wide and as deep, turned if need be, and holds as many. */
function takesTrays(oven: Oven, { trayWidthMm, trayDepthMm }: Oven, trays: number): boolean {
  const [wide, deep] = [
    Math.max(oven.trayWidthMm, oven.trayDepthMm),
    Math.min(oven.trayWidthMm, oven.trayDepthMm),
  ];
  return (
    oven.traysAtOnce >= trays &&
    wide >= Math.max(trayWidthMm, trayDepthMm) &&
    deep >= Math.min(trayWidthMm, trayDepthMm)
  );
}

/**
 * The oven is taken from the first tray in to the last tray out, stage after stage; hands only at either end and for
 * what is done between stages.
 */
function bakeMode(
  oven: Oven,
  stages: readonly BakeStage[],
  trays: number,
  extraMin: number,
  coatMin: number,
): TaskMode {
  const settings = stages.map((stage) => ({ ...setFor(stage, oven), act: stage.act }));
  const [first, last] = [settings[0], settings.at(-1)];
  if (!first || !last) throw new RangeError("bakeMode: a bake of no stage");
  let atMin = OVEN_HANDLING_MIN + extraMin;
  const acts = settings.slice(0, -1).flatMap(({ minutes, act }) => {
    atMin += Math.ceil(minutes);
    if (act === "none") return [];
    const fromMin = atMin;
    atMin += Math.max(Math.ceil(act === "secondCoat" ? coatMin : 0), ACT_MIN);
    return [{ resourceId: HANDS, fromMin, toMin: atMin, amount: 1 }];
  });
  const durationMin = atMin + Math.ceil(last.minutes) + OVEN_HANDLING_MIN;
  const uses = [
    { resourceId: toOvenId(oven), fromMin: 0, toMin: durationMin, amount: trays },
    { resourceId: HANDS, fromMin: 0, toMin: OVEN_HANDLING_MIN, amount: 1 },
    ...acts,
    { resourceId: HANDS, fromMin: durationMin - OVEN_HANDLING_MIN, toMin: durationMin, amount: 1 },
  ];
  return { durationMin, uses, heat: { startC: first.ovenC, endC: last.ovenC } };
}

const wait = (taskId: string, minWaitMin = 0, maxWaitMin: number | null = null): TaskWait => ({
  taskId,
  minWaitMin,
  maxWaitMin,
});

const rollId = (cut: DayCut, sheet: number) => `roll:${cut.id}:${sheet + 1}`;
const lotId = (cut: DayCut, demandId: string, lot: number) => `roll:${cut.id}:${demandId}:${lot + 1}`;

function listLots(count: number): { from: number; to: number }[] {
  return Array.from({ length: Math.ceil(count / PORTION_LOT) }, (_, i) => ({
    from: i * PORTION_LOT,
    to: Math.min((i + 1) * PORTION_LOT, count),
  }));
}

/** The tasks that cut the blanks of the pieces from `from` up to `to`, every role of them. */
function findRolls({ piece, cut, blanks }: PiecePlan, from: number, to: number): string[] {
  const meet = (range: { from: number; to: number }) => range.from < to && range.to > from;
  const ids = blanks.flatMap(({ role }) => {
    const demandId = toDemandId(piece, role);
    const portion = cut.plan.portioning?.portions.find((each) => each.demandId === demandId);
    if (portion)
      return listLots(portion.count).flatMap((lot, i) => (meet(lot) ? [lotId(cut, demandId, i)] : []));
    let done = 0;
    return cut.plan.sheets.flatMap(({ parts }, i) => {
      const count = parts
        .flatMap(({ uses }) => uses)
        .reduce((sum, use) => sum + (use.demandId === demandId ? use.count : 0), 0);
      const range = { from: done, to: done + count };
      done = range.to;
      return count > 0 && meet(range) ? [rollId(cut, i)] : [];
    });
  });
  return [...new Set(ids)];
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
