import type { Lining, Mould } from "@/core/forming";
import { Dimension } from "./Dimension";
import { formatLength, formatSide } from "@/core/units";

interface Props {
  readonly mould: Mould;
  readonly lining: Lining;
  readonly linedThicknessMm: number;
  readonly acrossMm: number;
}

/** Room round the drawing for its dimension lines, mm. */
const ROOM_MM = 26;

/** A lined mould in section, to scale, over its blank laid flat. */
export function MouldDrawing({ mould, lining, linedThicknessMm, acrossMm }: Props) {
  const [{ baseMm, rimMm }] = mould.axes;
  const { depthMm } = mould;
  const wide = Math.max(acrossMm, rimMm);
  const out = (rimMm - baseMm) / 2;
  const slant = Math.hypot(depthMm, out);
  const [upX, upY] = [out / slant, depthMm / slant];
  const middle = wide / 2;
  const top = depthMm + lining.trimMm;
  const over = lining.trimMm;
  const wall = (side: -1 | 1, inset: number, along: number) => {
    const x = middle + side * (baseMm / 2 + upX * along - upY * inset);
    return `${x.toFixed(2)},${(top - upY * along - upX * inset).toFixed(2)}`;
  };
  const t = linedThicknessMm;
  const dough = [
    wall(-1, 0, slant + over),
    wall(-1, 0, 0),
    wall(1, 0, 0),
    wall(1, 0, slant + over),
    wall(1, t, slant + over),
    `${(middle + baseMm / 2 - t * 0.8).toFixed(2)},${(top - t).toFixed(2)}`,
    `${(middle - baseMm / 2 + t * 0.8).toFixed(2)},${(top - t).toFixed(2)}`,
    wall(-1, t, slant + over),
  ].join(" ");
  const flatY = top + 22;
  return (
    <svg
      viewBox={`${-ROOM_MM} ${-ROOM_MM} ${wide + 2 * ROOM_MM} ${flatY + lining.thicknessMm + 2 * ROOM_MM}`}
      className="h-full max-h-[48dvh] w-full"
      role="img"
      aria-label={`Mould in section, ${formatLength(baseMm, 0)} at the base, ${formatSide(rimMm, 0)} at the rim, ${formatSide(depthMm, 0)} deep, lined; its blank ${formatLength(acrossMm, 0)} across`}
    >
      <polyline
        points={`${wall(-1, -1.2, slant)} ${wall(-1, -1.2, 0)} ${wall(1, -1.2, 0)} ${wall(1, -1.2, slant)}`}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.6"
      />
      <polygon points={dough} fill="var(--dough)" stroke="var(--dough-line)" strokeWidth="0.8" />
      <line
        x1={middle - rimMm / 2 - 6}
        x2={middle + rimMm / 2 + 6}
        y1={over}
        y2={over}
        stroke="var(--trim-line)"
        strokeDasharray="3 3"
      />
      <rect
        x={middle - acrossMm / 2}
        y={flatY}
        width={acrossMm}
        height={lining.thicknessMm}
        fill="var(--dough)"
        stroke="var(--dough-line)"
        strokeWidth="0.8"
      />
      <Dimension
        from={middle - rimMm / 2}
        to={middle + rimMm / 2}
        at={-14}
        edge={-3}
        text={formatLength(rimMm, 0)}
        size={7}
      />
      <Dimension
        from={middle - acrossMm / 2}
        to={middle + acrossMm / 2}
        at={flatY + lining.thicknessMm + 14}
        edge={flatY + lining.thicknessMm + 3}
        text={`blank ${formatLength(acrossMm, 0)}`}
        size={7}
      />
    </svg>
  );
}
