import { requireNotNegative, requirePositive } from "../../require";
import type { BoxMm } from "../../shape";
import { type Placement, FIT_TOLERANCE_MM } from "../sheet";

export interface WheelRequest {
  readonly piece: BoxMm;
  readonly sheet: BoxMm;
  /** Gap between two pieces, 0 for a wheel. */
  readonly webMm: number;
  /** Ragged edge lost all round. */
  readonly marginMm: number;
  /** Pieces may be turned by a quarter; a laminated sheet with a grain may forbid it. */
  readonly mayTurn: boolean;
}

export interface WheelLayout {
  readonly placements: readonly Placement[];
  readonly count: number;
  readonly upperBound: number;
  /** Every cut runs from edge to edge of what it divides: a wheel can follow it. */
  readonly isGuillotine: boolean;
}

/** A block of the sheet and the best found for it: a grid, or five smaller blocks round a middle one. */
interface Block {
  count: number;
  split: {
    readonly x1: number;
    readonly x2: number;
    readonly y1: number;
    readonly y2: number;
    /** At which its parts were solved. */
    readonly depth: number;
  } | null;
}

/** How deep five blocks may lie in each other; below that a block is divided edge to edge only. */
const DEEPEST_PINWHEEL = 2;
/** Most divisions tried in all: typical sheets need a few thousand; beyond it the best so far stands. */
const MOST_TRIES = 200_000;
/** Lengths are compared to a micrometre, as whole numbers. */
const PER_MM = 1000;

/**
 * The most identical rectangles on a sheet, by recursive division into five blocks (two edge-to-edge cuts are its
 * special case), each block's best remembered.
 * @returns Placed pieces; empty if not one fits. Exact wherever the bound is met, and on every small case the test
 * tries by brute force.
 * @throws {RangeError} If a size is not above 0, or web or margin below 0.
 * @see Morabito & Morales, A simple and effective recursive procedure for the manufacturer's pallet loading problem,
 * J. Operational Research Society 49 (1998).
 */
export function layOutWheelCuts({ piece, sheet, webMm, marginMm, mayTurn }: WheelRequest): WheelLayout {
  requirePositive("piece width", piece.widthMm);
  requirePositive("piece height", piece.heightMm);
  requirePositive("sheet width", sheet.widthMm);
  requirePositive("sheet height", sheet.heightMm);
  requireNotNegative("webMm", webMm);
  requireNotNegative("marginMm", marginMm);
  // A piece grown by the web to its right and below tiles a sheet grown the same way.
  const whole = (lengthMm: number) => Math.floor((lengthMm + FIT_TOLERANCE_MM) * PER_MM);
  const [w, h] = [
    Math.ceil((piece.widthMm + webMm) * PER_MM - 1e-6),
    Math.ceil((piece.heightMm + webMm) * PER_MM - 1e-6),
  ];
  const [wide, high] = [
    whole(Math.max(sheet.widthMm - 2 * marginMm + webMm, 0)),
    whole(Math.max(sheet.heightMm - 2 * marginMm + webMm, 0)),
  ];
  const search = new BlockSearch(w, h, wide, high, mayTurn);
  // Cuts from edge to edge, where they give as many: a wheel follows them.
  const { count } = search.solve(wide, high);
  const isStraight = search.isGuillotine(wide, high, DEEPEST_PINWHEEL);
  const depth = !isStraight && search.solve(wide, high, 0).count === count ? 0 : DEEPEST_PINWHEEL;
  const corners = search.place(wide, high, 0, 0, depth);
  const placements = corners
    .map(({ x, y, turned }) => {
      const [widthMm, heightMm] = turned ? [piece.heightMm, piece.widthMm] : [piece.widthMm, piece.heightMm];
      return {
        xMm: marginMm + x / PER_MM + widthMm / 2,
        yMm: marginMm + y / PER_MM + heightMm / 2,
        angleDeg: turned ? 90 : 0,
      };
    })
    .sort((a, b) => a.yMm - b.yMm || a.xMm - b.xMm);
  return {
    placements,
    count: placements.length,
    upperBound: search.bound(wide, high),
    isGuillotine: isStraight || depth === 0,
  };
}

/** Lengths that pieces side by side can add up to: only there a cut can be worth making. */
function listSums(w: number, h: number, most: number, mayTurn: boolean): number[] {
  const sums = new Set<number>();
  for (let a = 0; a * w <= most; a++) {
    for (let b = 0; a * w + b * h <= most; b++) {
      sums.add(a * w + b * h);
      if (!mayTurn) break;
    }
  }
  return [...sums].sort((a, b) => a - b);
}

class BlockSearch {
  private readonly known = new Map<string, Block>();
  private tries = 0;
  private readonly across: readonly number[];
  private readonly down: readonly number[];

  constructor(
    private readonly w: number,
    private readonly h: number,
    wide: number,
    high: number,
    private readonly mayTurn: boolean,
  ) {
    this.across = listSums(w, h, wide, mayTurn);
    this.down = listSums(h, w, high, mayTurn);
  }

  /** No arrangement can hold more: area, of the lengths that pieces can fill. */
  bound(x: number, y: number): number {
    return Math.floor((this.trim(this.across, x) * this.trim(this.down, y)) / (this.w * this.h) + 1e-9);
  }

