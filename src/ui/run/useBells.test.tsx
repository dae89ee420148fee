/** @jest-environment jsdom */
import { act, renderHook } from "@testing-library/react";
import type { Bell } from "@/core/run";
import { useBells } from "./useBells";

/** Gains that tones swell to, of every tone that was begun. */
const heard: number[] = [];
beforeEach(() => {
  heard.length = 0;
  localStorage.clear();
  jest.useFakeTimers();
  document.head.innerHTML = '<link rel="icon" href="http://localhost/icon.svg">';
  document.title = "The day runs";
  const param = {
    setValueAtTime: jest.fn(),
    linearRampToValueAtTime: (to: number) => to > 0 && heard.push(to),
  };
  const node = {
    connect: (next: unknown) => next,
    gain: param,
    frequency: { value: 0 },
    start: jest.fn(),
    stop: jest.fn(),
  };
  (globalThis as { AudioContext?: unknown }).AudioContext = class {
    currentTime = 0;
    destination = {};
    resume = () => Promise.resolve();
    createOscillator = () => node;
    createGain = () => node;
  };
});
afterEach(() => jest.useRealTimers());

const bell = { id: "b1", text: "Look: Bake", dueMin: 400 } as Bell;
const open = (nowMin: number) =>
  renderHook(({ now }) => useBells([bell], now), { initialProps: { now: nowMin } });

test("a bell that is due rings at once and every six seconds until it is hushed; title and icon tell it meanwhile", () => {
  const { result, rerender } = open(399.9);
  expect([heard.length, result.current.ringing]).toEqual([0, []]);
  rerender({ now: 400 });
  // Two tones a ring.
  expect(heard).toHaveLength(2);
  expect(document.title).toBe("● Look: Bake");
  expect(document.querySelector("link")!.href).toContain("data:image/svg+xml");
  act(() => jest.advanceTimersByTime(12_000));
  expect(heard).toHaveLength(6);
  act(() => result.current.hush("b1"));
  expect(document.title).toBe("The day runs");
  expect(document.querySelector("link")!.href).toBe("http://localhost/icon.svg");
  act(() => jest.advanceTimersByTime(30_000));
  expect(heard).toHaveLength(6);
});

test("loud, soft, mute and loud again: heard as it is chosen, and the same when the page comes back", () => {
  const { result, unmount } = open(0);
  expect(result.current.loudness).toBe("loud");
  act(() => result.current.turnLoudness());
  expect(result.current.loudness).toBe("soft");
  const [soft] = heard.splice(0);
  expect(soft).toBeLessThan(0.2);
  unmount();
  const again = open(400).result;
  expect(again.current.loudness).toBe("soft");
  expect(heard.splice(0)).toEqual([soft, soft]);
  act(() => again.current.turnLoudness());
  act(() => jest.advanceTimersByTime(12_000));
  expect([again.current.loudness, heard.splice(0)]).toEqual(["mute", []]);
  act(() => again.current.turnLoudness());
  expect(heard[0]).toBeGreaterThan(soft! * 5);
});
