/** @jest-environment jsdom */
import { atLeisure } from "./atLeisure";

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test.each(["pointermove", "pointerdown", "keydown"])("a hand is a sign: %s", (sign) => {
  const work = jest.fn();
  atLeisure(work);
  expect(work).not.toHaveBeenCalled();
  window.dispatchEvent(new Event(sign));
  window.dispatchEvent(new Event(sign));
  jest.advanceTimersByTime(10_000);
  expect(work).toHaveBeenCalledTimes(1);
});

test("without a hand it is done all the same, once", () => {
  const work = jest.fn();
  atLeisure(work);
  jest.advanceTimersByTime(2000);
  expect(work).not.toHaveBeenCalled();
  jest.advanceTimersByTime(8000);
  window.dispatchEvent(new Event("keydown"));
  expect(work).toHaveBeenCalledTimes(1);
});
