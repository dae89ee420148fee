import { canShare, computeChangeoverMin, type ScheduleResource, type TaskHeat } from "./problem";

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
  readonly blocks: Block[];
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
  return { resource, blocks: [...away, ...cold].sort((a, b) => a.startMin - b.startMin) };
}

export function addToLaneInPlace({ blocks }: Lane, block: Block): void {
  let [low, high] = [0, blocks.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((blocks[middle]?.startMin ?? Infinity) <= block.startMin) low = middle + 1;
    else high = middle;
  }
  blocks.splice(low, 0, block);
}

/**
 * Whether a hold may stand where it is; if not, the first later start that is worth trying.
 * @param mirrored - Time runs backwards: a change of temperature is made in the other direction.
 * @returns null if it fits.
 */
export function findNextStart({ resource, blocks }: Lane, wanted: Block, mirrored: boolean): number | null {
  const { heater, gapMin, capacity } = resource;
  const over: Block[] = [];
  let nextMin: number | null = null;
  for (const block of blocks) {
    const shares = gapMin === 0 && (heater === null || canShare(heater, block.heat, wanted.heat));
    const [before, after] = shares
      ? [0, 0]
      : [
          findGapMin(resource, block.heat, wanted.heat, mirrored),
          findGapMin(resource, wanted.heat, block.heat, mirrored),
        ];
    // Blocks are in the order of their starts: from here on none can meet the wanted one.
    if (block.startMin >= wanted.endMin + longestGapMin(resource)) break;
    if (wanted.startMin >= block.endMin + before || wanted.endMin + after <= block.startMin) continue;
    if (shares) over.push(block);
    else nextMin = Math.max(nextMin ?? -Infinity, block.endMin + before);
  }
  if (nextMin !== null) return nextMin;
  return findRoom(over, wanted, capacity);
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

/** Amounts are trays, moulds, hands, or areas in whole units: sums stray by rounding only. */
const EVEN = 1e-9;

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
