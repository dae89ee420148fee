import { canShare, computeChangeoverMin, type ScheduleResource, type TaskHeat } from "./problem";

/** Amounts are trays, moulds, hands, or areas in whole units: sums stray by rounding only. */
export const EVEN = 1e-9;

/** One task's hold on a resource. */
export interface Block {
  readonly startMin: number;
  readonly endMin: number;
  readonly amount: number;
  readonly heat: TaskHeat | null;
}

/** What holds one resource, in the order of starts, and how it may be shared. */
export interface Lane {
  readonly resource: ScheduleResource;
  /** What is away, and a heater's cold: few, and longer than any task. */
  readonly standing: readonly Block[];
  readonly blocks: Block[];
  /** Of the blocks, so that those that ended long ago need not be looked at. */
  longestMin: number;
}

/**
 * Opens a lane with what is away.
 * @param coldUntilMin - When a heater begins, cold; null if that is seen to afterwards.
 * @param mirrored - Time runs backwards: what is away is away in the mirror.
 */
export function openLane(resource: ScheduleResource, coldUntilMin: number | null, mirrored: boolean): Lane {
  const away = resource.away.map(({ fromMin, toMin, amount }): Block => ({
    startMin: mirrored ? -toMin : fromMin,
    endMin: mirrored ? -fromMin : toMin,
    amount,
    heat: null,
  }));
  const { heater } = resource;
  const cold: Block[] =
    heater && coldUntilMin !== null
      ? [
          {
            startMin: -Infinity,
            endMin: coldUntilMin,
            amount: resource.capacity,
            heat: { startC: heater.restC, endC: heater.restC },
          },
        ]
      : [];
  return { resource, standing: [...away, ...cold], blocks: [], longestMin: 0 };
}

export function addToLaneInPlace(lane: Lane, block: Block): void {
  lane.blocks.splice(findFirstAfter(lane.blocks, block.startMin), 0, block);
  lane.longestMin = Math.max(lane.longestMin, block.endMin - block.startMin);
}

/** Takes out a block that was added: a hold whose end has become known. */
export function takeFromLaneInPlace(lane: Lane, block: Block): void {
  lane.blocks.splice(lane.blocks.indexOf(block), 1);
  lane.longestMin = lane.blocks.reduce((longest, each) => Math.max(longest, each.endMin - each.startMin), 0);
}

/** Index of the first block that starts after a minute. O(log blocks). */
function findFirstAfter(blocks: readonly Block[], minute: number): number {
  let [low, high] = [0, blocks.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((blocks[middle]?.startMin ?? Infinity) <= minute) low = middle + 1;
    else high = middle;
  }
  return low;
}

/**
 * Whether a hold may stand where it is; if not, the first later start that is worth trying.
 * @param mirrored - Time runs backwards: a change of temperature is made in the other direction.
 * @returns null if it fits.
 */
export function findNextStart(lane: Lane, wanted: Block, mirrored: boolean): number | null {
  const { resource, standing, blocks, longestMin } = lane;
  const over: Block[] = [];
  let nextMin: number | null = null;
  const meet = (block: Block): void => {
    const shares =
      resource.gapMin === 0 &&
      (resource.heater === null || canShare(resource.heater, block.heat, wanted.heat));
    const before = shares ? 0 : findGapMin(resource, block.heat, wanted.heat, mirrored);
    const after = shares ? 0 : findGapMin(resource, wanted.heat, block.heat, mirrored);
    if (wanted.startMin >= block.endMin + before || wanted.endMin + after <= block.startMin) return;
    // One that leaves too little room by itself is waited for to its end.
    if (shares && block.amount + wanted.amount <= resource.capacity + EVEN) over.push(block);
    else nextMin = Math.max(nextMin ?? -Infinity, block.endMin + before);
  };
  standing.forEach(meet);
  // Blocks are in the order of their starts: those before and after these cannot meet the wanted one.
  const reachMin = longestGapMin(resource);
  for (let i = findFirstAfter(blocks, wanted.startMin - longestMin - reachMin - 1); i < blocks.length; i++) {
    const block = blocks[i];
    if (!block || block.startMin >= wanted.endMin + reachMin) break;
    meet(block);
  }
  return nextMin ?? findRoom(over, wanted, resource.capacity);
}

/** Where what overlaps leaves too little: the first end that frees some; null if there is room throughout. */
function findRoom(over: readonly Block[], wanted: Block, capacity: number): number | null {
  if (over.length === 0) return wanted.amount <= capacity ? null : Infinity;
  const moments = [wanted.startMin, ...over.map(({ startMin }) => startMin)].filter(
    (minute) => minute >= wanted.startMin && minute < wanted.endMin,
  );
  for (const minute of moments) {
    const there = over.filter(({ startMin, endMin }) => startMin <= minute && minute < endMin);
    const taken = there.reduce((sum, { amount }) => sum + amount, 0);
    if (taken + wanted.amount > capacity + EVEN) return Math.min(...there.map(({ endMin }) => endMin));
  }
  return null;
}

/** Between two tasks that follow each other: the resource's own gap and a heater's change of temperature. */
export function findGapMin(
  { heater, gapMin }: ScheduleResource,
  earlier: TaskHeat | null,
  later: TaskHeat | null,
  mirrored: boolean,
): number {
  if (!heater || !earlier || !later) return gapMin;
  const changeMin = mirrored
    ? computeChangeoverMin(heater, later.endC, earlier.startC)
    : computeChangeoverMin(heater, earlier.endC, later.startC);
  return Math.max(changeMin, gapMin);
}

/** No two heats of a kitchen lie further apart than this, °C. */
const WIDEST_C = 400;
function longestGapMin({ heater, gapMin }: ScheduleResource): number {
  return heater
    ? Math.max(gapMin, WIDEST_C / Math.min(heater.heatUpCPerMin, heater.coolDownCPerMin))
    : gapMin;
}
