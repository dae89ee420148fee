/** @jest-environment jsdom */
import { act, fireEvent, render, screen, within } from "@testing-library/react";
import type { LarderItem } from "@/core/plan";
import type { Closing, LeftOver, Sale } from "@/core/run";
import { ClosePage } from "./ClosePage";

const push = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ push }) }));

let sent: Record<string, unknown>[] = [];
let isKept = true;
let logBehind: string | null = null;
beforeEach(() => {
  push.mockClear();
  [sent, isKept, logBehind] = [[], true, null];
  globalThis.fetch = jest.fn((_: string, init: { body: string }) => {
    sent = (JSON.parse(init.body) as { events: typeof sent }).events;
    const text = () => Promise.resolve(JSON.stringify({ refused: [], logBehind }));
    return Promise.resolve({ ok: isKept, text, json: () => Promise.resolve(null) });
  }) as unknown as typeof fetch;
});

const sale = (over: Partial<Sale> = {}): Sale => ({
  ...{ pieceId: "moon", name: "Quince half-moon", made: 74, promised: 72, sold: null },
  ...over,
});
const left = (over: Partial<LeftOver>): LeftOver => ({
  ...{ kind: "dough", refId: "crust", label: "Bay shortcrust", massG: 446, count: 0 },
  ...{ useBy: "2026-12-01", isSaid: false },
  ...over,
});
const closing = (over: Partial<Closing> = {}): Closing => ({
  isClosed: false,
  sales: [sale()],
  left: [left({}), left({ kind: "blanks", refId: "moon", label: "Blanks of moons", massG: 0 })],
  stale: [],
  undone: [],
  ...over,
});
const show = (over: Partial<Closing> = {}) =>
  render(<ClosePage day={{ date: "2026-11-28", name: "Market" }} closing={closing(over)} atMin={900} />);
const close = async () => {
  await act(async () => {
    fireEvent.click(screen.getByRole("button", { name: "Close the day" }));
    await Promise.resolve();
  });
};

test("what is reckoned is shown and not asked; closed as it stands, only sales and the end are told", async () => {
  show();
  expect(screen.getByText("74 made, 72 ordered")).toBeTruthy();
  expect(screen.getByLabelText<HTMLInputElement>("Bay shortcrust kept").value).toBe("446 g");
  expect(screen.queryByLabelText("Blanks of moons kept")).toBeNull();
  expect(screen.queryByRole("group", { name: /not done/ })).toBeNull();
  await close();
  expect(sent.map(({ kind, count }) => [kind, count])).toEqual([
    ["sold", 74],
    ["closed", undefined],
  ]);
  expect(push).toHaveBeenCalledWith("/run/2026-11-28/taught");
});

test("what is corrected is told: fewer sold, less kept, until another day, something else too", async () => {
  show();
  const moons = within(screen.getByRole("group", { name: "Sold: Quince half-moon" }));
  fireEvent.click(moons.getByRole("button", { name: "One less was sold" }));
  expect(screen.getByText("74 made, 72 ordered, 1 not sold")).toBeTruthy();
  fireEvent.change(screen.getByLabelText("Quince half-moon sold"), { target: { value: "80" } });
  expect(screen.getByText(/6 more than were made/)).toBeTruthy();
  fireEvent.change(screen.getByLabelText("Quince half-moon sold"), { target: { value: "70x" } });
  fireEvent.change(screen.getByLabelText("Bay shortcrust kept"), { target: { value: "0.2 kg" } });
  fireEvent.change(screen.getAllByLabelText("use by")[0]!, { target: { value: "2026-11-30" } });
  fireEvent.click(screen.getByRole("button", { name: "Something else is over" }));
  fireEvent.change(screen.getByLabelText("Blanks of moons kept"), { target: { value: "5" } });
  await close();
  expect(sent.map((event) => ({ ...event, id: "" }))).toEqual(
    [
      { kind: "sold", pieceId: "moon", count: 70 },
      { kind: "left", larderKind: "dough", refId: "crust", massG: 200, count: 0, useBy: "2026-11-30" },
      { kind: "left", larderKind: "blanks", refId: "moon", massG: 0, count: 5, useBy: "2026-12-01" },
      { kind: "closed" },
    ].map((event) => ({ ...event, atMin: 900, person: 0, deviceId: "closing", id: "" })),
  );
});

