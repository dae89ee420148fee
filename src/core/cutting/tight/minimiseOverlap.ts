import type { BoxMm } from "../../shape";
import type { Room } from "../sheet";

/** Pairs of past steps that shape the next one. */
const MEMORY = 12;
/** Steps before an attempt is given up: a good start is settled in half as many. */
const MOST_STEPS = 600;
/** Every so many steps it is seen whether the overlap still falls fast enough to end in time. */
const CHECK_EVERY = 60;
/** Over a check it must have fallen to this share, or the centres are jammed. */
const LEAST_FALL = 0.7;
/** Rounds whose overlaps are added up between two looks at a clock: some milliseconds, also before the code is warm. */
const ROUNDS_A_LOOK = 4000;
/** Sufficient decrease of the line search (Armijo). */
const ARMIJO = 1e-4;

/**
 * Pushes rounds apart until no two overlap and all lie in the room: minimises the sum of squared overlaps by L-BFGS.
 * Changes `centres` in place. Yields after every look at the whole and every choice of a direction, and of tens of thousands
 * of rounds within a look, so that a clock can be kept.
 * @param centres - x and y by turns, mm. @param radiiMm - Of each. @param toleranceMm - Overlap that counts as none.
 * @returns The overlap left (sum of squares, mm²), or 0 if no single overlap is above the tolerance; the centres are
 * where it was reached or given up. O(steps · n).
 * @see Nocedal & Wright, Numerical Optimization (2006), algorithm 7.4.
 */
export function* minimiseOverlap(
  centres: Float64Array,
  radiiMm: Float64Array,
  room: Room,
  toleranceMm: number,
): Generator<undefined, number> {
  const size = centres.length;
  const near = new Neighbours(room, radiiMm);
  yield;
  let gradient = new Float64Array(size);
  let energy = yield* computeOverlap(centres, room, near, gradient);
  yield;
  const past: { step: Float64Array; turn: Float64Array; inverse: number }[] = [];
  const enough = toleranceMm ** 2 / 4;
  let checked = energy;
  for (let count = 1; count <= MOST_STEPS; count++) {
    if (energy <= enough) break;
    if (count % CHECK_EVERY === 0) {
      if (energy > checked * LEAST_FALL) return energy;
      checked = energy;
    }
    const direction = yield* findDirection(gradient, past);
    yield;
    let slope = dot(gradient, direction);
    if (slope >= 0) {
      past.length = 0;
      direction.set(gradient.map((value) => -value));
      slope = -dot(gradient, gradient);
    }
    const next = new Float64Array(size);
    const nextGradient = new Float64Array(size);
    let length = past.length === 0 ? 0.25 : 1;
    let nextEnergy = Infinity;
    for (let halvings = 0; halvings < 20; halvings++) {
      for (let i = 0; i < size; i++) next[i] = centres[i]! + length * direction[i]!;
      nextEnergy = yield* computeOverlap(next, room, near, nextGradient);
      yield;
      if (nextEnergy <= energy + ARMIJO * length * slope) break;
      length /= 2;
    }
    if (!(nextEnergy < energy)) break;
    const step = new Float64Array(size);
    const turn = new Float64Array(size);
    for (let i = 0; i < size; i++) {
      step[i] = next[i]! - centres[i]!;
      turn[i] = nextGradient[i]! - gradient[i]!;
    }
    const curvature = dot(step, turn);
    if (curvature > 1e-14) {
      past.push({ step, turn, inverse: 1 / curvature });
      if (past.length > MEMORY) past.shift();
    }
    centres.set(next);
    gradient = nextGradient;
    energy = nextEnergy;
  }
  return findLargestOverlapMm(centres, room, near) <= toleranceMm ? 0 : Math.max(energy, Number.MIN_VALUE);
}

/**
 * The two-loop recursion: the gradient through the inverse curvature that past steps have shown. Of many rounds it yields
 * between the steps.
 */
function* findDirection(
  gradient: Float64Array,
  past: readonly { step: Float64Array; turn: Float64Array; inverse: number }[],
): Generator<undefined, Float64Array> {
  const areMany = gradient.length > 2 * ROUNDS_A_LOOK;
  const direction = gradient.map((value) => -value);
  const shares = new Float64Array(past.length);
  for (let k = past.length - 1; k >= 0; k--) {
    if (areMany) yield;
    const { step, turn, inverse } = past[k]!;
    shares[k] = inverse * dot(step, direction);
    addScaled(direction, turn, -shares[k]!);
  }
  const last = past.at(-1);
  if (last) {
    const scale = 1 / (last.inverse * dot(last.turn, last.turn));
    for (let i = 0; i < direction.length; i++) direction[i] = direction[i]! * scale;
  }
  for (const [k, { step, turn, inverse }] of past.entries()) {
    if (areMany) yield;
    addScaled(direction, step, shares[k]! - inverse * dot(turn, direction));
  }
  return direction;
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}

function addScaled(target: Float64Array, added: Float64Array, scale: number): void {
  for (let i = 0; i < target.length; i++) target[i] = target[i]! + scale * added[i]!;
}

/** Rounds in cells as wide as the largest: only those of the same cell or one beside it can overlap. */
class Neighbours {
  private readonly across: number;
  private readonly down: number;
  private readonly first: Int32Array;
  private readonly next: Int32Array;
  private readonly cellOf: Int32Array;

  private readonly cellMm: number;

