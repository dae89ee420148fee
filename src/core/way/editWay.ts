import type { PieceExtra } from "../filling";
import type { PieceForm } from "../forming";
import type { Glaze, Vents, Wash } from "../sealing";
import { findChillMin, isFilling, isHeat, type Heat, type HeatWay, type UnmouldWindow } from "./readWay";
import { listShapeSteps } from "./shapeSteps";
import { createStep, factsOf, stepKinds, type StepKind, type Way, type WayStep } from "./step";

/** Figures of a piece that are steps of its way: where there is a wash, it is brushed on. */
export interface WayFigures {
  readonly wash: Wash;
  readonly vents: Vents;
  readonly glaze: Glaze;
  readonly extras: readonly PieceExtra[];
}

/** An id that no step of the way has. */
function nextId(way: Way): string {
  const taken = new Set(way.map(({ id }) => id));
  let number = way.length + 1;
  while (taken.has(`s${number}`)) number++;
  return `s${number}`;
}

/** The way with figures of one step replaced; an unknown id changes nothing. */
export const setStep = (way: Way, id: string, figures: Partial<Omit<WayStep, "id">>): Way =>
  way.map((step) => (step.id === id ? { ...step, ...figures } : step));

/** Two heats that are the same once nothing is done between them are one. */
const mergeHeats = (way: Way): Way =>
  way.reduce<WayStep[]>((steps, step) => {
    const last = steps.at(-1);
    const isSame = last && last.kind === step.kind && isHeat(step) && last.heatC === step.heatC;
    return isSame
      ? [...steps.slice(0, -1), { ...last, minutes: last.minutes + step.minutes }]
      : [...steps, step];
  }, []);

/** The way without a step; heats that nothing stands between any more become one. */
export const removeStep = (way: Way, id: string): Way => {
  const step = way.find((each) => each.id === id);
  const rest = way.filter((each) => each.id !== id);
  return step?.kind === "coat" ? mergeHeats(rest) : rest;
};

/** Without one of its heats, and without what was done at the oven's door as that ended. */
export function removeHeat(way: Way, id: string): Way {
  const at = way.findIndex((step) => step.id === id);
  const doors = way.slice(at + 1).findIndex(({ kind }) => factsOf(kind).pass !== "door");
  return at < 0 ? way : [...way.slice(0, at), ...way.slice(at + 1 + Math.max(doors, 0))];
}

/** The step set at another place, counted among the others. */
export function moveStep(way: Way, id: string, to: number): Way {
  const step = way.find((each) => each.id === id);
  if (!step) return way;
  const rest = way.filter((each) => each.id !== id);
  return [...rest.slice(0, to), step, ...rest.slice(to)];
}

const rankOf = (kind: StepKind): number => stepKinds.indexOf(kind);

/** Where a step of this kind usually stands: after all that the craft does before it, on its side of the heat. */
function findUsualPlace(way: Way, kind: StepKind): number {
  const first = way.findIndex(isHeat);
  const last = way.findLastIndex(isHeat);
  const isAfter = rankOf(kind) > rankOf("fry");
  const [from, to] = first < 0 ? [0, way.length] : isAfter ? [last + 1, way.length] : [0, first];
  const before = way.slice(from, to).findLastIndex((step) => rankOf(step.kind) <= rankOf(kind));
  return from + before + 1;
}

/**
 * Adds a step as it is usually done, where it usually stands or where it is put.
 * A second coat or a turn needs two heats: a single one is parted in the middle.
 */
export function insertStep(
  way: Way,
  kind: StepKind,
  figures: Partial<Omit<WayStep, "id" | "kind">> = {},
  at: number | null = null,
): Way {
  const step = createStep(nextId(way), kind, figures);
  if (at === null && factsOf(kind).pass === "door") return insertAtDoor(way, step);
  const place = at ?? findUsualPlace(way, kind);
  return [...way.slice(0, place), step, ...way.slice(place)];
}

/** Least minutes of a heat that was parted. */
const LEAST_HEAT_MIN = 1;

function insertAtDoor(way: Way, step: WayStep): Way {
  const last = way.findLastIndex(isHeat);
  const heat = way[last];
  if (!heat) return [...way, step];
  const before = way[last - 1];
  const isFollowing = before && (isHeat(before) || factsOf(before.kind).pass === "door");
  if (isFollowing) return [...way.slice(0, last), step, ...way.slice(last)];
  const half = Math.max(Math.round(heat.minutes / 2), LEAST_HEAT_MIN);
  const rest: WayStep = {
    ...heat,
    id: nextId([...way, step]),
    minutes: Math.max(heat.minutes - half, LEAST_HEAT_MIN),
    mostWaitMin: null,
  };
  return [...way.slice(0, last), { ...heat, minutes: half }, step, rest, ...way.slice(last + 1)];
}

