import type { PieceExtra } from "../filling";
import type { PieceForm } from "../forming";
import type { Vents, Wash } from "../sealing";
import { POUR_BEFORE_HEAT_MIN, SHELL_COOL_MIN, settleWay } from "./editWay";
import type { HeatWay, UnmouldWindow } from "./readWay";
import { listShapeSteps } from "./shapeSteps";
import { createWay, type StepKind, type Way, type WayStep } from "./step";

export const stageActs = ["none", "turn", "secondCoat", "weightsOut", "pressDown", "fill"] as const;
/** What was done at the end of a stage. */
export type StageAct = (typeof stageActs)[number];

/** How a piece was described before it had a way. Still taken from documents that say it so. */
export interface FormerWay {
  readonly form: PieceForm;
  readonly heatBy: HeatWay;
  readonly stages: readonly { readonly ovenC: number; readonly minutes: number; readonly act: StageAct }[];
  readonly chillMin: number;
  readonly coolMin: number;
  readonly unmould: UnmouldWindow | null;
  readonly wash: Wash;
  readonly vents: Vents;
  readonly glaze: { readonly kind: "none" | "icing" | "syrup" | "jam"; readonly dryMin: number };
  readonly extras: readonly Pick<PieceExtra, "kind">[];
}

type Draft = readonly [StepKind, Partial<Omit<WayStep, "id" | "kind">>?];

const doorOf: Readonly<Record<StageAct, StepKind | null>> = {
  none: null,
  turn: "turn",
  secondCoat: "coat",
  weightsOut: "weightsOut",
  pressDown: "pressDown",
  fill: null,
};

/** The way that the former figures of a piece meant. Hot syrup goes in straight before the heat, as it must. */
export function toWay(former: FormerWay): Way {
  const { form, heatBy, stages, chillMin, extras, wash, vents, glaze } = former;
  const { before, over } = listShapeSteps(form);
  const filledAt = heatBy === "oil" ? -1 : stages.findIndex(({ act }) => act === "fill");
  const fillsLast = form.kind === "case" || (filledAt >= 0 && filledAt === stages.length - 1);
  const hasSauce = extras.some(({ kind }) => kind === "sauce");
  const heatKind: StepKind = heatBy === "oil" ? "fry" : "bake";
  const filling: readonly Draft[] = [
    ...(extras.some(({ kind }) => kind === "inclusion") ? [["dropIn"] as const] : []),
    ["fill"],
  ];
  const isEarly = filledAt < 0 && !fillsLast;
  const heats = stages.flatMap(({ ovenC, minutes, act }, i): Draft[] => {
    // Oil has no door.
    const door = heatBy === "oil" ? null : doorOf[act];
    const isLast = i === stages.length - 1;
    const pours = i === 0 && hasSauce;
    const heat: Draft = [
      heatKind,
      { heatC: ovenC, minutes, ...(pours ? { mostWaitMin: POUR_BEFORE_HEAT_MIN } : {}) },
    ];
    return [
      ...(pours ? ([["warm"], ["pourAround"]] as const) : []),
      heat,
      ...(door && !isLast ? [[door] as const] : []),
      ...(i === filledAt && !fillsLast ? [["cool", { minutes: SHELL_COOL_MIN }] as const, ...filling] : []),
    ];
  });
  const drafts: readonly Draft[] = [
    ["roll"],
    ["cut"],
    ...before.map((kind): Draft => [kind]),
    ...(isEarly ? filling : []),
    ...over.map((kind): Draft => [kind]),
    ...(form.kind === "lined" ? [["trim"] as const] : []),
    ...(form.kind === "pressed" ? [["trim"] as const] : []),
    ...(chillMin > 0 ? [["chill", { minutes: chillMin }] as const] : []),
    ...heats,
    ...listAfterHeat(former, fillsLast ? filling : []),
    ["setOut"],
  ];
  return settleWay(createWay(drafts), { wash, vents, glaze, extras });
}

function listAfterHeat({ unmould, coolMin, glaze }: FormerWay, filling: readonly Draft[]): Draft[] {
  const inMouldMin = unmould?.fromMin ?? 0;
  const restMin = Math.max(coolMin - inMouldMin, 0);
  return [
    ...(unmould && inMouldMin > 0 ? [["cool", { minutes: inMouldMin }] as const] : []),
    ...(unmould ? [["unmould", { mostWaitMin: unmould.untilMin }] as const] : []),
    ...(glaze.kind === "none" ? [] : [["glaze", { minutes: glaze.dryMin }] as const]),
    ...(restMin > 0 ? [["cool", { minutes: restMin }] as const] : []),
    ...filling,
  ];
}
