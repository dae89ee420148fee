import type { Fold } from "@/core/forming";
import type { Seal } from "@/core/sealing";
import { Dimension } from "./Dimension";

interface Props {
  readonly fold: Fold;
  readonly seal: Seal;
  readonly name: string;
}

/** The folded piece from above with its margin and the marks of its crimp, to scale in mm. */
export function FoldPlanDrawing({ fold, seal, name }: Props) {
  const { footprint, edgePoints, marginMm } = fold;
  const text = Math.max(footprint.widthMm / 15, 4);
  const marks = placeMarks(edgePoints, seal.marks);
  const halfMm = footprint.widthMm / 2;
  return (
    <svg
      viewBox={`${-halfMm - text * 3.4} ${-text} ${footprint.widthMm + text * 5} ${footprint.heightMm + text * 4.2}`}
      className="h-full w-full"
      role="img"
      aria-label={`${name} from above: ${Math.round(footprint.widthMm)} by ${Math.round(footprint.heightMm)} millimetres, ${seal.marks} ${seal.crimp.markName}`}
    >
      <polygon
        points={edgePoints.map((point) => point.join(",")).join(" ")}
        fill="var(--dough)"
        stroke="var(--dough-line)"
        strokeWidth="1.4"
        strokeLinejoin="round"
      />
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
      <line x1={-halfMm} x2={halfMm} y1="0" y2="0" stroke="var(--dough-line)" strokeWidth="2.2" />
      <Dimension
        from={-halfMm}
        to={halfMm}
        at={footprint.heightMm + text * 1.8}
        edge={footprint.heightMm + text * 0.5}
        text={`${Math.round(footprint.widthMm)} mm`}
        size={text}
      />
      <Dimension
        from={0}
        to={footprint.heightMm}
        at={-halfMm - text * 1.6}
        edge={-halfMm - text * 0.4}
        vertical
        text={`${Math.round(footprint.heightMm)}`}
        size={text}
      />
    </svg>
  );
}

interface Mark {
  readonly x: number;
  readonly y: number;
  /** Unit vector into the piece. */
  readonly inX: number;
  readonly inY: number;
}

/** The crimp's marks evenly along the open edge, each half a pitch from its ends. */
function placeMarks(points: Fold["edgePoints"], count: number): Mark[] {
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
