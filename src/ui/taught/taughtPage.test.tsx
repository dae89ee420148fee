/** @jest-environment jsdom */
import { act, fireEvent, render, screen, within } from "@testing-library/react";
import type { LeftOutFigures, PieceNow, RecordRow, TaughtHabit } from "@/core/run";
import { nativeDialogs } from "../shell/__tests__/nativeDialogs";
import { jobSheet } from "../run/__tests__/jobSheet";
import { NextStrip, type NextOutlook } from "./NextDay";
import type { KindScore } from "./Scores";
import { TaughtPage } from "./TaughtPage";

const refresh = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ refresh }) }));

const sent: { events: Record<string, unknown>[] }[] = [];
const answer = (body: unknown) =>
  Promise.resolve({
    ok: true,
    text: () => Promise.resolve(JSON.stringify(body)),
    json: () => Promise.resolve(body),
  });
beforeEach(() => {
  sent.length = 0;
  globalThis.fetch = jest.fn((_: string, init?: { body?: string }) => {
    if (init?.body) sent.push(JSON.parse(init.body) as (typeof sent)[number]);
    return answer(init?.body ? { refused: [] } : null);
  }) as unknown as typeof fetch;
});

const habit = (mean: number) => ({
  lots: 3,
  mean,
  low: mean - 2,
  high: mean + 2,
  nextLow: mean - 9,
  nextHigh: mean + 9,
});
const point = (value: number, isFar = false) => ({
  source: `s${value}`,
  taskIds: [`t${value}`],
  value,
  isFar,
});
const oven: TaughtHabit = {
  habit: "oven:stone",
  name: "Stone oven",
  what: "off its setting",
  scale: "degrees",
  before: habit(0),
  after: habit(6.5),
  points: [point(12), point(4)],
  held: 1,
  moved: 0.36,
};
const record = (rows: readonly RecordRow[], doneCount: number, isClosed = true) => ({
  date: "2026-11-28",
  dayName: "Market Saturday",
  rows,
  doneCount,
  isClosed,
});
const nothingLeft: LeftOutFigures = { habits: [], day: null };
const show = (
  over: {
    readonly rows?: readonly RecordRow[];
    readonly doneCount?: number;
    readonly isClosed?: boolean;
    readonly taught?: readonly TaughtHabit[];
    readonly leftOut?: LeftOutFigures;
    readonly scores?: readonly KindScore[];
    readonly piecesNow?: Readonly<Record<string, PieceNow>>;
  } = {},
) => (
  <TaughtPage
    record={record(over.rows ?? [], over.doneCount ?? 3, over.isClosed)}
    taught={over.taught ?? [oven]}
    leftOut={over.leftOut ?? nothingLeft}
    scores={over.scores ?? []}
    piecesNow={over.piecesNow ?? {}}
    atMin={900}
  />
);

test("each habit says what it was, what came, what is likely now and where the next will lie; the sum of what held", () => {
  const row = {
    job: jobSheet("bake"),
    now: null,
    causes: [{ trouble: "pale", figures: { ovenOffC: -18 } }],
  } as unknown as RecordRow;
  const scores = [{ what: "minutes of hands", held: 17, of: 20, widened: 1.3 }];
  render(show({ rows: [row], scores }));
  expect(screen.getByTestId("taught").textContent).toBe(
    "1 habit by 2 figures. What was expected nine times in ten held 1 of 2 times.",
  );
  const [told] = within(screen.getByRole("list", { name: "Habits" })).getAllByRole("listitem");
  expect(told!.textContent).toContain("likely +6.5 °C, was 0 °C");
  expect(told!.textContent).toContain("nine in ten −2.5 °C to +15.5 °C");
  expect(
    screen.getByRole("img", {
      name: "Stone oven, off its setting: expected −9 °C to +9 °C; came +12 °C, +4 °C",
    }),
  ).toBeTruthy();
  expect(screen.getByRole("region", { name: "Why: Pale" })).toBeTruthy();
  const held = screen.getByRole("region", { name: "Nine in ten, until now" }).textContent;
  expect(held).toContain("held 85 % of 20");
  expect(held).toContain("told 1.3 times as wide");
});