  solve(wide: number, high: number, depth = DEEPEST_PINWHEEL): Block {
    const [x, y] = [this.trim(this.across, wide), this.trim(this.down, high)];
    const key = `${x} ${y} ${depth}`;
    const seen = this.known.get(key);
    if (seen) return seen;
    const block: Block = { count: Math.max(...this.grids(x, y).map(({ count }) => count)), split: null };
    this.known.set(key, block);
    const most = this.bound(x, y);
    if (block.count >= most || this.tries > MOST_TRIES) return block;
    const xs = this.across.filter((value) => value > 0 && value < x);
    const ys = this.down.filter((value) => value > 0 && value < y);
    // Edge to edge first: a wheel follows it, and five blocks must then be better.
    for (const x1 of xs) if (this.tryFive(block, x, y, [x1, x1, 0, 0], depth) >= most) return block;
    for (const y1 of ys) if (this.tryFive(block, x, y, [0, 0, y1, y1], depth) >= most) return block;
    if (depth === 0) return block;
    for (const x1 of xs) {
      for (const x2 of xs) {
        if (x2 < x1) continue;
        for (const y1 of ys) {
          for (const y2 of ys) {
            if (y2 < y1 || (x1 === x2 && y1 === y2)) continue;
            if (this.tries > MOST_TRIES) return block;
            if (this.tryFive(block, x, y, [x1, x2, y1, y2], depth - 1) >= most) return block;
          }
        }
      }
    }
    return block;
  }

  /** Tries one division, its parts no deeper than `depth`; gives the block's best count then. */
  private tryFive(
    block: Block,
    x: number,
    y: number,
    at: readonly [number, number, number, number],
    depth: number,
  ) {
    this.tries++;
    const [x1, x2, y1, y2] = at;
    const parts = fiveBlocks(x, y, x1, x2, y1, y2);
    let hope = parts.reduce((sum, part) => sum + this.bound(part.wide, part.high), 0);
    if (hope <= block.count) return block.count;
    let count = 0;
    for (const part of parts) {
      const found = this.solve(part.wide, part.high, depth).count;
      hope += found - this.bound(part.wide, part.high);
      count += found;
      if (hope <= block.count) return block.count;
    }
    if (count > block.count) {
      block.count = count;
      block.split = { x1, x2, y1, y2, depth };
    }
    return block.count;
  }

  /** Corners of the placed pieces of a block, its own corner at (left, top). */
  place(
    wide: number,
    high: number,
    left: number,
    top: number,
    depth: number,
  ): { x: number; y: number; turned: boolean }[] {
    const [x, y] = [this.trim(this.across, wide), this.trim(this.down, high)];
    const block = this.solve(wide, high, depth);
    if (block.count === 0) return [];
    if (block.split) {
      const { x1, x2, y1, y2, depth: inner } = block.split;
      return fiveBlocks(x, y, x1, x2, y1, y2).flatMap((part) =>
        this.place(part.wide, part.high, left + part.left, top + part.top, inner),
      );
    }
    const grid = this.grids(x, y).find(({ count }) => count === block.count);
    if (!grid) throw new RangeError("place: a block without a split has no grid either");
    return Array.from({ length: grid.count }, (_, i) => ({
      x: left + (i % grid.columns) * grid.wide,
      y: top + Math.floor(i / grid.columns) * grid.high,
      turned: grid.turned,
    }));
  }

  isGuillotine(wide: number, high: number, depth: number): boolean {
    const [x, y] = [this.trim(this.across, wide), this.trim(this.down, high)];
    const { split } = this.solve(wide, high, depth);
    if (!split) return true;
    const edgeToEdge = (split.x1 === split.x2 && split.y2 === 0) || (split.y1 === split.y2 && split.x2 === 0);
    return (
      edgeToEdge &&
      fiveBlocks(x, y, split.x1, split.x2, split.y1, split.y2).every(
        (part) => part.wide === 0 || part.high === 0 || this.isGuillotine(part.wide, part.high, split.depth),
      )
    );
  }

  private grids(x: number, y: number) {
    const grid = (wide: number, high: number, turned: boolean) => {
      const columns = Math.floor(x / wide);
      return { columns, wide, high, turned, count: columns * Math.floor(y / high) };
    };
    return this.mayTurn
      ? [grid(this.w, this.h, false), grid(this.h, this.w, true)]
      : [grid(this.w, this.h, false)];
  }

  /** The longest sum of pieces within a length. */
  private trim(sums: readonly number[], length: number): number {
    let [low, high] = [0, sums.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if ((sums[middle] ?? Infinity) <= length) low = middle;
      else high = middle - 1;
    }
    return sums[low] ?? 0;
  }
}

/** Four blocks round a middle one, like a pinwheel; some may be empty. */
function fiveBlocks(x: number, y: number, x1: number, x2: number, y1: number, y2: number) {
  return [
    { left: 0, top: 0, wide: x2, high: y1 },
    { left: x2, top: 0, wide: x - x2, high: y2 },
    { left: x1, top: y2, wide: x - x1, high: y - y2 },
    { left: 0, top: y1, wide: x1, high: y - y1 },
    { left: x1, top: y1, wide: x2 - x1, high: y2 - y1 },
  ];
}
