import type { Frame, FrameHold, FrameMode } from "./frame";
import { openLane } from "./openLane";

export interface PlacingRules {
  /** By task: earliest start, over and above its waits. */
  readonly releaseMin: Float64Array;
  /** By task: of those that could come next, the lowest goes first; null to let the earliest go first. */
  readonly rank: Float64Array | null;
  /** By task: between those that could start at the same minute, the lower goes first. */
  readonly tieRank: Float64Array;
  /** By task: the way it is to be done; −1 or null to take whichever ends first. */
  readonly modes: Int32Array | null;
  /** When heaters begin cold, or null if that is seen to afterwards. */
  readonly coldUntilMin: number | null;
}

/** Where every task is, by its place in the problem. */
export interface Placing {
  readonly starts: Float64Array;
  readonly ends: Float64Array;
  readonly modes: Int32Array;
  /** What was ready found everything held, and one was placed all the same. */
  readonly isForced: boolean;
}

/**
 * Places every task as early as its waits, its release and its resources allow, one after the other (serial
 * schedule generation). Longest waits are not enforced here. What a hold takes is taken for good until its end is
 * placed; a task that finds nothing left waits for others to end theirs. Where all that are ready do, the first is placed
 * all the same: describeSchedule says what is overfull by it. O(tasks · log ready tasks + tasks · blocks).
 * @param name - Of a task, for what is thrown.
 * @throws {RangeError} If tasks wait for each other in a circle, or ask for more of a resource than there is.
 */
export function placeTasks(frame: Frame, rules: PlacingRules, name: (task: number) => string): Placing {
  const count = frame.modes.length;
  const lanes = frame.resources.map((each) => openLane(each, rules.coldUntilMin, frame.isMirrored));
  const starts = new Float64Array(count).fill(NaN);
  const ends = new Float64Array(count).fill(NaN);
  const modes = new Int32Array(count).fill(-1);
  const openedMin = new Map<FrameHold, number>();
  const waitingFor = Int32Array.from(frame.waits, (list) => list.length);
  const ready = new ReadyTasks(frame, rules, count);
  let isForced = false;

  /** Earliest start of a task done in a way that takes so long, by waits and release. */
  const findEarliest = (task: number, durationMin: number): number => {
    let earliestMin = rules.releaseMin[task]!;
    for (const { task: before, minWaitMin, fromStart, toEnd } of frame.waits[task]!) {
      const fromMin = (fromStart ? starts[before]! : ends[before]!) + minWaitMin;
      earliestMin = Math.max(earliestMin, toEnd ? fromMin - durationMin : fromMin);
    }
    return earliestMin;
  };
  const admit = (task: number) => ready.push(task, findEarliest(task, shortestMin(frame.modes[task]!)));
  /** The first start from `earliestMin` on at which all that it uses and begins to hold is free; NaN if never. */
  const findFreeStart = (
    task: number,
    mode: FrameMode,
    earliestMin: number,
    holds: readonly FrameHold[],
  ): number => {
    // Each in turn says where it is free next, until all agree: no other is asked about a start that one refuses.
    let startMin = earliestMin;
    const asked = mode.uses.length + holds.length;
    for (let i = 0, agreed = 0; agreed < asked; i = (i + 1) % asked) {
      const use = mode.uses[i];
      const hold = use ? null : holds[i - mode.uses.length]!;
      const { lane, amount } = use ?? hold!;
      const offsetMin = use ? use.fromMin : hold!.from.isStart ? 0 : mode.durationMin;
      const lengthMin = use ? use.toMin - use.fromMin : Infinity;
      const wantedMin = startMin + offsetMin;
      const freeMin = lanes[lane]!.findFreeStart(wantedMin, lengthMin, amount, use ? mode.heat : null);
      if (freeMin === Infinity && use)
        throw new RangeError(
          `placeTasks: ${name(task)} asks for ${amount} of ${frame.resources[lane]!.id}, more than there is`,
        );
      if (freeMin === Infinity) return NaN;
      agreed++;
      if (freeMin === wantedMin) continue;
      agreed = 1;
      startMin = freeMin - offsetMin;
    }
    return startMin;
  };
  /** Puts a task into the way that ends first, or the one asked for; false if what it holds is held. */
  const place = (task: number, holds: readonly FrameHold[]): boolean => {
    const wanted = rules.modes?.[task] ?? -1;
    const list = frame.modes[task]!;
    if (wanted >= list.length) throw new RangeError(`placeTasks: ${name(task)} has no mode ${wanted}`);
    let chosen = -1;
    let bestStart = 0;
    let bestEnd = Infinity;
    for (let i = 0; i < list.length; i++) {
      if (wanted >= 0 && i !== wanted) continue;
      const mode = list[i]!;
      const startMin = findFreeStart(task, mode, findEarliest(task, mode.durationMin), holds);
      // A way that cannot be is not a number, and no number is less.
      if (startMin + mode.durationMin < bestEnd) {
        chosen = i;
        bestStart = startMin;
        bestEnd = startMin + mode.durationMin;
      }
    }
    if (chosen < 0) return false;
    const mode = list[chosen]!;
    starts[task] = bestStart;
    ends[task] = bestEnd;
    modes[task] = chosen;
    for (const { lane, fromMin, toMin, amount } of mode.uses)
      lanes[lane]!.add(bestStart + fromMin, bestStart + toMin, amount, mode.heat);
    for (const hold of frame.closing[task]!) {
      const fromMin = openedMin.get(hold);
      if (fromMin !== undefined) lanes[hold.lane]!.take(fromMin, Infinity, hold.amount);
      const from = hold.from.task === task ? bestStart : fromMin;
      if (from !== undefined)
        lanes[hold.lane]!.add(from, hold.until.isStart ? bestStart : bestEnd, hold.amount, null);
    }
    for (const hold of frame.opening[task]!) {
      if (hold.until.task === task) continue;
      const fromMin = hold.from.isStart ? bestStart : bestEnd;
      openedMin.set(hold, fromMin);
      lanes[hold.lane]!.add(fromMin, Infinity, hold.amount, null);
    }
    return true;
  };

  for (let task = 0; task < count; task++) if (waitingFor[task] === 0) admit(task);
  for (let done = 0; done < count; done++) {
    let task = ready.take((each) => place(each, frame.opening[each]!));
    if (task < 0) {
      task = ready.take((each) => place(each, NO_HOLDS));
      isForced = true;
    }
    if (task < 0) {
      const stuck = Array.from(starts.keys()).filter((each) => Number.isNaN(starts[each]!));
      throw new RangeError(`placeTasks: tasks wait for each other: ${stuck.map(name).join(", ")}`);
    }
    for (const follower of frame.followers[task]!) if (--waitingFor[follower]! === 0) admit(follower);
  }
  return { starts, ends, modes, isForced };
}