test("a remedy of a piece says what it would do to the next day, and is taken for it by one tap", async () => {
  const outlook = { likelyMin: 834, mostMin: 846, startMin: 300, handsMin: 240, leaks: 3.4 };
  const effect = {
    ...{ date: "2026-12-05", name: "Great market", before: outlook },
    now: { ...outlook, handsMin: 246, leaks: 1.2, startMin: 291, mostMin: 851 },
  };
  const asked: [string, unknown][] = [];
  let isRefused = false;
  globalThis.fetch = jest.fn((path: string, init?: { body?: string }) => {
    asked.push([path, init?.body && JSON.parse(init.body)]);
    if (isRefused)
      return Promise.resolve({
        ok: false,
        json: () => Promise.resolve({ faults: [{ message: "No room." }] }),
      });
    return answer(path.endsWith("/outlook") && init?.body ? effect : null);
  }) as unknown as typeof fetch;
  const now: PieceNow = {
    ...{ marginMm: 8, plumpness: 0.6, vents: 1, washCoats: 1, chillMin: 15, bakeC: 195, bakeMin: 24 },
  };
  const row = {
    job: jobSheet("bake", { pieceId: "moon" }),
    now,
    causes: [{ trouble: "seamBurst", figures: { marginShare: 0.6, ventShare: 1, portionShare: 1 } }],
  } as unknown as RecordRow;
  render(show({ rows: [row], piecesNow: { moon: now } }));
  expect((await screen.findByTestId("effect")).textContent).toBe(
    "Great market, Sat 5 Dec: leaks expected 1.2, not 3.4; hands 6 min more; begin 04:51, not 05:00; nine days in ten done by 14:11, not 14:06.",
  );
  const [first] = screen.getAllByRole("button", { name: /^Next time margin/ });
  isRefused = true;
  await act(async () => {
    fireEvent.click(first!);
    await Promise.resolve();
  });
  expect(screen.getByRole("alert").textContent).toBe("No room.");
  isRefused = false;
  await act(async () => {
    fireEvent.click(first!);
    await Promise.resolve();
  });
  expect(screen.getByRole("status").textContent).toBe("It is planned so from now on.");
  const [path, body] = asked.at(-1)!;
  expect(path).toBe("/api/v1/runs/2026-11-28/remedy");
  expect(body).toMatchObject({ pieceId: "moon", from: "next", change: { kind: "marginMm" } });
  // What others would do is asked for when somebody wants to know.
  const others = screen.getAllByRole("button", { name: "What would it do?" });
  const before = asked.length;
  fireEvent.click(others[0]!);
  expect(asked.length).toBe(before + 1);
});

test("a piece that is not in the book any more is told what to do, and has nothing to tap", () => {
  const row = {
    job: jobSheet("bake", { pieceId: "gone" }),
    now: { marginMm: 8, plumpness: 0.6, vents: 1, washCoats: 1, chillMin: 15, bakeC: 195, bakeMin: 24 },
    causes: [{ trouble: "seamBurst", figures: {} }],
  } as unknown as RecordRow;
  render(show({ rows: [row] }));
  expect(screen.queryByRole("button", { name: /^Next time/ })).toBeNull();
  expect(screen.getAllByText(/^Next time: /).length).toBeGreaterThan(0);
});

test("a day of which nothing is known yet says what it waits for", () => {
  const { rerender } = render(show({ taught: [], doneCount: 0, isClosed: false }));
  expect(screen.getByTestId("taught").textContent).toContain("Nothing is done yet");
  expect(screen.getByRole("link", { name: "Close the day" })).toBeTruthy();
  rerender(show({ taught: [] }));
  expect(screen.getByTestId("taught").textContent).toContain("Nothing was timed, weighed or read yet.");
  const share: TaughtHabit = { ...oven, scale: "share", before: habit(0), points: [point(0.2)], held: 1 };
  rerender(show({ taught: [share] }));
  expect(screen.getByRole("img").getAttribute("aria-label")).toContain("came 122 %");
});

