/** @jest-environment jsdom */
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import fc from "fast-check";
import { useState } from "react";
import { inHouse, lengthUnits, massUnits, metricMeasures, setHouseMeasures } from "@/core/units";
import { batchLimits, fryerLimits, pieceLimits, type Limit } from "@/schemas/limits";
import { describeLimitFault } from "@/schemas/checkValue";
import { Dial } from "./Dial";
import { parseDial, toDialText } from "./parseDial";
import { layOutSlider, turnDial } from "./turnDial";

afterEach(() => {
  cleanup();
  setHouseMeasures(metricMeasures);
});

function showDial(limit: Limit, first: number) {
  const told: number[] = [];
  function Held() {
    const [value, setValue] = useState(first);
    return (
      <Dial
        limit={limit}
        value={value}
        onChange={(next) => {
          told.push(next);
          setValue(next);
        }}
      />
    );
  }
  render(<Held />);
  return {
    told,
    field: screen.getByLabelText<HTMLInputElement>(limit.label),
    slider: screen.getByLabelText<HTMLInputElement>(`${limit.label}, slider`),
  };
}

test("a house of inches reads a cutter on its rule and types it bare", async () => {
  setHouseMeasures({ lengthUnit: "inch", massUnit: "ounce" });
  const { told, field, slider } = showDial(pieceLimits.diameterMm, 82.55);
  expect([field.value, slider.getAttribute("aria-valuetext"), slider.step]).toEqual([
    "3 1/4",
    "3 1/4 in",
    "0.0625",
  ]);
  // On a phone there is a stroke for the fraction.
  expect(field.inputMode).toBe("text");
  const user = userEvent.setup();
  await user.clear(field);
  await user.type(field, "4 1/2{Enter}");
  await user.clear(field);
  await user.type(field, "90 mm{Enter}");
  expect([told, field.value]).toEqual([[114.3, 90], "3 9/16"]);
  // From between two marks to the next, up and down.
  await user.type(field, "{ArrowUp}{ArrowUp}{ArrowDown}");
  expect(told.slice(2).map((mm) => Number((mm / 25.4).toFixed(4)))).toEqual([3.5625, 3.625, 3.5625]);
  fireEvent.change(slider, { target: { value: "2" } });
  expect([told.at(-1), field.value]).toEqual([50.8, "2"]);
});

test("every hundredth of a pound of oil stands as it was typed", () => {
  setHouseMeasures({ lengthUnit: "inch", massUnit: "ounce" });
  for (let hundredths = 200; hundredths < 900; hundredths++) {
    const read = parseDial(`${hundredths / 100} lb`, fryerLimits.oilKg);
    expect("value" in read && toDialText(read.value, fryerLimits.oilKg)).toBe(String(hundredths / 100));
  }
});

test("what is out of reach is told in the house's unit", async () => {
  setHouseMeasures({ lengthUnit: "inch", massUnit: "ounce" });
  const { told, field } = showDial(pieceLimits.diameterMm, 90);
  const user = userEvent.setup();
  await user.clear(field);
  await user.type(field, "30{Enter}");
  expect(screen.getByRole("alert").textContent).toBe(
    "Cutter: 30 in is 6 3/8 in too much. Use 13/32 in to 23 5/8 in.",
  );
  // What reads like the end is the end.
  await user.clear(field);
  await user.type(field, "23 5/8{Enter}");
  expect(told).toEqual([600]);
});

test("a batch is turned in ounces, oil in pounds", () => {
  setHouseMeasures({ lengthUnit: "mm", massUnit: "ounce" });
  const dough = showDial(batchLimits.doughG, 566.9904625);
  expect([dough.field.value, dough.slider.getAttribute("aria-valuetext")]).toEqual(["20", "20 oz"]);
  cleanup();
  const oil = showDial(fryerLimits.oilKg, 3);
  expect([oil.field.value, oil.slider.getAttribute("aria-valuetext")]).toEqual(["6.61", "6.61 lb"]);
});

const houses = lengthUnits.flatMap((lengthUnit) => massUnits.map((massUnit) => ({ lengthUnit, massUnit })));
const limits: readonly Limit[] = [
  ...Object.values(pieceLimits),
  ...Object.values(batchLimits),
  ...Object.values(fryerLimits),
].filter(({ unit }) => ["mm", "g", "kg"].includes(unit));

test("in every house a slider's ends are legal, and a step moves and comes back", () => {
  fc.assert(
    fc.property(
      fc.nat(houses.length - 1),
      fc.nat(limits.length - 1),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (house, at, share) =>
        inHouse(houses[house]!, () => {
          const limit = limits[at]!;
          const { min, max, step } = layOutSlider(limit.min, limit.max, limit);
          expect(max).toBeGreaterThan(min);
          expect(step).toBeGreaterThan(0);
          const value = limit.min + share * (limit.max - limit.min);
          const up = turnDial(value, 1, limit);
          expect(up).toBeGreaterThan(value);
          // From a whole step down and up again is where it was.
          expect(turnDial(turnDial(up, -1, limit), 1, limit)).toBeCloseTo(up, 3);
          // What stands in the field is what is meant, to what the field shows.
          const read = parseDial(toDialText(value, limit), limit);
          expect(describeLimitFault(limit.min, limit)).toBeNull();
          if ("value" in read) expect(toDialText(read.value, limit)).toBe(toDialText(value, limit));
          else expect(share < 0.02 || share > 0.98).toBe(true);
        }),
    ),
  );
});
