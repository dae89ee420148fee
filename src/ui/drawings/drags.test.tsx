/** @jest-environment jsdom */
import "./__tests__/pointers";
import { readDemoDay } from "../bench/__tests__/planDemoDay";
import { fireEvent, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { DayTask } from "@/core/plan";
import type { BoxMm } from "@/core/shape";
import { DayClock } from "./DayClock";
import { CLOCK_WIDTH, layLanes } from "./dayLanes";
import { useSheetDrag } from "./useSheetDrag";

const { plan } = readDemoDay("2026-11-28");
const lanes = layLanes(plan)!;
const byTime = plan.tasks.toSorted((a, b) => a.placed.startMin - b.placed.startMin);
let selected: string[] = [];
let pinned: [DayTask, number][] = [];

beforeEach(() => ([selected, pinned] = [[], []]));

const show = (selectedId: string | null = null) =>
  render(
    <DayClock
      plan={plan}
      ovenScale="celsius"
      pinnedIds={new Set()}
      selectedId={selectedId}
      onSelect={(id) => selected.push(id)}
      onPin={(task, startMin) => pinned.push([task, startMin])}
    />,
  );
const bake = plan.tasks.find(({ kind }) => kind === "bake")!;
const barOf = ({ id }: DayTask) => document.querySelector(`[data-job="${id}"]`)!;

/** A finger that goes so far, and ends as told. */
function drag(bar: Element, byPx: number, end: "pointerUp" | "pointerCancel") {
  const at = (x: number) => ({ pointerId: 1, buttons: 1, clientX: x, clientY: 0, isPrimary: true });
  fireEvent.pointerDown(bar, at(100));
  fireEvent.pointerMove(bar, at(100 + byPx / 2));
  fireEvent.pointerMove(bar, at(100 + byPx));
  fireEvent[end](bar, { ...at(100 + byPx), buttons: 0 });
}

test("a load dragged half an hour on is pinned there, in whole steps of five minutes", () => {
  show();
  drag(barOf(bake), 30 * lanes.perMin, "pointerUp");
  expect(selected).toEqual([bake.id]);
  expect(pinned).toHaveLength(1);
  const [task, startMin] = pinned[0]!;
  expect(task.id).toBe(bake.id);
  expect(startMin % 5).toBe(0);
  expect(Math.abs(startMin - bake.placed.startMin - 30)).toBeLessThanOrEqual(5);
});

test("a touch that hardly moves chooses it and pins nothing; one that is cancelled does nothing at all", () => {
  show();
  drag(barOf(bake), 2, "pointerUp");
  expect([selected, pinned]).toEqual([[bake.id], []]);
  drag(barOf(bake), 60 * lanes.perMin, "pointerCancel");
  expect([selected, pinned]).toEqual([[bake.id], []]);
});

test("the lanes are one stop of the tabulator: up and down go by the clock, left and right turn the job", async () => {
  const { container, rerender } = show();
  const stops = [...container.querySelectorAll("[data-job]")].filter(
    (bar) => bar.getAttribute("tabindex") === "0",
  );
  expect(stops.map((bar) => bar.getAttribute("data-job"))).toEqual([byTime[0]!.id]);
  const user = userEvent.setup();
  await user.tab();
  expect(document.activeElement).toBe(stops[0]);
  await user.keyboard("{ArrowDown}{ArrowDown}");
  expect(document.activeElement).toBe(barOf(byTime[2]!));
  expect(selected).toEqual([byTime[1]!.id, byTime[2]!.id]);
  await user.keyboard("{ArrowUp}");
  expect(document.activeElement).toBe(barOf(byTime[1]!));
  await user.keyboard("{End}");
  expect(document.activeElement).toBe(barOf(byTime.at(-1)!));
  await user.keyboard("{ArrowDown}{Home}");
  expect(document.activeElement).toBe(barOf(byTime[0]!));
  await user.keyboard("{ArrowRight}");
  expect(pinned.map(([{ id }, startMin]) => [id, startMin])).toEqual([
    [byTime[0]!.id, byTime[0]!.placed.startMin + 5],
  ]);
  // The chosen one is where the tabulator comes back to.
  rerender(
    <DayClock
      plan={plan}
      ovenScale="celsius"
      pinnedIds={new Set()}
      selectedId={bake.id}
      onSelect={() => undefined}
      onPin={() => undefined}
    />,
  );
  expect(barOf(bake).getAttribute("tabindex")).toBe("0");
  expect(container.querySelectorAll('[data-job][tabindex="0"]')).toHaveLength(1);
});

test("loads in one oven together are drawn beside each other, none over another", () => {
  expect(CLOCK_WIDTH).toBeGreaterThan(0);
  for (const { loads } of lanes.machines)
    for (const one of loads)
      for (const other of loads) {
        const [a, b] = [one.value.placed, other.value.placed];
        if (one !== other && a.startMin < b.endMin && b.startMin < a.endMin)
          expect([one.levels, one.level === other.level]).toEqual([other.levels, false]);
      }
});

const sheet: BoxMm = { widthMm: 400, heightMm: 300 };
const limit: BoxMm = { widthMm: 600, heightMm: 450 };
let pulled: BoxMm[] = [];
function Corner() {
  const { handlers, dragging } = useSheetDrag({ sheet, limit, onDrag: (to) => pulled.push(to) });
  return (
    <svg>
      <circle
        role="slider"
        aria-valuenow={400}
        aria-label="corner"
        tabIndex={0}
        data-held={dragging}
        {...handlers}
      />
    </svg>
  );
}

test("a sheet's corner is pulled in steps of 5 mm, no farther than the bench; a cancelled pull gives it back", async () => {
  pulled = [];
  render(<Corner />);
  const corner = screen.getByRole("slider");
  const at = (x: number, y: number) => ({
    pointerId: 1,
    buttons: 1,
    clientX: x,
    clientY: y,
    isPrimary: true,
  });
  fireEvent.pointerDown(corner, at(0, 0));
  expect(corner.getAttribute("data-held")).toBe("true");
  fireEvent.pointerMove(corner, at(33, -12));
  expect(pulled.at(-1)).toEqual({ widthMm: 435, heightMm: 290 });
  fireEvent.pointerMove(corner, at(900, 900));
  expect(pulled.at(-1)).toEqual(limit);
  fireEvent.pointerCancel(corner, { ...at(900, 900), buttons: 0 });
  expect(pulled.at(-1)).toEqual(sheet);
  expect(corner.getAttribute("data-held")).toBe("false");
  corner.focus();
  await userEvent.setup().keyboard("{ArrowLeft}{ArrowDown}");
  expect(pulled.slice(-2)).toEqual([
    { widthMm: 395, heightMm: 300 },
    { widthMm: 400, heightMm: 305 },
  ]);
});
