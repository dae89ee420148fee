import { allergens, type Allergen } from "../formula";
import { groupOrders, type OrderGroup, type TakenOrder } from "../orders";
import { listContents, tellAllergens, type DayBook, type DayPlan, type PiecePlan } from "../plan";

/** By what an allergen may come into a piece that is made without it, the nearest first. */
const contactWays = ["oil", "brush", "bench"] as const;
export type ContactWay = (typeof contactWays)[number];

/** An allergen that a piece is made without, and may touch. */
export interface Contact {
  readonly allergen: Allergen;
  readonly through: ContactWay;
  /** Pieces of the day that it comes from. */
  readonly fromIds: readonly string[];
}

/** What must be named of a piece, an order or a day. An allergen is in one of both lists at most. */
export interface AllergenFacts {
  readonly contains: readonly Allergen[];
  readonly contacts: readonly Contact[];
  /** Names that the ingredient book does not know: nobody knows their allergens. */
  readonly unknown: readonly string[];
}

/** What of a plan is asked: its pieces, and which fryer each is in. */
type Planned = Pick<DayPlan, "lines" | "tasks">;
type Book = Pick<DayBook, "formulas" | "ingredients">;

/**
 * By piece: what it is made with, and what it may touch on this day. Pieces in one fryer share its oil, whatever went in
 * first: oil is kept. Those that are glued or washed share bowl and brush; all that are made share bench and pin.
 */
export function listPieceAllergens(plan: Planned, book: Book): Map<string, AllergenFacts> {
  const lines = plan.lines.filter(({ counts }) => counts.made > 0);
  const told = new Map(
    lines.map((line) => [line.piece.id, tellAllergens(listContents(line, book.formulas, book.ingredients))]),
  );
  const shares: Record<ContactWay, (one: PiecePlan, other: PiecePlan) => boolean> = {
    oil: (one, other) => shareOil(one, other, plan),
    brush: (one, other) => isBrushed(one) && isBrushed(other),
    bench: () => true,
  };
  return new Map(
    lines.map((line) => {
      const { allergens: contains, unknown } = told.get(line.piece.id) ?? { allergens: [], unknown: [] };
      const contacts = allergens.flatMap((allergen): Contact[] => {
        if (contains.includes(allergen)) return [];
        const sources = lines.filter(({ piece }) => told.get(piece.id)?.allergens.includes(allergen));
        const through = contactWays.find((way) => sources.some((source) => shares[way](line, source)));
        if (!through) return [];
        const near = sources.filter((source) => shares[through](line, source));
        return [{ allergen, through, fromIds: near.map(({ piece }) => piece.id) }];
      });
      return [line.piece.id, { contains, contacts, unknown }];
    }),
  );
}

const isBrushed = ({ piece, shaped }: PiecePlan): boolean =>
  piece.wash.kind !== "none" || (shaped.seal !== null && shaped.seal.glue.id !== "none");

function shareOil(one: PiecePlan, other: PiecePlan, { tasks }: Planned): boolean {
  if (one.fries.length === 0 || other.fries.length === 0) return false;
  const fryersOf = ({ piece }: PiecePlan) =>
    tasks.flatMap(({ kind, pieceId, machineId }) =>
      kind === "fry" && pieceId === piece.id && machineId !== null ? [machineId] : [],
    );
  const [mine, theirs] = [fryersOf(one), fryersOf(other)];
  // Nothing is on the clock yet: any fryer may take both.
  return mine.length === 0 || theirs.length === 0 || mine.some((id) => theirs.includes(id));
}

/** Several pieces taken together, as in an order: what any contains, all do; the nearest contact of each allergen. */
export function joinAllergens(all: readonly AllergenFacts[]): AllergenFacts {
  const contains = allergens.filter((allergen) => all.some((facts) => facts.contains.includes(allergen)));
  const contacts = allergens.flatMap((allergen): Contact[] => {
    if (contains.includes(allergen)) return [];
    const mine = all.flatMap((facts) => facts.contacts.filter((contact) => contact.allergen === allergen));
    const through = contactWays.find((way) => mine.some((contact) => contact.through === way));
    if (!through) return [];
    const near = mine.filter((contact) => contact.through === through);
    return [{ allergen, through, fromIds: [...new Set(near.flatMap(({ fromIds }) => fromIds))] }];
  });
  return { contains, contacts, unknown: [...new Set(all.flatMap(({ unknown }) => unknown))] };
}

/** What one customer comes for at one time, as an id. */
export const toGroupId = ({ customer, customerId, dueMin }: OrderGroup): string =>
  `${dueMin}/${customerId ?? customer}`;

/** One row of the day's table of allergens. */
export interface AllergenRow extends AllergenFacts {
  readonly id: string;
  readonly of: "piece" | "order" | "day";
  readonly name: string;
  /** When an order is come for, minutes after midnight; null otherwise. */
  readonly dueMin: number | null;
}

/** The day's pieces, then what each customer comes for, then all of it. */
export function listAllergenRows(
  plan: Planned,
  book: Book & { readonly orders: readonly TakenOrder[] },
): AllergenRow[] {
  const byPiece = listPieceAllergens(plan, book);
  const ofPieces = plan.lines.flatMap(({ piece }): AllergenRow[] => {
    const facts = byPiece.get(piece.id);
    return facts ? [{ id: piece.id, of: "piece", name: piece.name, dueMin: null, ...facts }] : [];
  });
  const ofOrders = groupOrders(book.orders).map((group): AllergenRow => {
    const { customer, dueMin, orders } = group;
    const facts = joinAllergens(orders.flatMap(({ pieceId }) => byPiece.get(pieceId) ?? []));
    return { id: toGroupId(group), of: "order", name: customer, dueMin, ...facts };
  });
  const all = joinAllergens([...byPiece.values()]);
  return [...ofPieces, ...ofOrders, { id: "day", of: "day", name: "All of the day", dueMin: null, ...all }];
}

/** What an allergen comes into a row by, in names: its ingredients, or the pieces that it shares something with. */
export function listAllergenSources(
  { lines }: Planned,
  { formulas, ingredients, orders }: Book & { readonly orders: readonly TakenOrder[] },
  row: AllergenRow,
  allergen: Allergen,
): string[] {
  const contact = row.contacts.find((each) => each.allergen === allergen);
  if (contact) return lines.flatMap(({ piece }) => (contact.fromIds.includes(piece.id) ? [piece.name] : []));
  const group = row.of === "order" ? groupOrders(orders).find((each) => toGroupId(each) === row.id) : null;
  const isOf = (pieceId: string): boolean =>
    row.of === "day" ||
    row.id === pieceId ||
    (group?.orders.some((order) => order.pieceId === pieceId) ?? false);
  const isOnePiece = row.of === "piece";
  return lines.flatMap((line) => {
    if (!isOf(line.piece.id)) return [];
    const names = listContents(line, formulas, ingredients).flatMap((content) =>
      content.allergens.includes(allergen) ? [content.name] : [],
    );
    if (names.length === 0) return [];
    return isOnePiece ? names : [`${line.piece.name}: ${names.join(", ")}`];
  });
}
