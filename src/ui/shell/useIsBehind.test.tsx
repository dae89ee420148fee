/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { act, screen } from "@testing-library/react";
import { BEHIND_AFTER_MS, useIsBehind } from "./useIsBehind";

const Behind = () => <output>{useIsBehind() ? "working out" : "as it is"}</output>;
const told = () => screen.getByRole("status").textContent;

test("a plan that is there at once leaves the figures; one that takes longer says so until it is there", () => {
  jest.useFakeTimers();
  const { store } = renderOnBench(<Behind />);
  const set = (kind: "working" | "current") => act(() => store.setState({ planner: { kind } }));
  const wait = (ms: number) => act(() => void jest.advanceTimersByTime(ms));
  set("current");
  expect(told()).toBe("as it is");
  set("working");
  wait(BEHIND_AFTER_MS - 10);
  set("current");
  wait(1000);
  expect(told()).toBe("as it is");
  set("working");
  wait(BEHIND_AFTER_MS + 10);
  expect(told()).toBe("working out");
  // Another figure is typed meanwhile.
  set("working");
  wait(10);
  expect(told()).toBe("working out");
  set("current");
  expect(told()).toBe("as it is");
  set("working");
  expect(told()).toBe("as it is");
  // The same records, planned again as the clock goes on.
  act(() => store.setState({ plannedRecords: store.getState().records }));
  wait(1000);
  expect(told()).toBe("as it is");
  jest.useRealTimers();
});
