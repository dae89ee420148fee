import { createMemory } from "../createMemory";
import { chill, type ChillRequest, type Stay } from "./chill";
import type { Moment } from "./conduct";
import { COMES_OUT_C } from "./cooling";
import { toRestStays, type ColdPlace, type ReadinessRequest } from "./readiness";

/** Cores of what cools in one place over time, for films of so many times the model's. */
export interface FilmTable {
  /** Cores stand so far apart, from the start on. */
  readonly stepMin: number;
  /** By film, the weakest first; °C. */
  readonly coresC: readonly (readonly number[])[];
}

/** Films that are worked out, as multiples of the model's: between them a core runs smoothly in the film's logarithm. */
const FACTORS = [1 / 3, 1, 3] as const;
/** Films beyond the outer ones are told so far, and no farther. */
const MOST_FACTOR = 6;
const STEP_MIN = 5;
/** Longest rest that is looked back at, min: after it a core is as cold as its place. */
const LONGEST_MIN = 150;
/**
 * A film of e times as much has to show in the core by so much, °C: else a reading, good to half a degree, tells the probe
 * and not the place.
 */
const TELLING_C = 1.4;
/** Halvings of the span of films in its logarithm: to a thousandth. */
const HALVINGS = 12;

/** The same dough rests the same in every day's plan, and the same piece cools the same. */
const remember = createMemory<FilmTable>(40);

/**
 * How cold a dough's core is after a rest, by minutes and film. By conduction; some tenths of a second.
 * @param restMin - Planned: what is turned over half way is turned at half of it.
 */
export function tabulateFilm(request: ReadinessRequest, place: ColdPlace, restMin: number): FilmTable {
  const { body, composition, densityGPerMl, mixedC: startC, wrapped } = request;
  return tabulate({ body, composition, densityGPerMl, startC, wrapped }, (factor) =>
    toRestStays({ ...request, filmFactors: { [place]: factor } }, place, restMin, LONGEST_MIN),
  );
}

/** How warm the core of a baked piece is after minutes on the bench, by film, as it comes out at {@link COMES_OUT_C}. */
export const tabulateCooling = (
  baked: Pick<ChillRequest, "body" | "composition" | "densityGPerMl">,
  roomC: number,
): FilmTable =>
  tabulate({ ...baked, startC: COMES_OUT_C, wrapped: false }, (filmFactor) => [
    { place: "bench", airC: roomC, minutes: LONGEST_MIN, turnOver: false, filmFactor },
  ]);

function tabulate(
  request: Omit<ChillRequest, "stays">,
  toStays: (filmFactor: number) => readonly Stay[],
): FilmTable {
  const runs = FACTORS.map((factor): ChillRequest => ({ ...request, stays: toStays(factor) }));
  return remember(JSON.stringify(runs), () => ({
    stepMin: STEP_MIN,
    coresC: runs.map((each) => {
      const moments = chill(each);
      return Array.from({ length: LONGEST_MIN / STEP_MIN + 1 }, (_, i) => readCore(moments, i * STEP_MIN));
    }),
  }));
}

function readCore(moments: readonly Moment[], atMin: number): number {
  const next = moments.findIndex((moment) => moment.atMin >= atMin);
  const [before, after] = [moments[next - 1], moments[next] ?? moments.at(-1)];
  if (!after) throw new RangeError("readCore: a rest without a moment");
  if (!before || after.atMin === before.atMin) return after.coreC;
  const share = Math.min((atMin - before.atMin) / (after.atMin - before.atMin), 1);
  return before.coreC + share * (after.coreC - before.coreC);
}

/** A core after so many minutes, °C. @param factor - Of the film; @returns null beyond what is tabulated. */
export function readFilmCore(table: FilmTable, factor: number, restedMin: number): number | null {
  const cores = coresAt(table, restedMin);
  return cores && interpolate(cores, Math.log(factor));
}

/**
 * How many times the model's film lets heat out, so that a core is as cold as it was found after a rest.
 * @returns Null where no film explains it (warmer than it came, colder than the best cold makes it), and where it has lain
 * so long or so shortly that films hardly show in it.
 */
export function findFilm(table: FilmTable, restedMin: number, coreC: number): number | null {
  const cores = restedMin > 0 ? coresAt(table, restedMin) : null;
  if (!cores) return null;
  const mostLog = Math.log(MOST_FACTOR);
  let [low, high] = [-mostLog, mostLog];
  // The more readily heat leaves, the colder the core.
  if (coreC > interpolate(cores, low) || coreC < interpolate(cores, high)) return null;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (interpolate(cores, middle) > coreC) low = middle;
    else high = middle;
  }
  const found = (low + high) / 2;
  const shows = interpolate(cores, found - 0.5) - interpolate(cores, found + 0.5);
  return shows < TELLING_C ? null : Math.exp(found);
}

function coresAt({ stepMin, coresC }: FilmTable, restedMin: number): [number, number, number] | null {
  const at = restedMin / stepMin;
  const i = Math.floor(at);
  const read = (cores: readonly number[] = []): number => {
    const [before = NaN, after = before] = [cores[i], cores[i + 1]];
    return before + (at - i) * (after - before);
  };
  const cores: [number, number, number] = [read(coresC[0]), read(coresC[1]), read(coresC[2])];
  return cores.every(Number.isFinite) ? cores : null;
}

/** A parabola through the three films, in the logarithm of the film; beyond them straight on. */
function interpolate([weak, even, strong]: readonly [number, number, number], log: number): number {
  const span = Math.log(FACTORS[2]);
  const x = log / span;
  const curve = (at: number) =>
    (weak * at * (at - 1)) / 2 + even * (1 - at) * (1 + at) + (strong * at * (at + 1)) / 2;
  if (Math.abs(x) <= 1) return curve(x);
  const end = Math.sign(x);
  const slope = end > 0 ? (weak - 4 * even + 3 * strong) / 2 : (-3 * weak + 4 * even - strong) / 2;
  return curve(end) + slope * (x - end);
}
