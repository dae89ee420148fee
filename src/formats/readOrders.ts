import Papa from "papaparse";
import { findCustomer, NEW_ORDER_REST, type Customer, type TakenOrder } from "@/core/orders";
import { fail, ok, type Result } from "@/core/result";
import { parseClock, parseNumber } from "@/core/units";
import { sayParseFailure } from "@/core/words";

/** What a list of orders is read against. */
export interface OrderGround {
  readonly dayId: string;
  readonly pieces: readonly { readonly id: string; readonly name: string }[];
  readonly customers: readonly Customer[];
  /** Most pieces of one order. */
  readonly maxCount: number;
  readonly createId: () => string;
}

/** One row of a list: an order, or why it is none. */
export interface OrderRow {
  /** As its sender counts, from 1, the head included. */
  readonly row: number;
  readonly read: Result<TakenOrder, string>;
}

const columns = ["customer", "piece", "count", "time"] as const;
type Column = (typeof columns)[number];

/** Words that heads of lists use, in small letters. */
const heads: Readonly<Record<string, Column>> = {
  ...{ customer: "customer", name: "customer", for: "customer", who: "customer" },
  ...{ piece: "piece", what: "piece", of: "piece", item: "piece" },
  ...{ count: "count", pieces: "count", "how many": "count", quantity: "count" },
  ...{ time: "time", by: "time", due: "time", when: "time" },
};

/**
 * A list of orders as it is pasted from a table or a letter: customer, piece, count and time, in this order or as its
 * head says; commas, semicolons or tabulators between them. A row without a time is for when its customer usually comes.
 */
export function readOrders(text: string, ground: OrderGround): OrderRow[] {
  const data = readCells(text);
  const [first = []] = data;
  const named = first.map((head) => heads[head.trim().toLowerCase()]);
  const hasHead = named.filter((column) => column !== undefined).length >= 2;
  const order: readonly (Column | undefined)[] = hasHead ? named : columns;
  return data.flatMap((cells, i) => {
    if ((hasHead && i === 0) || cells.every((cell) => cell.trim() === "")) return [];
    const cellOf = (column: Column) => cells[order.indexOf(column)]?.trim() ?? "";
    return [{ row: i + 1, read: readRow(cellOf, ground) }];
  });
}

/** The list without some of its rows, as a table again: what could not be read stays to be mended. */
export const leaveOutRows = (text: string, rows: ReadonlySet<number>): string =>
  Papa.unparse(readCells(text).filter((_, i) => !rows.has(i + 1)));

const readCells = (text: string): string[][] => Papa.parse<string[]>(text.replace(/^\uFEFF/, "").trim()).data;

function readRow(cellOf: (column: Column) => string, ground: OrderGround): Result<TakenOrder, string> {
  const wanted = cellOf("piece").toLowerCase();
  const piece = ground.pieces.find(({ name }) => name.toLowerCase() === wanted);
  if (!piece)
    return fail(
      wanted === ""
        ? "It says no piece. Write customer, piece, count, time."
        : `No piece of the book is called “${cellOf("piece")}”. Write its name as in the book.`,
    );
  const count = parseNumber(cellOf("count"));
  if (!count.ok) return fail(`${piece.name}: ${sayParseFailure(count.failure)}`);
  if (!Number.isInteger(count.value) || count.value < 1 || count.value > ground.maxCount)
    return fail(
      `${piece.name}: ${cellOf("count")} pieces cannot be. Use a whole number from 1 to ${ground.maxCount}.`,
    );
  const name = cellOf("customer");
  const customer = findCustomer(ground.customers, name);
  const due = readDue(cellOf("time"), customer);
  if (!due.ok) return fail(`${piece.name}: ${due.failure}`);
  return ok({
    ...NEW_ORDER_REST,
    ...{ id: ground.createId(), dayId: ground.dayId, pieceId: piece.id, count: count.value },
    dueMin: due.value,
    customer: customer?.name ?? name,
    customerId: customer?.id ?? null,
  });
}

function readDue(text: string, customer: Customer | undefined): Result<number, string> {
  if (text !== "") {
    const parsed = parseClock(text);
    return parsed.ok ? parsed : fail(sayParseFailure(parsed.failure));
  }
  const usual = customer?.usualMin ?? null;
  return usual === null
    ? fail("It says no time, and its customer has no usual one. Write when it is for.")
    : ok(usual);
}
