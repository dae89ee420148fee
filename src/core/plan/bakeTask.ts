import type { TaskMode, TaskWait } from "../schedule";
import type { BakeStage, Doneness, Oven } from "./book";
import { draft, HANDS, type DraftTask, type TaskFacts } from "./draftTask";
import { setFor, toOvenId } from "./ovenSetting";

/** Opening the oven and setting trays in, and taking them out again: each. */
const OVEN_HANDLING_MIN = 2;
/** Opening the door between stages, to turn a tray or take weights out. */
const ACT_MIN = 1;

interface BakeFacts {
  /** The first is the one that its trays were laid for. */
  readonly ovens: readonly Oven[];
  readonly trays: number;
  readonly extraMin: number;
  readonly coatMin: number;
  /** Null for a bake that is not the last: nothing is judged after it. */
  readonly doneness: Doneness | null;
}

/** A bake in any of the ovens that are hot enough and take its trays. */
export function bakeTask(
  id: string,
  stages: readonly BakeStage[],
  { ovens, trays, extraMin, coatMin, doneness }: BakeFacts,
  after: readonly TaskWait[],
  facts: TaskFacts,
): DraftTask {
  const [home] = ovens;
  const able = ovens.filter(
    (oven) =>
      home &&
      takesTrays(oven, home, trays) &&
      stages.every((stage) => setFor(stage, oven).ovenC <= oven.maxC),
  );
  const slackMin = doneness ? doneness.moreMin * doneness.atMost : 0;
  const modes = able.map((oven) => bakeMode(oven, stages, trays, extraMin, coatMin, slackMin));
  const [first] = modes;
  if (!first) throw new RangeError(`bakeTask: no oven takes ${id}`);
  const handsMin = first.uses.reduce(
    (sum, { resourceId, fromMin, toMin }) => sum + (resourceId === HANDS ? toMin - fromMin : 0),
    0,
  );
  return {
    ...draft("bake", facts, handsMin, { id, modes, after, dueMin: null }),
    slackMin,
    machineIds: able.map((oven) => oven.id),
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
 * what is done between stages. A bake that may want more minutes keeps the oven for them, and is looked at before.
 */
function bakeMode(
  oven: Oven,
  stages: readonly BakeStage[],
  trays: number,
  extraMin: number,
  coatMin: number,
  slackMin: number,
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
  const lookMin = atMin + Math.ceil(last.minutes);
  const durationMin = lookMin + slackMin + OVEN_HANDLING_MIN;
  const uses = [
    { resourceId: toOvenId(oven), fromMin: 0, toMin: durationMin, amount: trays },
    { resourceId: HANDS, fromMin: 0, toMin: OVEN_HANDLING_MIN, amount: 1 },
    ...acts,
    ...(slackMin > 0 ? [{ resourceId: HANDS, fromMin: lookMin - ACT_MIN, toMin: lookMin, amount: 1 }] : []),
    { resourceId: HANDS, fromMin: durationMin - OVEN_HANDLING_MIN, toMin: durationMin, amount: 1 },
  ];
  return { durationMin, uses, heat: { startC: first.ovenC, endC: last.ovenC } };
}
