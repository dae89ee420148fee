import { fromLists, toLists } from "@/schemas/recordTable";
import { listDemoRecords } from "@/demo";
import type { Standing } from "@/schemas/change";
import type { Till } from "@/schemas/model";
import { hidePriceNews, hidePrices } from "./hidePrices";

let till: Till | null = null;
jest.mock("@/data/getStore", () => ({ getStore: () => ({ readTill: () => till }) }));

const lists = toLists(listDemoRecords());
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
