import type { FormedPiece } from "@/core/forming";
import type { Vents } from "@/core/sealing";
import { boundsOfPolygon, type Point, type Polygon } from "@/core/shape";

/** What a piece looks like from above. */
export interface Face {
  readonly fromAbove: Pick<FormedPiece["fromAbove"], "edge" | "inner" | "stick">;
  readonly vents: Vents;
}

interface Props extends Face {
  /** Of the thin lines, in the drawing's mm; the edge and the vents are drawn bolder. */
  readonly strokeMm: number;
}

const toPoints = (polygon: Polygon) => polygon.map((point) => point.join(",")).join(" ");

/** A piece as it lies on its tray: its edge, what is seen within, its stick and its vents, in mm. */
export function PieceFace({ fromAbove: { edge, inner, stick }, vents, strokeMm }: Props) {
  const { leftMm, rightMm, topMm, bottomMm } = boundsOfPolygon(edge);
  const line = { stroke: "var(--dough-line)", strokeLinejoin: "round" } as const;
  return (
    <>
      <polygon points={toPoints(edge)} fill="var(--dough)" strokeWidth={strokeMm * 1.4} {...line} />
      {stick && (
        <polygon
          points={toPoints(stick)}
          fill="var(--produce)"
          stroke="var(--produce-line)"
          strokeWidth={strokeMm}
        />
      )}
      {inner.map((polygon, i) => (
        <polygon key={i} points={toPoints(polygon)} fill="none" strokeWidth={strokeMm * 0.9} {...line} />
      ))}
      {placeVents(vents, centreOf(edge), Math.min(rightMm - leftMm, bottomMm - topMm)).map(
        ({ x, y, reach }, i) =>
          vents.kind === "slits" ? (
            <line
              key={i}
              x1={x - reach}
              y1={y + reach * 0.4}
              x2={x + reach}
              y2={y - reach * 0.4}
              strokeWidth={strokeMm * 2}
              strokeLinecap="round"
              {...line}
            />
          ) : (
            <circle key={i} cx={x} cy={y} r={reach} fill="var(--filling)" strokeWidth={strokeMm} {...line} />
          ),
      )}
    </>
  );
}

/** Centre of area, by the shoelace formula. */
function centreOf(polygon: Polygon): Point {
  let [area, x, y] = [0, 0, 0];
  polygon.forEach(([x1, y1], i) => {
    const [x2, y2] = polygon[(i + 1) % polygon.length] ?? [x1, y1];
    const cross = x1 * y2 - x2 * y1;
    area += cross;
    x += (x1 + x2) * cross;
    y += (y1 + y2) * cross;
  });
  return area === 0 ? [0, 0] : [x / (3 * area), y / (3 * area)];
}

/** Vents about the middle of the top: slits side by side, pricks on a ring, a cut-out in the middle. */
function placeVents({ kind, count }: Vents, [x, y]: Point, acrossMm: number) {
  if (kind === "none") return [];
  if (kind === "cutOut") return [{ x, y, reach: acrossMm * 0.09 }];
  if (kind === "slits") {
    const step = acrossMm * 0.2;
    return Array.from({ length: count }, (_, i) => ({
      x: x + (i - (count - 1) / 2) * step,
      y,
      reach: acrossMm * 0.08,
    }));
  }
  return Array.from({ length: count }, (_, i) => {
    const at = (2 * Math.PI * i) / count;
    return { x: x + acrossMm * 0.16 * Math.cos(at), y: y + acrossMm * 0.1 * Math.sin(at), reach: 1.2 };
  });
}
