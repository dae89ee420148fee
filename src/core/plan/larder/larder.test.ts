import fc from "fast-check";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { closeLarder, planDay, type DayBook, type LarderItem } from "..";
import { openLarder, takePieces } from ".";

const demo = toDayBook(listDemoRecords(), "2026-11-28", null)!;

/** The demo day with rests by the baker's minutes: where many days are planned, conduction would only take time. */
const byMinutes: DayBook = {
  ...demo,
  formulas: demo.formulas.map((formula) =>
    formula.kind === "dough" ? { ...formula, restWay: "minutes" as const } : formula,
  ),
};

const item = (fields: Partial<LarderItem>): LarderItem => ({
  id: "kept",
  kind: "dough",
  refId: "bay-shortcrust",
  massG: 0,
  count: 0,
  madeOn: "2026-11-26",
  useBy: "2026-11-30",
  fromDayId: null,
  takenByDayId: null,
  ...fields,
});
const withLarder = (...larder: LarderItem[]): DayBook => ({ ...byMinutes, larder });
const dough = (plan: ReturnType<typeof planDay>) =>
  plan.doughs.find(({ formula }) => formula.id === "bay-shortcrust")!;

test("the oldest is taken first, what is missing is mixed, and nothing past its date is planned silently", () => {
  const plan = planDay(
    withLarder(
      item({ id: "younger", massG: 5000 }),
      item({ id: "older", massG: 300, madeOn: "2026-11-24" }),
      item({ id: "gone", massG: 900, madeOn: "2026-11-20", useBy: "2026-11-27" }),
    ),
  );
  expect(dough(plan).uses.map(({ item: { id } }) => id)).toEqual(["older", "younger"]);
  expect(dough(plan).fromLarderG).toBeCloseTo(dough(plan).neededG, 9);
  expect(dough(plan).batch).toBeNull();
  expect(plan.tasks.some(({ id }) => id === "mix:bay-shortcrust")).toBe(false);
  expect(plan.problems.map(({ message }) => message)).toEqual([
    expect.stringContaining("900 g Bay shortcrust in the larder was to be used by 27 Nov"),
  ]);
});

test("frozen pieces and blanks are made less of, and more of them than ordered leaves nothing to cut", () => {
  const crescents = (plan: ReturnType<typeof planDay>) =>
    plan.lines.find(({ piece }) => piece.id === "rhubarb-crescent")!;
  const pieces = { refId: "rhubarb-crescent" } as const;
  const some = crescents(
    planDay(
      withLarder(
        item({ ...pieces, id: "a", kind: "frozenPieces", count: 12 }),
        item({ ...pieces, id: "b", kind: "blanks", count: 5 }),
      ),
    ),
  );
  expect([some.counts.made, some.counts.frozenTaken, some.counts.blanksTaken, some.counts.toFill]).toEqual([
    42, 12, 5, 30,
  ]);
  expect(some.setsCut).toBeGreaterThanOrEqual(25);
  const all = planDay(withLarder(item({ ...pieces, id: "c", kind: "frozenPieces", count: 90 })));
  expect(crescents(all)).toMatchObject({
    counts: { frozenTaken: 42, toFill: 0 },
    fillingG: 0,
    setsCut: 0,
    doughG: 0,
  });
  expect(all.tasks.some(({ id }) => id.startsWith("fill:rhubarb-crescent"))).toBe(false);
  expect(all.problems).toEqual([]);
  const everything = planDay({
    ...demo,
    larder: demo.pieces.map(({ id }) =>
      item({ id: `all-${id}`, refId: id, kind: "frozenPieces", count: 200 }),
    ),
  });
  expect([everything.doughs, everything.fillings, everything.problems]).toEqual([[], [], []]);
  expect(everything.flow.piecesG).toBeGreaterThan(0);
  expect(everything.flow.storedG + everything.flow.coatsG).toBeCloseTo(
    everything.flow.piecesG + everything.flow.waterG,
    6,
  );
});

test("closing a day moves mass and never makes any, and closing it twice changes nothing more", () => {
  fc.assert(
    fc.property(fc.integer({ min: 25, max: 6000 }), (massG) => {
      const book = withLarder(item({ massG }));
      const plan = planDay(book);
      const closed = closeLarder(plan, book);
      const sum = (items: readonly LarderItem[]) =>
        items.reduce((total, each) => total + (each.refId === "bay-shortcrust" ? each.massG : 0), 0);
      const leftG = plan.leftovers.find(({ refId }) => refId === "bay-shortcrust")?.massG ?? 0;
      expect(sum(closed)).toBeCloseTo(massG + leftG, 6);
      const again = planDay({ ...book, larder: closed });
      expect(dough(again).fromLarderG).toBeCloseTo(dough(plan).fromLarderG, 6);
      expect(closeLarder(again, { ...book, larder: closed })).toEqual(
        closed.filter(({ fromDayId }) => fromDayId === book.day.id),
      );
      // The next day finds the leftovers.
      const next = { ...book, day: { ...book.day, id: "next", date: "2026-11-29" }, larder: closed };
      const stillThere = closed.filter(({ takenByDayId }) => takenByDayId === null);
      expect(dough(planDay(next)).fromLarderG).toBeCloseTo(
        Math.min(sum(stillThere), dough(planDay(next)).neededG),
        6,
      );
    }),
    { numRuns: 12, seed: 5 },
  );
});

test("what is taken is the oldest first and never more than is wanted or there; asking takes nothing away", () => {
  const pieceId = "rhubarb-crescent";
  const kinds = ["frozenPieces", "shells", "blanks"] as const;
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          kind: fc.constantFrom(...kinds),
          count: fc.integer({ min: 1, max: 20 }),
          age: fc.nat(3),
        }),
        {
          maxLength: 8,
        },
      ),
      fc.nat(60),
      (rows, wanted) => {
        const larder = rows.map(({ kind, count, age }, i) =>
          item({ refId: pieceId, id: `i${i}`, kind, count, madeOn: `2026-11-${27 - age}` }),
        );
        const open = openLarder({ ...byMinutes, larder });
        const taken = takePieces(open, pieceId, wanted);
        expect(takePieces(open, pieceId, wanted)).toEqual(taken);
        const there = larder.reduce((sum, { count }) => sum + count, 0);
        expect(taken.frozen + taken.shells + taken.blanks).toBe(Math.min(wanted, there));
        expect(taken.uses.reduce((sum, { count }) => sum + count, 0)).toBe(Math.min(wanted, there));
        for (const kind of kinds) {
          const ages = taken.uses
            .filter(({ item: { kind: each } }) => each === kind)
            .map(({ item: { madeOn } }) => madeOn);
          expect(ages).toEqual(ages.toSorted());
        }
        for (const { item: used, count } of taken.uses) expect(count).toBeLessThanOrEqual(used.count);
      },
    ),
  );
});
