"use client";

import type { ReactNode } from "react";
import { CartesianGrid, LineChart, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { roundAxis, roundMarks } from "./roundAxis";

interface Props<Point> {
  readonly points: readonly (Point & { readonly atMin: number })[];
  /** Every temperature that is to be seen. */
  readonly temperaturesC: readonly number[];
  readonly label: string;
  /** Lines and marks. */
  readonly children: ReactNode;
}

/** Temperatures against the minutes: round marks, and as much room as the figures take. */
export function MinuteChart<Point>({ points, temperaturesC, label, children }: Props<Point>) {
  const untilMin = Math.max(...points.map(({ atMin }) => atMin));
  return (
    <div role="img" aria-label={label} className="h-64 w-full">
      <ResponsiveContainer width="100%" height="100%" initialDimension={{ width: 640, height: 256 }}>
        <LineChart
          data={[...points]}
          margin={{ top: 12, right: 16, bottom: 18, left: 0 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke="var(--color-base-300)" strokeDasharray="2 4" />
          <XAxis
            dataKey="atMin"
            type="number"
            domain={[0, untilMin]}
            ticks={roundMarks(0, untilMin)}
            stroke="currentColor"
            label={{ value: "min", position: "insideBottom", offset: -12, fill: "currentColor" }}
          />
          <YAxis
            {...roundAxis(Math.min(...temperaturesC), Math.max(...temperaturesC))}
            stroke="currentColor"
            unit=" °C"
            width={60}
          />
          {children}
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