/** The way with a step for every figure that is one, and none for what is not done. */
export function settleWay(
  way: Way,
  {
    wash,
    vents,
    glaze,
    extras,
  }: Omit<WayFigures, "extras"> & { readonly extras: readonly Pick<PieceExtra, "kind">[] },
): Way {
  const wanted: readonly (readonly [StepKind, boolean])[] = [
    ["vent", vents.kind !== "none" && vents.count > 0],
    ["brush", wash.kind !== "none"],
    ["strew", wash.sugar === "before"],
    ["coat", wash.kind !== "none" && wash.coats > 1 && way.some(({ kind }) => kind === "bake")],
    ["glaze", glaze.kind !== "none"],
    ["dust", wash.sugar === "after"],
  ];
  const poured = settlePouring(
    way,
    extras.some(({ kind }) => kind === "sauce"),
  );
  return wanted.reduce((steps, [kind, isWanted]) => {
    const there = steps.filter((step) => step.kind === kind);
    if (isWanted) return there.length > 0 ? steps : insertStep(steps, kind);
    return there.reduce((rest, { id }) => removeStep(rest, id), steps);
  }, poured);
}

/**
 * The way of a piece whose form has changed within its kind: a stick to lay, a lid to close. What the form of before asked
 * for and this one does not goes; what this one cannot be made without comes where it usually stands.
 */
export function fitWay(way: Way, was: PieceForm, form: PieceForm): Way {
  const stepsOf = (of: PieceForm) => {
    const { before, over } = listShapeSteps(of);
    return [...before, ...over];
  };
  const wanted = stepsOf(form);
  const gone = new Set(stepsOf(was).filter((kind) => !wanted.includes(kind)));
  const kept = way.some(({ kind }) => gone.has(kind)) ? way.filter(({ kind }) => !gone.has(kind)) : way;
  return wanted.reduce(
    (steps, kind) => (steps.some((step) => step.kind === kind) ? steps : insertStep(steps, kind)),
    kept,
  );
}

/** A sauce is brought to the boil and poured, straight before the heat; where there is none, nothing is poured. */
function settlePouring(way: Way, hasSauce: boolean): Way {
  const pours = (kind: StepKind) => kind === "pourAround" || kind === "warm";
  if (!hasSauce) return way.some(({ kind }) => pours(kind)) ? way.filter(({ kind }) => !pours(kind)) : way;
  if (way.some(({ kind }) => kind === "pourAround")) return way;
  const hot = insertStep(insertStep(way, "warm"), "pourAround");
  const heat = hot.find(isHeat);
  return heat && heat.mostWaitMin === null
    ? setStep(hot, heat.id, { mostWaitMin: POUR_BEFORE_HEAT_MIN })
    : hot;
}

/** Poured around, a syrup keeps its boil so long; then the pan is in the heat, min. */
export const POUR_BEFORE_HEAT_MIN = 4;

/** So long in the cold before the first heat; not at all for 0. */
export function withChill(way: Way, minutes: number): Way {
  const first = way.findIndex(isHeat);
  const at = way.findLastIndex(({ kind }, i) => i < first && (kind === "chill" || kind === "freeze"));
  const step = way[at];
  if (minutes === findChillMin(way)) return way;
  if (!step) return minutes > 0 ? insertStep(way, "chill", { minutes }) : way;
  return minutes > 0 ? setStep(way, step.id, { minutes }) : removeStep(way, step.id);
}

/** So long from the last heat until it is handled; a mould is left no later than before. */
export function withCool(way: Way, minutes: number): Way {
  const window = readWindow(way);
  return setCooling(way, minutes, window && { ...window, fromMin: Math.min(window.fromMin, minutes) });
}

/** Taken out of its mould within this time after the heat; left in for null. */
export const withUnmould = (way: Way, window: UnmouldWindow | null): Way =>
  setCooling(way, Math.max(sumCooling(way), window?.fromMin ?? 0), window);

const afterLastHeat = (way: Way) => way.slice(way.findLastIndex(isHeat) + 1);
const sumCooling = (way: Way) =>
  afterLastHeat(way).reduce((sum, { kind, minutes }) => sum + (kind === "cool" ? minutes : 0), 0);

function readWindow(way: Way): UnmouldWindow | null {
  const tail = afterLastHeat(way);
  const at = tail.findIndex(({ kind }) => kind === "unmould");
  const step = tail[at];
  return step ? { fromMin: sumCooling(tail.slice(0, at)), untilMin: step.mostWaitMin } : null;
}

/** Cools so long in its mould, is taken out, cools on. What else is done after the heat keeps its order. */
function setCooling(way: Way, totalMin: number, window: UnmouldWindow | null): Way {
  const head = way.slice(0, way.findLastIndex(isHeat) + 1);
  const old = afterLastHeat(way).find(({ kind }) => kind === "unmould");
  const tail = afterLastHeat(way).filter(({ kind }) => kind !== "cool" && kind !== "unmould");
  const inMouldMin = window?.fromMin ?? 0;
  const restMin = totalMin - inMouldMin;
  // It cools out on the rack while it is glazed, and is cold before it is filled or dusted.
  const glazedAt = tail.findLastIndex(({ kind }) => kind === "glaze" || kind === "drain") + 1;
  let ids = way;
  const make = (kind: StepKind, figures: Partial<WayStep>): WayStep => {
    const step = createStep(nextId(ids), kind, figures);
    ids = [...ids, step];
    return step;
  };
  return [
    ...head,
    ...(window && inMouldMin > 0 ? [make("cool", { minutes: inMouldMin })] : []),
    ...(window
      ? [old ? { ...old, mostWaitMin: window.untilMin } : make("unmould", { mostWaitMin: window.untilMin })]
      : []),
    ...tail.slice(0, glazedAt),
    ...(restMin > 0 ? [make("cool", { minutes: restMin })] : []),
    ...tail.slice(glazedAt),
  ];
}

