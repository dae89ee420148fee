/** @jest-environment jsdom */
import "../bench/__tests__/chartsOfASize";
import { act, fireEvent, render, screen, within } from "@testing-library/react";
import { knowByCraft, tellFigure } from "@/core/habits";
import { BringLog } from "./BringLog";
import { HabitsPage } from "./HabitsPage";
import { LotList } from "./LotList";
import { SetHabit } from "./SetHabit";
import type { ToldHabit } from "./toldHabit";

const [push, refresh] = [jest.fn(), jest.fn()];
jest.mock("next/navigation", () => ({ useRouter: () => ({ push, refresh }) }));
globalThis.ResizeObserver = class {
  observe() {}
  unobserve() {}
  disconnect() {}
};

const oven: ToldHabit = {
  ...{ habit: "oven:deck", name: "Two-deck oven", what: "off what the kit says", scale: "degrees" },
  known: tellFigure({ ...knowByCraft("oven:deck"), mean: 7.8, lots: 21 }),
  word: null,
};
const spoon: ToldHabit = {
  ...{ habit: "hands:fill:spoon", name: "Filling, spoon", what: "minutes of hands", scale: "share" },
  known: tellFigure({ ...knowByCraft("hands:fill:spoon"), mean: Math.log(1.17), lots: 18 }),
  word: { value: Math.log(1.2), since: "2026-11-20" },
};
const figures = [
  { date: "2026-11-14", source: "bake:1", value: 9, leftOut: null },
  { date: "2026-11-21", source: "bake:1", value: 60, leftOut: "door stood open" },
];
let sent: { method: string | undefined; body: unknown } | null = null;
let answer: { ok: boolean; body: unknown } = { ok: true, body: {} };
beforeEach(() => {
  [sent, answer] = [null, { ok: true, body: {} }];
  push.mockClear();
  globalThis.fetch = jest.fn((_: string, init: { method?: string; body: unknown }) => {
    sent = { method: init.method, body: init.body };
    return Promise.resolve({ ok: answer.ok, json: () => Promise.resolve(answer.body) });
  }) as unknown as typeof fetch;
});
const settle = (work: () => void) =>
  act(async () => {
    work();
    await Promise.resolve();
    await Promise.resolve();
  });

test("habits stand kind by kind with what is likely; the chosen one with its range and its trend", () => {
  const chosen = { habit: oven, kind: "oven" as const, figures, runDates: ["2026-11-14"] };
  render(<HabitsPage habits={[spoon, oven]} scores={[]} chosen={chosen} />);
  const all = within(screen.getByRole("navigation", { name: "All habits" }));
  expect(all.getAllByRole("link").map(({ textContent }) => textContent)).toEqual([
    "Filling, spoonset by hand117 %",
    "Two-deck oven21 lots+7.8 °C",
  ]);
  expect(all.getByRole("link", { current: true }).textContent).toContain("Two-deck oven");
  expect(screen.getByRole("img").getAttribute("aria-label")).toBe(
    "Two-deck oven, off what the kit says: 2 lots, Sat 14 Nov +9 °C, Sat 21 Nov +60 °C",
  );
});

test("a lot is left out with a word and taken in again; what the server refuses is said", async () => {
  HTMLDialogElement.prototype.showModal = jest.fn();
  const onTurned = jest.fn();
  render(<LotList habit={oven} figures={figures} onTurned={onTurned} />);
  expect(screen.getByText("2 lots, 1 left out")).toBeTruthy();
  const [latest, first] = within(screen.getByRole("list", { hidden: true })).getAllByRole("listitem", {
    hidden: true,
  });
  expect(latest!.textContent).toBe("Sat 21 Nov+60 °Cdoor stood openTake it in");
  await settle(() => fireEvent.click(within(latest!).getByText("Take it in")));
  const lot = { habit: "oven:deck", source: "bake:1" };
  expect(JSON.parse(sent!.body as string)).toEqual({ ...lot, date: "2026-11-21", word: null });
  expect(onTurned).toHaveBeenCalledTimes(1);
  fireEvent.click(within(first!).getByText("Leave it out"));
  fireEvent.change(screen.getByLabelText("Why"), { target: { value: " the freezer was off " } });
  answer = { ok: false, body: { faults: [{ message: "Nothing of that name was logged." }] } };
  await settle(() => fireEvent.submit(screen.getByLabelText("Why")));
  expect(JSON.parse(sent!.body as string)).toEqual({
    ...lot,
    date: "2026-11-14",
    word: "the freezer was off",
  });
  expect(screen.getByRole("alert", { hidden: true }).textContent).toBe("Nothing of that name was logged.");
  expect(onTurned).toHaveBeenCalledTimes(1);
});

