/** @jest-environment jsdom */
import { untilThere } from "./untilThere";

test("a part that does not come is asked for again until it does, once for all who ask", async () => {
  const pause = jest.fn(() => Promise.resolve());
  let asked = 0;
  const part = untilThere(
    () => (++asked < 4 ? Promise.reject(new Error("no network")) : Promise.resolve("here")),
    pause,
  );
  expect(asked).toBe(0);
  expect(await Promise.all([part(), part()])).toEqual(["here", "here"]);
  expect(await part()).toBe("here");
  expect(asked).toBe(4);
  expect(pause).toHaveBeenCalledTimes(3);
});

describe("between two askings", () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const failing = () => {
    const fetchPart = jest.fn(() => Promise.reject(new Error("no network")));
    void untilThere<string>(fetchPart)();
    return fetchPart;
  };

  test("the network that is back is not waited for any longer, and nothing is asked twice for it", async () => {
    const fetchPart = failing();
    await jest.advanceTimersByTimeAsync(1000);
    expect(fetchPart).toHaveBeenCalledTimes(1);
    dispatchEvent(new Event("online"));
    dispatchEvent(new Event("online"));
    await jest.advanceTimersByTimeAsync(0);
    expect(fetchPart).toHaveBeenCalledTimes(2);
  });

  test("a browser that notices nothing asks after a while", async () => {
    const fetchPart = failing();
    await jest.advanceTimersByTimeAsync(4999);
    expect(fetchPart).toHaveBeenCalledTimes(1);
    await jest.advanceTimersByTimeAsync(1);
    expect(fetchPart).toHaveBeenCalledTimes(2);
  });
});