test("while something cannot be read the day stays open, and says why", () => {
  show();
  const kept = screen.getByLabelText("Bay shortcrust kept");
  const button = screen.getByRole("button", { name: "Close the day" });
  fireEvent.change(kept, { target: { value: "a handful" } });
  expect(screen.getByRole("alert").textContent).not.toBe("");
  expect(button.hasAttribute("disabled")).toBe(true);
  fireEvent.change(screen.getAllByLabelText("use by")[0]!, { target: { value: "2026-11-01" } });
  expect(screen.getByRole("alert").textContent).toContain("over already");
  fireEvent.change(screen.getAllByLabelText("use by")[0]!, { target: { value: "2026-11-29" } });
  fireEvent.change(kept, { target: { value: "300" } });
  expect(button.hasAttribute("disabled")).toBe(false);
});

test("jobs that are not done on record are asked about, once for all of them", async () => {
  const undone = [1, 2, 3, 4, 5].map((n) => ({ taskId: `t${n}`, title: `Job ${n}` }));
  show({ undone });
  expect(
    screen.getByRole("group", { name: /5 jobs not done on record: Job 1, Job 2, Job 3, Job 4 …/ }),
  ).toBeTruthy();
  await close();
  expect(sent.filter(({ kind }) => kind === "done").map(({ taskId }) => taskId)).toEqual(
    undone.map(({ taskId }) => taskId),
  );
  fireEvent.click(screen.getByRole("radio", { name: "They were not done" }));
  await close();
  expect(sent.some(({ kind }) => kind === "done")).toBe(false);
});

test("a server that does not answer is said, and nothing is lost; a closed day is kept as corrected", async () => {
  isKept = false;
  const { unmount } = show();
  await close();
  expect(screen.getByRole("alert").textContent).toContain("The day could not be closed");
  expect(push).not.toHaveBeenCalled();
  unmount();
  show({ isClosed: true, sales: [sale({ sold: 60 })] });
  expect(screen.getByRole("heading", { level: 1 }).textContent).toBe("The day is closed");
  expect(screen.getByLabelText<HTMLInputElement>("Quince half-moon sold").value).toBe("60");
  expect(screen.getByRole("button", { name: "Keep it so" })).toBeTruthy();
});

test("a day that is closed while its log cannot follow says so, and does not go on to what was learned", async () => {
  logBehind = "The disk is full.";
  show();
  await close();
  expect(screen.getByRole("alert").textContent).toMatch(
    /The day is closed.*not in the log yet: The disk is full/,
  );
  expect(push).not.toHaveBeenCalled();
});

test("what is past its date is thrown out by a mark, once; one that is already out says so and stays", async () => {
  const item: LarderItem = {
    ...({ id: "old", kind: "filling" } as const),
    ...{ refId: "quince", massG: 380, count: 0 },
    ...{ madeOn: "2026-11-20", useBy: "2026-11-25", fromDayId: null, takenByDayId: null },
  };
  const gone: LarderItem = { ...item, id: "gone", refId: "leek", massG: 0, count: 12 };
  show({
    stale: [
      { item, label: "Quince", isThrown: false },
      { item: gone, label: "Leek", isThrown: true },
    ],
  });
  const box = (name: RegExp) => screen.getByRole<HTMLInputElement>("checkbox", { name });
  expect(screen.getByText("380 g")).toBeTruthy();
  expect(screen.getAllByText("use by Wed 25 Nov")).toHaveLength(2);
  expect([box(/Leek/).checked, box(/Leek/).disabled, box(/Quince/).checked]).toEqual([true, true, false]);
  fireEvent.click(box(/Quince/));
  fireEvent.click(box(/Quince/));
  fireEvent.click(box(/Quince/));
  await close();
  expect(sent.filter(({ kind }) => kind === "thrown")).toMatchObject([{ itemId: "old" }]);
});