  constructor(
    { widthMm, heightMm }: BoxMm,
    readonly radiiMm: Float64Array,
  ) {
    const cellMm = 2 * radiiMm.reduce((most, mm) => Math.max(most, mm), 0);
    const count = radiiMm.length;
    this.cellMm = cellMm;
    this.across = Math.max(Math.ceil(widthMm / cellMm), 1);
    this.down = Math.max(Math.ceil(heightMm / cellMm), 1);
    this.first = new Int32Array(this.across * this.down);
    this.next = new Int32Array(count);
    this.cellOf = new Int32Array(count);
  }

  /** Sorts the rounds into their cells; what is outside of the room is in the nearest. */
  sort(centres: Float64Array): void {
    const { across, down, first, next, cellOf, cellMm } = this;
    first.fill(-1);
    for (let i = next.length - 1; i >= 0; i--) {
      const column = Math.min(Math.max(Math.floor(centres[2 * i]! / cellMm), 0), across - 1);
      const line = Math.min(Math.max(Math.floor(centres[2 * i + 1]! / cellMm), 0), down - 1);
      const cell = line * across + column;
      cellOf[i] = cell;
      next[i] = first[cell]!;
      first[cell] = i;
    }
  }

  /** Calls `meet` once for every two that may overlap, the first of them from `from` up to `to`. */
  forEachPair(from: number, to: number, meet: (i: number, j: number) => void): void {
    const { across, down, first, next, cellOf } = this;
    for (let i = from; i < to; i++) {
      for (let j = next[i]!; j >= 0; j = next[j]!) meet(i, j);
      const cell = cellOf[i]!;
      const column = cell % across;
      const isLast = cell >= across * (down - 1);
      // To the right, and the three below: the others look at this one.
      if (column < across - 1) for (let j = first[cell + 1]!; j >= 0; j = next[j]!) meet(i, j);
      if (isLast) continue;
      const below = cell + across;
      for (let j = first[below]!; j >= 0; j = next[j]!) meet(i, j);
      if (column > 0) for (let j = first[below - 1]!; j >= 0; j = next[j]!) meet(i, j);
      if (column < across - 1) for (let j = first[below + 1]!; j >= 0; j = next[j]!) meet(i, j);
    }
  }
}

/** Of the round that is looked at: kept, since it is asked for all the time. */
const beyond = new Float64Array(2);

/** Sum of squared overlaps, with the walls too; writes its gradient. Yields between parts of many rounds. */
function* computeOverlap(
  centres: Float64Array,
  room: Room,
  near: Neighbours,
  gradient: Float64Array,
): Generator<undefined, number> {
  gradient.fill(0);
  const { radiiMm } = near;
  let energy = 0;
  for (let i = 0; i < centres.length; i += 2) {
    room.beyond(centres[i]!, centres[i + 1]!, radiiMm[i >> 1]!, beyond);
    const [beyondX, beyondY] = [beyond[0]!, beyond[1]!];
    energy += beyondX * beyondX + beyondY * beyondY;
    gradient[i] = 2 * beyondX;
    gradient[i + 1] = 2 * beyondY;
  }
  const areMany = near.radiiMm.length > ROUNDS_A_LOOK;
  if (areMany) yield;
  near.sort(centres);
  if (areMany) yield;
  const meet = (one: number, other: number) => {
    const i = 2 * one;
    const j = 2 * other;
    const dx = centres[i]! - centres[j]!;
    const spacingMm = radiiMm[one]! + radiiMm[other]!;
    if (dx >= spacingMm || dx <= -spacingMm) return;
    const dy = centres[i + 1]! - centres[j + 1]!;
    const distanceSquared = dx * dx + dy * dy;
    if (distanceSquared >= spacingMm * spacingMm) return;
    // Two centres in one spot are parted along x.
    const distance = distanceSquared > 0 ? Math.sqrt(distanceSquared) : 1e-9;
    const overlap = spacingMm - distance;
    energy += overlap * overlap;
    const pull = (2 * overlap) / distance;
    const pullX = pull * (distanceSquared > 0 ? dx : 1e-9);
    const pullY = pull * dy;
    gradient[i] = gradient[i]! - pullX;
    gradient[i + 1] = gradient[i + 1]! - pullY;
    gradient[j] = gradient[j]! + pullX;
    gradient[j + 1] = gradient[j + 1]! + pullY;
  };
  const count = near.radiiMm.length;
  for (let from = 0; from < count; from += ROUNDS_A_LOOK) {
    if (from > 0) yield;
    near.forEachPair(from, Math.min(from + ROUNDS_A_LOOK, count), meet);
  }
  return energy;
}

function findLargestOverlapMm(centres: Float64Array, room: Room, near: Neighbours): number {
  let worst = 0;
  for (let i = 0; i < centres.length; i += 2) {
    room.beyond(centres[i]!, centres[i + 1]!, near.radiiMm[i >> 1]!, beyond);
    worst = Math.max(worst, Math.abs(beyond[0]!), Math.abs(beyond[1]!));
  }
  near.sort(centres);
  near.forEachPair(0, near.radiiMm.length, (one, other) => {
    const [i, j] = [2 * one, 2 * other];
    const apartMm = Math.hypot(centres[i]! - centres[j]!, centres[i + 1]! - centres[j + 1]!);
    worst = Math.max(worst, near.radiiMm[one]! + near.radiiMm[other]! - apartMm);
  });
  return worst;
}
