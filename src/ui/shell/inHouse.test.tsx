/** @jest-environment jsdom */
import { act, render, screen } from "@testing-library/react";
import { StrictMode } from "react";
import { formatLength, formatMass, inHouse, metricMeasures, setHouseMeasures } from "@/core/units";
import { InHouse } from "./InHouse";

afterEach(() => setHouseMeasures(metricMeasures));

const inches = { lengthUnit: "inch", massUnit: "ounce" } as const;

function Told() {
  return (
    <>
      <button type="button">Before</button>
      <p>
        {formatLength(50.8)} {formatMass(28.35)}
      </p>
      <button type="button">After</button>
    </>
  );
}

test("what is within is told in the house's measures from its first drawing, and anew where they change", () => {
  const draw = (measures: typeof inches | typeof metricMeasures) => (
    <StrictMode>
      <InHouse measures={measures}>
        <Told />
      </InHouse>
    </StrictMode>
  );
  const { rerender } = render(draw(inches));
  expect(screen.queryByText("2 in 1 oz")).not.toBeNull();
  act(() => screen.getByRole("button", { name: "After" }).focus());
  rerender(draw(metricMeasures));
  expect(screen.queryByText("51 mm 28 g")).not.toBeNull();
  // Who chose it stays where they were.
  expect(document.activeElement).toBe(screen.getByRole("button", { name: "After" }));
});

test("drawn once more with the same measures, what was set elsewhere meanwhile stands", () => {
  const { rerender } = render(
    <InHouse measures={metricMeasures}>
      <Told />
    </InHouse>,
  );
  setHouseMeasures(inches);
  rerender(
    <InHouse measures={{ ...metricMeasures }}>
      <Told key="new" />
    </InHouse>,
  );
  expect(screen.queryByText("2 in 1 oz")).not.toBeNull();
  expect(inHouse(metricMeasures, () => formatLength(50.8))).toBe("51 mm");
});
