import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { toChange } from "@/schemas/change";
import { pickRecords } from "@/schemas/recordTable";
import {
  NOON,
  openDemo,
  openStore,
  readRecord,
  readTable,
  SATURDAY,
  setFields,
  writeChanges,
} from "./__tests__/testStore";

const HALF = "quince-half-moon";

test("what was written since is told once a record, as it stands now", () => {
  const store = openDemo();
  const { revision } = store.feed.readMark();
  expect(store.feed.listSince(revision)).toEqual({ revision, standing: [] });
  setFields(store, "piece", HALF, { marginMm: 15 });
  setFields(store, "piece", HALF, { marginMm: 16, spares: 3 });
  setFields(store, "order", "order-4", { count: 30 });
  const news = store.feed.listSince(revision);
  expect(news.revision).toBe(revision + 3);
  expect(news.standing).toEqual([
    { kind: "piece", id: HALF, record: readRecord(store, "piece", HALF) },
    { kind: "order", id: "order-4", record: readRecord(store, "order", "order-4") },
  ]);
  expect(news.standing![0]!.record).toMatchObject({ marginMm: 16, spares: 3 });
  // Who has heard the first of them hears the rest.
  expect(store.feed.listSince(revision + 2).standing!.map(({ id }) => id)).toEqual(["order-4"]);
});

test("an order that is gone is told as gone; a group that was refused or came twice is no news", () => {
  const store = openDemo();
  const { revision } = store.feed.readMark();
  const order = readRecord(store, "order", "order-4")!;
  const change = toChange({ kind: "order", id: order.id }, order, null)!;
  const group = { id: "once", changes: [change] };
  store.applyGroups([group], NOON);
  store.applyGroups([group], NOON);
  expect(setFields(store, "piece", HALF, { name: "" }).kind).toBe("refused");
  expect(store.feed.listSince(revision)).toEqual({
    revision: revision + 1,
    standing: [{ kind: "order", id: "order-4", record: null }],
  });
});

test("where only the day's own reading can tell, or too much was missed, it is to be read whole", () => {
  const store = openDemo();
  const stands = readRecord(store, "standing", "kiosk-moons")!;
  writeChanges(store, [toChange({ kind: "standing", id: stands.id }, stands, null)!]);
  const { revision } = store.feed.readMark();
  store.raiseRevision("habits", NOON);
  expect(store.feed.listSince(revision)).toEqual({ revision: revision + 1, standing: null });
  const piece = readRecord(store, "piece", HALF)!;
  writeChanges(store, [toChange({ kind: "piece", id: HALF }, piece, null)!]);
  expect(store.feed.listSince(revision + 1).standing).toBeNull();
  for (let i = 0; i < 201; i++) setFields(store, "order", "order-4", { count: 100 + i });
  expect(store.feed.listSince(revision + 2).standing).toBeNull();
  expect(store.feed.listSince(revision + 3).standing).toHaveLength(1);
  // Of a group that was forgotten nobody knows what it touched.
  store.forgetGroups("2027-11-20T12:00:00.000Z");
  expect(store.feed.listSince(revision + 3).standing).toBeNull();
});

test("what another process writes is news as well, and so is what happens on a day that runs", () => {
  const folder = mkdtempSync(path.join(tmpdir(), "tezgah-feed-"));
  const file = path.join(folder, "baker.db");
  const [one, other] = [openDemo(file), openStore(file)];
  const before = one.feed.readMark();
  setFields(other, "piece", HALF, { marginMm: 15 });
  expect(one.feed.listSince(before.revision).standing).toMatchObject([{ record: { marginMm: 15 } }]);
  const day = pickRecords(readTable(other), "day").find(({ date }) => date === SATURDAY)!;
  const run = other.runs.freeze(day, new Uint8Array([1]), NOON);
  other.runs.append(
    run.id,
    [{ id: "e1", kind: "note", atMin: 300, person: 0, deviceId: "t", word: "hot", taskId: null }],
    NOON,
  );
  const after = one.feed.readMark();
  // A sheet is more than records.
  expect(one.feed.listSince(after.revision - 1)).toEqual({ revision: after.revision, standing: null });
  expect([after.revision - before.revision, after.happened - before.happened]).toEqual([2, 1]);
  one.close();
  other.close();
  rmSync(folder, { recursive: true });
});
