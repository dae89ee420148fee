import fc from "fast-check";
import {
  applyChanges,
  applyToRecord,
  findConflict,
  invert,
  joinChanges,
  rebase,
  toChange,
  withoutFields,
} from "./change";
import type { AnyRecord } from "./recordKinds";
import { diffTables, findRecord, fromLists, pickRecords, toLists, toTable, withRecord } from "./recordTable";

const KEY = { kind: "cutter", id: "r80" } as const;
/** As JSON makes them. */
const PLAIN = { noNullPrototype: true } as const;
const cutters = fc.record(
  {
    id: fc.constant("r80"),
    name: fc.constantFrom("Round 80", "Big", "Old"),
    count: fc.integer({ min: 1, max: 3 }),
    outline: fc.record({ kind: fc.constant("disc"), diameterMm: fc.constantFrom(80, 90) }, PLAIN),
  },
  PLAIN,
);
const records = fc.option(cutters);

test("a change turns what was into what is, and its inverse turns it back", () => {
  fc.assert(
    fc.property(records, records, (before, after) => {
      const change = toChange(KEY, before, after);
      if (!change) return expect(before).toEqual(after);
      expect(applyToRecord(before, change)).toEqual(after);
      expect(applyToRecord(after, invert(change))).toEqual(before);
    }),
  );
});

test("two changes joined do what they do one after the other", () => {
  fc.assert(
    fc.property(records, records, records, (a, b, c) => {
      const [first, next] = [toChange(KEY, a, b), toChange(KEY, b, c)];
      if (!first || !next) return;
      const joined = joinChanges(first, next);
      expect(joined ? applyToRecord(a, joined) : a).toEqual(c);
      // And it knows what was there at first.
      if (joined && joined.set !== null && joined.was !== null) expect(a).toMatchObject(joined.was);
    }),
  );
});

/** By the definition: a field is in conflict if both have set it and not to the same. */
test("a conflict is a field that both sides set, to different values", () => {
  fc.assert(
    fc.property(cutters, cutters, cutters, (was, mine, theirs) => {
      const [from, here, there] = [was, mine, theirs] as unknown as AnyRecord[];
      const change = toChange(KEY, from!, here!);
      if (!change) return;
      const names = ["name", "count", "outline"] as const;
      const text = (value: unknown) => JSON.stringify(value);
      const both = names.filter(
        (name) =>
          text(mine[name]) !== text(was[name]) &&
          text(theirs[name]) !== text(was[name]) &&
          text(mine[name]) !== text(theirs[name]),
      );
      const conflict = findConflict(change, there!);
      expect([...(conflict?.fields ?? [])].sort()).toEqual([...both].sort());
      if (conflict) {
        expect(findConflict(rebase(change, there!, here!)!, there!)).toBeNull();
        const rest = withoutFields(change, conflict.fields);
        if (rest) expect(findConflict(rest, there!)).toBeNull();
      }
    }),
  );
});

test("what is gone there: a change of fields is asked about, a removal has what it wants, a new record is new", () => {
  const record = {
    id: "r80",
    name: "Round 80",
    count: 1,
    outline: { kind: "disc", diameterMm: 80 },
  } as const;
  const changed = { ...record, count: 2 };
  expect(findConflict(toChange(KEY, record, changed)!, null)).toMatchObject({
    fields: ["count"],
    theirs: null,
  });
  expect(findConflict(toChange(KEY, record, null)!, null)).toBeNull();
  expect(findConflict(toChange(KEY, null, record)!, null)).toBeNull();
  expect(rebase(toChange(KEY, record, changed)!, null, changed)).toEqual(toChange(KEY, null, changed));
});

describe("a table", () => {
  const round = { id: "r80", name: "Round 80", count: 1, outline: { kind: "disc", diameterMm: 80 } } as const;
  const oven = {
    kind: "shelf",
    record: { id: "s", name: "Rack", place: "rack", count: 1, widthMm: 1, depthMm: 1 },
  } as const;
  const table = toTable([{ kind: "cutter", record: round }, oven]);

  test("goes over as plain lists and comes back the same", () => {
    expect(fromLists(JSON.parse(JSON.stringify(toLists(table)))).get("cutter")).toEqual(table.get("cutter"));
  });

  test("keeps the identity of what does not change, so that nothing is drawn anew for nothing", () => {
    const changed = withRecord(table, KEY, { ...round, count: 2 });
    expect(pickRecords(changed, "shelf")).toBe(pickRecords(table, "shelf"));
    expect(pickRecords(changed, "cutter")).not.toBe(pickRecords(table, "cutter"));
    expect(withRecord(table, KEY, round)).toBe(table);
  });

  test("differs from another by what was put and what went", () => {
    const other = withRecord(
      withRecord(table, KEY, null),
      { kind: "cutter", id: "new" },
      { ...round, id: "new" },
    );
    const edits = diffTables(table, other);
    expect(edits.map(({ id, record }) => [id, record !== null])).toEqual([
      ["new", true],
      ["r80", false],
    ]);
    const again = edits.reduce((made, edit) => withRecord(made, edit, edit.record), table);
    expect(diffTables(again, other)).toEqual([]);
  });

  test("a change to a record that is gone leaves it gone", () => {
    const bare = withRecord(table, KEY, null);
    const change = toChange(KEY, round, { ...round, count: 3 })!;
    expect(findRecord(applyChanges(bare, [change]), "cutter", "r80")).toBeNull();
  });
});
