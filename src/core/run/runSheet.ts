import type { CutSheet } from "../cutting";
import type { FormedPiece } from "../forming";
import { computeTargetG, type Allergen, type WeighStep } from "../formula";
import type { CraftHold } from "../habits";
import type { TrayLoading } from "../loading";
import {
  findAllergens,
  listContents,
  type CutRole,
  type DayBatch,
  type DayBook,
  type DayPlan,
  type Piece,
  type PiecePlan,
  type Station,
  type TaskKind,
} from "../plan";
import type { HoldMend, Seal, Vents } from "../sealing";
import type { LotFigures } from "../remedy";
import type { HouseMeasures, OvenScale } from "../units";
import { freezeLarder, type RunLarder } from "./runLarder";
import { freezeCosts, type RunCosts } from "./freezeCosts";
import { freezeExpected, type ExpectedFigures } from "./expected";
import { listFigures, type JobFigure } from "./jobFigures";
import {
  listJobSteps,
  listStandingBefore,
  tellLooks,
  type JobStep,
  type Looks,
  type StandingStep,
} from "./jobSteps";
import { freezeTargets, type JobTargets } from "./jobTargets";
import { freezeLots, freezeLotWork, type LotWork, type PieceLots } from "./lots";
import { planFigures, readPieceNow, type PieceNow } from "./pieceRemedy";
import type { RunPlan } from "./runProblem";
import { inHouse } from "../units";

/** A job as it was planned, told in full: nothing else is needed to do it. */
export interface JobSheet {
  readonly taskId: string;
  readonly kind: TaskKind;
  readonly station: Station;
  readonly pieceId: string | null;
  readonly formulaId: string | null;
  /** What it is called; sheets frozen before it was kept have none. */
  readonly formulaName?: string | null;
  /** Of a rolling: the cut it belongs to. */
  readonly cutId: string | null;
  /** Who it was planned for: 0 the baker, 1 the helper. */
  readonly person: number;
  readonly pieces: number;
  readonly handsMin: number;
  /** From its start to its end. */
  readonly plannedMin: number;
  /** Minutes at its end that the plan keeps for "not yet". */
  readonly slackMin: number;
  readonly title: string;
  /** Of what and for what. */
  readonly about: string;
  /** The one that matters first. */
  readonly figures: readonly JobFigure[];
  readonly steps: readonly JobStep[];
  readonly looks: Looks;
  /** What readings are held against. */
  readonly targets: JobTargets;
  readonly cautions: readonly string[];
  readonly drawing: JobDrawing | null;
  /** What is weighed for it, in the order of adding. */
  readonly weighing: readonly WeighStep[];
  /** Of a dough whose liquid goes in by degrees: that line, the batch's multiple of the formula as written, and its g by that. */
  readonly liquid: {
    readonly lineId: string;
    readonly scale: number;
    readonly writtenG?: number;
  } | null;
  /** What what it is made of does by itself before it may begin: "Chill", and how that shows. */
  readonly stands: readonly StandingStep[];
  /** Of which lot it is a part; null where it is for all of them. */
  readonly lot: LotWork | null;
}

/** What is drawn beside a job; pieces by their id in the run's sheet. */
export type JobDrawing =
  | { readonly kind: "sheet"; readonly sheet: CutSheet; readonly roles: readonly CutRole[] }
  | { readonly kind: "section" | "above"; readonly pieceId: string }
  | { readonly kind: "tray"; readonly pieceId: string; readonly count: number };

/** A piece as far as it is drawn. */
export interface PieceSheet extends PieceLots {
  readonly id: string;
  readonly name: string;
  readonly formed: Pick<FormedPiece, "section" | "marginMm" | "fromAbove">;
  readonly seal: Seal | null;
  readonly vents: Vents;
  readonly loading: TrayLoading;
  /** How many are filled and closed. */
  readonly toFill: number;
  /** What stands of it before anything is made, and what a remedy would change. */
  readonly figures: LotFigures;
  readonly now: PieceNow | null;
  /** What would lower the leaks of loads to come, the one that lowers them most first; null where nothing is closed. */
  readonly hold: { readonly leakShare: number; readonly remedies: readonly SealRemedy[] } | null;
  /** What the craft reckons of the day's lot, without any log: what really happened is kept beside it. */
  readonly craft: Readonly<Record<"fill" | "close", { readonly style: string; readonly minutes: number }>> &
    CraftHold;
  /** What it leaves in oil, and by fryer how many lie in a basket; null where it is not fried. Older sheets have none. */
  readonly oil?: {
    readonly perBasket: Readonly<Record<string, number>>;
    readonly allergens: readonly Allergen[];
    readonly unknown: readonly string[];
  } | null;
}

/** A change of a piece that makes its seam hold better, by the craft's score and the baker's log. */
export interface SealRemedy {
  readonly text: string;
  readonly leakShare: number;
  /** Fields of the piece, and what they are now. */
  readonly set: Partial<Piece>;
  readonly was: Partial<Piece>;
}

