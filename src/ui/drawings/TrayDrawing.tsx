import type { TrayLoading } from "@/core/loading";
import type { Fold } from "@/core/forming";

interface Props {
  readonly loading: TrayLoading;
  readonly fold: Fold;
  readonly count: number;
  readonly name: string;
}

/** One tray from above, to scale, with so many pieces on it. */
export function TrayDrawing({ loading, fold, count, name }: Props) {
  const { sheet, placements } = loading.layout;
  const points = fold.edgePoints.map((point) => point.join(",")).join(" ");
  return (
    <svg
      viewBox={`-4 -4 ${sheet.widthMm + 8} ${sheet.heightMm + 8}`}
      className="h-full w-full"
      role="img"
      aria-label={`Tray ${sheet.widthMm} by ${sheet.heightMm} millimetres with ${count} of ${name}`}
    >
      <rect
        width={sheet.widthMm}
        height={sheet.heightMm}
        rx="10"
        fill="var(--steel)"
        stroke="currentColor"
        strokeWidth="3"
      />
      {placements.slice(0, count).map(({ xMm, yMm, turned }, i) => (
        <g
          key={i}
          transform={`translate(${xMm} ${yMm}) rotate(${turned ? 90 : 0}) translate(0 ${-fold.footprint.heightMm / 2})`}
        >
          <polygon
            points={points}
            fill="var(--dough-deep)"
            stroke="var(--dough-line)"
            strokeWidth="2"
            strokeLinejoin="round"
          />
        </g>
      ))}
    </svg>
  );
}
