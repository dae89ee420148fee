"use client";

import { useId } from "react";
import type { FormedPiece } from "@/core/forming";
import { boundsOfPolygon, type Polygon } from "@/core/shape";
import { Dimension } from "./Dimension";
import { frame, placeFigure, type DimensionLine } from "./dimensionBox";
import { formatLength, formatSide, lengthName } from "@/core/units";

interface Props {
  readonly formed: Pick<FormedPiece, "section" | "marginMm" | "fromAbove">;
  readonly name: string;
}

const toPoints = (polygon: Polygon) => polygon.map(([x, y]) => `${x.toFixed(2)},${y.toFixed(2)}`).join(" ");

/** The piece cut across its middle, to scale: dough, filling, and the line of the tray. viewBox is in mm. */
export function SectionDrawing({ formed, name }: Props) {
  const dots = useId();
  const { section, marginMm } = formed;
  const hasMargin = formed.fromAbove.seam !== "none";
  const { leftMm: left, rightMm: right, bottomMm: bottom } = boundsOfPolygon(section.dough.flat());
  const all = boundsOfPolygon([...section.dough, ...section.solids].flat());
  const layer = useId();
  const [wide, high] = [section.widthMm, section.heightMm];
  const text = Math.max((all.rightMm - all.leftMm) / 21, 3);
  // A stick stands out at the left: the height is then led out at the right.
  const atRight = all.leftMm < left;
  const dimensions: readonly DimensionLine[] = [
    {
      ...{ from: bottom - high, to: bottom, vertical: true, size: text },
      at: atRight ? right + text * 2.2 : left - text * 1.4,
      edge: atRight ? right + text * 0.3 : left - text * 0.3,
      text: formatLength(high, 0),
    },
    {
      ...{ from: left, to: right, size: text },
      at: bottom + text * 2,
      edge: bottom + text * 0.5,
      text: `${formatLength(right - left, 0)}${hasMargin ? `, margin ${formatSide(marginMm, 0)}` : ""}`,
    },
  ];
  const drawn = {
    left: Math.min(all.leftMm, left - text),
    right: Math.max(all.rightMm, right + text),
    top: Math.min(all.topMm, 0),
    bottom: Math.max(all.bottomMm, bottom),
  };
  const extents = [drawn, ...dimensions.map((line) => placeFigure(line).extent)];
  return (
    <svg
      viewBox={frame(extents, text)}
      className="h-full w-full"
      role="img"
      aria-label={`${name} in section: ${formatSide(high, 0)} ${lengthName()} high, ${formatSide(wide, 0)} across${hasMargin ? `, margin ${formatSide(marginMm, 0)}` : ""}`}
    >
      <defs>
        <pattern id={dots} width="5" height="5" patternUnits="userSpaceOnUse">
          <rect width="5" height="5" fill="var(--filling-soft)" />
          <circle cx="1.4" cy="1.5" r="0.9" fill="var(--filling)" />
          <circle cx="3.9" cy="3.8" r="0.7" fill="var(--filling)" />
        </pattern>
        <pattern id={layer} width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="4" height="4" fill="var(--heat-soft)" />
          <line x1="0" x2="0" y1="0" y2="4" stroke="var(--heat)" strokeWidth="1.6" />
        </pattern>
      </defs>
      <line
        x1={left - text}
        x2={right + text}
        y1={bottom}
        y2={bottom}
        stroke="currentColor"
        vectorEffect="non-scaling-stroke"
        strokeWidth="2"
      />
      {section.dough.map((polygon, i) => (
        <polygon
          key={i}
          points={toPoints(polygon)}
          fill="var(--dough-deep)"
          stroke="var(--dough-line)"
          vectorEffect="non-scaling-stroke"
          strokeWidth="1.5"
        />
      ))}
      {section.solids.map((polygon, i) => (
        <polygon
          key={i}
          points={toPoints(polygon)}
          fill="var(--produce)"
          stroke="var(--produce-line)"
          vectorEffect="non-scaling-stroke"
          strokeWidth="1.2"
        />
      ))}
      {section.filling.map((polygon, i) => (
        <polygon
          key={i}
          points={toPoints(polygon)}
          fill={`url(#${i < section.filling.length - 1 ? layer : dots})`}
          stroke="var(--filling)"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {dimensions.map((line, i) => (
        // As high as it is wide, it has the same words twice.
        <Dimension key={i} {...line} />
      ))}
    </svg>
  );
}
