/** @jest-environment jsdom */
import "../bench/__tests__/workersAtHand";
import { renderOnBench, type OnBench } from "../bench/__tests__/renderOnBench";
import { act, screen, within } from "@testing-library/react";
import type { Piece, ProblemCode, Station } from "@/core/plan";
import { ProblemCards, ProblemList } from "./ProblemList";

const half = "quince-half-moon";

function change({ store }: OnBench, fields: Partial<Piece>): void {
  const { book, edit } = store.getState();
  const piece = book.pieces.find(({ id }) => id === half)!;
  act(() => edit([{ kind: "piece", id: half, record: { ...piece, ...fields } }]));
}
const codes = ({ plan }: OnBench): ProblemCode[] =>
  plan()
    .problems.filter(({ pieceId }) => pieceId === half)
    .map(({ code }) => code);

test.each<[Station, Partial<Piece>, ProblemCode, RegExp]>([
  ["fill", { portionG: 140 }, "overfull", /^Give \d+ g$/],
  ["seal", { marginMm: 5 }, "narrowMargin", /^Widen the margin to \d+ mm$/],
])("%s: what would mend it is one tap", async (station, fields, code, title) => {
  const bench = renderOnBench(<ProblemList station={station} />);
  expect(screen.queryByRole("list", { name: "To decide" })).toBeNull();
  change(bench, fields);
  expect(codes(bench)).toContain(code);
  const told = within(screen.getByRole("list", { name: "To decide" }));
  await bench.user.click(await told.findByRole("button", { name: title }));
  expect(codes(bench)).not.toContain(code);
  expect(screen.queryByRole("list", { name: "To decide" })).toBeNull();
});

test("what stops a piece is said at every station; what does not only at its own", () => {
  const bench = renderOnBench(<ProblemList station="cool" />);
  change(bench, { portionG: 140 });
  expect(codes(bench)).toContain("overfull");
  expect(screen.queryByRole("list")).toBeNull();
  change(bench, { marginMm: 70 });
  expect(codes(bench)).toContain("cannotForm");
  expect(screen.getByRole("list", { name: "To decide" }).textContent).toContain("Quince half-moon");
  // Two figures turned right after each other are two steps.
  act(() => bench.store.getState().undo());
  expect(codes(bench)).toEqual(["overfull"]);
});

test("what is past its date is thrown out there and then, and an order whose hour is over is taken off", async () => {
  const bench = renderOnBench(<ProblemList station="mix" />);
  const { edit } = bench.store.getState();
  const old = {
    ...{ id: "old", kind: "dough" as const, refId: "bay-shortcrust", massG: 400, count: 0 },
    ...{ madeOn: "2026-11-20", useBy: "2026-11-25", fromDayId: null, takenByDayId: null },
  };
  act(() => edit([{ kind: "larder", id: old.id, record: old }]));
  await bench.user.click(await screen.findByRole("button", { name: "Throw it out" }));
  expect(bench.plan().problems.filter(({ code }) => code === "expired")).toEqual([]);
  expect(bench.store.getState().book.larder.filter(({ id }) => id === old.id)).toEqual([]);
});

test("the larder's warnings are one line that opens, whatever there is of them; each is there with its tap", () => {
  const bench = renderOnBench(<ProblemList station="mix" />);
  const old = (id: string, massG: number) => ({
    ...{ id, kind: "dough" as const, refId: "bay-shortcrust", massG, count: 0 },
    ...{ madeOn: "2026-11-20", useBy: "2026-11-25", fromDayId: null, takenByDayId: null },
  });
  const ids = ["old", "older"];
  act(() =>
    bench.store
      .getState()
      .edit(ids.map((id, i) => ({ kind: "larder" as const, id, record: old(id, 400 + i) }))),
  );
  const list = screen.getByRole("list", { name: "To decide" });
  expect(list.children).toHaveLength(1);
  const details = list.querySelector("details")!;
  expect([details.open, details.querySelector("summary")!.textContent]).toEqual([
    false,
    expect.stringContaining("2 things in the larder past their date"),
  ]);
  expect(details.querySelectorAll("li")).toHaveLength(2);
});

test("what cannot be formed is tried otherwise until it can, ordered or only in the book; what only costs is not", async () => {
  const bench = renderOnBench(<></>);
  change(bench, { marginMm: 70 });
  const problem = bench.plan().problems.find(({ code }) => code === "cannotForm")!;
  bench.unmount();
  // As the page of a piece that nobody ordered has it.
  const again = renderOnBench(<ProblemCards problems={[{ ...problem, stops: false }]} isAlert />);
  change(again, { marginMm: 70 });
  const mends = await screen.findByRole("group", { name: "What would make Quince half-moon" });
  const [first] = within(mends).getAllByRole("button");
  await again.user.click(first!);
  expect(codes(again)).not.toContain("cannotForm");
  expect(screen.getByRole("alert").textContent).toContain("leaves nothing to fill");
});
