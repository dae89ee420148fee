/** @jest-environment jsdom */
import { act, renderHook } from "@testing-library/react";
import type { DayPlan } from "@/core/plan";
import { DRAWN_AFTER_MS, useRestedPlan } from "./useRestedPlan";

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

/** Only which plan it is matters here. */
const plans = Array.from({ length: 6 }, () => ({}) as DayPlan);
const open = () => renderHook(({ at }) => useRestedPlan(plans[at]!), { initialProps: { at: 0 } });
const pass = (ms: number) => act(async () => await jest.advanceTimersByTimeAsync(ms));

test("while plans follow each other the drawing stands; it is drawn once, when they rest", async () => {
  const drawn = new Set<DayPlan>();
  const { result, rerender } = renderHook(({ at }) => useRestedPlan(plans[at]!), { initialProps: { at: 0 } });
  for (const at of [1, 2, 3, 4]) {
    rerender({ at });
    await pass(DRAWN_AFTER_MS / 2);
    drawn.add(result.current.drawnPlan);
  }
  expect([...drawn]).toEqual([plans[0]]);
  await pass(DRAWN_AFTER_MS);
  expect(result.current.drawnPlan).toBe(plans[4]);
});

test("what the drawing itself asked for is drawn without waiting, and only that", async () => {
  const { result, rerender } = open();
  await pass(DRAWN_AFTER_MS);
  act(() => result.current.drawNext());
  rerender({ at: 1 });
  await pass(0);
  expect(result.current.drawnPlan).toBe(plans[1]);
  rerender({ at: 2 });
  await pass(0);
  expect(result.current.drawnPlan).toBe(plans[1]);
  await pass(DRAWN_AFTER_MS);
  expect(result.current.drawnPlan).toBe(plans[2]);
});
