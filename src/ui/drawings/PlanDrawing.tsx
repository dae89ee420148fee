import type { FormedPiece } from "@/core/forming";
import type { Seal, Vents } from "@/core/sealing";
import { boundsOfPolygon, type Point, type Polygon } from "@/core/shape";
import { Dimension } from "./Dimension";
import { frame, placeFigure, type DimensionLine } from "./dimensionBox";
import { PieceFace } from "./PieceFace";
import { formatLength, formatSide, lengthName } from "@/core/units";

interface Props {
  readonly formed: Pick<FormedPiece, "fromAbove" | "marginMm">;
  /** Null where nothing is crimped. */
  readonly seal: Seal | null;
  readonly vents: Vents;
  readonly name: string;
}

/** The piece from above with its margin and the marks of its crimp, to scale in mm. */
export function PlanDrawing({ formed, seal, vents, name }: Props) {
  const { fromAbove, marginMm } = formed;
  const { edge, seam, stick } = fromAbove;
  const { leftMm, rightMm, topMm, bottomMm } = boundsOfPolygon(edge);
  const [wide, high] = [rightMm - leftMm, bottomMm - topMm];
  const lowestMm = stick ? boundsOfPolygon(stick).bottomMm : bottomMm;
  const text = Math.max(wide / 15, (lowestMm - topMm) / 18, 4);
  const marks = seal && seam !== "none" ? placeMarks(seam === "around" ? close(edge) : edge, seal.marks) : [];
  const crimped = seal ? `, ${seal.marks} ${seal.crimp.markName}` : "";
  const dimensions: readonly DimensionLine[] = [
    {
      ...{ from: leftMm, to: rightMm, size: text },
      at: lowestMm + text * 1.8,
      edge: lowestMm + text * 0.5,
      text: formatLength(wide, 0),
    },
    {
      ...{ from: topMm, to: bottomMm, vertical: true, size: text },
      at: leftMm - text * 1.6,
      edge: leftMm - text * 0.4,
      text: formatSide(high, 0),
    },
  ];
  const drawn = { left: leftMm, right: rightMm, top: topMm, bottom: lowestMm };
  return (
    <svg
      viewBox={frame([drawn, ...dimensions.map((line) => placeFigure(line).extent)], text)}
      className="h-full w-full"
      role="img"
      aria-label={`${name} from above: ${formatSide(wide, 0)} by ${formatSide(high, 0)} ${lengthName()}${crimped}`}
    >
      <PieceFace fromAbove={fromAbove} vents={vents} strokeMm={1} />
      {marks.map(({ x, y, inX, inY }, i) => (
        <line
          key={i}
          x1={x}
          y1={y}
          x2={x + inX * marginMm * 0.8}
          y2={y + inY * marginMm * 0.8}
          stroke="var(--dough-line)"
          strokeWidth="1.1"
          strokeLinecap="round"
        />
      ))}
      {seam === "along" && (
        <line x1={leftMm} x2={rightMm} y1={topMm} y2={topMm} stroke="var(--dough-line)" strokeWidth="2.2" />
      )}
      {dimensions.map((line) => (
        <Dimension key={line.edge} {...line} />
      ))}
    </svg>
  );
}

const close = (polygon: Polygon): Polygon => [...polygon, ...polygon.slice(0, 1)];

interface Mark {
  readonly x: number;
  readonly y: number;
  /** Unit vector into the piece. */
  readonly inX: number;
  readonly inY: number;
}

/** The crimp's marks evenly along the open edge, each half a pitch from its ends. */
function placeMarks(points: readonly Point[], count: number): Mark[] {
  const segments = points.slice(1).map((to, i) => {
    const from = points[i] ?? to;
    return { from, to, length: Math.hypot(to[0] - from[0], to[1] - from[1]) };
  });
  const total = segments.reduce((sum, { length }) => sum + length, 0);
  return Array.from({ length: count }, (_, i) => {
    let along = ((i + 0.5) / count) * total;
    const segment = segments.find(({ length }) => {
      if (along <= length) return true;
      along -= length;
      return false;
    });
    if (!segment) return { x: 0, y: 0, inX: 0, inY: 0 };
    const { from, to, length } = segment;
    const [ux, uy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
    // The edge runs counter-clockwise as seen on paper, so the inside lies to its left.
    return { x: from[0] + ux * along, y: from[1] + uy * along, inX: -uy, inY: ux };
  });
}