/** A dough rolled and cut, as far as its yield is kept. */
export interface CutSheetFacts {
  readonly id: string;
  readonly doughId: string;
  /** Blanks, decorations not counted. */
  readonly planned: number;
}

/** A day's plan frozen for its run: self-contained, so that a later edit of the book changes nothing of it. */
export interface RunSheet extends RunPlan {
  readonly dayId: string;
  readonly date: string;
  readonly dayName: string;
  readonly hasHelper: boolean;
  readonly larder: RunLarder;
  readonly costs: RunCosts;
  /** What the plan expects of what will be timed, weighed, read and counted. */
  readonly expected: ExpectedFigures;
  /** How the kitchen reads its ovens. */
  readonly ovenScale: OvenScale;
  /** What its texts are told in; sheets from before there was a choice have none, and are metric. */
  readonly measures?: HouseMeasures;
  readonly roomC: number;
  readonly fridgeC: number;
  readonly jobs: readonly JobSheet[];
  readonly pieces: readonly PieceSheet[];
  readonly cuts: readonly CutSheetFacts[];
  /** Fillings that are made or there, and how much more than the pieces take, g; below 0 it is short. */
  readonly fillings: readonly { readonly id: string; readonly name: string; readonly overG: number }[];
  /** Ovens and fryers by the schedule's resource. */
  readonly machines: readonly { readonly resourceId: string; readonly name: string }[];
}

/**
 * Freezes a day's plan to be run, told in the measures of its kitchen.
 * @returns null where the day has nothing to do or no time was found for it.
 */
export const freezeRun = (plan: DayPlan, book: DayBook): RunSheet | null =>
  inHouse(book.kitchen, () => freeze(plan, book));

function freeze(plan: DayPlan, book: DayBook): RunSheet | null {
  const { problem, schedule } = plan;
  if (!problem || !schedule) return null;
  const { day } = book;
  const modeOf = new Map(schedule.placed.map(({ taskId, mode }) => [taskId, mode]));
  return {
    dayId: day.id,
    date: day.date,
    dayName: day.name,
    hasHelper: day.helper !== null,
    larder: freezeLarder(plan, book),
    costs: freezeCosts(plan, book),
    expected: freezeExpected(plan, book),
    ovenScale: book.kitchen.ovenScale,
    measures: { lengthUnit: book.kitchen.lengthUnit, massUnit: book.kitchen.massUnit },
    roomC: book.kitchen.roomC,
    fridgeC: book.kitchen.fridgeC,
    problem,
    placed: plan.tasks.map(({ id, placed }) => ({
      taskId: id,
      startMin: placed.startMin,
      mode: modeOf.get(id) ?? 0,
    })),
    slackMin: Object.fromEntries(
      plan.tasks.flatMap(({ id, slackMin }) => (slackMin > 0 ? [[id, slackMin]] : [])),
    ),
    jobs: plan.tasks.map((task) => tellJob(task, plan, book)),
    pieces: plan.lines.map((line) => freezePiece(line, plan, book)),
    cuts: plan.cuts.map(({ id, dough, plan: { sheets } }) => ({
      id,
      doughId: dough.id,
      planned: sheets.reduce((sum, { count, isDecoration }) => sum + (isDecoration ? 0 : count), 0),
    })),
    fillings: plan.fillings.map(({ formula, overG }) => ({ id: formula.id, name: formula.name, overG })),
    machines: plan.machines.flatMap(({ resourceId, name }) =>
      problem.resources.some(({ id }) => id === resourceId) ? [{ resourceId, name }] : [],
    ),
  };
}

function freezePiece(line: PiecePlan, plan: DayPlan, book: DayBook): PieceSheet {
  const {
    piece,
    loading,
    handsMin,
    shaped: { formed, seal, works, hold },
    counts: { toFill },
  } = line;
  return {
    ...freezeLots(line, plan),
    oil: freezeOil(line, book),
    figures: planFigures(line, book),
    now: readPieceNow(piece),
    id: piece.id,
    name: piece.name,
    formed: { section: formed.section, marginMm: formed.marginMm, fromAbove: formed.fromAbove },
    seal,
    vents: piece.vents,
    loading,
    toFill,
    hold: hold && {
      leakShare: hold.leakShare,
      remedies: hold.mends.flatMap((mend) => toRemedy(mend, piece)),
    },
    craft: {
      fill: { style: works.fill.style, minutes: handsMin.fillByCraft },
      close: { style: works.close.style, minutes: handsMin.closeByCraft },
      craftLeakShare: hold?.craftShare ?? 0,
      craftCauses: hold?.craftCauses ?? {},
    },
  };
}

const freezeOil = (line: PiecePlan, { formulas, ingredients }: DayBook): PieceSheet["oil"] =>
  line.fries.length === 0
    ? null
    : {
        perBasket: Object.fromEntries(line.fries.map(({ fryer, perBasket }) => [fryer.id, perBasket])),
        ...findAllergens(listContents(line, formulas, ingredients)),
      };

