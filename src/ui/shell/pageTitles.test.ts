import { readdirSync } from "node:fs";
import path from "node:path";
import { findPage, pageTitles } from "./pageTitles";

/** Every folder of the routes below a day that has a page, `[id]` as `:id`. */
function listRoutes(folder: string, above = ""): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (!entry.isDirectory()) return entry.name === "page.tsx" && above !== "" ? [above] : [];
    return listRoutes(
      path.join(folder, entry.name),
      [above, entry.name.replace("[id]", ":id")].filter(Boolean).join("/"),
    );
  });
}

test("every page of a day has its name, and nothing is named that is no page", () => {
  expect(Object.keys(pageTitles).toSorted()).toEqual(listRoutes("src/app/day/[date]").toSorted());
});

test("an address names day, page and thing; the day alone is its orders, and what is no page is none", () => {
  expect(findPage("/day/2026-11-28/piece/k%C4%B1/way")).toEqual({
    date: "2026-11-28",
    id: "kı",
    key: "piece/:id/way",
  });
  expect(findPage("/day/2026-11-28")?.key).toBe("orders");
  for (const other of ["/day/2026-11-28/toString", "/run/2026-11-28", "/day/2026-11-28/orders/x", "/"])
    expect(findPage(other)).toBeNull();
});