/** What goes into an open piece, and what lies on that. */
const isOfFilling = (step: WayStep): boolean =>
  isFilling(step) || step.kind === "dropIn" || step.kind === "layShape";

/** A shell stands so long before it is filled: a hot one would cook or melt what goes in. */
export const SHELL_COOL_MIN = 10;

/**
 * Baked at these heats, one after the other; with a heat before them for the empty shell, if there is one.
 * What was done at the oven's door is left out: it belonged to the other bake.
 */
export function withHeats(way: Way, heats: readonly Heat[], empty: Heat | null = null): Way {
  const first = way.findIndex(isHeat);
  const [head, tail] = [way.slice(0, first), way.slice(way.findLastIndex(isHeat) + 1)];
  const between = way.slice(first, way.length - tail.length);
  const filled = [...head, ...between].filter(isOfFilling);
  const bare = head.filter((step) => !isOfFilling(step) && step.kind !== "weightsIn");
  let ids = way;
  const make = (kind: StepKind, figures: Partial<WayStep>): WayStep => {
    const step = createStep(nextId(ids), kind, figures);
    ids = [...ids, step];
    return step;
  };
  const bakes = heats.map(({ ovenC, minutes }) => make("bake", { heatC: ovenC, minutes }));
  const tailLess = tail.filter((step) => factsOf(step.kind).pass !== "door");
  if (empty) {
    return [
      ...bare,
      make("bake", { heatC: empty.ovenC, minutes: empty.minutes }),
      make("cool", { minutes: SHELL_COOL_MIN }),
      ...filled,
      ...bakes,
      ...tailLess,
    ];
  }
  const isBetween = between.some(isOfFilling);
  // Filled where it would have been before it was baked empty.
  const place = isBetween ? findUsualPlace(bare, "fill") : head.findIndex(isOfFilling);
  const open = isBetween ? [...bare.slice(0, place), ...filled, ...bare.slice(place)] : head;
  return [...open.filter(({ kind }) => kind !== "weightsIn"), ...bakes, ...tailLess];
}

/** Fried instead of baked, or baked instead of fried, at a heat that most begin with. */
export function withHeatWay(way: Way, heatBy: HeatWay, start: Heat): Way {
  const kind: StepKind = heatBy === "oil" ? "fry" : "bake";
  if (way.some((step) => step.kind === kind)) return way;
  const head = withHeats(way, [start]);
  // Nothing is washed, pricked or unmoulded in oil; nothing drains that comes out of an oven.
  const dropped = new Set<StepKind>(
    heatBy === "oil" ? ["brush", "strew", "coat", "unmould", "weightsIn", "weightsOut"] : ["drain"],
  );
  return head
    .filter((step) => !dropped.has(step.kind))
    .flatMap((step) => {
      if (!isHeat(step)) return [step];
      const heated = { ...step, kind };
      return heatBy === "oil" ? [heated, createStep(nextId([...head]), "drain")] : [heated];
    });
}

/** The figures with what makes a step be done, as most begin: brushing needs a wash. Empty for a step of its own. */
export function addFigure(kind: StepKind, { wash, vents }: WayFigures): Partial<WayFigures> {
  switch (kind) {
    case "brush":
      return { wash: { ...wash, kind: "egg" } };
    case "coat":
      return { wash: { ...wash, kind: wash.kind === "none" ? "egg" : wash.kind, coats: 2 } };
    case "strew":
      return { wash: { ...wash, sugar: "before" } };
    case "dust":
      return { wash: { ...wash, sugar: "after" } };
    case "vent":
      return { vents: vents.kind === "none" || vents.count === 0 ? { kind: "slits", count: 2 } : vents };
    case "glaze":
      return { glaze: { kind: "icing" } };
    default:
      return {};
  }
}

/** The figures without what makes a step be done. */
export function dropFigure(kind: StepKind, { wash, extras }: WayFigures): Partial<WayFigures> {
  switch (kind) {
    case "brush":
      return { wash: { ...wash, kind: "none", coats: 1 } };
    case "coat":
      return { wash: { ...wash, coats: 1 } };
    case "strew":
    case "dust":
      return { wash: { ...wash, sugar: "none" } };
    case "vent":
      return { vents: { kind: "none", count: 0 } };
    case "glaze":
      return { glaze: { kind: "none" } };
    case "pourAround":
      return { extras: extras.filter((extra) => extra.kind !== "sauce") };
    default:
      return {};
  }
}