test("what is far out is asked about; left out with a word, job by job; taken in again by taking that back", () => {
  const { rerender } = render(show({ taught: [{ ...oven, points: [point(80, true)] }] }));
  expect(screen.getByText(/\+80 °C: far from all before/)).toBeTruthy();
  nativeDialogs();
  fireEvent.click(screen.getByRole("button", { name: "Stone oven, off its setting: taken. Leave it out" }));
  fireEvent.change(screen.getByLabelText("Why"), { target: { value: " the door stood open " } });
  fireEvent.submit(screen.getByLabelText("Why"));
  expect(sent[0]!.events).toEqual([
    expect.objectContaining({ kind: "leftOut", taskId: "t80", word: "the door stood open", atMin: 900 }),
  ]);
  const leftOut: LeftOutFigures = {
    habits: [{ habit: oven, word: "the door stood open", eventIds: ["e1", "e2"] }],
    day: null,
  };
  rerender(show({ taught: [], leftOut }));
  expect(screen.getByTestId("taught").textContent).toBe("All that it gave is left out.");
  fireEvent.click(screen.getByRole("button", { name: /left out. Take it in/ }));
  expect(sent[1]!.events.map(({ kind, eventId }) => [kind, eventId])).toEqual([
    ["undone", "e1"],
    ["undone", "e2"],
  ]);
  // What cannot be is nobody's word: there is nothing to take back.
  rerender(
    show({ leftOut: { habits: [{ habit: oven, word: "900 °C cannot be", eventIds: [] }], day: null } }),
  );
  expect(screen.queryByRole("button", { name: /Take it in/ })).toBeNull();
});

test("the next day says what it gains, or that it is as it was", () => {
  const outlook = { likelyMin: 834, mostMin: 846, startMin: 300, handsMin: 240, leaks: 2 };
  const next: NextOutlook = {
    ...{ date: "2026-12-05", name: "Great market", now: outlook },
    before: { ...outlook, handsMin: 259, startMin: 281, leaks: 4, mostMin: 870 },
  };
  const { rerender } = render(<NextStrip next={next} />);
  const text = screen.getByRole("region", { name: "The next day" }).textContent;
  expect(text).toContain("hands 19 min less");
  expect(text).toContain("begin 05:00, was 04:41");
  expect(text).toContain("all done 13:54, nine days in ten by 14:06");
  expect(text).toContain("leaks expected 2, were 4");
  rerender(<NextStrip next={{ ...next, before: outlook }} />);
  expect(screen.getByRole("region", { name: "The next day" }).textContent).toContain("as it was");
});

test("what hardly moved stands folded, unless it did not hold", () => {
  const still = { ...oven, habit: "oven:other" as const, name: "Other oven", moved: 0.01, held: 2 };
  render(show({ taught: [oven, still, { ...still, habit: "oven:third", name: "Third oven", held: 1 }] }));
  const shown = within(screen.getByRole("list", { name: "Habits" })).getAllByRole("listitem");
  expect(shown.map((each) => each.querySelector("strong")!.textContent)).toEqual([
    "Stone oven",
    "Third oven",
  ]);
  expect(screen.getByText("1 habit hardly moved")).toBeTruthy();
});

test("of several lots one alone is left out; of none nothing is", () => {
  nativeDialogs();
  render(show());
  fireEvent.click(screen.getByRole("button", { name: /taken. Leave it out/ }));
  const lots = screen.getByRole("group", { name: "Which lots", hidden: true });
  const [first, second] = within(lots).getAllByRole("checkbox", { hidden: true });
  expect(lots.textContent).toContain("+12 °C");
  fireEvent.click(second!);
  fireEvent.submit(screen.getByLabelText("Why"));
  expect(sent[0]!.events.map(({ taskId }) => taskId)).toEqual(["t12"]);
  fireEvent.click(screen.getByRole("button", { name: /taken. Leave it out/ }));
  fireEvent.click(screen.getByLabelText("+12 °C"));
  fireEvent.click(screen.getByLabelText("+4 °C"));
  expect(
    screen.getAllByRole("button", { name: "Leave it out", hidden: true }).at(-1)!.hasAttribute("disabled"),
  ).toBe(true);
  expect(first).toBeDefined();
});
