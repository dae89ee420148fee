import type { BoxMm } from "../shape";

/** Pairs of past steps that shape the next one. */
const MEMORY = 12;
/** Steps before an attempt is given up: a good start is settled in half as many. */
const MOST_STEPS = 600;
/** Every so many steps it is seen whether the overlap still falls fast enough to end in time. */
const CHECK_EVERY = 60;
/** Over a check it must have fallen to this share, or the centres are jammed. */
const LEAST_FALL = 0.7;
/** Sufficient decrease of the line search (Armijo). */
const ARMIJO = 1e-4;

/**
 * Pushes points apart until none are nearer than `spacingMm` and all lie in the room: minimises the sum of squared
 * overlaps by L-BFGS. Changes `centres` in place.
 * @param centres - x and y by turns, mm. @param toleranceMm - Overlap that counts as none.
 * @returns The overlap left (sum of squares, mm²), or 0 if no single overlap is above the tolerance; the centres are
 * where it was reached or given up. O(steps · n²).
 * @see Nocedal & Wright, Numerical Optimization (2006), algorithm 7.4.
 */
export function minimiseOverlap(
  centres: Float64Array,
  room: BoxMm,
  spacingMm: number,
  toleranceMm: number,
): number {
  const size = centres.length;
  let gradient = new Float64Array(size);
  let energy = computeOverlap(centres, room, spacingMm, gradient);
  const past: { step: Float64Array; turn: Float64Array; inverse: number }[] = [];
  const enough = toleranceMm ** 2 / 4;
  let checked = energy;
  for (let count = 1; count <= MOST_STEPS; count++) {
    if (energy <= enough) break;
    if (count % CHECK_EVERY === 0) {
      if (energy > checked * LEAST_FALL) return energy;
      checked = energy;
    }
    const direction = findDirection(gradient, past);
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
      nextEnergy = computeOverlap(next, room, spacingMm, nextGradient);
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
  return findLargestOverlapMm(centres, room, spacingMm) <= toleranceMm
    ? 0
    : Math.max(energy, Number.MIN_VALUE);
}

/** The two-loop recursion: the gradient through the inverse curvature that past steps have shown. */
function findDirection(
  gradient: Float64Array,
  past: readonly { step: Float64Array; turn: Float64Array; inverse: number }[],
): Float64Array {
  const direction = gradient.map((value) => -value);
  const shares = new Float64Array(past.length);
  for (let k = past.length - 1; k >= 0; k--) {
    const { step, turn, inverse } = past[k]!;
    shares[k] = inverse * dot(step, direction);
    addScaled(direction, turn, -shares[k]!);
  }
  const last = past.at(-1);
  if (last) {
    const scale = 1 / (last.inverse * dot(last.turn, last.turn));
    for (let i = 0; i < direction.length; i++) direction[i] = direction[i]! * scale;
  }
  past.forEach(({ step, turn, inverse }, k) => {
    addScaled(direction, step, shares[k]! - inverse * dot(turn, direction));
  });
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

/** Sum of squared overlaps, with the walls too; writes its gradient. */
function computeOverlap(
  centres: Float64Array,
  room: BoxMm,
  spacingMm: number,
  gradient: Float64Array,
): number {
  gradient.fill(0);
  const size = centres.length;
  const squared = spacingMm * spacingMm;
  const { widthMm, heightMm } = room;
  let energy = 0;
  for (let i = 0; i < size; i += 2) {
    const [x, y] = [centres[i]!, centres[i + 1]!];
    const beyondX = x < 0 ? x : x > widthMm ? x - widthMm : 0;
    const beyondY = y < 0 ? y : y > heightMm ? y - heightMm : 0;
    energy += beyondX * beyondX + beyondY * beyondY;
    gradient[i] = gradient[i]! + 2 * beyondX;
    gradient[i + 1] = gradient[i + 1]! + 2 * beyondY;
    for (let j = i + 2; j < size; j += 2) {
      const dx = x - centres[j]!;
      if (dx >= spacingMm || dx <= -spacingMm) continue;
      const dy = y - centres[j + 1]!;
      const distanceSquared = dx * dx + dy * dy;
      if (distanceSquared >= squared) continue;
      // Two centres in one spot are parted along x.
      const distance = distanceSquared > 0 ? Math.sqrt(distanceSquared) : 1e-9;
      const overlap = spacingMm - distance;
      energy += overlap * overlap;
      const pull = (2 * overlap) / distance;
      const [pullX, pullY] = [pull * (distanceSquared > 0 ? dx : 1e-9), pull * dy];
      gradient[i] = gradient[i]! - pullX;
      gradient[i + 1] = gradient[i + 1]! - pullY;
      gradient[j] = gradient[j]! + pullX;
      gradient[j + 1] = gradient[j + 1]! + pullY;
    }
  }
  return energy;
}

function findLargestOverlapMm(
  centres: Float64Array,
  { widthMm, heightMm }: BoxMm,
  spacingMm: number,
): number {
  let worst = 0;
  for (let i = 0; i < centres.length; i += 2) {
    const [x, y] = [centres[i]!, centres[i + 1]!];
    worst = Math.max(worst, -x, x - widthMm, -y, y - heightMm);
    for (let j = i + 2; j < centres.length; j += 2) {
      worst = Math.max(worst, spacingMm - Math.hypot(x - centres[j]!, y - centres[j + 1]!));
    }
  }
  return worst;
}
