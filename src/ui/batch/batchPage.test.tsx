/** @jest-environment jsdom */
import { address, renderOnBench } from "../bench/__tests__/renderOnBench";
import "../bench/__tests__/workersAtHand";
import { act, screen, waitFor } from "@testing-library/react";
import { BatchPage } from "./BatchPage";

const count = () => Number(screen.getByTestId("batch-count").textContent);
const show = async () => {
  const bench = renderOnBench(<BatchPage />);
  await screen.findByTestId("batch-count");
  return bench;
};
const turn = async (user: Awaited<ReturnType<typeof show>>["user"], name: RegExp, value: string) => {
  const dial = screen.getByRole("textbox", { name });
  await user.clear(dial);
  await user.type(dial, `${value}{Enter}`);
};

test("a batch into so many: as many as are said, each the lighter the more; by weight the count follows", async () => {
  const { user } = await show();
  expect(count()).toBe(12);
  const each = () =>
    parseFloat(screen.getByText("dough each").parentElement!.textContent.replace("dough each", ""));
  const before = each();
  await turn(user, /^Into/, "16");
  await waitFor(() => expect(count()).toBe(16));
  expect(each()).toBeLessThan(before);
  await user.click(screen.getByRole("radio", { name: "by weight each" }));
  await waitFor(() => expect(Math.abs(each() - 50)).toBeLessThan(2));
  const ofFifty = count();
  await turn(user, /^Batch of /, "1400");
  await waitFor(() => expect(count()).toBeGreaterThan(ofFifty));
});

test("taken, it is one edit: the piece as it was divided, an order of so many, and the batch as it is mixed", async () => {
  const { user, store } = await show();
  const { orders, pieces, weighings } = store.getState().book;
  await user.click(screen.getByRole("button", { name: /^Make 12 pieces of it for 13:00/ }));
  const now = store.getState().book;
  const added = now.orders.filter(({ id }) => !orders.some((each) => each.id === id));
  expect(added).toMatchObject([{ count: 12, dueMin: 780, pieceId: pieces[0]!.id }]);
  expect(now.pieces.find(({ id }) => id === pieces[0]!.id)).not.toEqual(pieces[0]);
  expect(now.weighings.filter(({ mixG }) => mixG !== null).length).toBeGreaterThan(
    weighings.filter(({ mixG }) => mixG !== null).length,
  );
  expect(address.went).toEqual(["/day/2026-11-28/orders"]);
  await act(async () => store.getState().undo());
  expect(store.getState().book.orders).toEqual(orders);
  expect(store.getState().book.pieces).toEqual(pieces);
});

test("what cannot be divided so says why, and nothing can be taken", async () => {
  const { user } = await show();
  await turn(user, /^Batch of /, "60");
  await turn(user, /^Into/, "200");
  expect((await screen.findByRole("alert")).textContent.length).toBeGreaterThan(20);
  expect(screen.queryByRole("button", { name: /^Make / })).toBeNull();
});