const NO_HOLDS: readonly FrameHold[] = [];

/** The shortest way of doing a task, min. */
export function shortestMin(modes: readonly FrameMode[]): number {
  let least = Infinity;
  for (const { durationMin } of modes) if (durationMin < least) least = durationMin;
  return least;
}

/** Tasks that could come next: what all its waits are placed for is ready; its earliest start then stands fast. A heap. */
class ReadyTasks {
  private readonly heap: number[] = [];
  private readonly earliestMin: Float64Array;

  constructor(
    private readonly frame: Frame,
    private readonly rules: PlacingRules,
    count: number,
  ) {
    this.earliestMin = new Float64Array(count);
  }

  push(task: number, earliestMin: number): void {
    this.earliestMin[task] = earliestMin;
    this.add(task);
  }

  /** Takes the first that can be placed out, in the order of rank; −1 if none can. */
  take(place: (task: number) => boolean): number {
    // Mostly the first has a place: those that are passed over are put back.
    let passed: number[] | null = null;
    let taken = -1;
    while (taken < 0 && this.heap.length > 0) {
      const task = this.pop();
      if (place(task)) taken = task;
      else (passed ??= []).push(task);
    }
    if (passed) for (const task of passed) this.add(task);
    return taken;
  }

  /** A pinned task takes its place before anyone else can; of equals the one listed first goes first. */
  private isBefore(a: number, b: number): boolean {
    const { rank, tieRank } = this.rules;
    const isFree = Number.isNaN(this.frame.pinnedMin[a]!);
    if (isFree !== Number.isNaN(this.frame.pinnedMin[b]!)) return !isFree;
    if (rank && rank[a] !== rank[b]) return rank[a]! < rank[b]!;
    if (this.earliestMin[a] !== this.earliestMin[b]) return this.earliestMin[a]! < this.earliestMin[b]!;
    if (tieRank[a] !== tieRank[b]) return tieRank[a]! < tieRank[b]!;
    return this.frame.isMirrored ? a > b : a < b;
  }

  private add(task: number): void {
    const { heap } = this;
    let at = heap.length;
    heap.push(task);
    while (at > 0) {
      const up = (at - 1) >> 1;
      if (!this.isBefore(task, heap[up]!)) break;
      heap[at] = heap[up]!;
      at = up;
    }
    heap[at] = task;
  }

  private pop(): number {
    const { heap } = this;
    const first = heap[0]!;
    const last = heap.pop()!;
    if (heap.length === 0) return first;
    let at = 0;
    for (;;) {
      let down = 2 * at + 1;
      if (down >= heap.length) break;
      if (down + 1 < heap.length && this.isBefore(heap[down + 1]!, heap[down]!)) down++;
      if (!this.isBefore(heap[down]!, last)) break;
      heap[at] = heap[down]!;
      at = down;
    }
    heap[at] = last;
    return first;
  }
}
