import svgpath from "svgpath";
import { because, fail, ok, type Result } from "../result";
import type { PathFailure } from "./pathFailure";
import {
  areaMm2OfPolygon,
  boxOfPolygon,
  centrePolygon,
  crossesItself,
  type Point,
  type Polygon,
} from "./polygon";

/** Longest path text read: some fifty pages of figures, far beyond any cutter. */
export const MAX_PATH_CHARACTERS = 200_000;
/** Ends nearer than this are the same point: a drawing program's rounding, mm. */
const CLOSES_WITHIN_MM = 0.5;
/** What a knife cannot follow is left out, mm. */
const DETAIL_MM = 0.1;
/** Most corners kept: more than a knife can follow, few enough to lay out at once. */
const MAX_CORNERS = 600;
/** Smallest and largest side of an outline, mm: a pea, and the longest bench. */
const LEAST_MM = 5;
const MOST_MM = 1500;

/**
 * The outline of SVG path data in millimetres (every command of SVG 1.1; curves become straight pieces that stray
 * less than 0.1 mm), centred.
 * @param text - The `d` attribute. @returns The corners, or what is wrong with it.
 */
export function parsePath(text: string): Result<Polygon, PathFailure> {
  if (text.length > MAX_PATH_CHARACTERS)
    return fail(because("pathTooLong", { characters: text.length, most: MAX_PATH_CHARACTERS }));
  // Its types leave out the fault that it reports.
  const path: ReturnType<typeof svgpath> & { readonly err?: string } = svgpath(text.trim());
  if (path.err) return fail(because("pathUnreadable", { reported: path.err.replace(/^SvgPath: /, "") }));
  const lines = flatten(path.abs().unarc().unshort());
  const drawn = lines.filter(({ points }) => points.length > 1);
  const [line, second] = drawn;
  if (!line) return fail(because("pathEmpty", {}));
  if (second) return fail(because("severalLines", { lines: drawn.length }));
  const [first, last] = [line.points[0], line.points.at(-1)];
  const openMm = first && last ? Math.hypot(first[0] - last[0], first[1] - last[1]) : 0;
  if (!line.isClosed && openMm > CLOSES_WITHIN_MM) return fail(because("pathOpen", { openMm }));
  const corners = simplify(openMm <= CLOSES_WITHIN_MM ? line.points.slice(0, -1) : line.points);
  if (corners.length < 3) return fail(because("pathEnclosesNothing", {}));
  return checkCorners(corners);
}

function checkCorners(corners: Polygon): Result<Polygon, PathFailure> {
  const { widthMm, heightMm } = boxOfPolygon(corners);
  if (Math.max(widthMm, heightMm) > MOST_MM || Math.min(widthMm, heightMm) < LEAST_MM)
    return fail(because("outlineSize", { widthMm, heightMm, leastMm: LEAST_MM, mostMm: MOST_MM }));
  if (corners.length > MAX_CORNERS)
    return fail(because("outlineTooFine", { corners: corners.length, most: MAX_CORNERS }));
  if (crossesItself(corners) || areaMm2OfPolygon(corners) < LEAST_MM ** 2 / 4)
    return fail(because("outlineCrosses", {}));
  return ok(centrePolygon(corners));
}

interface Line {
  readonly points: Point[];
  isClosed: boolean;
}

function flatten(path: ReturnType<typeof svgpath>): Line[] {
  const lines: Line[] = [];
  let at: Point = [0, 0];
  let line: Line = { points: [], isClosed: false };
  const begin = (point: Point) => {
    line = { points: [point], isClosed: false };
    lines.push(line);
    at = point;
  };
  const drawTo = (point: Point) => {
    if (line.isClosed || line.points.length === 0) begin(at);
    line.points.push(point);
    at = point;
  };
  path.iterate(([command, ...args]) => {
    const n = args.map(Number);
    const point = (i: number): Point => [n[i] ?? 0, n[i + 1] ?? 0];
    if (command === "M") begin(point(0));
    else if (command === "L") drawTo(point(0));
    else if (command === "H") drawTo([n[0] ?? 0, at[1]]);
    else if (command === "V") drawTo([at[0], n[0] ?? 0]);
    else if (command === "C") for (const next of bezier([at, point(0), point(2), point(4)])) drawTo(next);
    else if (command === "Q") for (const next of bezier([at, point(0), point(2)])) drawTo(next);
    else if (command === "Z") {
      line.isClosed = true;
      at = line.points[0] ?? at;
    }
  });
  return lines;
}

/** Points along a Bézier curve (de Casteljau), as many as its control line is long. */
function bezier(controls: readonly Point[]): Point[] {
  const reach = controls.slice(1).reduce((sum, [x, y], i) => {
    const [px, py] = controls[i] ?? [x, y];
    return sum + Math.hypot(x - px, y - py);
  }, 0);
  const steps = Math.min(Math.max(Math.ceil(reach), 8), 200);
  return Array.from({ length: steps }, (_, i) => {
    const t = (i + 1) / steps;
    let points = controls;
    while (points.length > 1) {
      points = points.slice(1).map(([x, y], j) => {
        const [px, py] = points[j] ?? [x, y];
        return [px + (x - px) * t, py + (y - py) * t] as const;
      });
    }
    return points[0] ?? [0, 0];
  });
}

/** Leaves out what strays less than the detail (Douglas–Peucker, on both halves of the closed line). */
function simplify(points: readonly Point[]): Point[] {
  const half = Math.floor(points.length / 2);
  const first = points[0];
  if (!first || half < 1) return [...points];
  const keepLine = (line: readonly Point[]): Point[] => {
    const kept = new Set([0, line.length - 1]);
    const open: (readonly [number, number])[] = [[0, line.length - 1]];
    for (let span = open.pop(); span; span = open.pop()) {
      const [from, to] = span;
      let [farthest, most] = [-1, DETAIL_MM];
      for (let i = from + 1; i < to; i++) {
        const strayMm = strayFrom(line[i] ?? first, line[from] ?? first, line[to] ?? first);
        if (strayMm > most) [farthest, most] = [i, strayMm];
      }
      if (farthest < 0) continue;
      kept.add(farthest);
      open.push([from, farthest], [farthest, to]);
    }
    return line.filter((_, i) => kept.has(i));
  };
  return [
    ...keepLine(points.slice(0, half + 1)).slice(0, -1),
    ...keepLine([...points.slice(half), first]).slice(0, -1),
  ];
}

function strayFrom([x, y]: Point, [x1, y1]: Point, [x2, y2]: Point): number {
  const length = Math.hypot(x2 - x1, y2 - y1);
  return length === 0
    ? Math.hypot(x - x1, y - y1)
    : Math.abs((x2 - x1) * (y1 - y) - (x1 - x) * (y2 - y1)) / length;
}
