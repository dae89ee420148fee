import type { CutSheet } from "../cutting";
import { assignTakings, setFor, type DayBatch, type DayCut, type DayPlan, type PiecePlan } from "../plan";
import { formatDuration, formatHeat, formatMass, formatSide, lengthSign, type OvenScale } from "../units";

/** A figure as it stands on a wall: `624 × 380`, and beneath it what it is. */
export interface JobFigure {
  readonly value: string;
  readonly what: string;
}

interface Of {
  readonly line: PiecePlan | null;
  readonly batch: DayBatch | null;
  readonly cut: DayCut | null;
  /** The sheet that is rolled, where it is one. */
  readonly sheet: CutSheet | null;
  /** As the day reckons with them. */
  readonly ovens: DayPlan["ovens"];
  readonly ovenScale: OvenScale;
}

type Task = DayPlan["tasks"][number];

/** The figures a job is done with, the one that matters first. */
export function listFigures(task: Task, of: Of): JobFigure[] {
  const { line, batch } = of;
  const { kind, pieces } = task;
  const count = { value: String(pieces), what: pieces === 1 ? "piece" : "pieces" };
  switch (kind) {
    case "mix":
    case "make":
    case "precook":
      return batch?.batch
        ? [{ value: formatMass(batch.batch.weighedG), what: `to weigh out in ${batch.steps.length}` }]
        : [];
    case "takeOut":
      return of.cut ? [{ value: formatMass(of.cut.plan.doughG), what: "of dough, out of the cold" }] : [];
    case "roll":
      return listRollFigures(task, of);
    case "fill":
    case "pour":
      return line ? [...listPortions(task, line), count] : [count];
    case "seal":
      return line?.shaped.seal
        ? [{ value: String(line.shaped.seal.marks), what: `${line.shaped.seal.crimp.markName} each` }, count]
        : [count];
    case "bake":
    case "fry":
      return [...listHeatFigures(task, of), count];
    default:
      return [count];
  }
}

function listRollFigures({ pieces, pieceId }: Task, { cut, sheet }: Of): JobFigure[] {
  if (!cut) return [];
  const thick = { value: formatSide(cut.thicknessMm, 1), what: `${lengthSign()} thick` };
  if (sheet) {
    const { widthMm, heightMm } = sheet.rolledTo;
    return [
      { value: `${formatSide(widthMm, 0)} × ${formatSide(heightMm, 0)}`, what: `${lengthSign()}, rolled to` },
      thick,
      { value: String(sheet.count), what: "to cut" },
    ];
  }
  const portion = cut.plan.portioning?.portions.find(({ demandId }) =>
    cut.roles.some((role) => role.demandId === demandId && (pieceId === null || role.pieceId === pieceId)),
  );
  return [
    ...(portion ? [{ value: formatMass(portion.eachG), what: "each" }] : []),
    { value: String(pieces), what: "to roll" },
    thick,
  ];
}

/** What each piece gets in this job, by its steps. */
function listPortions({ steps }: Task, line: PiecePlan): JobFigure[] {
  const takings = assignTakings(line.piece.way, line.shaped.parts, line.piece.extras);
  return steps.flatMap(({ stepId }) =>
    (takings.get(stepId)?.parts ?? []).map(({ fillingId, portion }) => {
      const pans = line.fills.find(({ part }) => part.fillingId === fillingId)?.pans;
      return pans
        ? { value: formatMass(pans.eachG), what: `in each of ${pans.count} pans` }
        : { value: formatMass(portion.massG), what: "each" };
    }),
  );
}

/** Of a bake as its oven is set, of a frying as the oil stands. */
function listHeatFigures(
  { kind, heat, machineId, steps }: Task,
  { line, ovens, ovenScale }: Of,
): JobFigure[] {
  const fried = kind === "fry" ? line?.fries.find(({ fryer }) => fryer.id === machineId) : null;
  if (fried) {
    return [
      { value: formatHeat(fried.oilC, ovenScale === "gas" ? "celsius" : ovenScale), what: "oil" },
      { value: formatDuration(fried.minutes), what: `a basket of ${fried.perBasket}` },
    ];
  }
  const oven = ovens.find(({ id }) => id === machineId);
  if (!heat || !oven || !line) return [];
  const bakes = steps.flatMap(({ stepId }) => line.piece.way.find(({ id }) => id === stepId) ?? []);
  const minutes = bakes.reduce(
    (sum, { heatC, minutes: written }) =>
      heatC === null ? sum : sum + Math.ceil(setFor({ ovenC: heatC, minutes: written }, oven).minutes),
    0,
  );
  const then = heat.endC === heat.startC ? "" : `, then ${formatHeat(heat.endC, ovenScale)}`;
  return [
    { value: formatHeat(heat.startC, ovenScale), what: `${oven.name.toLowerCase()}${then}` },
    { value: formatDuration(minutes), what: "until you look" },
  ];
}
