import fc from "fast-check";
import Papa from "papaparse";
import { formatClock } from "@/core/units";
import { leaveOutRows, readOrders, type OrderGround } from "./readOrders";

const ground: OrderGround = {
  dayId: "d",
  pieces: [
    { id: "moon", name: "Quince, half-moon" },
    { id: "pop", name: "Plum pop" },
  ],
  customers: [
    { id: "kiosk", name: "Ferry kiosk", contact: "", usualMin: 630 },
    { id: "office", name: "Harbour office", contact: "", usualMin: null },
  ],
  maxCount: 10_000,
  createId: () => "new",
};
const read = (text: string) =>
  readOrders(text, ground).map(({ row, read: each }) =>
    each.ok ? { row, ...each.value } : { row, failure: each.failure },
  );

const anyRow = fc.record({
  customer: fc.constantFrom("Ferry kiosk", "ferry KIOSK", "A passer-by", ""),
  piece: fc.constantFrom(...ground.pieces.map(({ name }) => name)),
  count: fc.integer({ min: 1, max: 10_000 }),
  dueMin: fc.integer({ min: 0, max: 1439 }),
});

test("what is written as a table comes back, however it is parted and in whatever order its head says", () => {
  fc.assert(
    fc.property(
      fc.array(anyRow, { minLength: 1, maxLength: 6 }),
      fc.constantFrom(",", ";", "\t"),
      fc.shuffledSubarray(["Customer", "Piece", "Count", "By"], { minLength: 4 }),
      (rows, delimiter, heads) => {
        const cells = rows.map(({ customer, piece, count, dueMin }) =>
          heads.map(
            (head) =>
              ({ Customer: customer, Piece: piece, Count: String(count), By: formatClock(dueMin) })[head]!,
          ),
        );
        const came = read(Papa.unparse([heads, ...cells], { delimiter }));
        expect(came).toEqual(
          rows.map(({ customer, piece, count, dueMin }, i) => {
            const isKnown = customer.toLowerCase() === "ferry kiosk";
            return expect.objectContaining({
              ...{ row: i + 2, count, dueMin, dayId: "d" },
              pieceId: ground.pieces.find(({ name }) => name === piece)!.id,
              customer: isKnown ? "Ferry kiosk" : customer,
              customerId: isKnown ? "kiosk" : null,
            });
          }),
        );
      },
    ),
  );
});

test("what is taken in goes out of the list; its head and what could not be read stay", () => {
  const text = 'by;piece;count;for\n9:00;Plum pop;2;"Lamp; room"\n9:00;Plum cake;3;"Two\nlines"\n';
  const rest = leaveOutRows(text, new Set([2]));
  expect(read(rest)).toEqual([{ row: 2, failure: expect.stringContaining("Plum cake") as string }]);
  expect(read(rest.replace("cake", "pop"))).toEqual([
    expect.objectContaining({ count: 3, dueMin: 540, customer: "Two\nlines" }),
  ]);
});

test("without a head it is customer, piece, count, time; without a time it is the customer's usual one", () => {
  expect(read("Ferry kiosk, plum pop, 12\n\nHarbour office,Plum pop,6,9:15\n")).toEqual([
    expect.objectContaining({ row: 1, pieceId: "pop", count: 12, dueMin: 630, customerId: "kiosk" }),
    expect.objectContaining({ row: 3, count: 6, dueMin: 555, customerId: "office" }),
  ]);
});

test.each([
  ["Ferry kiosk,Plum cake,12,9:00", "called “Plum cake”"],
  ["Ferry kiosk,,12,9:00", "no piece"],
  ["Ferry kiosk,Plum pop,0,9:00", "from 1 to 10000"],
  ["Ferry kiosk,Plum pop,1.5,9:00", "whole number"],
  ["Ferry kiosk,Plum pop,-3,9:00", "Plum pop"],
  ["Ferry kiosk,Plum pop,many,9:00", "Plum pop"],
  ["Ferry kiosk,Plum pop,12,25:00", "Plum pop"],
  ["Harbour office,Plum pop,12", "no usual one"],
])("%s is refused by itself", (text, why) => {
  const rows = read(`Ferry kiosk,Plum pop,1,8:00\n${text}`);
  expect(rows[0]).toMatchObject({ count: 1 });
  expect(rows[1]).toMatchObject({ row: 2, failure: expect.stringContaining(why) as string });
});
