import fc from "fast-check";
import { foldRun, mishaps, type RunEvent } from "@/core/run";
import { listDemoWorld } from "@/demo";
import { openDatabase } from "./openDatabase";
import { createStore } from "./store";
import { adding, MIGRATIONS, NOON, openDemo, SATURDAY, writeChanges } from "./__tests__/testStore";

const day = { id: `day-${SATURDAY}`, date: SATURDAY };
const LATER = "2026-11-28T06:00:00.000Z";
const sheetOf = (text: string) => Buffer.from(text);

test("a day is frozen as often as it is planned anew, and the newest counts", () => {
  const { runs } = openDemo();
  expect(runs.find(SATURDAY)).toBeNull();
  const first = runs.freeze(day, sheetOf("one"), NOON);
  expect(first).toMatchObject({ date: SATURDAY, edition: 1, frozenAt: NOON });
  expect(runs.freeze(day, sheetOf("two"), LATER)).toMatchObject({ id: first.id, edition: 2 });
  expect(runs.find(SATURDAY)).toEqual({
    id: first.id,
    date: SATURDAY,
    edition: 2,
    sheet: sheetOf("two"),
    frozenAt: LATER,
  });
  expect(runs.find("2026-11-29")).toBeNull();
});

const events: fc.Arbitrary<RunEvent[]> = fc
  .uniqueArray(
    fc.record({
      id: fc.nat({ max: 40 }).map((n) => `e${n}`),
      atMin: fc
        .double({ min: -60, max: 1500, noNaN: true, noDefaultInfinity: true })
        .filter((min) => !Object.is(min, -0)),
      person: fc.constantFrom(0, 1),
      deviceId: fc.constantFrom("wall", "oven"),
      rest: fc.oneof(
        fc.record({
          kind: fc.constantFrom("begun" as const, "done" as const),
          taskId: fc.constantFrom("a", "b"),
        }),
        fc.record({
          kind: fc.constant("wrong" as const),
          taskId: fc.constant("a"),
          mishap: fc.constantFrom(...mishaps),
          count: fc.integer({ min: 1, max: 9 }),
          word: fc.string(),
        }),
        fc.record({ kind: fc.constant("note" as const), taskId: fc.constant(null), word: fc.string() }),
        fc.record({ kind: fc.constant("undone" as const), eventId: fc.nat({ max: 40 }).map((n) => `e${n}`) }),
      ),
    }),
    { selector: ({ id }) => id, maxLength: 25 },
  )
  .map((list) => list.map(({ rest, ...event }) => ({ ...event, ...rest })));

test("events come back as they happened; sent again, in other parts and orders, they count once", () => {
  const store = openDemo();
  let rounds = 0;
  fc.assert(
    fc.property(events, fc.nat(25), (list, at) => {
      const run = store.runs.freeze({ id: day.id, date: `round-${rounds++}` }, sheetOf(""), NOON);
      const named = list.map((event) => ({ ...event, id: `${run.date}-${event.id}` }));
      const mark = store.runs.append(run.id, named.slice(0, at), NOON);
      const newest = store.runs.append(run.id, named.toReversed(), LATER);
      expect(store.runs.append(run.id, named, LATER)).toBe(newest);
      const { events: stored, seq } = store.runs.listEvents(run.id, 0, 100);
      expect(seq).toBe(newest);
      expect(stored).toHaveLength(named.length);
      expect(foldRun(stored)).toEqual(foldRun(named));
      // Asked in pages, with what came after a mark, nothing is missing and nothing told twice.
      const page = store.runs.listEvents(run.id, mark, 100).events;
      expect(page).toHaveLength(named.length - Math.min(at, named.length));
    }),
    { numRuns: 60 },
  );
});

test("what happened can neither be changed nor taken away, whoever asks the file", () => {
  const db = openDatabase(":memory:", MIGRATIONS);
  const store = createStore(db);
  writeChanges(store, listDemoWorld().map(adding));
  const { runs } = store;
  const run = runs.freeze(day, sheetOf(""), NOON);
  runs.append(
    run.id,
    [{ id: "e1", kind: "done", taskId: "a", atMin: 400, person: 0, deviceId: "wall" }],
    NOON,
  );
  expect(() => db.exec("UPDATE run_event SET at_min = 0")).toThrow("not changed");
  expect(() => db.exec("DELETE FROM run_event")).toThrow("not deleted");
  expect(runs.listEvents(run.id, 0, 9).events).toHaveLength(1);
});
