/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from "@testing-library/react";
import { Welcome } from "./Welcome";

const starters = [
  { id: "half-moons", title: "Half-moons", blurb: "A round folded over fruit.", face: null },
  { id: "triangles", title: "Triangles", blurb: "A square, corner to corner.", face: null },
];
let sent: { path: string; body: Record<string, unknown> }[] = [];
let answer: { ok: boolean; body: unknown } | null = { ok: true, body: {} };
beforeEach(() => {
  [sent, answer] = [[], { ok: false, body: { faults: [{ message: "That day is taken." }] } }];
  globalThis.fetch = jest.fn((path: string, init: { body: string }) => {
    sent.push({ path, body: JSON.parse(init.body) as Record<string, unknown> });
    return answer
      ? Promise.resolve({ ok: answer.ok, json: () => Promise.resolve(answer!.body) })
      : Promise.reject(new Error("away"));
  }) as unknown as typeof fetch;
  render(<Welcome starters={starters} tomorrow="2026-11-25" />);
});
const plan = (name: string) =>
  act(async () => {
    fireEvent.click(screen.getByRole("button", { name }));
    for (let turn = 0; turn < 4; turn++) await Promise.resolve();
  });
const type = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

test("what, how many and by when go out together; what the server refuses is said and what was chosen stays", async () => {
  fireEvent.click(screen.getByLabelText(/Triangles/));
  type("How many", "36");
  type("By", "7:30");
  await plan("Plan it");
  expect(sent).toEqual([
    {
      path: "/api/bench/first-day",
      body: { starterId: "triangles", date: "2026-11-25", count: 36, dueMin: 450 },
    },
  ]);
  expect(screen.getByRole("alert").textContent).toBe("That day is taken.");
  expect(screen.getByLabelText<HTMLInputElement>("How many").value).toBe("36");
});

test.each([
  ["How many", "some"],
  ["How many", "-4"],
  ["By", "25:00"],
  ["By", "noonish"],
])("%s typed as “%s” is refused here, before anything is sent", async (label, value) => {
  type(label, value);
  await plan("Plan it");
  expect(screen.getByRole("alert").textContent).toMatch(/\w/);
  expect(sent).toEqual([]);
});

test("one's own book begins empty: nothing is counted or promised", async () => {
  fireEvent.click(screen.getByLabelText(/My own, from nothing/));
  expect(screen.queryByLabelText("How many")).toBeNull();
  await plan("Open the bench");
  expect(sent[0]!.body).toMatchObject({ starterId: null, date: "2026-11-25" });
});

test("without a server it says so, and what was chosen stays", async () => {
  answer = null;
  await plan("Plan it");
  expect(screen.getByRole("alert").textContent).toContain("does not answer. What you chose stays here");
});
