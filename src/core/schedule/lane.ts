import { canShare, computeChangeoverMin, type ScheduleResource, type TaskHeat } from "./problem";

/** Amounts are trays, moulds, hands, or areas in whole units: sums stray by rounding only. */
export const EVEN = 1e-9;

/** No two heats of a kitchen lie further apart than this, °C. */
const WIDEST_C = 400;

/** What is taken of one resource. */
export interface Lane {
  add(startMin: number, endMin: number, amount: number, heat: TaskHeat | null): void;
  /** Takes out what was added with these very figures: a hold whose end has become known. */
  take(startMin: number, endMin: number, amount: number): void;
  /**
   * Whether something may stand where it is; if not, the first later start that is worth trying.
   * @returns NaN if it fits, Infinity if it never does.
   */
  findNextStart(startMin: number, endMin: number, amount: number, heat: TaskHeat | null): number;
  /**
   * The first start from a minute on at which something so long may stand.
   * @returns Infinity if it never may.
   */
  findFreeStart(fromMin: number, durationMin: number, amount: number, heat: TaskHeat | null): number;
  /** The first end of what lies in a stretch of time, or soon after it; Infinity if nothing does. */
  findFirstEnd(startMin: number, endMin: number): number;
}

/** What is taken of a resource that is heated or wants gaps, in the order of starts, and how it may be shared. */
export class SharedLane implements Lane {
  private readonly starts: number[] = [];
  private readonly ends: number[] = [];
  private readonly amounts: number[] = [];
  private readonly heats: (TaskHeat | null)[] = [];
  /** What is away, a heater's cold, and holds whose end is not known yet: few, longer than any task. They stand first. */
  private standing: number;
  /** Of the blocks that are not standing, so that those that ended long ago need not be looked at. */
  private longestMin = 0;
  private readonly reachMin: number;
  /** Those that overlap what is looked at, the first `overCount` of them: kept, since it is asked for all the time. */
  private readonly over: number[] = [];
  private overCount = 0;

  /**
   * Opens a lane with what is away.
   * @param coldUntilMin - When a heater begins, cold; null if that is seen to afterwards.
   * @param isMirrored - Time runs backwards: what is away is away in the mirror.
   */
  constructor(
    readonly resource: ScheduleResource,
    coldUntilMin: number | null,
    private readonly isMirrored: boolean,
  ) {
    const { heater, gapMin, away, capacity } = resource;
    for (const { fromMin, toMin, amount } of away)
      this.push(isMirrored ? -toMin : fromMin, isMirrored ? -fromMin : toMin, amount, null);
    if (heater && coldUntilMin !== null)
      this.push(-Infinity, coldUntilMin, capacity, { startC: heater.restC, endC: heater.restC });
    this.standing = this.starts.length;
    this.reachMin = heater
      ? Math.max(gapMin, WIDEST_C / Math.min(heater.heatUpCPerMin, heater.coolDownCPerMin))
      : gapMin;
  }

  private push(startMin: number, endMin: number, amount: number, heat: TaskHeat | null): void {
    this.starts.push(startMin);
    this.ends.push(endMin);
    this.amounts.push(amount);
    this.heats.push(heat);
  }

  add(startMin: number, endMin: number, amount: number, heat: TaskHeat | null): void {
    const isOpen = endMin === Infinity;
    const at = isOpen ? this.standing : this.findFirstAfter(startMin);
    this.push(startMin, endMin, amount, heat);
    // Mostly it is the last: those behind it make room.
    for (let i = this.starts.length - 1; i > at; i--) this.move(i - 1, i);
    this.starts[at] = startMin;
    this.ends[at] = endMin;
    this.amounts[at] = amount;
    this.heats[at] = heat;
    if (isOpen) this.standing++;
    else if (endMin - startMin > this.longestMin) this.longestMin = endMin - startMin;
  }

  private move(from: number, to: number): void {
    this.starts[to] = this.starts[from]!;
    this.ends[to] = this.ends[from]!;
    this.amounts[to] = this.amounts[from]!;
    this.heats[to] = this.heats[from]!;
  }

  take(startMin: number, endMin: number, amount: number): void {
    const isOpen = endMin === Infinity;
    const [from, to] = isOpen ? [0, this.standing] : [this.standing, this.starts.length];
    for (let at = from; at < to; at++) {
      if (this.starts[at] !== startMin || this.ends[at] !== endMin || this.amounts[at] !== amount) continue;
      this.starts.splice(at, 1);
      this.ends.splice(at, 1);
      this.amounts.splice(at, 1);
      this.heats.splice(at, 1);
      if (isOpen) this.standing--;
      break;
    }
    if (isOpen) return;
    this.longestMin = 0;
    for (let i = this.standing; i < this.starts.length; i++)
      this.longestMin = Math.max(this.longestMin, this.ends[i]! - this.starts[i]!);
  }

