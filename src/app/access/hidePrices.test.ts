import { fromLists, toLists, withRecord } from "@/schemas/recordTable";
import { listDemoRecords } from "@/demo";
import type { Standing } from "@/schemas/change";
import type { Ingredient, Till } from "@/schemas/model";
import type { DaySummary, RunSheet } from "@/core/run";
import { hideDayCosts, hidePriceNews, hidePrices, hideSheetCosts } from "./hidePrices";

let till: Till | null = null;
jest.mock("@/data/getStore", () => ({ getStore: () => ({ readTill: () => till }) }));

const fog: Ingredient = {
  ...{ id: "fog", name: "fog", otherNames: [], group: "other", densities: [], pieceG: null, source: "" },
  ...{ waterShare: 1, fatShare: 0, sugarShare: 0, starchShare: 0, allergens: [] },
  pack: { massG: 100, priceMinor: 250 },
};
const lists = toLists(withRecord(listDemoRecords(), { kind: "ingredient", id: "fog" }, fog));
const told: Till = { id: "till", hourMinor: 1600, kwhMinor: 30, hidesFromBench: false };
const news = (...kinds: readonly ("price" | "till" | "piece")[]): Standing[] =>
  kinds.map((kind) => ({ kind, id: "x", record: null }));

test("prices go to everybody until the owner hides them, then to all but the bench", () => {
  for (const now of [null, told]) {
    till = now;
    for (const role of ["owner", "bench", "shop"] as const) expect(hidePrices(lists, role)).toBe(lists);
  }
  till = { ...told, hidesFromBench: true };
  for (const role of ["owner", "shop"] as const) expect(hidePrices(lists, role)).toBe(lists);
  const hidden = fromLists(hidePrices(lists, "bench"));
  expect(hidden.get("price")!.size).toBe(0);
  expect([...hidden.get("till")!.values()]).toEqual([{ ...told, hourMinor: 0, kwhMinor: 0 }]);
  expect([...hidden.get("ingredient")!.values()].every((each) => (each as Ingredient).pack === null)).toBe(
    true,
  );
  // Nothing else is missing: the bench works from the same day.
  expect(hidden.get("piece")).toEqual(fromLists(lists).get("piece"));
});

test("news of a price does not reach the bench once it is hidden, and hiding it makes the bench read its day anew", () => {
  till = { ...told, hidesFromBench: true };
  expect(hidePriceNews(news("price", "piece"), "bench")).toEqual(news("piece"));
  expect(hidePriceNews(news("price", "till"), "bench")).toBeNull();
  expect(hidePriceNews(news("piece"), "bench")).toEqual(news("piece"));
  expect(hidePriceNews(news("price"), "shop")).toEqual(news("price"));
  expect(hidePriceNews(null, "bench")).toBeNull();
});

test("what ingredients and packs cost goes with the prices: in news, in a run's sheet, in the book of days", () => {
  const sheet = {
    costs: { pieces: [{ pieceId: "a", ingredientsMinor: 70, handsMin: 3 }], unpriced: [], trimG: 0 },
  };
  const days = [
    { date: "2026-11-21", pieces: [{ pieceId: "a", ingredientsMinor: 70 }] },
  ] as unknown as DaySummary[];
  const packNews = [{ kind: "ingredient" as const, id: "fog", record: fog }];
  const tell = (role: "owner" | "bench") =>
    JSON.stringify([
      hideSheetCosts(sheet as Pick<RunSheet, "costs">, role),
      hideDayCosts(days, role),
      hidePriceNews(packNews, role),
    ]);
  till = { ...told, hidesFromBench: true };
  expect(tell("bench")).not.toMatch(/70|250/);
  expect(tell("owner")).toMatch(/70.*70.*250/);
  till = told;
  expect(tell("bench")).toBe(tell("owner"));
});
