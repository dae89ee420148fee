interface Props {
  readonly from: number;
  readonly to: number;
  /** Where the line runs, across its direction. */
  readonly at: number;
  /** From here to the line the ends are led out. */
  readonly edge: number;
  readonly vertical?: boolean;
  readonly text: string;
  /** Size of the lettering in drawing units. */
  readonly size: number;
}

/** A dimension line as on a shop drawing: ends led out, figure on the line. */
export function Dimension({ from, to, at, edge, vertical = false, text, size }: Props) {
  const middle = (from + to) / 2;
  // A figure longer than what it measures stands beside the line instead of on it.
  const isTight = vertical && text.length * size * 0.6 > to - from;
  const gap = isTight ? 0 : text.length * size * 0.3 + size * 0.5;
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
        textAnchor={isTight ? (at > edge ? "start" : "end") : "middle"}
        dominantBaseline="central"
        transform={
          isTight
            ? `translate(${at + Math.sign(at - edge) * size * 0.5} ${middle})`
            : vertical
              ? `translate(${at} ${middle}) rotate(-90)`
              : `translate(${middle} ${at})`
        }
      >
        {text}
      </text>
    </g>
  );
}
