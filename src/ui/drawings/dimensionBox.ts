/** A dimension line and its figure, in the units of its drawing. */
export interface DimensionLine {
  readonly from: number;
  readonly to: number;
  /** Where the line runs, across its direction. */
  readonly at: number;
  /** From here to the line the ends are led out. */
  readonly edge: number;
  readonly vertical?: boolean;
  readonly text: string;
  /** Size of the lettering. */
  readonly size: number;
}

/** What a drawing takes up. */
export interface Extent {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** A figure of the shipped face is so wide, of its size: measured in Chromium, 0.56 to 0.60. */
const DIGIT_SHARE = 0.6;
/** A line of figures is so high, of its size. */
const LINE_SHARE = 0.75;
/** A figure that stands beside its line is so far from it, of its size. */
const BESIDE_SHARE = 0.5;

/** How its figure stands: on the line, along it; or beside it, where what it measures is shorter than the figure. */
export function placeFigure({ from, to, at, edge, vertical = false, text, size }: DimensionLine) {
  const wide = text.length * size * DIGIT_SHARE;
  const middle = (from + to) / 2;
  const isBeside = vertical && wide > to - from;
  const outward = Math.sign(at - edge);
  const x = isBeside ? at + outward * size * BESIDE_SHARE : vertical ? at : middle;
  const y = vertical ? middle : at;
  const high = size * LINE_SHARE;
  const anchor = !isBeside ? "middle" : outward > 0 ? "start" : "end";
  const isTurned = vertical && !isBeside;
  const [across, up] = isTurned ? [high, wide] : [wide, high];
  const left = anchor === "middle" ? x - across / 2 : anchor === "end" ? x - across : x;
  const extent: Extent = { left, right: left + across, top: y - up / 2, bottom: y + up / 2 };
  return { x, y, wide, anchor, isTurned, isBeside, extent } as const;
}

/** The frame that holds all of them with so much air round them. @returns A viewBox. */
export function frame(all: readonly Extent[], air: number): string {
  const left = Math.min(...all.map((each) => each.left)) - air;
  const top = Math.min(...all.map((each) => each.top)) - air;
  const right = Math.max(...all.map((each) => each.right)) + air;
  const bottom = Math.max(...all.map((each) => each.bottom)) + air;
  return `${left} ${top} ${right - left} ${bottom - top}`;
}
