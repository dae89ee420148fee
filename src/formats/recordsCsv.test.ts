import fc from "fast-check";
import Papa from "papaparse";
import { listDemoRecords } from "@/demo";
import { NEW_ORDER_REST } from "@/core/orders";
import { toDayBook } from "@/schemas/toDayBook";
import { toLarderCsv, toOrdersCsv } from ".";
import { readOrders } from "./readOrders";

const book = toDayBook(listDemoRecords(), "2026-11-28", null)!;
const customers = [{ id: "c1", name: "Lamp room", contact: "", usualMin: 600 }];

test("orders that are written and brought back are the same orders, whoever they are for", () => {
  const order = fc.record({
    piece: fc.nat(book.pieces.length - 1),
    count: fc.integer({ min: 1, max: 500 }),
    dueMin: fc.integer({ min: 0, max: 1439 }),
    customer: fc.oneof(
      fc.constantFrom("", "Lamp room", 'Says "now", twice', "a;b, c"),
      fc.stringMatching(/^[A-Za-zşğİı ]{1,20}$/).map((name) => name.trim()),
    ),
  });
  fc.assert(
    fc.property(fc.array(order, { minLength: 1, maxLength: 8 }), (wanted) => {
      const orders = wanted.map(({ piece, ...rest }, i) => ({
        ...NEW_ORDER_REST,
        ...rest,
        ...{ id: `o${i}`, dayId: "d", pieceId: book.pieces[piece]!.id },
      }));
      let ids = 0;
      const rows = readOrders(toOrdersCsv({ ...book, orders }), {
        dayId: "d",
        pieces: book.pieces,
        customers,
        maxCount: 500,
        createId: () => `n${ids++}`,
      });
      const key = (each: { pieceId: string; count: number; dueMin: number; customer: string }) =>
        [each.pieceId, each.count, each.dueMin, each.customer].join("|");
      expect(rows.map(({ read }) => (read.ok ? key(read.value) : read.failure)).toSorted()).toEqual(
        orders.map(key).toSorted(),
      );
    }),
  );
});

test("the larder's table has what is there, what is to be used first on top, and nothing that a spreadsheet runs", () => {
  const [dough] = book.formulas;
  const item = (id: string, useBy: string, more: object = {}) => ({
    ...{ id, kind: "dough" as const, refId: dough!.id, massG: 430.4, count: 0, madeOn: "2026-11-26", useBy },
    ...{ fromDayId: null, takenByDayId: null, ...more },
  });
  const larder = [
    item("a", "2026-11-30"),
    item("b", "2026-11-29"),
    item("c", "2026-11-28", { takenByDayId: "x" }),
  ];
  const formulas = [{ ...dough!, name: "=SUM(A1)" }, ...book.formulas.slice(1)];
  const read = Papa.parse<Record<string, string>>(toLarderCsv({ ...book, larder, formulas }), {
    header: true,
  });
  expect(read.data.map((row) => row["use by"])).toEqual(["2026-11-29", "2026-11-30"]);
  expect(read.data[0]).toMatchObject({ kind: "dough", "mass g": "430", count: "", made: "2026-11-26" });
  expect(read.data[0]!.what).not.toMatch(/^=/);
  // An empty larder is a table with its heads.
  expect(toLarderCsv({ ...book, larder: [] }).trim()).toBe("what,kind,mass g,count,made,use by");
});