test("nothing known says how it begins", () => {
  render(<HabitsPage habits={[]} scores={[]} chosen={null} />);
  expect(screen.getByText(/Nothing is known yet but what the craft says/)).toBeTruthy();
  expect(screen.getByLabelText(/Choose a file/)).toBeTruthy();
});

test("a habit is set as it is read, refused here if it cannot be, and put back", async () => {
  const onSet = jest.fn();
  const { rerender } = render(<SetHabit habit={oven} onSet={onSet} />);
  const put = async (text: string) => {
    fireEvent.change(screen.getByLabelText(/Set by hand/), { target: { value: text } });
    await settle(() => fireEvent.submit(screen.getByLabelText(/Set by hand/)));
  };
  await put("900");
  expect(screen.getByRole("alert").textContent).toContain("900 °C off what the kit says cannot be");
  await put("warm");
  expect(sent).toBeNull();
  await put("−7 °C");
  expect(sent).toEqual({ method: "PUT", body: JSON.stringify({ habit: "oven:deck", to: -7 }) });
  expect(onSet).toHaveBeenCalledTimes(1);
  rerender(<SetHabit habit={spoon} onSet={onSet} />);
  expect(screen.getByText(/Set by hand to 120 % on Fri 20 Nov/)).toBeTruthy();
  await put("97 %");
  expect(sent!.body).toBe(JSON.stringify({ habit: "hands:fill:spoon", to: 0.97 }));
  await settle(() => fireEvent.click(screen.getByRole("button", { name: "Let the whole log count" })));
  expect(sent!.body).toContain('"to":"log"');
  answer = { ok: false, body: { faults: [{ message: "The file is full." }] } };
  await settle(() => fireEvent.click(screen.getByRole("button", { name: "Back to the craft’s" })));
  expect(screen.getByRole("alert").textContent).toBe("The file is full.");
  rerender(<SetHabit habit={{ ...oven, word: { value: null, since: "2026-11-20" } }} onSet={onSet} />);
  expect(screen.getByText(/only what came since counts/)).toBeTruthy();
  expect(screen.queryByRole("button", { name: "Back to the craft’s" })).toBeNull();
});

test("a log that is brought says what was taken, known and refused, row by row", async () => {
  const onBrought = jest.fn();
  render(<BringLog onBrought={onBrought} />);
  const bring = () =>
    settle(() =>
      fireEvent.change(screen.getByLabelText(/Choose a file/), {
        target: { files: [new File(["habit,date"], "log.csv")] },
      }),
    );
  const refused = Array.from({ length: 14 }, (_, i) => ({ row: i + 2, message: `row ${i} is none` }));
  answer = { ok: true, body: { added: 3, known: 1, refused } };
  await bring();
  const told = screen.getByRole("status").textContent;
  expect(told).toContain("3 lots taken, 1 known already, 14 rows refused.");
  expect(told).toContain("Row 2: row 0 is none");
  expect(told).toContain("and 2 more");
  expect(onBrought).toHaveBeenCalledTimes(1);
  answer = { ok: false, body: { faults: [{ message: "There is no row in it." }] } };
  await bring();
  expect(screen.getByRole("alert").textContent).toBe("There is no row in it.");
});
