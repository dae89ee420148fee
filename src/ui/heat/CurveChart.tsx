"use client";

import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";

interface Props {
  readonly points: readonly { readonly atMin: number; readonly valueC: number }[];
  /** Temperatures to mark, with what each is. */
  readonly levels: readonly { readonly valueC: number; readonly label: string }[];
  /** Which side the marks are named at: the one the curve stays away from. */
  readonly labelsAt: "left" | "right";
  readonly label: string;
}

/** One temperature against the minutes, with the temperatures that matter. */
export function CurveChart({ points, levels, labelsAt, label }: Props) {
  const values = [...points, ...levels].map(({ valueC }) => valueC);
  const low = Math.floor(Math.min(...values) - 2);
  const high = Math.ceil(Math.max(...values) + 2);
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
            domain={[0, "dataMax"]}
            tickFormatter={(minute: number) => String(Math.round(minute))}
            stroke="currentColor"
            label={{ value: "min", position: "insideBottom", offset: -12, fill: "currentColor" }}
          />
          <YAxis domain={[low, high]} stroke="currentColor" unit=" °C" width={60} />
          {levels.map(({ valueC, label: name }) => (
            <ReferenceLine
              key={name}
              y={valueC}
              stroke="var(--heat)"
              strokeDasharray="6 4"
              label={{
                value: name,
                position: labelsAt === "left" ? "insideTopLeft" : "insideTopRight",
                fill: "currentColor",
                fontSize: 13,
              }}
            />
          ))}
          <Line
            dataKey="valueC"
            stroke="var(--color-primary)"
            strokeWidth={3}
            dot={false}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
