"use client";

import { Line, ReferenceLine } from "recharts";
import { MinuteChart } from "../charts/MinuteChart";

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
  return (
    <MinuteChart points={points} temperaturesC={values} label={label}>
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
    </MinuteChart>
  );
}
