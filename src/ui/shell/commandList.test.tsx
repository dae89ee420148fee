/** @jest-environment jsdom */
import { address, renderOnBench } from "../bench/__tests__/renderOnBench";
import { act, screen } from "@testing-library/react";
import { CommandList } from "./CommandList";

beforeEach(() => {
  Element.prototype.scrollIntoView = () => undefined;
  globalThis.fetch = jest.fn((path: string) =>
    Promise.resolve({
      ok: true,
      json: () =>
        Promise.resolve({
          days: path.includes("from") ? [{ date: "2026-12-05", name: "Great market Saturday" }] : [],
        }),
    }),
  ) as unknown as typeof fetch;
});

const open = async () => {
  const onClose = jest.fn();
  const on = renderOnBench(<CommandList open onClose={onClose} />);
  await act(() => Promise.resolve());
  const field = screen.getByRole("combobox");
  return { ...on, onClose, field };
};
const type = async ({ user, field }: Awaited<ReturnType<typeof open>>, text: string) => {
  await user.clear(field);
  await user.type(field, text);
};
const first = () => screen.getAllByRole("option")[0]!.textContent;

test("the best name is first and Enter takes it: kit is the kit, whatever has it somewhere in its name", async () => {
  const on = await open();
  expect(screen.getAllByRole("option").length).toBeGreaterThan(15);
  await type(on, "kit");
  expect(first()).toMatch(/^Kit: bench/);
  await on.user.keyboard("{Enter}");
  await act(() => Promise.resolve());
  expect(address.went).toEqual(["/day/2026-11-28/kit"]);
  expect(on.onClose).toHaveBeenCalled();
});

test("days, customers, settings and things to do are found by their names; what is not there is not made up", async () => {
  const on = await open();
  const found: readonly (readonly [string, RegExp])[] = [
    ["great market", /^Great market Saturday · Sat 5 Decday$/],
    ["the hatch", /^The hatch.*customer$/],
    ["cups", /^Cups and spoonssetting$/],
    ["new order", /^New orderaction$/],
    ["day or night", /^Day or night benchaction$/],
    ["quince half", /^Quince half-moonpiece$/],
  ];
  for (const [sought, name] of found) {
    await type(on, sought);
    expect(first()).toMatch(name);
  }
  await type(on, "zzzz");
  expect(screen.queryByRole("option")).toBeNull();
  expect(screen.getByText("Nothing by that name.")).toBeTruthy();
  await type(on, "day or night");
  document.documentElement.dataset.theme = "tezgah";
  await on.user.keyboard("{Enter}");
  expect(document.documentElement.dataset.theme).toBe("tezgah-night");
});
