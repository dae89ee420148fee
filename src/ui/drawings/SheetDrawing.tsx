"use client";

import { useId } from "react";
import type { Placement } from "@/core/cutting";
import { computeBox, type BoxMm, type Outline, type SheetShape } from "@/core/shape";
import { Dimension } from "./Dimension";
import { OutlineShape } from "./OutlineShape";
import { useSheetDrag } from "./useSheetDrag";
import { formatLength, formatSide, lengthName } from "@/core/units";

/** Cuts of one outline, in the order of cutting. */
export interface DrawnPart {
  readonly outline: Outline;
  readonly placements: readonly Placement[];
  /** What is not seen in the finished piece, and what is only a decoration, are drawn in another tone. */
  readonly tone: "seen" | "hidden" | "decoration";
}

interface Props {
  readonly sheet: SheetShape;
  readonly parts: readonly DrawnPart[];
  readonly raggedMm: number;
  readonly title: string;
  /** A re-roll is drawn with a broken edge. */
  readonly rerolled: boolean;
  readonly limit: BoxMm;
  /** Given, the sheet's corner can be pulled. */
  readonly onResize: ((sheet: BoxMm) => void) | null;
}

/** Room round the sheet for its dimension lines, mm of the drawing. */
const ROOM_MM = 46;

/** One sheet to scale: ragged edge and trim hatched, cuts numbered in the order of cutting. viewBox is in mm. */
export function SheetDrawing({ sheet, parts, raggedMm, title, rerolled, limit, onResize }: Props) {
  const hatch = useId();
  const drag = useSheetDrag({ sheet, limit, onDrag: onResize ?? (() => {}) });
  // While the corner is pulled the frame must not move under the finger.
  const frame = drag.dragging ? limit : sheet;
  const text = Math.max(Math.min(frame.widthMm, frame.heightMm * 1.5) / 26, 9);
  const { widthMm, heightMm } = sheet;
  const corner = Math.max(text * 1.1, 16);
  return (
    <svg
      viewBox={`${-ROOM_MM} ${-ROOM_MM} ${frame.widthMm + ROOM_MM * 1.6} ${frame.heightMm + ROOM_MM * 1.6}`}
      className="h-full max-h-[62dvh] w-full touch-pan-y lg:max-h-full"
      role={onResize ? "group" : "img"}
      aria-label={title}
    >
      <defs>
        <pattern id={hatch} width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="9" height="9" fill="var(--dough)" opacity="0.45" />
          <line x1="0" y1="0" x2="0" y2="9" stroke="var(--trim-line)" strokeWidth="1.2" />
        </pattern>
      </defs>
      <path
        d={raggedEdge(sheet)}
        fill={`url(#${hatch})`}
        stroke="var(--dough-line)"
        strokeWidth="2"
        strokeDasharray={rerolled ? "9 6" : undefined}
      />
      {parts.map(({ outline, placements, tone }, part) => {
        const before = parts.slice(0, part).reduce((sum, each) => sum + each.placements.length, 0);
        return placements.map(({ xMm, yMm, angleDeg }, i) => (
          <g key={`${part} ${i}`} transform={`translate(${xMm} ${yMm})`}>
            <OutlineShape outline={outline} angleDeg={angleDeg} fill={tones[tone]} />
            <text
              className="figure"
              fontSize={Math.min(text * 1.15, smallestSide(outline) / 2.6)}
              textAnchor="middle"
              dominantBaseline="central"
              style={{ fill: "var(--dough-line)" }}
            >
              {before + i + 1}
            </text>
          </g>
        ));
      })}
      {sheet.shape !== "oval" && (
        <rect
          x={raggedMm}
          y={raggedMm}
          width={Math.max(widthMm - 2 * raggedMm, 0)}
          height={Math.max(heightMm - 2 * raggedMm, 0)}
          fill="none"
          stroke="var(--trim-line)"
          strokeDasharray="2 5"
          vectorEffect="non-scaling-stroke"
        />
      )}
      <Dimension from={0} to={widthMm} at={-24} edge={-6} text={formatLength(widthMm, 0)} size={text} />
      <Dimension
        from={0}
        to={heightMm}
        at={-24}
        edge={-6}
        vertical
        text={formatLength(heightMm, 0)}
        size={text}
      />
      {onResize && (
        <g
          role="slider"
          tabIndex={0}
          aria-label="Sheet corner: arrows make the sheet wider, narrower, higher, lower"
          aria-valuetext={`${formatSide(widthMm, 0)} by ${formatSide(heightMm, 0)} ${lengthName()}`}
          aria-valuenow={Math.round(widthMm)}
          aria-valuemin={100}
          aria-valuemax={Math.round(limit.widthMm)}
          transform={`translate(${widthMm} ${heightMm})`}
          className="cursor-nwse-resize touch-none"
          {...drag.handlers}
        >
          <circle r={corner * 1.6} fill="transparent" />
          <circle r={corner} fill="var(--color-base-100)" stroke="var(--color-primary)" strokeWidth="4" />
          <path
            d={`M${-corner * 0.4},${corner * 0.4} L${corner * 0.4},${-corner * 0.4}`}
            stroke="var(--color-primary)"
            strokeWidth="4"
            strokeLinecap="round"
          />
        </g>
      )}
    </svg>
  );
}

const tones: Record<DrawnPart["tone"], string> = {
  seen: "var(--dough)",
  hidden: "var(--dough-deep)",
  decoration: "var(--color-base-100)",
};

function smallestSide(outline: Outline): number {
  const { widthMm, heightMm } = computeBox(outline);
  return Math.min(widthMm, heightMm);
}

/** A hand-rolled edge bows a little: how far, as a share of the side, at most. */
const BOW_SHARE = 0.008;

function raggedEdge({ widthMm: w, heightMm: h, shape }: SheetShape): string {
  if (shape === "oval")
    return `M0,${h / 2} A${w / 2},${h / 2} 0 0 1 ${w},${h / 2} A${w / 2},${h / 2} 0 0 1 0,${h / 2} Z`;
  const bow = Math.min(w, h) * BOW_SHARE;
  return `M0,0 Q${w * 0.5},${-bow} ${w},0 Q${w + bow},${h * 0.5} ${w},${h} Q${w * 0.5},${h + bow} 0,${h} Q${-bow},${h * 0.5} 0,0 Z`;
}
