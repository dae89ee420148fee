import { requirePositive, requireThat } from "../require";
import { because, fail, ok, type Result } from "../result";
import { findCrossingMin } from "./chill";
import { conduct, type Moment, type Stage } from "./conduct";
import { buildGrid, type Body } from "./grid";
import type { BakeFailure } from "./heatFailure";
import { describeMaterial, type Composition } from "./material";

/** The oven's air over a stretch of time. */
export interface BakeAir {
  readonly airC: number;
  readonly minutes: number;
}

/** What is baked: its shape as conduction sees it, what it is made of, and how warm it goes in. */
export interface Baked {
  readonly body: Body;
  readonly composition: Composition;
  readonly densityGPerMl: number;
  readonly startC: number;
}

/** A bake that came out right. */
export interface KnownBake extends Baked {
  /** At least one stretch; all of them together is how long it took. */
  readonly air: readonly BakeAir[];
  /** Core temperature at which it was done. */
  readonly doneC: number;
}

export interface BakeScale {
  /** Fitted to the known bake: all that air, radiation, tray and drying do to the surface, W/m² K. */
  readonly surfaceWPerM2K: number;
  readonly minutes: number;
  /** The same with a surface coefficient a fifth higher and lower. */
  readonly lowMin: number;
  readonly highMin: number;
  readonly moments: readonly Moment[];
}

/** Between these the coefficient of a bake lies: still cool air, and a hot stone with steam. */
const LEAST_SURFACE = 2;
const MOST_SURFACE = 400;
/** Halvings of the search, on a logarithmic scale: to a thousandth of the coefficient. */
const FIT_ROUNDS = 13;
/** From oven to oven and day to day the coefficient strays by about so much. */
const SPREAD_SHARE = 0.2;
/** A bake is looked at no longer than this, min. */
const LONGEST_MIN = 6 * 60;

/**
 * How long another size, thickness or heat takes, from one bake that is known: the same conduction, with the surface
 * coefficient that makes the known bake come out in its own minutes. Time goes with the square of the thickness where
 * conduction rules and in proportion to it where the surface does; which of the two it is follows from the fit.
 */
export function scaleBake(
  known: KnownBake,
  other: Baked & { readonly air: readonly BakeAir[]; readonly doneC: number },
): Result<BakeScale, BakeFailure> {
  const fitted = fitSurface(known);
  if (!fitted.ok) return fitted;
  const hottestC = Math.max(...other.air.map(({ airC }) => airC));
  if (other.doneC >= hottestC) return fail(because("ovenBelowDone", { ovenC: hottestC, doneC: other.doneC }));
  const run = (surface: number) => bakeUntil(other, endless(other.air), other.doneC, surface);
  const [likely, quick, slow] = [1, 1 + SPREAD_SHARE, 1 - SPREAD_SHARE].map((share) =>
    run(fitted.value * share),
  );
  if (!likely || likely.doneMin === null || !quick || !slow)
    return fail(because("neverDone", { withinMin: LONGEST_MIN, doneC: other.doneC }));
  return ok({
    surfaceWPerM2K: fitted.value,
    minutes: likely.doneMin,
    lowMin: quick.doneMin ?? likely.doneMin,
    highMin: slow.doneMin ?? LONGEST_MIN,
    moments: likely.moments,
  });
}

/** The surface coefficient with which a known bake is done in its own minutes, W/m² K. */
export function fitSurface(known: KnownBake): Result<number, BakeFailure> {
  requireThat("air", known.air.length, known.air.length > 0, "at least one stretch");
  const tookMin = known.air.reduce((sum, { minutes }) => sum + minutes, 0);
  requirePositive("minutes", tookMin);
  const doneMin = (surface: number) =>
    bakeUntil(known, endless(known.air), known.doneC, surface).doneMin ?? Infinity;
  let [low, high] = [Math.log(LEAST_SURFACE), Math.log(MOST_SURFACE)];
  const { doneC } = known;
  if (doneMin(Math.exp(high)) > tookMin) return fail(because("knownTooQuick", { tookMin, doneC }));
  if (doneMin(Math.exp(low)) < tookMin) return fail(because("knownTooSlow", { tookMin, doneC }));
  for (let i = 0; i < FIT_ROUNDS; i++) {
    const middle = (low + high) / 2;
    if (doneMin(Math.exp(middle)) > tookMin) low = middle;
    else high = middle;
  }
  return ok(Math.exp((low + high) / 2));
}

/** The last stretch of air goes on until the core is done. */
const endless = (air: readonly BakeAir[]): BakeAir[] =>
  air.map((each, i) => (i < air.length - 1 ? each : { ...each, minutes: LONGEST_MIN }));

function bakeUntil(
  { body, composition, densityGPerMl, startC }: Baked,
  air: readonly BakeAir[],
  doneC: number,
  surfaceWPerM2K: number,
): { moments: readonly Moment[]; doneMin: number | null } {
  const stages = air.map(({ airC, minutes }): Stage => ({
    surroundings: {
      airC,
      topWPerM2K: surfaceWPerM2K,
      bottomWPerM2K: surfaceWPerM2K,
      edgeWPerM2K: surfaceWPerM2K,
    },
    minutes,
    turnOver: false,
  }));
  const moments = conduct(
    buildGrid(body),
    describeMaterial(composition, densityGPerMl),
    startC,
    stages,
    ({ coreC }) => coreC >= doneC,
  );
  return { moments, doneMin: findCrossingMin(moments, "coreC", doneC, "rising") };
}
