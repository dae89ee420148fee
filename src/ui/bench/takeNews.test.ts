import { findRecord, pickRecords } from "@/schemas/recordTable";
import { createTestServer } from "./__tests__/testServer";
import { takeNews } from "./takeNews";

const table = createTestServer().read();
const [order] = pickRecords(table, "order");
const [piece] = pickRecords(table, "piece");

test("pieces and the kit stand in every day; all else keeps its identity", () => {
  const record = { ...piece!, marginMm: 17 };
  const taken = takeNews(table, [{ kind: "piece", id: record.id, record }])!;
  expect(findRecord(taken, "piece", record.id)).toBe(record);
  expect(taken.get("order")).toBe(table.get("order"));
});

test("an order comes in for a day of this screen, and leaves it for another's", () => {
  const added = { ...order!, id: "new" };
  expect(findRecord(takeNews(table, [{ kind: "order", id: "new", record: added }])!, "order", "new")).toBe(
    added,
  );
  const elsewhere = { ...order!, dayId: "day-of-nobody" };
  const moved = takeNews(table, [{ kind: "order", id: order!.id, record: elsewhere }])!;
  expect(findRecord(moved, "order", order!.id)).toBeNull();
  expect(takeNews(table, [{ kind: "order", id: "other", record: { ...elsewhere, id: "other" } }])).toBe(
    table,
  );
  expect(
    findRecord(takeNews(table, [{ kind: "order", id: order!.id, record: null }])!, "order", order!.id),
  ).toBeNull();
});

test("what only the server can place is read whole: days, the larder, the log, and a piece that is new", () => {
  for (const kind of ["day", "larder", "ahead", "weighing", "cutRecord", "lotRecord"] as const)
    expect(takeNews(table, [{ kind, id: "x", record: null }])).toBeNull();
  expect(takeNews(table, [{ kind: "piece", id: "new", record: { ...piece!, id: "new" } }])).toBeNull();
});
