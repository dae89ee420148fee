"use client";

import { Legend, Line, ReferenceArea, ReferenceLine } from "recharts";
import type { Moment, WorkingWindow } from "@/core/heat";
import { MinuteChart } from "../charts/MinuteChart";

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
  return (
    <MinuteChart points={data} temperaturesC={[...temperatures, window.lowC, window.highC]} label={label}>
      <ReferenceArea
        y1={window.lowC}
        y2={window.highC}
        fill="var(--dough-deep)"
        fillOpacity={0.45}
        label={{ value: "rolls well", position: "insideBottomRight", fill: "currentColor", fontSize: 13 }}
      />
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
    </MinuteChart>
  );
}
