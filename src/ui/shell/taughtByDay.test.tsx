/** @jest-environment jsdom */
import { render, screen } from "@testing-library/react";
import { TaughtByDay } from "./TaughtByDay";

const habit = (name: string, moved: number, mean: number) => ({
  ...{ habit: `hands:${name}`, name, what: "minutes of hands", scale: "share", moved },
  ...{ before: { mean: 0 }, after: { mean } },
});
const answer = (status: number, taught: readonly object[]) => {
  globalThis.fetch = jest.fn(() =>
    Promise.resolve({ ok: status === 200, status, json: () => Promise.resolve({ taught }) }),
  ) as unknown as typeof fetch;
};

test("a day that is made again says what it taught, those that moved most, and nothing of what stood still", async () => {
  answer(200, [habit("Spoon", 0.4, Math.log(1.17)), habit("Pin", 0.01, 0.001)]);
  render(<TaughtByDay date="2026-11-28" name="Market Saturday" />);
  const told = await screen.findByRole("region", { name: "What Market Saturday taught" });
  expect(told.textContent).toContain("Spoon, minutes of hands: 117 %, was 100 %");
  expect(told.textContent).not.toContain("Pin");
});

test("of a day that was never run, and without an answer, nothing is said", async () => {
  answer(200, []);
  const { container, rerender } = render(<TaughtByDay date="2026-11-28" name="Monday" />);
  await Promise.resolve();
  globalThis.fetch = jest.fn(() => Promise.reject(new Error("away")));
  rerender(<TaughtByDay date="2026-11-29" name="Sunday" />);
  await Promise.resolve();
  expect(container.textContent).toBe("");
});