function tellJob(task: DayPlan["tasks"][number], plan: DayPlan, book: DayBook): JobSheet {
  const { id, kind, station, pieceId, formulaId, cutId, person, pieces, handsMin, slackMin, label } = task;
  const line = plan.lines.find(({ piece }) => piece.id === pieceId) ?? null;
  const batch = [...plan.doughs, ...plan.fillings].find(({ formula }) => formula.id === formulaId) ?? null;
  const cut = plan.cuts.find((each) => each.id === cutId) ?? null;
  const sheet =
    kind === "roll" && cut && !cut.plan.portioning ? (cut.plan.sheets[task.index - 1] ?? null) : null;
  const concerned = new Set(line ? [line.piece.id] : (batch?.pieceIds ?? cut?.pieceIds ?? []));
  const steps = listJobSteps(task, plan, book);
  const isWeighed = kind === "mix" || (kind === "make" && steps.every(({ kind: step }) => step !== "strain"));
  return {
    taskId: id,
    kind,
    station,
    pieceId,
    formulaId,
    formulaName: (cut?.dough ?? batch?.formula)?.name ?? null,
    cutId,
    person,
    pieces,
    handsMin,
    plannedMin: task.placed.endMin - task.placed.startMin,
    slackMin,
    title: sheet && cut ? nameSheet(sheet, task.index, cut.plan.sheets) : label,
    about: [
      cut?.dough.name ?? batch?.formula.name,
      line && pieces > 0 ? `${pieces} × ${line.piece.name}` : tellPieces([...concerned], plan.lines),
    ]
      .filter((part) => part && !label.endsWith(part))
      .join(", "),
    figures: listFigures(task, {
      ...{ line, batch, cut, sheet },
      ovens: plan.ovens,
      ovenScale: book.kitchen.ovenScale,
    }),
    steps,
    looks: tellLooks(task, { line, cut, steps }),
    targets: freezeTargets(task, { line, cut, steps }, plan, book),
    cautions: plan.cautions.flatMap((caution) =>
      caution.station === station && caution.pieceIds.some((each) => concerned.has(each))
        ? [caution.text]
        : [],
    ),
    drawing: draw(task, line, sheet && cut ? { sheet, roles: cut.roles } : null),
    weighing: isWeighed ? (batch?.steps ?? []) : [],
    liquid: isWeighed ? findLiquid(batch) : null,
    stands: line ? listStandingBefore(task, line) : [],
    lot: freezeLotWork(task, line),
  };
}

/** What can be changed of a piece whose dough is cut already, and stands in a field of its own. */
const remedyFields = ["glue", "marginMm", "plumpness"] as const;

function toRemedy({ text, change, leakShare }: HoldMend, piece: Piece): SealRemedy[] {
  const field = remedyFields.find((each) => each in change);
  if (!field || Object.keys(change).length > 1) return [];
  return [{ text, leakShare, set: { [field]: change[field] }, was: { [field]: piece[field] } }];
}

function findLiquid(batch: DayBatch | null): JobSheet["liquid"] {
  const lineId = batch?.steps.find((step) => step.line.range !== null)?.line.lineId;
  const written = batch?.formula.lines.find(({ id }) => id === lineId);
  if (!batch?.batch || !written) return null;
  const { scale } = batch.batch;
  return { lineId: written.id, scale, writtenG: computeTargetG(batch.formula, written, null) * scale };
}

function nameSheet({ pass, isDecoration }: CutSheet, index: number, sheets: readonly CutSheet[]): string {
  if (isDecoration) return "Roll and cut decorations";
  const alike = sheets.flatMap((each, i) => (each.pass === pass && !each.isDecoration ? [i + 1] : []));
  const which = alike.length > 1 ? ` ${alike.indexOf(index) + 1} of ${alike.length}` : "";
  return pass === 0 ? `Roll sheet${which}` : `Roll the trim again${which && `, sheet${which}`}`;
}

const tellPieces = (ids: readonly string[], lines: readonly PiecePlan[]): string => {
  const names = lines.flatMap(({ piece }) => (ids.includes(piece.id) ? [piece.name] : []));
  return names.length > 0 ? `for ${names.join(", ")}` : "";
};

function draw(
  { kind, pieces }: DayPlan["tasks"][number],
  line: PiecePlan | null,
  cut: { readonly sheet: CutSheet; readonly roles: readonly CutRole[] } | null,
): JobDrawing | null {
  if (cut) return { kind: "sheet", ...cut };
  if (!line) return null;
  const pieceId = line.piece.id;
  switch (kind) {
    case "fill":
    case "line":
    case "sugar":
      return { kind: "section", pieceId };
    case "bake":
      return { kind: "tray", pieceId, count: Math.min(pieces, line.loading.perTray) };
    default:
      return { kind: "above", pieceId };
  }
}
