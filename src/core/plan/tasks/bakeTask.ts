import type { TaskMode, TaskWait } from "../../schedule";
import type { Heat } from "../../way";
import type { Doneness, Oven } from "../book";
import { draft, HANDS, type DraftTask, type StepTimes, type TaskFacts } from "./draftTask";
import { setFor, toOvenId } from "../kit";

/** Opening the oven and setting trays in, and taking them out again: each. */
const OVEN_HANDLING_MIN = 2;
/** Opening the door between heats, to turn a tray or take weights out: whole minutes, at least this. */
const DOOR_MIN = 1;

/** One heat of a bake, with what is done at the oven's door when it is over, each in seconds of hands for the load. */
export interface BakeStage extends Heat {
  readonly stepId: string;
  readonly acts: readonly { readonly stepId: string; readonly seconds: number }[];
}

interface BakeFacts {
  /** The first is the one that its trays were laid for. */
  readonly ovens: readonly Oven[];
  /** Minutes in an oven for each that is written, by the log. */
  readonly factorOf: (ovenId: string) => number;
  readonly trays: number;
  readonly extraMin: number;
  /** Null for a bake that is not the last: nothing is judged after it. */
  readonly doneness: Doneness | null;
}

/** A bake in any of the ovens that are hot enough and take its trays. */
export function bakeTask(
  id: string,
  stages: readonly BakeStage[],
  { ovens, factorOf, trays, extraMin, doneness }: BakeFacts,
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
  const laid = able.map((oven) =>
    bakeMode(oven, stages, { trays, extraMin, slackMin, factor: factorOf(oven.id) }),
  );
  const [first] = laid;
  if (!first) throw new RangeError(`bakeTask: no oven takes ${id}`);
  const handsMin = first.mode.uses.reduce(
    (sum, { resourceId, fromMin, toMin }) => sum + (resourceId === HANDS ? toMin - fromMin : 0),
    0,
  );
  return {
    ...draft("bake", facts, handsMin, { id, modes: laid.map(({ mode }) => mode), after, dueMin: null }),
    slackMin,
    machineIds: able.map((oven) => oven.id),
    stepTimes: laid.map(({ times }) => times),
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
 * The oven is taken from the first tray in to the last tray out, heat after heat; hands only at either end and for
 * what is done at its door. A bake that may want more minutes keeps the oven for them, and is looked at before.
 */
function bakeMode(
  oven: Oven,
  stages: readonly BakeStage[],
  {
    trays,
    extraMin,
    slackMin,
    factor,
  }: {
    readonly trays: number;
    readonly extraMin: number;
    readonly slackMin: number;
    readonly factor: number;
  },
): { readonly mode: TaskMode; readonly times: StepTimes } {
  const settings = stages.map((stage) => {
    const { ovenC, minutes } = setFor(stage, oven);
    return { ...stage, ovenC, minutes: minutes * factor };
  });
  const [first, last] = [settings[0], settings.at(-1)];
  if (!first || !last) throw new RangeError("bakeMode: a bake of no heat");
  const times: Record<string, number> = {};
  let atMin = OVEN_HANDLING_MIN + extraMin;
  const hands = (fromMin: number, toMin: number) => ({ resourceId: HANDS, fromMin, toMin, amount: 1 });
  const openDoor = ({ acts }: BakeStage) => {
    if (acts.length === 0) return [];
    const fromMin = atMin;
    for (const { stepId } of acts) times[stepId] = fromMin;
    atMin += Math.max(Math.ceil(acts.reduce((sum, { seconds }) => sum + seconds, 0) / 60), DOOR_MIN);
    return [hands(fromMin, atMin)];
  };
  const atDoor = settings.slice(0, -1).flatMap((stage, i) => {
    times[stage.stepId] = i === 0 ? 0 : atMin;
    atMin += Math.ceil(stage.minutes);
    return openDoor(stage);
  });
  times[last.stepId] = settings.length === 1 ? 0 : atMin;
  const lookMin = atMin + Math.ceil(last.minutes);
  const outMin = lookMin + slackMin + OVEN_HANDLING_MIN;
  // What is done as the bake ends is done to trays that are out.
  atMin = outMin;
  const atEnd = openDoor(last);
  const uses = [
    { resourceId: toOvenId(oven), fromMin: 0, toMin: outMin, amount: trays },
    hands(0, OVEN_HANDLING_MIN),
    ...atDoor,
    ...(slackMin > 0 ? [hands(lookMin - DOOR_MIN, lookMin)] : []),
    hands(outMin - OVEN_HANDLING_MIN, outMin),
    ...atEnd,
  ];
  return { mode: { durationMin: atMin, uses, heat: { startC: first.ovenC, endC: last.ovenC } }, times };
}
