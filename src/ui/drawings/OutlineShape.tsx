import { computeBox, toContour, type Outline } from "@/core/shape";

interface Props {
  readonly outline: Outline;
  /** Clockwise from its upright, degrees. */
  readonly angleDeg?: number;
  readonly fill?: string;
}

/** One cut about its own middle, in mm; a ring shows its centre. */
export function OutlineShape({ outline, angleDeg = 0, fill = "var(--dough)" }: Props) {
  const look = { fill, stroke: "var(--dough-line)", strokeWidth: 1.6, strokeLinejoin: "round" } as const;
  if (outline.kind === "disc") return <circle r={outline.diameterMm / 2} {...look} />;
  if (outline.kind === "ring") {
    return (
      <>
        <circle r={outline.diameterMm / 2} {...look} />
        <circle r={outline.holeMm / 2} {...look} fill="var(--color-base-100)" strokeDasharray="5 3" />
      </>
    );
  }
  const points = toContour(outline)
    .map(([x, y]) => `${x.toFixed(2)},${y.toFixed(2)}`)
    .join(" ");
  return <polygon points={points} transform={angleDeg === 0 ? undefined : `rotate(${angleDeg})`} {...look} />;
}

/** An outline as a small picture of a fixed size, whatever it measures. */
export function OutlineIcon({ outline, sizePx }: { readonly outline: Outline; readonly sizePx: number }) {
  const { widthMm, heightMm } = computeBox(outline);
  const side = Math.max(widthMm, heightMm) * 1.08;
  return (
    <svg viewBox={`${-side / 2} ${-side / 2} ${side} ${side}`} width={sizePx} height={sizePx} aria-hidden>
      <OutlineShape outline={outline} />
    </svg>
  );
}
