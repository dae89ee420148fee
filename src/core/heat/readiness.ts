import { chill, findCrossingMin, type ChillRequest, type Stay } from "./chill";
import type { Moment } from "./conduct";
import type { Body } from "./grid";
import type { Composition } from "./material";
import type { Place } from "./places";

/** When a dough can be rolled: below it cracks, above it smears. °C. */
export interface WorkingWindow {
  readonly lowC: number;
  readonly highC: number;
}

/** Where dough is chilled. */
export type ColdPlace = Exclude<Place, "bench">;

export interface ReadinessRequest {
  readonly body: Body;
  readonly composition: Composition;
  readonly densityGPerMl: number;
  readonly window: WorkingWindow;
  /** As it comes from mixing. */
  readonly mixedC: number;
  readonly wrapped: boolean;
  /** Turned over half way through a rest in the freezer, whose cold comes mostly from above. */
  readonly turned: boolean;
  readonly fridgeC: number;
  readonly freezerC: number;
  readonly roomC: number;
  /** How many times the model's film lets heat through in each place, as cores that were read tell; 1 where nothing is said. */
  readonly filmFactors?: Readonly<Partial<Record<Place, number>>>;
  /** The sheet this piece will be rolled to. */
  readonly sheetThicknessMm: number;
}

/** Minutes in one cold place until the core can be rolled, and until the outside is too cold to be. */
export interface ColdRest {
  readonly place: ColdPlace;
  /** Null: not within the longest rest looked at. */
  readonly coreReadyMin: number | null;
  readonly outsideTooColdMin: number | null;
  readonly moments: readonly Moment[];
}

export interface Readiness {
  readonly fridge: ColdRest;
  readonly freezer: ColdRest;
  /** From fridge-cold: minutes on the bench until the core is warm enough to roll; 0 if it always is. */
  readonly temperMin: number | null;
  /** From fridge-cold: minutes on the bench until the outside is too warm; null if the room never gets there. */
  readonly benchLimitMin: number | null;
  readonly bench: readonly Moment[];
  /** Once rolled from the middle of the window: minutes until the sheet is too warm, null if never. */
  readonly sheetLimitMin: number | null;
}

/** Longest stay that is looked at, min: overnight in the cold, a shift on the bench. */
const LONGEST_REST_MIN = 12 * 60;
const LONGEST_BENCH_MIN = 8 * 60;
/** The curve goes on a little after the last thing that matters in it. */
const SHOWN_BEYOND = 1.6;
/** A stay in which little happens is still shown as long, min. */
const SHORTEST_SHOWN_MIN = 20;

/** When one piece of dough can be rolled, and for how long. All by conduction. */
export function computeReadiness(request: ReadinessRequest): Readiness {
  const { window } = request;
  const bench = restOnBench(request);
  const sheet = run(
    request,
    { kind: "slab", thicknessMm: request.sheetThicknessMm },
    (window.lowC + window.highC) / 2,
    [onBench(request)],
    false,
  );
  return {
    fridge: restCold(request, "fridge"),
    freezer: restCold(request, "freezer"),
    temperMin: findCrossingMin(bench, "coreC", window.lowC, "rising"),
    benchLimitMin: findCrossingMin(bench, "surfaceC", window.highC, "rising"),
    bench,
    sheetLimitMin: findCrossingMin(sheet, "meanC", window.highC, "rising"),
  };
}

/**
 * Minutes in the cold until the core can be rolled, or null if that takes longer than overnight. The same as
 * {@link computeReadiness} gives; quicker, since a run ends there and nothing else is reckoned.
 */
export function findRestMin(request: ReadinessRequest, place: ColdPlace): number | null {
  const { highC } = request.window;
  const until = (turnAtMin: number) => {
    const stays = inTheCold(request, place, turnAtMin, LONGEST_REST_MIN);
    const isReady = ({ coreC }: Moment) => coreC <= highC;
    const moments = run(request, request.body, request.mixedC, stays, request.wrapped, isReady);
    return findCrossingMin(moments, "coreC", highC, "falling");
  };
  const lyingMin = until(0);
  return request.turned && place === "freezer" && lyingMin !== null && lyingMin > 0
    ? until(lyingMin / 2)
    : lyingMin;
}

