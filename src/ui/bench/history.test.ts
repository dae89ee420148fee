import { listDemoRecords } from "@/demo";
import { joinChanges, toChange } from "@/schemas/change";
import type { Piece } from "@/schemas/model";
import { findRecord, withRecord } from "@/schemas/recordTable";
import { NO_HISTORY, purge, remember, turnBack, turnForward } from "./history";

const KEY = { kind: "piece", id: "plum-pop" } as const;
const table = listDemoRecords();
const piece = findRecord(table, "piece", KEY.id)!;
const step = (before: Partial<Piece>, after: Partial<Piece>, atMs: number) => ({
  changes: [toChange(KEY, { ...piece, ...before }, { ...piece, ...after })!],
  atMs,
});

test("undo sets back the fields that the step touched and leaves what was changed beside them", () => {
  const history = remember(NO_HISTORY, step({ spares: 1 }, { spares: 2 }, 0), joinChanges);
  const now = withRecord(table, KEY, { ...piece, spares: 2, spacingMm: 77 });
  const turned = turnBack(history, now)!;
  expect(turned.edits).toMatchObject([{ ...KEY, record: { spares: 1, spacingMm: 77 } }]);
  expect(turnForward(turned.history, now)!.edits).toMatchObject([{ record: { spares: 2, spacingMm: 77 } }]);
  expect([turnBack(NO_HISTORY, now), turnForward(NO_HISTORY, now)]).toEqual([null, null]);
});

test("a drag that ends where it began leaves no step", () => {
  const first = remember(NO_HISTORY, step({ spares: 1 }, { spares: 2 }, 0), joinChanges);
  expect(remember(first, step({ spares: 2 }, { spares: 1 }, 100), joinChanges).past).toEqual([]);
});

test("one figure turned on is one step; another figure right after it, or a record taken out, is the next", () => {
  let history = remember(NO_HISTORY, step({ spares: 1 }, { spares: 2 }, 0), joinChanges);
  history = remember(history, step({ spares: 2 }, { spares: 3 }, 300), joinChanges);
  expect(history.past.map(({ changes }) => changes[0]!.set)).toEqual([{ spares: 3 }]);
  history = remember(history, step({ spacingMm: 20 }, { spacingMm: 30 }, 600), joinChanges);
  expect(history.past).toHaveLength(2);
  const gone = (id: string, atMs: number) => ({
    changes: [toChange({ ...KEY, id }, { ...piece, id }, null)!],
    atMs,
  });
  history = remember(history, gone("one", 700), joinChanges);
  history = remember(history, gone("other", 710), joinChanges);
  history = remember(history, { changes: [toChange(KEY, null, piece)!], atMs: 720 }, joinChanges);
  expect(history.past).toHaveLength(5);
});

test("what another hand has set takes the steps with it that would write over it, and no others", () => {
  let history = remember(NO_HISTORY, step({ spares: 1 }, { spares: 2 }, 0), joinChanges);
  history = remember(history, step({ spacingMm: 20 }, { spacingMm: 30 }, 5000), joinChanges);
  expect(purge(history, [{ ...KEY, fields: ["spares"] }]).past).toEqual(history.past.slice(1));
  expect(purge(history, [{ ...KEY, fields: ["name"] }]).past).toHaveLength(2);
  expect(purge(history, [{ ...KEY, fields: null }]).past).toEqual([]);
  expect(purge(history, [{ kind: "piece", id: "another", fields: null }]).past).toHaveLength(2);
});

test("no more than two hundred steps are kept, the latest", () => {
  let history = NO_HISTORY;
  for (let n = 0; n < 250; n++)
    history = remember(history, step({ spares: n }, { spares: n + 1 }, n * 5000), joinChanges);
  expect(history.past).toHaveLength(200);
  expect(history.past.at(-1)!.changes[0]!.set).toEqual({ spares: 250 });
});
