/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import "../bench/__tests__/workersAtHand";
import { act, screen, waitFor, within } from "@testing-library/react";
import { ComparePage } from "./ComparePage";

const PIECE = "quince-half-moon";
const variant = (name: string) => within(screen.getByRole("region", { name }));
const figure = (name: string, what: string) =>
  parseFloat(variant(name).getByText(what).nextElementSibling!.textContent);

test("variants stand beside the piece with their figures and what they are now; nothing changes until one is taken", async () => {
  const { user, store } = renderOnBench(<ComparePage pieceId={PIECE} />);
  const pieceNow = () => store.getState().book.pieces.find(({ id }) => id === PIECE)!;
  const before = pieceNow();
  await waitFor(() => expect(variant("Variant 2").getByText("filling")).toBeTruthy());
  expect(figure("Variant 2", "filling")).toBeGreaterThan(figure("As it is", "filling"));
  expect(variant("Variant 2").getByText(/^now .* g$|^now .*kg$/)).toBeTruthy();
  expect(variant("As it is").queryByText(/^now /)).toBeNull();
  const across = variant("Variant 2").getByRole("textbox", { name: "Cut across" });
  const small = figure("Variant 2", "dough, with its trim");
  await user.clear(across);
  await user.type(across, "150{Enter}");
  await waitFor(() => expect(figure("Variant 2", "dough, with its trim")).not.toBe(small));
  expect(pieceNow()).toEqual(before);
  await user.click(variant("Variant 2").getByRole("button", { name: "Make it so" }));
  expect(pieceNow().plumpness).toBeCloseTo(before.plumpness + 0.1, 9);
  expect(pieceNow().cut).not.toEqual(before.cut);
  await act(async () => store.getState().undo());
  expect(pieceNow()).toEqual(before);
});

test("three at most; one that cannot be made says why and cannot be taken", async () => {
  const { user } = renderOnBench(<ComparePage pieceId={PIECE} />);
  await user.click(screen.getByRole("button", { name: "Another variant" }));
  expect(screen.queryByRole("button", { name: "Another variant" })).toBeNull();
  const thick = variant("Variant 3").getByRole("textbox", { name: /Thickness|Rolled to/ });
  await user.clear(thick);
  await user.type(thick, "12{Enter}");
  const across = variant("Variant 3").getByRole("textbox", { name: "Cut across" });
  await user.clear(across);
  await user.type(across, "20{Enter}");
  const take = variant("Variant 3").getByRole<HTMLButtonElement>("button", { name: "Make it so" });
  await waitFor(() => expect(take.disabled).toBe(true));
});
