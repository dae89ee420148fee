/** @jest-environment jsdom */
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { metricMeasures, setHouseMeasures } from "@/core/units";
import { jobSheet } from "./__tests__/jobSheet";
import { MeasureByHand } from "./MeasureByHand";

afterEach(() => setHouseMeasures(metricMeasures));

const { targets } = jobSheet("a");

test("what is measured is noted by its unit; what cannot be is refused with its limits and stays typed", async () => {
  const user = userEvent.setup();
  const measured = jest.fn();
  const roll = {
    kind: "roll" as const,
    targets: { ...targets, portionG: null, thicknessMm: 3, blankMm: 110 },
  };
  render(<MeasureByHand job={roll} onMeasured={measured} />);
  await user.click(screen.getByText("Measured by hand"));
  const thick = screen.getByLabelText<HTMLInputElement>("Rolled to, mm");
  expect(thick.placeholder).toBe("3");
  await user.type(thick, "3,4 mm{Enter}");
  expect(measured).toHaveBeenLastCalledWith({ measure: "thicknessMm", value: 3.4 });
  expect(screen.getByRole("status").textContent).toBe("3.4 mm noted");
  expect(thick.value).toBe("");
  const blank = screen.getByLabelText<HTMLInputElement>("A blank across, once it lies still, mm");
  await user.type(blank, "0{Enter}");
  expect(screen.getByRole("alert").textContent).toMatch(/5/);
  expect(blank.value).toBe("0");
  await user.clear(blank);
  await user.type(blank, "wide{Enter}");
  expect(measured).toHaveBeenCalledTimes(1);
});

test("with a rule of inches a bare figure is inches; what was meant stands as it reads there", async () => {
  setHouseMeasures({ lengthUnit: "inch", massUnit: "ounce" });
  const user = userEvent.setup();
  const measured = jest.fn();
  const roll = {
    kind: "roll" as const,
    targets: { ...targets, portionG: null, thicknessMm: 3, blankMm: 114.3 },
  };
  render(<MeasureByHand job={roll} onMeasured={measured} />);
  await user.click(screen.getByText("Measured by hand"));
  const blank = screen.getByLabelText<HTMLInputElement>("A blank across, once it lies still, in");
  expect(blank.placeholder).toBe("4 1/2");
  await user.type(blank, "4 3/8{Enter}");
  expect(measured).toHaveBeenLastCalledWith({ measure: "blankMm", value: 111.13 });
  expect(screen.getByRole("status").textContent).toBe("4 3/8 in noted");
});

test("an oven of two decks is read deck by deck", async () => {
  const user = userEvent.setup();
  const measured = jest.fn();
  const bake = { ...targets, portionG: null, endC: 195, decksC: [203, 190], heatUpMin: 20 };
  render(<MeasureByHand job={{ kind: "bake", targets: bake }} onMeasured={measured} />);
  await user.click(screen.getByText("Measured by hand"));
  const lower = screen.getByLabelText<HTMLInputElement>("Oven, deck 2, °C");
  expect(lower.placeholder).toBe("190");
  await user.type(lower, "184 °C{Enter}");
  expect(measured).toHaveBeenLastCalledWith({ measure: "ovenC", value: 184, part: "deck 2" });
  await user.type(screen.getByLabelText("It was hot after, min"), "26{Enter}");
  expect(measured).toHaveBeenLastCalledWith({ measure: "heatUpMin", value: 26 });
});

test("a job of which nothing can be measured asks nothing", () => {
  const { container } = render(
    <MeasureByHand
      job={{ kind: "store", targets: { ...targets, portionG: null, window: null, custardC: null } }}
      onMeasured={jest.fn()}
    />,
  );
  expect(container.textContent).toBe("");
});
