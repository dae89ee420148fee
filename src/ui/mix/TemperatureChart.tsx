"use client";

import {
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from "recharts";
import type { Moment, WorkingWindow } from "@/core/heat";

interface Props {
  readonly moments: readonly Moment[];
  readonly window: WorkingWindow;
  /** A minute to mark, with what it is. */
  readonly mark: { readonly atMin: number; readonly label: string } | null;
  readonly label: string;
}

/** Core and outside of a piece of dough against the minutes, its working window shaded. */
export function TemperatureChart({ moments, window, mark, label }: Props) {
  const data = moments.map(({ atMin, coreC, surfaceC }) => ({ atMin, coreC, surfaceC }));
  const temperatures = data.flatMap(({ coreC, surfaceC }) => [coreC, surfaceC]);
  const low = Math.floor(Math.min(...temperatures, window.lowC) - 1);
  const high = Math.ceil(Math.max(...temperatures, window.highC) + 1);
  return (
    <div role="img" aria-label={label} className="h-64 w-full">
      <ResponsiveContainer width="100%" height="100%" initialDimension={{ width: 640, height: 256 }}>
        <LineChart
          data={data}
          margin={{ top: 12, right: 16, bottom: 18, left: 0 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke="var(--color-base-300)" strokeDasharray="2 4" />
          <ReferenceArea
            y1={window.lowC}
            y2={window.highC}
            fill="var(--dough-deep)"
            fillOpacity={0.45}
            label={{ value: "rolls well", position: "insideBottomRight", fill: "currentColor", fontSize: 13 }}
          />
          <XAxis
            dataKey="atMin"
            type="number"
            domain={[0, "dataMax"]}
            tickFormatter={(minute: number) => String(Math.round(minute))}
            stroke="currentColor"
            label={{ value: "min", position: "insideBottom", offset: -12, fill: "currentColor" }}
          />
          <YAxis domain={[low, high]} stroke="currentColor" unit=" °C" width={56} />
          {mark && (
            <ReferenceLine
              x={mark.atMin}
              stroke="var(--color-primary)"
              strokeWidth={2}
              label={{ value: mark.label, position: "top", fill: "currentColor", fontSize: 13 }}
            />
          )}
          <Line
            dataKey="coreC"
            name="core"
            stroke="var(--color-primary)"
            strokeWidth={3}
            dot={false}
            isAnimationActive={false}
          />
          <Line
            dataKey="surfaceC"
            name="outside"
            stroke="var(--heat)"
            strokeWidth={2}
            strokeDasharray="7 4"
            dot={false}
            isAnimationActive={false}
          />
          <Legend verticalAlign="top" align="right" height={28} />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
