/**
 * @jest-environment jsdom
 * @own-rooms
 */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import "../bench/__tests__/workersAtHand";
import { screen, waitFor } from "@testing-library/react";
import { coolPiece, findLargestLoad, LEAST_FRYING_C } from "@/core/heat";
import { toBaked, toCooling, toFryLoad } from "@/core/plan";
import { findChillMin, findCoolMin } from "@/core/way";
import { HeatPage } from "./HeatPage";

const PIECE = "leek-triangle";
const show = () => {
  const bench = renderOnBench(<HeatPage pieceId={PIECE} />);
  const { book } = bench.store.getState();
  const piece = book.pieces.find(({ id }) => id === PIECE)!;
  const shaped = bench.plan().shaped[PIECE]!;
  return { ...bench, book, piece, shaped, baked: toBaked(piece, shaped, book, bench.plan().analyses)! };
};
const turn = async (user: ReturnType<typeof show>["user"], name: string, value: string) => {
  const dial = screen.getByRole("textbox", { name });
  await user.clear(dial);
  await user.type(dial, `${value}{Enter}`);
};
/** Minutes of a duration as it is told: 18 min, 1 h 05. */
const minutesOf = (text: string): number => {
  const [, hours, least] = /^(?:(\d+) h ?)?(\d+)?/.exec(text)!;
  return Number(hours ?? 0) * 60 + Number(least ?? 0);
};
const factOf = (label: string): string =>
  screen.getByText(label).parentElement!.textContent.replace(label, "");

test("as high as it is, a piece bakes as it is known to; higher and frozen it takes longer, in a fan oven it is set lower", async () => {
  const { user, shaped } = show();
  await screen.findByText("bake it");
  const known = minutesOf(factOf("bake it"));
  expect(known).toBeGreaterThan(5);
  await turn(user, "As high as", String(Math.round(shaped.formed.finished.heightMm * 1.5)));
  await waitFor(() => expect(minutesOf(factOf("bake it"))).toBeGreaterThan(1.3 * known));
  const high = minutesOf(factOf("bake it"));
  await turn(user, "Goes in at", "-18");
  await waitFor(() => expect(minutesOf(factOf("bake it"))).toBeGreaterThan(high));
  await user.click(screen.getByRole("radio", { name: /fan/ }));
  expect(await screen.findByText(/^set .*fan.* to$/)).toBeTruthy();
  expect(screen.getByText(/your local food code decides/)).toBeTruthy();
});

test("an oven that cannot bring the core there says so, and asks nothing absurd", async () => {
  const { user } = show();
  await screen.findByText("bake it");
  await turn(user, "Oven", "60");
  expect(await screen.findByText(/at least|is over|cannot|never|too/)).toBeTruthy();
});

test("chilling: what it takes until the fat is hard can be planned with, by one tap", async () => {
  const { user, store, piece } = show();
  await user.click(screen.getByRole("radio", { name: "Chilling" }));
  const plan = await screen.findByRole("button", { name: /^Plan with / });
  const minutes = minutesOf(plan.textContent.replace("Plan with ", ""));
  expect(minutes).not.toBe(findChillMin(piece.way));
  await user.click(plan);
  const after = store.getState().book.pieces.find(({ id }) => id === PIECE)!;
  expect(findChillMin(after.way)).toBe(minutes);
  expect(screen.queryByRole("button", { name: /^Plan with / })).toBeNull();
});

test("cooling: what the page tells is the model's, and a deep piece breaks the rule of two stages by so much", async () => {
  const { user, book, piece, shaped, baked } = show();
  await user.click(screen.getByRole("radio", { name: "Cooling" }));
  await screen.findByText("core at 60 °C after");
  const cooled = coolPiece({
    ...toCooling(baked, book),
    body: { kind: "slab", thicknessMm: Math.round(shaped.formed.finished.heightMm) },
    roomMin: findCoolMin(piece.way),
  });
  expect(minutesOf(factOf("core at 60 °C after"))).toBeCloseTo(cooled.to60Min!, -0.5);
  await turn(user, "As high as", "60");
  expect((await screen.findAllByText(/From 60 to 21 °C within 2 h: it takes \d+ min too long/)).length).toBe(
    1,
  );
});

test("in oil: the largest load is the engine's; one more than it dips too far, and says by how much", async () => {
  const { user, book, shaped, baked } = show();
  await user.click(screen.getByRole("radio", { name: "In oil" }));
  const [fryer] = book.fryers;
  const bath = { ...fryer!, roomC: book.kitchen.roomC, setC: 180 };
  const largest = findLargestLoad(bath, toFryLoad(shaped, baked, 20, 5));
  expect(factOf("largest load")).toContain(String(largest));
  await turn(user, "In at once", String(Math.min(largest + 8, 100)));
  const fault = await screen.findByText(/at once cool the oil to/);
  expect(fault.textContent).toMatch(new RegExp(`Fry at most ${largest} at once`));
  expect(Number(/to (\d+)/.exec(fault.textContent)![1])).toBeLessThanOrEqual(LEAST_FRYING_C);
  await turn(user, "In at once", String(Math.max(largest - 1, 1)));
  await waitFor(() => expect(screen.queryByText(/at once cool the oil to/)).toBeNull());
});

test("a piece that is not in the book leads back", () => {
  renderOnBench(<HeatPage pieceId="nothing" />);
  expect(screen.getByRole("link")).toBeTruthy();
});
