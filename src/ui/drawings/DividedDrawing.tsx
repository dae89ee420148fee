import type { DividedPiece } from "@/core/formula";
import type { Body } from "@/core/heat";

interface Props {
  readonly pieces: readonly DividedPiece[];
  readonly name: string;
}

/** Gap between two pieces in the drawing, mm. */
const GAP_MM = 16;

/** A piece seen from above, mm. */
function footprint(body: Body): {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly round: boolean;
} {
  switch (body.kind) {
    case "disc":
    case "ball":
      return { widthMm: body.diameterMm, heightMm: body.diameterMm, round: true };
    case "log":
      return { widthMm: body.lengthMm, heightMm: body.diameterMm, round: false };
    case "brick":
      return { widthMm: body.lengthMm, heightMm: body.widthMm, round: false };
    case "slab":
      return { widthMm: 0, heightMm: 0, round: false };
  }
}

/** The divided dough from above, to scale: the first piece is rolled first, the others stay cold. */
export function DividedDrawing({ pieces, name }: Props) {
  const all = pieces.flatMap((piece) => Array.from({ length: piece.count }, () => footprint(piece.body)));
  if (all.length === 0) return null;
  const tallMm = Math.max(...all.map(({ heightMm }) => heightMm));
  const starts = all.map((_, i) => all.slice(0, i).reduce((sum, { widthMm }) => sum + widthMm + GAP_MM, 0));
  const widthMm = all.reduce((sum, each) => sum + each.widthMm + GAP_MM, -GAP_MM);
  return (
    <svg
      viewBox={`-4 -4 ${widthMm + 8} ${tallMm + 8}`}
      className="max-h-24 w-full"
      preserveAspectRatio="xMinYMid meet"
      role="img"
      aria-label={`${name}: ${all.length} pieces to scale, the first to be rolled first`}
    >
      {all.map(({ widthMm: wide, heightMm: tall, round }, i) => (
        <rect
          key={i}
          x={starts[i]}
          y={(tallMm - tall) / 2}
          width={wide}
          height={tall}
          rx={round ? wide / 2 : 12}
          fill={i === 0 ? "var(--dough-deep)" : "var(--dough)"}
          stroke="var(--dough-line)"
          strokeWidth={i === 0 ? 2.5 : 1.5}
          strokeDasharray={i === 0 ? undefined : "7 5"}
        />
      ))}
    </svg>
  );
}
