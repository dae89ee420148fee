/** @jest-environment jsdom */
import "../drawings/__tests__/pointers";
import { readDemoDay } from "../bench/__tests__/planDemoDay";
import { act, fireEvent, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import type { DayTask } from "@/core/plan";
import { formatClock } from "@/core/units";
import { DayClock } from "./DayClock";
import { DayStrip } from "./DayStrip";
import { JobList } from "./JobList";
import { useClockWindow } from "./useClockWindow";
import { useJobWords } from "./useJobWords";

globalThis.ResizeObserver = class {
  observe() {}
  unobserve() {}
  disconnect() {}
};

const { plan } = readDemoDay("2026-12-05");
const bake = plan.tasks
  .filter(({ kind }) => kind === "bake")
  .toSorted((a, b) => a.placed.startMin - b.placed.startMin)[0]!;
let pinned: [DayTask, number][] = [];
let shifted: [DayTask, number][] = [];
beforeEach(() => {
  pinned = [];
  shifted = [];
});

/** The clock, its strip and its list as the station puts them together. */
function Bench({ firstMin, nowMin = null }: { readonly firstMin: number; readonly nowMin?: number | null }) {
  const [selectedId, setSelectedId] = useState<string | null>(null);
  const [hoveredId, setHoveredId] = useState<string | null>(null);
  const view = useClockWindow(plan, firstMin)!;
  const words = useJobWords(plan, "celsius");
  const shared = { plan, ...words, selectedId, hoveredId, onSelect: setSelectedId, onHover: setHoveredId };
  return (
    <>
      <DayStrip plan={plan} view={view} />
      <DayClock
        {...shared}
        view={view}
        nowMin={nowMin}
        pinnedIds={new Set()}
        onPin={(task, startMin) => pinned.push([task, startMin])}
        onShift={(task, byMin) => shifted.push([task, byMin])}
      />
      <JobList {...shared} fromMin={view.window.fromMin} />
    </>
  );
}
const clock = () => screen.getByRole("group", { name: /^Day from/ });
const bars = () => within(clock()).getAllByRole("button");
const barOf = ({ id }: DayTask) => clock().querySelector(`[data-job="${id}"]`)!;
const seen = () => screen.getByRole("slider", { name: "Seen of the day" });
const chosen = () => bars().filter((bar) => bar.getAttribute("aria-pressed") === "true");

/** A finger that goes so far, and ends as told. */
function drag(bar: Element, byPx: number, end: "pointerUp" | "pointerCancel" = "pointerUp") {
  const at = (x: number) => ({ pointerId: 1, buttons: 1, clientX: x, clientY: 0, isPrimary: true });
  fireEvent.pointerDown(bar, at(100));
  fireEvent.pointerMove(bar, at(100 + byPx / 2));
  fireEvent.pointerMove(bar, at(100 + byPx));
  fireEvent[end](bar, { ...at(100 + byPx), buttons: 0 });
}

test("a load dragged on is pinned there, in whole steps of five minutes; a touch chooses it, one cancelled does nothing", () => {
  render(<Bench firstMin={bake.placed.startMin - 30} />);
  drag(barOf(bake), 2);
  expect(chosen()).toEqual([barOf(bake)]);
  drag(barOf(bake), 400, "pointerCancel");
  expect(pinned).toEqual([]);
  drag(barOf(bake), 30 * 5.8);
  const [[task, startMin]] = pinned as [[DayTask, number]];
  expect([task.id, pinned.length, startMin % 5]).toEqual([bake.id, 1, 0]);
  expect(Math.abs(startMin - bake.placed.startMin - 30)).toBeLessThanOrEqual(5);
});

test("joined jobs are chosen by one touch, opened by another, and are never dragged", async () => {
  render(<Bench firstMin={plan.schedule!.startMin} />);
  const joined = bars().find((bar) => /, \d+ jobs, /.test(bar.getAttribute("aria-label")!))!;
  const [, count] = /, (\d+) jobs, /.exec(joined.getAttribute("aria-label")!)!;
  const before = seen().getAttribute("aria-valuetext");
  drag(joined, 120);
  expect([pinned, seen().getAttribute("aria-valuetext")]).toEqual([[], before]);
  drag(joined, 0);
  expect(seen().getAttribute("aria-valuetext")).not.toBe(before);
  // What was one is apart, or is one lot that hands do in a row.
  const after = chosen();
  expect(after).toHaveLength(1);
  expect(Number(count)).toBeGreaterThan(1);
});

test("the lanes are one stop of the tabulator: up and down go by the clock and the window follows, left and right turn the job", async () => {
  render(<Bench firstMin={plan.schedule!.startMin} />);
  const stops = () => bars().filter((bar) => bar.getAttribute("tabindex") === "0");
  expect(stops()).toHaveLength(1);
  const user = userEvent.setup();
  act(() => (stops()[0] as unknown as SVGElement).focus());
  const starts: string[] = [];
  for (let step = 0; step < 24; step++) {
    await user.keyboard("{ArrowDown}");
    expect(stops()).toHaveLength(1);
    expect(document.activeElement).toBe(stops()[0]);
    starts.push(/(\d\d:\d\d) to/.exec(document.activeElement!.getAttribute("aria-label")!)![1]!);
  }
  expect(starts).toEqual(starts.toSorted());
  const [from, to] = seen().getAttribute("aria-valuetext")!.split(" to ");
  expect(starts.at(-1)! >= from! && starts.at(-1)! <= to!).toBe(true);
  await user.keyboard("{Home}");
  expect(document.activeElement!.getAttribute("aria-label")).toContain(formatClock(plan.schedule!.startMin));
  await user.keyboard("{ArrowRight}");
  const [[task, byMin]] = shifted as [[DayTask, number]];
  expect([shifted.length, task.placed.startMin, byMin]).toEqual([1, plan.schedule!.startMin, 5]);
});

test("the window goes by arrows to the day's ends and no farther; it is looked closer and wider by buttons and signs", async () => {
  render(<Bench firstMin={plan.schedule!.startMin} />);
  const user = userEvent.setup();
  const breadth = () => {
    const [from, to] = seen()
      .getAttribute("aria-valuetext")!
      .split(" to ")
      .map((text) => text.split(":").map(Number));
    return to![0]! * 60 + to![1]! - from![0]! * 60 - from![1]!;
  };
  const atFirst = breadth();
  await user.click(screen.getByRole("button", { name: "Look closer" }));
  expect(breadth()).toBeLessThan(atFirst);
  while (!screen.getByRole<HTMLButtonElement>("button", { name: "See more of the day" }).disabled)
    await user.click(screen.getByRole("button", { name: "See more of the day" }));
  expect(breadth()).toBeGreaterThan(atFirst);
  act(() => (bars()[0] as unknown as SVGElement).focus());
  await user.keyboard("++");
  // Told in whole minutes.
  expect(Math.abs(breadth() - atFirst)).toBeLessThanOrEqual(1);
  act(() => seen().focus());
  await user.keyboard("{End}");
  expect(seen().getAttribute("aria-valuenow")).toBe(seen().getAttribute("aria-valuemax"));
  await user.keyboard("{ArrowRight}");
  expect(seen().getAttribute("aria-valuenow")).toBe(seen().getAttribute("aria-valuemax"));
  await user.keyboard("{Home}{PageDown}");
  expect(Number(seen().getAttribute("aria-valuenow"))).toBeGreaterThan(
    Number(seen().getAttribute("aria-valuemin")),
  );
});

test("what is pointed at in the list is shown on the clock and the other way; what is chosen stands in its own list", async () => {
  render(<Bench firstMin={bake.placed.startMin - 30} />);
  const user = userEvent.setup();
  const list = () => screen.getByRole("list", { name: "Jobs by the clock" });
  drag(barOf(bake), 0);
  expect(screen.getByRole("button", { name: "Heat" }).getAttribute("aria-pressed")).toBe("true");
  const row = within(list()).getByRole("button", { pressed: true });
  expect(row.textContent).toContain(formatClock(bake.placed.startMin));
  const edge = () => barOf(bake).querySelector("rect")!.getAttribute("stroke-width");
  await user.click(within(list()).getAllByRole("button").at(-1)!);
  const before = edge();
  await user.hover(
    within(list())
      .getAllByRole("button")
      .find((each) => each.textContent.includes(formatClock(bake.placed.startMin)))!,
  );
  expect(edge()).not.toBe(before);
  await user.click(screen.getByRole("button", { name: "Helper" }));
  const helpers = within(list())
    .getAllByRole("button")
    .map(({ textContent }) => textContent.slice(0, 5));
  expect(helpers).toEqual(helpers.toSorted());
  expect(helpers[0]).toBe(
    formatClock(
      Math.min(...plan.tasks.filter(({ person }) => person === 1).map(({ placed }) => placed.startMin)),
    ),
  );
});

test("the list goes with the window, and stays under the finger that chooses in it", async () => {
  const ROW_PX = 48;
  jest.spyOn(Element.prototype, "getBoundingClientRect").mockImplementation(function (this: Element) {
    const list = this.parentElement;
    const isRow = this.tagName === "LI" && list !== null;
    return new DOMRect(
      0,
      isRow ? [...list.children].indexOf(this) * ROW_PX - list.scrollTop : 0,
      300,
      ROW_PX,
    );
  });
  const { startMin } = plan.schedule!;
  render(<Bench firstMin={startMin} />);
  const user = userEvent.setup();
  const list = screen.getByRole("list", { name: "Jobs by the clock" });
  expect(list.scrollTop).toBe(0);
  act(() => seen().focus());
  await user.keyboard("{PageDown}");
  const [from] = seen().getAttribute("aria-valuetext")!.split(" to ");
  const first = [...list.children][list.scrollTop / ROW_PX]!;
  const before = first.previousElementSibling!;
  const startOf = (row: Element) => /\d\d:\d\d/.exec(row.textContent)![0];
  expect(list.scrollTop).toBeGreaterThan(0);
  // It is the first that is not over when the window begins: the one before it began earlier.
  expect(startOf(before) < from!).toBe(true);
  const stands = list.scrollTop;
  await user.click(within(first as HTMLElement).getByRole("button"));
  expect(list.scrollTop).toBe(stands);
  jest.restoreAllMocks();
});

test("now is a line while it is seen", () => {
  const { unmount } = render(
    <Bench firstMin={plan.schedule!.startMin} nowMin={plan.schedule!.startMin + 20} />,
  );
  expect(screen.getByRole("img", { name: `Now: ${formatClock(plan.schedule!.startMin + 20)}` })).toBeTruthy();
  unmount();
  render(<Bench firstMin={plan.schedule!.startMin} nowMin={plan.schedule!.endMin + 200} />);
  expect(screen.queryByRole("img", { name: /^Now/ })).toBeNull();
});
