/** @jest-environment jsdom */
import { address, renderOnBench } from "../bench/__tests__/renderOnBench";
import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { mergeIngredients, standardIngredients, type KitchenRule } from "@/core/formula";
import { readFormulaFile } from "@/formats/readFormulaFile";
import { IngredientsPage } from "./IngredientsPage";
import { PastePage } from "./PastePage";

/** What the server would read, read here; null is a server that is away. */
let isAway = false;
beforeEach(() => {
  isAway = false;
  sessionStorage.clear();
  localStorage.clear();
  globalThis.fetch = jest.fn((_: string, { body }: { body: string }) => {
    if (isAway) return Promise.reject(new TypeError("away"));
    const { text, ...measures } = JSON.parse(body) as { text: string } & Pick<
      KitchenRule,
      "system" | "eggSize"
    >;
    const rule = { ...measures, ingredients: mergeIngredients(standardIngredients, []) };
    return Promise.resolve({ ok: true, json: () => Promise.resolve(readFormulaFile(text, rule)) });
  }) as unknown as typeof fetch;
});
const paste = (text: string) =>
  fireEvent.change(screen.getByLabelText(/^A line an ingredient/), { target: { value: text } });
const put = () => screen.findByRole<HTMLButtonElement>("button", { name: "Put it in the book" });

test("lines are weighed as they are pasted and put in the book as one formula, whose page is opened", async () => {
  const { user, store } = renderOnBench(<PastePage />);
  paste("250 g flour\n100 g butter\n2 egg yolks");
  const button = await put();
  expect(screen.getByText("Every line is sure.")).toBeTruthy();
  const known = new Set(store.getState().book.formulas.map(({ id }) => id));
  await user.click(button);
  const [added] = store.getState().book.formulas.filter(({ id }) => !known.has(id));
  expect(added!.kind).toBe("dough");
  expect(added!.lines.map(({ massG }) => massG).slice(0, 2)).toEqual([250, 100]);
  expect(added!.lines[2]!.massG).toBeGreaterThan(25);
  expect(address.went.at(-1)).toBe(`/day/2026-11-28/formula/${added!.id}`);
});

test("what cannot be weighed is asked, by name; grams given by hand answer it, nonsense does not", async () => {
  const { user } = renderOnBench(<PastePage />);
  paste("250 g flour\na good handful of moonberries");
  expect((await put()).disabled).toBe(true);
  expect(screen.getByText(/^Still to answer: .*moonberries/)).toBeTruthy();
  const grams = screen.getByLabelText("Grams of this line");
  await user.type(grams, "-4");
  expect((await put()).disabled).toBe(true);
  await user.clear(grams);
  await user.type(grams, "80 g");
  expect((await put()).disabled).toBe(false);
  expect(screen.getByText("330 g")).toBeTruthy();
});

test("a doubtful line is said to be right or another; denied, its grams are asked for", async () => {
  const { user } = renderOnBench(<PastePage />);
  paste("200 g flour\n3 cups of moon flour");
  await put();
  const doubtful = screen
    .getAllByRole("listitem")
    .find(({ textContent }) => textContent.includes("moon flour"))!;
  await user.click(within(doubtful).getByRole("button", { name: /^No/ }));
  expect((await put()).disabled).toBe(true);
  await user.type(within(doubtful).getByLabelText("Grams of this line"), "227");
  expect((await put()).disabled).toBe(false);
});

test("a server that is away says so and keeps the text; one that is back reads on as it is typed", async () => {
  isAway = true;
  renderOnBench(<PastePage />);
  paste("250 g flour");
  expect((await screen.findByRole("alert")).textContent).toMatch(/does not answer.*It stays here/);
  isAway = false;
  paste("250 g flour\n5 g salt");
  await put();
  expect(screen.queryByRole("alert")).toBeNull();
});

test("a text far too long is refused with by how much, without asking anybody", async () => {
  renderOnBench(<PastePage />);
  paste("a".repeat(100_123));
  expect((await screen.findByRole("alert")).textContent).toMatch(/^This is 123 characters too long/);
  expect(globalThis.fetch).not.toHaveBeenCalled();
});

const ingredient = (name: RegExp) => screen.getByRole("button", { name });
const type = async (user: ReturnType<typeof renderOnBench>["user"], label: string, text: string) => {
  const field = screen.getByLabelText(label, { exact: true });
  await user.clear(field);
  await user.type(field, `${text}{Enter}`);
};
/** Among the book's two hundred every label is looked for two hundred times. */
const find = (text: string) =>
  fireEvent.change(screen.getByLabelText(/^Find among/), { target: { value: text } });

test("an ingredient is found by any of its names, corrected as the baker's own, and put back to the book's", async () => {
  const { user, store } = renderOnBench(<IngredientsPage />);
  const own = () => store.getState().book.ingredients.find(({ id }) => id === "plain-flour");
  find("plain flour");
  expect(screen.queryByRole("button", { name: "Back to the book's figures" })).toBeNull();
  await type(user, "One piece, g", "-3");
  expect(own()).toBeUndefined();
  await type(user, "One piece, g", "12");
  expect(own()).toMatchObject({ pieceG: 12, source: "my own" });
  await user.click(screen.getByLabelText("sesame"));
  expect(own()!.allergens).toEqual(expect.arrayContaining(["gluten", "sesame"]));
  await user.click(screen.getByRole("button", { name: "Back to the book's figures" }));
  expect(own()).toBeUndefined();
  find("butter");
  await waitFor(() => expect(screen.queryByRole("button", { name: /^Plain flour/ })).toBeNull());
  expect(ingredient(/^(?:Unsalted )?[Bb]utter/)).toBeTruthy();
});

test("what the book does not know is added by its name; its shares are never more than all of it", async () => {
  const { user, store } = renderOnBench(<IngredientsPage />);
  find("moonberries");
  expect(screen.getByText("Nothing by that name: add it.")).toBeTruthy();
  await user.click(screen.getByRole("button", { name: /^Add .moonberries/ }));
  const own = () => store.getState().book.ingredients.find(({ name }) => name === "moonberries")!;
  find("moonberries");
  await type(user, "Water", "80");
  await type(user, "Sugar", "30");
  expect([own().waterShare, own().sugarShare]).toEqual([0.8, 0]);
  await user.keyboard("{Escape}");
  await type(user, "Sugar", "15");
  expect(own().sugarShare).toBe(0.15);
  await type(user, "Pack, g", "500");
  await type(user, "Its price", "2.40");
  expect(own().pack).toEqual({ massG: 500, priceMinor: 240 });
  await user.click(screen.getByRole("button", { name: "Take it out of the book" }));
  expect(own()).toBeUndefined();
});
