import { placeFigure, type DimensionLine } from "./dimensionBox";

/** A dimension line as on a shop drawing: ends led out, figure on the line or, where there is no room on it, beside it. */
export function Dimension(line: DimensionLine) {
  const { from, to, at, edge, vertical = false, text, size } = line;
  const { x, y, wide, anchor, isTurned, isBeside } = placeFigure(line);
  const middle = (from + to) / 2;
  const gap = isBeside ? 0 : wide / 2 + size * 0.5;
  const point = (along: number, across: number) => (vertical ? `${across},${along}` : `${along},${across}`);
  const beyond = at + Math.sign(at - edge) * size * 0.35;
  const lines = [
    [point(from, edge), point(from, beyond)],
    [point(to, edge), point(to, beyond)],
    [point(from, at), point(Math.max(middle - gap, from), at)],
    [point(Math.min(middle + gap, to), at), point(to, at)],
  ];
  return (
    <g aria-hidden>
      <path
        d={lines.map(([a, b]) => `M${a} L${b}`).join(" ")}
        stroke="currentColor"
        fill="none"
        vectorEffect="non-scaling-stroke"
      />
      <text
        className="figure"
        fontSize={size}
        textAnchor={anchor}
        dominantBaseline="central"
        transform={`translate(${x} ${y})${isTurned ? " rotate(-90)" : ""}`}
      >
        {text}
      </text>
    </g>
  );
}
