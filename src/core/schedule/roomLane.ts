import { EVEN, type Lane } from "./lane";
import type { ScheduleResource } from "./problem";

/** Levels nearer than this are the same: sums of the same amounts in another order. */
const SAME = 1e-12;

/**
 * A resource that any two tasks may share as far as there is room: how much of it is taken, as steps over time. Full
 * stretches that follow each other are one step, so that a busy day is skipped in a few looks.
 */
export class RoomLane implements Lane {
  /** Where the level changes, rising; `levels[i]` holds from `times[i]` to the next. */
  private readonly times: number[] = [-Infinity];
  private readonly levels: number[] = [0];
  private readonly most: number;

  /** Opens a lane with what is away. @param isMirrored - Time runs backwards: what is away is away in the mirror. */
  constructor({ away, capacity }: ScheduleResource, isMirrored: boolean) {
    this.most = capacity + EVEN;
    for (const { fromMin, toMin, amount } of away)
      this.add(isMirrored ? -toMin : fromMin, isMirrored ? -fromMin : toMin, amount);
  }

  add(startMin: number, endMin: number, amount: number): void {
    if (endMin <= startMin) return;
    const from = this.cut(startMin);
    const to = endMin === Infinity ? this.times.length : this.cut(endMin);
    for (let i = from; i < to; i++) this.levels[i]! += amount;
    this.join(to);
    this.join(from);
  }

  take(startMin: number, endMin: number, amount: number): void {
    this.add(startMin, endMin, -amount);
  }

  /** Index of the step that holds at a minute. O(log steps). */
  private at(minute: number): number {
    let [low, high] = [0, this.times.length];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (this.times[middle]! <= minute) low = middle;
      else high = middle;
    }
    return low;
  }

  /** Makes a step begin at a minute. */
  private cut(minute: number): number {
    const at = this.at(minute);
    if (this.times[at] === minute) return at;
    this.times.splice(at + 1, 0, minute);
    this.levels.splice(at + 1, 0, this.levels[at]!);
    return at + 1;
  }

  /** A step like the one before it is none. */
  private join(at: number): void {
    if (at <= 0 || at >= this.times.length || Math.abs(this.levels[at]! - this.levels[at - 1]!) > SAME)
      return;
    this.times.splice(at, 1);
    this.levels.splice(at, 1);
  }

  findNextStart(startMin: number, endMin: number, amount: number): number {
    if (amount > this.most) return Infinity;
    // What moves later meets all that it meets now until the last of it is over.
    let nextMin = NaN;
    for (let i = this.at(startMin); i < this.times.length && this.times[i]! < endMin; i++) {
      if (this.levels[i]! + amount <= this.most) continue;
      const overMin = this.times[i + 1] ?? Infinity;
      if (overMin > startMin) nextMin = overMin;
    }
    return nextMin;
  }

  findFreeStart(fromMin: number, durationMin: number, amount: number): number {
    if (amount > this.most) return Infinity;
    let startMin = fromMin;
    for (let i = this.at(fromMin); i < this.times.length; i++) {
      if (this.times[i]! >= startMin + durationMin) break;
      if (this.levels[i]! + amount > this.most) startMin = this.times[i + 1] ?? Infinity;
    }
    return startMin;
  }

  findFirstEnd(startMin: number): number {
    for (let i = this.at(startMin) + 1; i < this.times.length; i++)
      if (this.levels[i]! < this.levels[i - 1]!) return this.times[i]!;
    return Infinity;
  }
}
