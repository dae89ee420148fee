import type { TaughtHabit } from "@/core/run";
import { tellFigure } from "./tellFigure";

const WIDTH = 232;
const HEIGHT = 46;
const BASE_Y = 30;
/** Room beyond what is drawn, as a share of it. */
const MARGIN_SHARE = 0.12;

/** What was expected (a band: nine lots in ten; a line: the likeliest) and what came (a point a lot). */
export function HabitStrip({ habit }: { readonly habit: TaughtHabit }) {
  const { before, points, name, what, scale } = habit;
  const values = points.map(({ value }) => value);
  const all = [before.nextLow, before.nextHigh, ...values];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const spare = (most - least) * MARGIN_SHARE;
  const x = (value: number) => (WIDTH * (value - least + spare)) / (most - least + 2 * spare);
  const told = (value: number) => tellFigure(value, scale);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-58 shrink-0"
      role="img"
      aria-label={`${name}, ${what}: expected ${told(before.nextLow)} to ${told(before.nextHigh)}; came ${values.map(told).join(", ")}`}
    >
      <rect
        x={x(before.nextLow)}
        y={6}
        width={x(before.nextHigh) - x(before.nextLow)}
        height={BASE_Y - 6}
        className="fill-base-300"
      />
      <line x1={0} x2={WIDTH} y1={BASE_Y} y2={BASE_Y} className="stroke-base-300" strokeWidth={1.5} />
      <line
        x1={x(before.mean)}
        x2={x(before.mean)}
        y1={2}
        y2={BASE_Y}
        className="stroke-base-content"
        strokeWidth={2}
      />
      {points.map(({ source, value }) => {
        const isOut = value < before.nextLow || value > before.nextHigh;
        return (
          <circle
            key={source}
            cx={x(value)}
            cy={18}
            r={5.5}
            className={isOut ? "fill-error" : "fill-primary"}
            stroke="var(--color-base-100)"
          />
        );
      })}
      <text x={x(before.mean)} y={HEIGHT - 2} textAnchor="middle" className="fill-current text-[11px]">
        {told(before.mean)}
      </text>
    </svg>
  );
}