/** A rest of so many minutes in one cold place, turned over at one of them. */
function inTheCold(
  { fridgeC, freezerC, filmFactors }: ReadinessRequest,
  place: ColdPlace,
  turnAtMin: number,
  minutes: number,
): Stay[] {
  const of = { place, airC: place === "fridge" ? fridgeC : freezerC, filmFactor: filmFactors?.[place] ?? 1 };
  return [
    { ...of, minutes: turnAtMin, turnOver: true },
    { ...of, minutes: minutes - turnAtMin, turnOver: false },
  ];
}

/** A rest that was planned, and may have taken longer: turned over half way of its plan where that is done. */
export const toRestStays = (
  request: ReadinessRequest,
  place: ColdPlace,
  plannedMin: number,
  minutes: number,
): Stay[] => inTheCold(request, place, request.turned && place === "freezer" ? plannedMin / 2 : 0, minutes);

function restCold(request: ReadinessRequest, place: ColdPlace): ColdRest {
  const { window, mixedC, turned } = request;
  const over = (turnAtMin: number) => {
    const stays = inTheCold(request, place, turnAtMin, LONGEST_REST_MIN);
    return run(request, request.body, mixedC, stays, request.wrapped);
  };
  const coreAt = (moments: readonly Moment[]) => findCrossingMin(moments, "coreC", window.highC, "falling");
  const lying = over(0);
  const lyingReadyMin = coreAt(lying);
  const moments =
    turned && place === "freezer" && lyingReadyMin !== null && lyingReadyMin > 0
      ? over(lyingReadyMin / 2)
      : lying;
  const coreReadyMin = coreAt(moments);
  const outsideTooColdMin = findCrossingMin(moments, "surfaceC", window.lowC, "falling");
  return {
    place,
    coreReadyMin,
    outsideTooColdMin,
    moments: cutOff(moments, coreReadyMin, outsideTooColdMin),
  };
}

const onBench = ({ roomC, filmFactors }: ReadinessRequest): Stay => ({
  place: "bench",
  airC: roomC,
  minutes: LONGEST_BENCH_MIN,
  turnOver: false,
  filmFactor: filmFactors?.bench ?? 1,
});

/** Fridge-cold all through, then on the bench. */
function restOnBench(request: ReadinessRequest): Moment[] {
  const moments = run(request, request.body, request.fridgeC, [onBench(request)], request.wrapped);
  const { lowC, highC } = request.window;
  return cutOff(
    moments,
    findCrossingMin(moments, "coreC", lowC, "rising"),
    findCrossingMin(moments, "surfaceC", highC, "rising"),
  );
}

/** The moments up to a little after the later of two minutes; all if either never comes. */
function cutOff(moments: readonly Moment[], first: number | null, second: number | null): Moment[] {
  if (first === null || second === null) return [...moments];
  const untilMin = Math.max(first, second, SHORTEST_SHOWN_MIN) * SHOWN_BEYOND;
  const end = moments.findIndex(({ atMin }) => atMin > untilMin);
  return end < 0 ? [...moments] : moments.slice(0, end + 1);
}

function run(
  { composition, densityGPerMl }: ReadinessRequest,
  body: ChillRequest["body"],
  startC: number,
  stays: readonly Stay[],
  wrapped: boolean,
  isEnough?: (moment: Moment) => boolean,
): Moment[] {
  return chill({ body, composition, densityGPerMl, startC, wrapped, stays }, isEnough);
}

/** A rest cut short in the freezer. */
export interface ShortCut {
  readonly minutes: number;
  /** Half way: its cold comes mostly from above. */
  readonly turnAtMin: number;
  /** The outside is below the window by then, and wants a few minutes to even out. */
  readonly evensOut: boolean;
}

/** How the freezer cuts a rest short; null where the core does not get cold enough even there. */
export function findShortCut({ freezer }: Pick<Readiness, "freezer">): ShortCut | null {
  const { coreReadyMin, outsideTooColdMin } = freezer;
  if (coreReadyMin === null) return null;
  return {
    minutes: coreReadyMin,
    turnAtMin: coreReadyMin / 2,
    evensOut: outsideTooColdMin !== null && outsideTooColdMin < coreReadyMin,
  };
}
