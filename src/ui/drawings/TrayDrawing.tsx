import { memo } from "react";
import type { TrayLoading } from "@/core/loading";
import { boundsOfPolygon } from "@/core/shape";
import type { FormedPiece } from "@/core/forming";
import { formatSide, lengthName } from "@/core/units";

interface Props {
  readonly loading: TrayLoading;
  readonly formed: Pick<FormedPiece, "fromAbove">;
  readonly count: number;
  readonly name: string;
}

/** One tray from above, to scale, with so many pieces on it. */
export const TrayDrawing = memo(function TrayDrawing({ loading, formed, count, name }: Props) {
  const { sheet, placements } = loading.layout;
  const { edge } = formed.fromAbove;
  const points = edge.map((point) => point.join(",")).join(" ");
  const { topMm, bottomMm } = boundsOfPolygon(edge);
  return (
    <svg
      viewBox={`-4 -4 ${sheet.widthMm + 8} ${sheet.heightMm + 8}`}
      className="h-full w-full"
      role="img"
      aria-label={`Tray ${formatSide(sheet.widthMm, 1)} by ${formatSide(sheet.heightMm, 1)} ${lengthName()} with ${count} of ${name}`}
    >
      <rect
        width={sheet.widthMm}
        height={sheet.heightMm}
        rx="10"
        fill="var(--steel)"
        stroke="currentColor"
        strokeWidth="3"
      />
      {placements.slice(0, count).map(({ xMm, yMm, angleDeg }, i) => (
        <g
          key={i}
          transform={`translate(${xMm} ${yMm}) rotate(${angleDeg}) translate(0 ${-(topMm + bottomMm) / 2})`}
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
});
