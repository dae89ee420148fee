/** @jest-environment jsdom */
import { render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { NEW_ORDER_REST } from "@/core/orders";
import type { ChangeGroup } from "@/schemas/change";
import type { WeekDay } from "./weekDay";
import { WeekPage } from "./WeekPage";

const refreshed = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ refresh: refreshed }) }));

const order = {
  ...NEW_ORDER_REST,
  ...{ id: "o1", dayId: "sat", pieceId: "moon", count: 24, dueMin: 630, customer: "Ferry kiosk" },
};
const saturday = {
  ...{ id: "sat", date: "2026-11-28", name: "Market", openMin: 240, helper: null, keepsReserve: true },
  ...{ laid: [], pinned: [] },
};
const bare = { day: null, orders: [], load: null, ahead: [], hasRun: false, standing: [] };
const days: readonly WeekDay[] = [
  { ...bare, date: "2026-11-23" },
  { ...bare, date: "2026-11-24" },
  { ...bare, date: "2026-11-25", standing: [{ ...order, id: "", count: 12, standingId: "s" }] },
  {
    ...bare,
    date: "2026-11-26",
    day: { ...saturday, id: "thu", date: "2026-11-26", name: "Run" },
    hasRun: true,
  },
  { ...bare, date: "2026-11-27" },
  {
    ...bare,
    ...{ date: "2026-11-28", day: saturday, orders: [order] },
    load: {
      ...{ pieces: 24, handsMin: 90, heatMin: 45, eggs: 3, startMin: 300, endMin: 620 },
      ...{ lateMin: 12, notPlanned: 0 },
    },
    ahead: [{ name: "Plum filling", forDate: "2026-11-29" }],
  },
  { ...bare, date: "2026-11-29" },
];

/** As it lies on a tray, mm. */
const halfRound = {
  edge: Array.from({ length: 19 }, (_, i): [number, number] => [
    60 * Math.cos((i * Math.PI) / 18),
    60 * Math.sin((i * Math.PI) / 18),
  ]),
  inner: [],
};

const sent: ChangeGroup[] = [];
let answer: object;
beforeEach(() => {
  sent.length = 0;
  answer = { kind: "written", standing: [] };
  refreshed.mockClear();
  global.fetch = jest.fn(async (_: unknown, init?: RequestInit) => {
    const { groups } = JSON.parse(init?.body as string) as { groups: ChangeGroup[] };
    sent.push(...groups);
    return { json: async () => ({ answers: [{ id: groups[0]!.id, ...answer }] }) } as Response;
  });
});
const open = () => {
  render(
    <WeekPage
      {...{ monday: "2026-11-23", today: "2026-11-24", days }}
      pieceNames={{ moon: "Half-moon" }}
      faces={{ moon: { fromAbove: halfRound, vents: { kind: "none", count: 0 } } }}
    />,
  );
  return userEvent.setup();
};
const column = (name: string) => within(screen.getByRole("listitem", { name }));

test("each date says what it asks, who comes, and what is made for others", () => {
  open();
  const text = screen.getByRole("listitem", { name: "Sat 28 Nov" }).textContent;
  // Its drawing stands beside its name, as large as the piece goes into a square.
  const drawing = column("Sat 28 Nov")
    .getByText("Half-moon", { exact: false })
    .closest("li")!
    .querySelector("svg")!;
  expect(drawing.getAttribute("viewBox")!.split(" ")[2]).toBe(String(120 * 1.08));
  for (const said of ["24", "eggs3", "1 h 30", "45 min", "05:00", "10:20", "12 min late", "Ferry kiosk"])
    expect(text).toContain(said);
  expect(text).toContain("ahead for Sun 29 Nov: Plum filling");
  expect(column("Mon 23 Nov").queryByRole("button")).toBeNull();
  expect(column("Thu 26 Nov").getByText("was run")).toBeTruthy();
  expect(column("Thu 26 Nov").queryByRole("button")).toBeNull();
});

test("an order goes to another day, which is made if there is none; undo takes both back", async () => {
  const user = open();
  const mover = screen.getByLabelText<HTMLSelectElement>("Move 24 Half-moon to");
  // Neither to what is past nor to what was run.
  expect([...mover.options].map(({ value }) => value)).toEqual([
    "",
    ...["2026-11-24", "2026-11-25", "2026-11-27", "2026-11-29"],
  ]);
  await user.selectOptions(mover, "2026-11-29");
  const [day, moved] = sent[0]!.changes;
  expect(day).toMatchObject({
    kind: "day",
    was: null,
    set: { date: "2026-11-29", name: "Sunday", openMin: 240 },
  });
  expect(moved).toEqual({ kind: "order", id: "o1", set: { dayId: day!.id }, was: { dayId: "sat" } });
  expect(refreshed).toHaveBeenCalledTimes(1);
  await user.click(await screen.findByRole("button", { name: "Undo" }));
  expect(sent[1]!.changes).toEqual([
    { kind: "order", id: "o1", set: { dayId: "sat" }, was: { dayId: day!.id } },
    { kind: "day", id: day!.id, set: null, was: day!.set },
  ]);
  expect(screen.queryByRole("button", { name: "Undo" })).toBeNull();
});

test("a day is made with what stands for it, and taken away whole", async () => {
  const user = open();
  await user.click(column("Wed 25 Nov").getByRole("button", { name: "Make it, with 12 pieces that stand" }));
  const [day, taken] = sent[0]!.changes;
  expect(taken).toMatchObject({ set: { dayId: day!.id, count: 12, standingId: "s" }, was: null });
  expect(taken!.id).not.toBe("");
  await user.click(column("Sat 28 Nov").getByRole("button", { name: "Remove Sat 28 Nov, Market" }));
  expect(sent[1]!.changes).toEqual([{ kind: "day", id: "sat", set: null, was: saturday }]);
});

test.each([
  [{ kind: "refused", message: "Not removed: it was run." }, "Not removed: it was run."],
  [{ kind: "conflicted", conflicts: [] }, "Another hand was there meanwhile"],
])("what the server does not take is said, and offers no undo", async (told, words) => {
  answer = told;
  const user = open();
  await user.click(column("Fri 27 Nov").getByRole("button", { name: "Make this day" }));
  expect((await screen.findByRole("alert")).textContent).toContain(words);
  expect(screen.queryByRole("button", { name: "Undo" })).toBeNull();
});
