import { ventFacts, type CrimpId, type Seal, type Vents } from "@/core/sealing";
import { formatLength, formatNumber, formatSide, lengthName } from "@/core/units";
import { Dimension } from "./Dimension";
import { frame, placeFigure, type DimensionLine } from "./dimensionBox";

interface Props {
  readonly seal: Seal;
  readonly vents: Vents;
  readonly name: string;
}

/** A longer seam is drawn in rows one under the other, mm. */
const ROW_MM = 190;
/** Band of the top that is shown above the rim, with its vents, mm. */
const TOP_MM = 12;
const TEXT_MM = 6;

/** The seam opened out straight, to scale in mm: the rim with every mark of its crimp, the top above it with its vents. */
export function SeamDrawing({ seal, vents, name }: Props) {
  const { seamMm, marginMm, marks, crimp } = seal;
  const rows = Math.max(Math.ceil(seamMm / ROW_MM), 1);
  const rowMm = seamMm / rows;
  const highMm = marginMm + TOP_MM + TEXT_MM * 1.6;
  const pitchMm = seamMm / marks;
  const dimensions: readonly DimensionLine[] = [
    {
      ...{ from: 0, to: rowMm, size: TEXT_MM },
      at: rows * highMm + TEXT_MM * 0.2,
      edge: rows * highMm - TEXT_MM,
      text: rows > 1 ? `${rows} × ${formatLength(rowMm, 0)}` : formatLength(rowMm, 0),
    },
    {
      ...{ from: TOP_MM, to: TOP_MM + marginMm, vertical: true, size: TEXT_MM },
      at: -TEXT_MM * 1.2,
      edge: -TEXT_MM * 0.2,
      text: formatSide(marginMm, 0),
    },
  ];
  const drawn = { left: 0, right: rowMm, top: 0, bottom: rows * highMm };
  return (
    <svg
      viewBox={frame([drawn, ...dimensions.map((line) => placeFigure(line).extent)], TEXT_MM * 0.6)}
      className="h-full w-full"
      role="img"
      aria-label={`${name}, the seam opened out: ${formatSide(seamMm, 0)} ${lengthName()} in ${rows} ${rows === 1 ? "row" : "rows"}, ${marks} ${crimp.markName} every ${formatNumber(pitchMm, 1)} ${lengthName()}, rim of ${marginMm}`}
    >
      {Array.from({ length: rows }, (_, row) => {
        const top = row * highMm;
        return (
          <g key={row} transform={`translate(0 ${top})`}>
            <rect width={rowMm} height={TOP_MM} fill="var(--dough)" />
            <rect
              y={TOP_MM}
              width={rowMm}
              height={marginMm}
              fill="var(--dough-deep)"
              stroke="var(--dough-line)"
              strokeWidth="0.6"
            />
            {listVents(vents, seamMm, row * rowMm, rowMm).map((x, i) => (
              <VentMark key={i} kind={vents.kind} x={x} y={TOP_MM / 2} />
            ))}
            {listMarks(marks, pitchMm, row * rowMm, rowMm).map((x) => (
              <path
                key={x}
                d={markPath(crimp.id, x, TOP_MM, marginMm, pitchMm)}
                fill="none"
                stroke="var(--dough-line)"
                strokeWidth="0.8"
                strokeLinecap="round"
              />
            ))}
          </g>
        );
      })}
      {dimensions.map((line) => (
        <Dimension key={line.edge} {...line} />
      ))}
    </svg>
  );
}

/** Middles of the marks that fall in a row, from the row's start. */
function listMarks(marks: number, pitchMm: number, fromMm: number, rowMm: number): number[] {
  return Array.from({ length: marks }, (_, i) => (i + 0.5) * pitchMm - fromMm).filter(
    (x) => x >= 0 && x < rowMm,
  );
}

/** Vents spread evenly over the whole length of the seam. */
const listVents = ({ kind, count }: Vents, seamMm: number, fromMm: number, rowMm: number): number[] =>
  kind === "none" ? [] : listMarks(count, seamMm / Math.max(count, 1), fromMm, rowMm);

function VentMark({ kind, x, y }: { readonly kind: Vents["kind"]; readonly x: number; readonly y: number }) {
  const radius = Math.sqrt(ventFacts[kind].openMm2 / Math.PI);
  return kind === "slits" ? (
    <line x1={x - 7} x2={x + 7} y1={y + 2} y2={y - 2} stroke="var(--dough-line)" strokeWidth="1.6" />
  ) : (
    <circle
      cx={x}
      cy={y}
      r={Math.min(radius, y * 0.9)}
      fill="var(--filling)"
      stroke="var(--dough-line)"
      strokeWidth="0.5"
    />
  );
}

/** One mark of a crimp across the rim, its middle at x: as the tool or the thumb leaves it. */
function markPath(crimp: CrimpId, x: number, top: number, high: number, pitch: number): string {
  const [left, right, foot] = [x - pitch / 2, x + pitch / 2, top + high];
  const tines = (from: number, to: number) =>
    [-0.3, -0.1, 0.1, 0.3].map((part) => `M${x + part * pitch},${from} V${to}`).join(" ");
  switch (crimp) {
    case "rope":
      // Each pleat is laid slanting over the one before.
      return `M${left},${foot} C${left + pitch * 0.2},${top + high * 0.3} ${x},${top + high * 0.1} ${right},${top + 0.6}`;
    case "forked":
      return tines(top + high * 0.2, foot);
    case "foldForked":
      return `M${left},${top + high * 0.35} H${right} ${tines(top + high * 0.4, foot)}`;
    case "rolled":
      return `M${left},${top + high * 0.4} H${right} M${left},${top + high * 0.7} q${pitch / 2},${high * 0.25} ${pitch},0`;
    case "press":
      return `M${left},${foot} L${x},${top + high * 0.4} L${right},${foot}`;
    case "flush":
      return `M${left},${top + high / 2} H${right}`;
    default:
      return `M${left},${top + high * 0.75} Q${x},${top} ${right},${top + high * 0.75}`;
  }
}
