"use client";

import { useId } from "react";
import type { Fold } from "@/core/forming";
import { Dimension } from "./Dimension";

interface Props {
  readonly fold: Fold;
  readonly name: string;
}

/**
 * The piece cut across the middle of its fold, to scale: flat foot, arc, filling, and the clean margin lying
 * on the tray. viewBox is in mm.
 */
export function SectionDrawing({ fold, name }: Props) {
  const dots = useId();
  const { section, settledThicknessMm: t, marginMm } = fold;
  const { footMm, heightMm, arcRadiusMm, arcHalfAngle } = section;
  // Inner outline: foot from 0 to footMm, arc over it. The arc bulges past the foot once it is over half round.
  const bulgeMm = arcHalfAngle > Math.PI / 2 ? arcRadiusMm - footMm / 2 : 0;
  const left = -bulgeMm - t;
  const right = Math.max(footMm + marginMm, footMm + bulgeMm) + t;
  const large = arcHalfAngle > Math.PI / 2 ? 1 : 0;
  const outerR = arcRadiusMm + t;
  const inner = `M0,0 A${arcRadiusMm},${arcRadiusMm} 0 ${large} 1 ${footMm},0 Z`;
  const centreY = arcRadiusMm * Math.cos(arcHalfAngle);
  const dx = Math.sqrt(Math.max(outerR ** 2 - (centreY - t) ** 2, 0));
  const outerLarge = centreY < t ? 1 : 0;
  const outer = `M${footMm / 2 - dx},${t} A${outerR},${outerR} 0 ${outerLarge} 1 ${footMm / 2 + dx},${t} Z`;
  const text = Math.max((right - left) / 21, 3);
  const top = -heightMm - t;
  return (
    <svg
      viewBox={`${left - text * 3.4} ${top - text * 1.2} ${right - left + text * 5} ${heightMm + 2 * t + text * 6}`}
      className="h-full w-full"
      role="img"
      aria-label={`${name} in section: ${Math.round(heightMm + 2 * t)} millimetres high, foot ${Math.round(footMm)}, margin ${marginMm}`}
    >
      <defs>
        <pattern id={dots} width="5" height="5" patternUnits="userSpaceOnUse">
          <rect width="5" height="5" fill="var(--filling-soft)" />
          <circle cx="1.4" cy="1.5" r="0.9" fill="var(--filling)" />
          <circle cx="3.9" cy="3.8" r="0.7" fill="var(--filling)" />
        </pattern>
      </defs>
      <line
        x1={left - text}
        x2={right + text}
        y1={t}
        y2={t}
        stroke="currentColor"
        vectorEffect="non-scaling-stroke"
        strokeWidth="2"
      />
      <path
        d={outer}
        fill="var(--dough-deep)"
        stroke="var(--dough-line)"
        vectorEffect="non-scaling-stroke"
        strokeWidth="1.5"
      />
      <rect
        x={footMm / 2 + Math.min(dx, footMm / 2)}
        y={-t}
        width={Math.max(footMm / 2 + marginMm - Math.min(dx, footMm / 2), 0)}
        height={2 * t}
        fill="var(--dough-deep)"
        stroke="var(--dough-line)"
        vectorEffect="non-scaling-stroke"
        strokeWidth="1.5"
      />
      <line
        x1={footMm}
        x2={footMm + marginMm}
        y1={0}
        y2={0}
        stroke="var(--dough-line)"
        vectorEffect="non-scaling-stroke"
        strokeDasharray="4 3"
      />
      <path d={inner} fill={`url(#${dots})`} stroke="var(--filling)" vectorEffect="non-scaling-stroke" />
      <Dimension
        from={top}
        to={t}
        at={left - text * 1.4}
        edge={left - text * 0.3}
        vertical
        text={`${Math.round(heightMm + 2 * t)} mm`}
        size={text}
      />
      <Dimension
        from={0}
        to={footMm}
        at={t + text * 2}
        edge={t + text * 0.5}
        text={`${Math.round(footMm)}`}
        size={text}
      />
      <Dimension
        from={footMm}
        to={footMm + marginMm}
        at={t + text * 2}
        edge={t + text * 0.5}
        text={`${Math.round(marginMm)}`}
        size={text}
      />
      <text x={footMm + marginMm / 2} y={t + text * 3.7} fontSize={text * 0.8} textAnchor="middle">
        margin
      </text>
      <text x={footMm / 2} y={t + text * 3.7} fontSize={text * 0.8} textAnchor="middle">
        foot
      </text>
    </svg>
  );
}
