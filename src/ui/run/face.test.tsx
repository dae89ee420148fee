/** @jest-environment jsdom */
import { act, fireEvent, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { createStore } from "zustand/vanilla";
import type { Bell, RunSheet } from "@/core/run";
import type { RunAnswer } from "@/workers/createRunClient";
import { nativeDialogs } from "../shell/__tests__/nativeDialogs";
import { jobSheet } from "./__tests__/jobSheet";
import { BellBanner } from "./BellBanner";
import { formatLeft } from "./countDown";
import { CutCounts } from "./CutCounts";
import { RunFace } from "./RunFace";
import type { Happening, RunScreen, RunStore } from "./runStore";
import { WentWrong } from "./WentWrong";

jest.mock("./useReadings", () => ({ useReadings: () => ({ placed: [], past: new Map() }) }));

beforeAll(nativeDialogs);

/** A screen that stands at a minute, and writes down what happens. */
function openScreen(
  over: Partial<RunAnswer["view"]> = {},
  bells: readonly Bell[] = [],
  more: Partial<RunScreen> = {},
) {
  const happened: (readonly Happening[])[] = [];
  const job = (taskId: string, startMin: number, hasBegun = false) => ({
    taskId,
    startMin,
    endMin: startMin + 8,
    hasBegun,
  });
  const sheet = {
    date: "2026-11-28",
    hasHelper: true,
    jobs: [jobSheet("a"), jobSheet("b"), jobSheet("c", { person: 1 })],
    pieces: [],
    fillings: [],
    machines: [{ resourceId: "oven:x", name: "Deck oven" }],
  } as unknown as RunSheet;
  const answer = {
    view: {
      now: job("a", 400, true),
      next: [job("b", 408), job("c", 420)],
      following: "b",
      byItself: [],
      heating: [],
      standing: [],
      doneCount: 3,
      taskCount: 6,
      aheadMin: -4,
      lastPromise: { endMin: 600, dueMin: 590 },
      ...over,
    },
    tasks: { a: { begunMin: 400, parts: [], mishaps: [], measured: [], notes: [] } },
    counted: [{ id: "t/0", kind: "begun", taskId: "a", atMin: 400, person: 0, deviceId: "wall" }],
    lastId: "t/0",
    bells,
    breached: [],
    moved: null,
    changed: {},
    short: [],
    late: [{ taskId: "b", lateMin: 10 }],
  } as unknown as RunAnswer;
  const undo = jest.fn();
  const store: RunStore = createStore<RunScreen>(() => ({
    phase: "running",
    sheet,
    answer,
    whose: "both",
    waiting: 0,
    isLinked: true,
    fault: null,
    isLogBehind: false,
    isKeptHere: true,
    undoable: answer.counted.at(-1) ?? null,
    notice: null,
    mends: null,
    start: () => Promise.resolve(),
    askMends: () => Promise.resolve(),
    happen: (...happenings) => happened.push(happenings),
    undo,
    setWhose: jest.fn(),
    take: () => Promise.resolve(),
    tryAgain: () => Promise.resolve(),
    listWaiting: () => [],
    tick: () => Promise.resolve(),
    ...more,
  }));
  const view = render(<RunFace store={store} nowMin={() => 403.5} />);
  return { happened, undo, ...view };
}

test("the face says the job with its figures, what to look for and the caution, how the day stands, and what comes next", () => {
  openScreen();
  expect(screen.getByRole("heading", { level: 1 }).textContent).toContain("Fill a");
  for (const text of ["24 g", "clear of the rim", "Hot: do not touch.", "06:43"])
    expect(screen.getByText(text)).toBeTruthy();
  expect(screen.getByTestId("standing").textContent).toContain(
    "4 min behind · last pieces 10:00, promised 09:50",
  );
  expect(screen.getByTestId("standing").textContent).toContain("Fill b: 10 min late");
  expect(screen.getByRole("button", { name: /^Done/ }).textContent).toContain("3:30 of about 8 min");
  expect(screen.getByRole("button", { name: /^Undo/ }).textContent).toContain("06:40 Fill a: begun");
  expect(screen.getByRole("progressbar").getAttribute("aria-valuenow")).toBe("3");
});

test("done begins what follows with the same tap; a knuckle that lands twice at once counts once", () => {
  const { happened } = openScreen();
  const done = screen.getByRole("button", { name: /^Done/ });
  fireEvent.click(done);
  fireEvent.click(done);
  expect(happened).toEqual([
    [
      { kind: "done", taskId: "a" },
      { kind: "begun", taskId: "b" },
    ],
  ]);
});

test("keys alone: Enter, arrows, M, W and U do what they say, and nothing behind an open panel", async () => {
  const user = userEvent.setup();
  const { happened, undo } = openScreen();
  await user.keyboard("{ArrowDown}");
  expect(screen.getByRole("heading", { level: 1 }).textContent).toContain("Fill b");
  expect(screen.getByText("Planned for 06:48.")).toBeTruthy();
  await user.keyboard("{Enter}");
  expect(happened.pop()).toEqual([{ kind: "begun", taskId: "b" }]);
  await user.keyboard("u");
  expect(undo).toHaveBeenCalledTimes(1);
  await user.keyboard("m");
  const more = screen.getByRole("dialog", { name: "How much more does it need?" });
  await user.keyboard("w");
  expect(
    within(more)
      .getAllByRole("button")
      .map(({ textContent }) => textContent),
  ).toContain("4 min");
  await user.click(within(more).getByRole("button", { name: "4 min" }));
  expect(happened.pop()).toEqual([{ kind: "more", taskId: "a", minutes: 4 }]);
});

test("hands of one's own, and a job handed over to the other", async () => {
  const user = userEvent.setup();
  const setWhose = jest.fn();
  const { happened } = openScreen({}, [], { setWhose });
  await user.click(screen.getByRole("button", { name: "Helper" }));
  expect(setWhose).toHaveBeenCalledWith("helper");
  await user.click(screen.getByRole("button", { name: /Fill c/ }));
  await user.click(screen.getByRole("button", { name: "Hand it over" }));
  expect(happened.pop()).toEqual([{ kind: "moved", taskId: "c", person: 0 }]);
});

test("what only this device has, and a server that is silent, are said", () => {
  openScreen({}, [], { waiting: 2, isLinked: false });
  expect(screen.getByText(/Tezgah does not answer.*2 taps wait on this device/)).toBeTruthy();
});

test("where a promise breaks, what would help is a tap away, each with what it gives", async () => {
  const user = userEvent.setup();
  const askMends = jest.fn(() => Promise.resolve());
  const mends = [
    {
      kind: "hands",
      text: "Another pair of hands for an hour from now: all promises are kept.",
      lateMin: 0,
      events: [{ kind: "helped", minutes: 60 }],
    },
    {
      kind: "later",
      text: "Tell it for 10:10: Fill b.",
      lateMin: 10,
      events: [{ kind: "told", taskId: "b", dueMin: 610 }],
    },
  ] as const;
  const { happened } = openScreen({}, [], { askMends, mends });
  await user.click(screen.getByRole("button", { name: "What would help?" }));
  expect(askMends).toHaveBeenCalledTimes(1);
  const told = within(screen.getByRole("dialog", { name: "What would help" })).getAllByRole("listitem");
  expect(told.map(({ textContent }) => textContent)).toEqual([
    `${mends[0].text}They come`,
    `${mends[1].text}It is told`,
  ]);
  await user.click(within(told[1]!).getByRole("button"));
  expect(happened.pop()).toEqual([{ kind: "told", taskId: "b", dueMin: 610 }]);
  expect(screen.queryByRole("dialog", { name: "What would help" })).toBeNull();
});

const look: Bell = {
  id: "a look 0",
  taskId: "a",
  kind: "look",
  dueMin: 400,
  text: "Look: Fill a",
  lookFor: "it is golden all over",
  more: { minutes: 2, left: 1 },
  part: null,
};

test("a bell that is due is announced at once with what to look for; its answers are one tap each, and hushed it is gone", () => {
  jest.useFakeTimers();
  const ringing = (bell: Bell) => {
    const happened: (readonly Happening[])[] = [];
    const hush = jest.fn();
    const view = render(
      <BellBanner
        bells={{ ringing: [bell], hush, loudness: "mute", mayRing: true, turnLoudness: () => {} }}
        sheetOf={() => jobSheet("a")}
        onHappen={(...happenings) => happened.push(happenings)}
      />,
    );
    const press = (name: RegExp) => {
      act(() => jest.advanceTimersByTime(1000));
      fireEvent.click(screen.getByRole("button", { name }));
    };
    return { happened, hush, press, ...view };
  };
  const first = ringing(look);
  expect(screen.getByRole("alert").getAttribute("aria-live")).toBe("assertive");
  expect(screen.getByRole("alert").textContent).toContain("it is golden all over");
  first.press(/^2 min more \(1 time left\)/);
  first.press(/^It is out/);
  expect(first.happened).toEqual([
    [{ kind: "more", taskId: "a", minutes: 2 }],
    [{ kind: "done", taskId: "a" }],
  ]);
  first.unmount();
  const second = ringing({ ...look, kind: "step", part: "s7", more: null });
  expect(screen.queryByRole("button", { name: /more/ })).toBeNull();
  second.press(/^Done/);
  second.press(/^Hush/);
  expect(second.happened).toEqual([[{ kind: "done", taskId: "a", part: "s7" }]]);
  expect(second.hush).toHaveBeenCalledWith(look.id);
  jest.useRealTimers();
});

test("a bell that rings is in the page's title, and the title is as it was once it is hushed", () => {
  document.title = "The day runs";
  openScreen({}, [look, { ...look, id: "later", dueMin: 500 }]);
  expect(document.title).toBe("● Look: Fill a");
  expect(screen.queryAllByRole("region", { name: "Look: Fill a" })).toHaveLength(1);
  fireEvent.click(screen.getByRole("button", { name: "Hush" }));
  expect(document.title).toBe("The day runs");
});

test("what went wrong is said first, and never of more pieces than there are", async () => {
  const user = userEvent.setup();
  const told = jest.fn();
  const fillings = [
    { id: "plum", name: "Plum", overG: 0 },
    { id: "syrup", name: "Syrup", overG: 0 },
  ];
  const lot = { key: "moon:1", eachMin: 0.2, perBasket: [], takes: ["plum"] };
  const ranOut = jest.fn();
  render(
    <WentWrong
      open
      told={jobSheet("a", { pieces: 3, lot })}
      fillings={fillings}
      onClose={() => {}}
      onWrong={told}
      onRanOut={ranOut}
    />,
  );
  const dialog = screen.getByRole("dialog", { name: "What went wrong?" });
  expect(within(dialog).getByRole<HTMLButtonElement>("button", { name: "Say what first" }).disabled).toBe(
    true,
  );
  await user.click(within(dialog).getByRole("button", { name: "torn" }));
  const more = within(dialog).getByRole("button", { name: "One more" });
  await user.click(more);
  await user.click(more);
  expect((more as HTMLButtonElement).disabled).toBe(true);
  expect(within(dialog).getByRole<HTMLButtonElement>("button", { name: "+5" }).disabled).toBe(true);
  await user.type(within(dialog).getByLabelText("A word, if wanted"), "at the corner");
  await user.click(within(dialog).getByRole("button", { name: "3 torn and lost" }));
  expect(told).toHaveBeenLastCalledWith({ mishap: "torn", count: 3, word: "at the corner", isLost: true });
  await user.click(within(dialog).getByRole("button", { name: "They go on" }));
  await user.click(within(dialog).getByRole("button", { name: "3 torn" }));
  expect(told).toHaveBeenLastCalledWith({ mishap: "torn", count: 3, word: "at the corner", isLost: false });
  // Of what it is filled with, and of nothing else, may there be too little.
  expect(within(dialog).queryByRole("button", { name: "Syrup ran out" })).toBeNull();
  await user.click(within(dialog).getByRole("button", { name: "Plum ran out" }));
  const less = within(dialog).getByRole("button", { name: "One less" });
  for (let n = 0; n < 3; n++) await user.click(less);
  await user.click(within(dialog).getByRole("button", { name: "0 filled, Plum is out" }));
  expect(ranOut).toHaveBeenCalledWith("plum", 0);
});

test("a sheet with two outlines is counted by each, one with a single outline as a whole", async () => {
  const user = userEvent.setup();
  const counted = jest.fn();
  const role = (demandId: string, name: string) => ({ demandId, role: name, pieceName: "Case" });
  const show = (uses: readonly { demandId: string; count: number }[], part: string | null) =>
    render(
      <CutCounts
        drawing={
          {
            kind: "sheet",
            sheet: { parts: [{ uses }] },
            roles: [role("case:ring", "ring"), role("case:base", "base")],
          } as unknown as Parameters<typeof CutCounts>[0]["drawing"]
        }
        measured={[{ measure: "cutCount", value: 8, atMin: 400, part }]}
        onCount={counted}
      />,
    );
  const { unmount } = show(
    [
      { demandId: "case:ring", count: 26 },
      { demandId: "case:base", count: 9 },
    ],
    "case:base",
  );
  const base = screen.getByRole("group", { name: "Count: base, Case" });
  expect(base.textContent).toContain("8+base, Case, of 9");
  expect(screen.getByRole("group", { name: "Count: ring, Case" }).textContent).toContain("as planned");
  await user.click(within(base).getByRole("button", { name: "One less was cut" }));
  expect(counted).toHaveBeenLastCalledWith(7, "case:base");
  unmount();
  show([{ demandId: "case:ring", count: 9 }], null);
  await user.click(screen.getByRole("button", { name: "One more was cut" }));
  expect(counted).toHaveBeenLastCalledWith(9, null);
});

test("time left reads like a timer, and says when it is past", () => {
  expect([2 + 10 / 60, 0.05, 65, -1.5, 0].map(formatLeft)).toEqual([
    "2:10",
    "0:03",
    "1:05:00",
    "−1:30",
    "0:00",
  ]);
});
