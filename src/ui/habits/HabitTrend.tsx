"use client";

import { useRouter } from "next/navigation";
import {
  CartesianGrid,
  ComposedChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from "recharts";
import { toTold } from "@/core/habits";
import { formatCount, formatNumber } from "@/core/units";
import type { ToldHabit } from "./toldHabit";
import { formatShortDate } from "../shell/formatDayDate";
import { tellFigure } from "../taught/tellFigure";
import { roundAxis } from "../charts/roundAxis";

/** One lot of a habit. */
export interface TrendFigure {
  readonly date: string;
  readonly source: string;
  readonly value: number;
  /** Why it is left out of the learning; null if it is not. */
  readonly leftOut: string | null;
}

interface Props {
  readonly habit: Pick<ToldHabit, "name" | "what" | "scale" | "known">;
  /** The oldest first. */
  readonly figures: readonly TrendFigure[];
  readonly runDates: readonly string[];
}

/** Room above and below what is drawn, as a share of it. */
const MARGIN_SHARE = 0.08;
/** A point that a finger meets, px. */
const POINT_PX = 7;

/** Lots in their order, the nine in ten of the next as a band, the likeliest as a line; a lot leads to its record. */
export function HabitTrend({ habit: { name, what, scale, known }, figures, runDates }: Props) {
  const router = useRouter();
  if (figures.length === 0) return <p className="quiet">No lot is logged.</p>;
  const percent = scale === "share" ? 100 : 1;
  const tell = (value: number) => toTold(scale, value) * percent;
  const data = figures.map(({ date, value, leftOut }, i) => ({
    lot: i + 1,
    date,
    told: tell(value),
    isOut: leftOut !== null,
  }));
  const [low, high] = [tell(known.nextLow), tell(known.nextHigh)];
  const all = [...data.map(({ told }) => told), low, high];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const spare = (most - least) * MARGIN_SHARE;
  const unit = scale === "share" ? " %" : " °C";
  return (
    <div>
      <div
        role="img"
        aria-label={`${name}, ${what}: ${formatCount(figures.length, "lot")}, ${figures.map(({ date, value }) => `${formatShortDate(date)} ${tellFigure(value, scale)}`).join(", ")}`}
        // Until it is measured the chart is as wide as on a tablet, and may not widen a phone's page.
        className="h-72 w-full overflow-hidden"
      >
        <ResponsiveContainer width="100%" height="100%" initialDimension={{ width: 640, height: 288 }}>
          <ComposedChart
            data={data}
            margin={{ top: 12, right: 20, bottom: 18, left: 4 }}
            accessibilityLayer={false}
          >
            <CartesianGrid stroke="var(--color-base-300)" strokeDasharray="2 4" />
            <ReferenceArea y1={low} y2={high} fill="var(--color-base-300)" fillOpacity={0.7} />
            <ReferenceLine y={tell(known.mean)} stroke="currentColor" strokeWidth={2} />
            <XAxis
              dataKey="lot"
              type="number"
              domain={[0, data.length + 1]}
              allowDecimals={false}
              stroke="currentColor"
              tickFormatter={(lot: number) => {
                const date = data[lot - 1]?.date;
                return date ? formatShortDate(date) : "";
              }}
            />
            <YAxis
              {...roundAxis(least - spare, most + spare)}
              stroke="currentColor"
              unit={unit}
              width={70}
              tickFormatter={(value: number) => formatNumber(value)}
            />
            <Scatter
              dataKey="told"
              fill="var(--color-primary)"
              isAnimationActive={false}
              shape={(point: {
                readonly cx?: number;
                readonly cy?: number;
                readonly payload?: { date: string; told: number; isOut: boolean };
              }) => (
                <circle
                  cx={point.cx}
                  cy={point.cy}
                  r={POINT_PX}
                  className={
                    point.payload && (point.payload.told < low || point.payload.told > high)
                      ? "fill-error"
                      : "fill-primary"
                  }
                  stroke={point.payload?.isOut ? "currentColor" : "var(--color-base-100)"}
                  fillOpacity={point.payload?.isOut ? 0 : 1}
                  cursor={runDates.includes(point.payload?.date ?? "") ? "pointer" : undefined}
                  onClick={() => {
                    const date = point.payload?.date;
                    if (date && runDates.includes(date)) router.push(`/run/${date}/record`);
                  }}
                />
              )}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <p className="quiet text-sm">
        A point is a lot, the band nine in ten of the next, a ring a lot left out. Touch a point for its
        record.
      </p>
    </div>
  );
}
