import type * as React from "react";

// jsdom lays nothing out: a chart is as wide as it is told.
jest.mock("recharts", () => {
  const { cloneElement } = jest.requireActual<typeof React>("react");
  return {
    ...jest.requireActual<object>("recharts"),
    ResponsiveContainer: ({
      children,
    }: {
      readonly children: React.ReactElement<{ width: number; height: number }>;
    }) => cloneElement(children, { width: 600, height: 300 }),
  };
});