  /** Index of the first block that starts after a minute. O(log blocks). */
  private findFirstAfter(minute: number): number {
    let low = this.standing;
    let high = this.starts.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.starts[middle]! <= minute) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  findNextStart(startMin: number, endMin: number, amount: number, heat: TaskHeat | null): number {
    this.overCount = 0;
    let nextMin = NaN;
    for (let i = 0; i < this.standing; i++) nextMin = this.meet(i, startMin, endMin, amount, heat, nextMin);
    // Blocks are in the order of their starts: those before and after these cannot meet the wanted one.
    const { starts, reachMin } = this;
    const lastMin = endMin + reachMin;
    for (
      let i = this.findFirstAfter(startMin - this.longestMin - reachMin - 1);
      i < starts.length && starts[i]! < lastMin;
      i++
    )
      nextMin = this.meet(i, startMin, endMin, amount, heat, nextMin);
    return Number.isNaN(nextMin) ? this.findRoom(startMin, endMin, amount) : nextMin;
  }

  findFreeStart(fromMin: number, durationMin: number, amount: number, heat: TaskHeat | null): number {
    let startMin = fromMin;
    while (startMin < Infinity) {
      const nextMin = this.findNextStart(startMin, startMin + durationMin, amount, heat);
      if (Number.isNaN(nextMin)) return startMin;
      startMin = nextMin;
    }
    return startMin;
  }

  /** The next start after meeting one block; what it shares the resource with is noted. */
  private meet(
    i: number,
    startMin: number,
    endMin: number,
    amount: number,
    heat: TaskHeat | null,
    nextMin: number,
  ): number {
    const { resource, starts, ends, amounts, heats } = this;
    const other = heats[i]!;
    const shares =
      resource.gapMin === 0 && (resource.heater === null || canShare(resource.heater, other, heat));
    const before = shares ? 0 : findGapMin(resource, other, heat, this.isMirrored);
    if (startMin >= ends[i]! + before) return nextMin;
    const after = shares ? 0 : findGapMin(resource, heat, other, this.isMirrored);
    if (endMin + after <= starts[i]!) return nextMin;
    // One that leaves too little room by itself is waited for to its end.
    if (shares && amounts[i]! + amount <= resource.capacity + EVEN) {
      this.over[this.overCount++] = i;
      return nextMin;
    }
    const clearMin = ends[i]! + before;
    return nextMin > clearMin ? nextMin : clearMin;
  }

  /** Where what overlaps leaves too little: the first end that frees some; NaN if there is room throughout. */
  private findRoom(startMin: number, endMin: number, amount: number): number {
    const { over, overCount, starts, ends, amounts, resource } = this;
    if (amount > resource.capacity + EVEN) return Infinity;
    let total = amount;
    for (let k = 0; k < overCount; k++) total += amounts[over[k]!]!;
    if (total <= resource.capacity + EVEN) return NaN;
    // It is fullest as it begins, or as one of the others does.
    for (let k = -1; k < overCount; k++) {
      const minute = k < 0 ? startMin : starts[over[k]!]!;
      if (minute < startMin || minute >= endMin) continue;
      let taken = amount;
      let firstEndMin = Infinity;
      for (let n = 0; n < overCount; n++) {
        const i = over[n]!;
        if (starts[i]! > minute || ends[i]! <= minute) continue;
        taken += amounts[i]!;
        if (ends[i]! < firstEndMin) firstEndMin = ends[i]!;
      }
      if (taken > resource.capacity + EVEN) return firstEndMin;
    }
    return NaN;
  }

  findFirstEnd(startMin: number, endMin: number): number {
    let firstMin = Infinity;
    for (let i = 0; i < this.starts.length; i++)
      if (this.starts[i]! < endMin && this.ends[i]! > startMin) firstMin = Math.min(firstMin, this.ends[i]!);
    return firstMin;
  }
}

/** Between two tasks that follow each other: the resource's own gap and a heater's change of temperature. */
export function findGapMin(
  { heater, gapMin }: ScheduleResource,
  earlier: TaskHeat | null,
  later: TaskHeat | null,
  isMirrored: boolean,
): number {
  if (!heater || !earlier || !later) return gapMin;
  const changeMin = isMirrored
    ? computeChangeoverMin(heater, later.endC, earlier.startC)
    : computeChangeoverMin(heater, earlier.endC, later.startC);
  return Math.max(changeMin, gapMin);
}
