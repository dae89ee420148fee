import { allergens, type Allergen } from "../formula";
import { groupOrders, type OrderGroup, type TakenOrder } from "../orders";
import {
  countUnknownLoads,
  findAllergens,
  listContents,
  type DayBook,
  type DayPlan,
  type Fryer,
  type PiecePlan,
} from "../plan";

/** By what an allergen may come into a piece that is made without it, the nearest first. */
const contactWays = ["oil", "brush", "bench"] as const;
export type ContactWay = (typeof contactWays)[number];

/** An allergen that a piece is made without, and may touch. */
export interface Contact {
  readonly allergen: Allergen;
  readonly through: ContactWay;
  /** Pieces of the day that it comes from. */
  readonly fromIds: readonly string[];
  /** Pieces that the oil fried on earlier days, by name. */
  readonly fromEarlier: readonly string[];
}

/** Something that a piece may touch and whose allergens nobody knows. */
export interface UnknownContact {
  readonly through: ContactWay;
  /** Ingredients. */
  readonly names: readonly string[];
  /** Loads that the oil fried and no run recorded. */
  readonly loads: number;
}

/** What must be named of a piece, an order or a day. An allergen is in one of the first two lists at most. */
export interface AllergenFacts {
  readonly contains: readonly Allergen[];
  readonly contacts: readonly Contact[];
  /** Ingredients whose allergens nobody knows. */
  readonly unknown: readonly string[];
  /** The nearest way of each kind at most once. */
  readonly unknownContacts: readonly UnknownContact[];
}

/** Facts of a piece of which nothing is said. */
export const NO_FACTS: AllergenFacts = { contains: [], contacts: [], unknown: [], unknownContacts: [] };

/** Whether anything is in it, or may have touched it, whose allergens nobody knows. */
export const isIncomplete = ({ unknown, unknownContacts }: AllergenFacts): boolean =>
  unknown.length > 0 || unknownContacts.length > 0;

/** What of a plan is asked: its pieces, and which fryer each is in. */
type Planned = Pick<DayPlan, "lines" | "tasks">;
type Book = Pick<DayBook, "formulas" | "ingredients">;

/** Where a contact may come from: another piece of the day, or what the oil fried before. */
interface Source {
  readonly pieceId: string | null;
  readonly name: string;
  readonly allergens: readonly Allergen[];
  readonly unknown: readonly string[];
  readonly unknownLoads: number;
}

/**
 * By piece: what it is made with, and what it may touch on this day. Oil keeps what it fried since it was changed, on
 * earlier days too. Pieces that are glued or washed share bowl and brush; all that are made share bench and pin.
 */
export function listPieceAllergens(plan: Planned, book: Book): Map<string, AllergenFacts> {
  const lines = plan.lines.filter(({ counts }) => counts.made > 0);
  const made = lines.map((line) => {
    const { allergens: contains, unknown } = findAllergens(
      listContents(line, book.formulas, book.ingredients),
    );
    return { line, contains, unknown };
  });
  const toSource = ({ line: { piece }, contains, unknown }: (typeof made)[number]): Source => ({
    ...{ pieceId: piece.id, name: piece.name, allergens: contains, unknown, unknownLoads: 0 },
  });
  const shares: Record<ContactWay, (one: PiecePlan, other: PiecePlan) => boolean> = {
    oil: (one, other) => shareOil(one, other, plan),
    brush: (one, other) => isBrushed(one) && isBrushed(other),
    bench: () => true,
  };
  return new Map(
    made.map(({ line, contains, unknown }) => {
      const sourcesOf = (way: ContactWay): Source[] => [
        ...made.filter((other) => other.line !== line && shares[way](line, other.line)).map(toSource),
        ...(way === "oil" ? listEarlierLoads(line, plan) : []),
      ];
      const byWay = contactWays.map((through) => ({ through, sources: sourcesOf(through) }));
      const contacts = allergens.flatMap((allergen): Contact[] => {
        if (contains.includes(allergen)) return [];
        const holds = (source: Source) => source.allergens.includes(allergen);
        const nearest = byWay.find(({ sources }) => sources.some(holds));
        if (!nearest) return [];
        const near = nearest.sources.filter(holds);
        return [{ allergen, through: nearest.through, ...nameSources(near) }];
      });
      return [
        line.piece.id,
        { contains, contacts, unknown, unknownContacts: listUnknownContacts(byWay, unknown) },
      ];
    }),
  );
}

const nameSources = (sources: readonly Source[]): Pick<Contact, "fromIds" | "fromEarlier"> => ({
  fromIds: sources.flatMap(({ pieceId }) => pieceId ?? []),
  fromEarlier: [...new Set(sources.flatMap(({ pieceId, name }) => (pieceId === null ? [name] : [])))],
});

/** Each unknown ingredient by its nearest way, without those that the piece holds itself. */
function listUnknownContacts(
  byWay: readonly { readonly through: ContactWay; readonly sources: readonly Source[] }[],
  own: readonly string[],
): UnknownContact[] {
  const named = new Set(own);
  return byWay.flatMap(({ through, sources }) => {
    const names = [...new Set(sources.flatMap(({ unknown }) => unknown))].filter((name) => !named.has(name));
    names.forEach((name) => named.add(name));
    const loads = sources.reduce((sum, { unknownLoads }) => sum + unknownLoads, 0);
    return names.length === 0 && loads === 0 ? [] : [{ through, names, loads }];
  });
}

const isBrushed = ({ piece, shaped }: PiecePlan): boolean =>
  piece.wash.kind !== "none" || (shaped.seal !== null && shaped.seal.glue.id !== "none");

/** Fryers that a piece is planned in; any that could take it while nothing is on the clock yet. */
function findFryers({ piece, fries }: PiecePlan, { tasks }: Planned): readonly Fryer[] {
  const usedIds = tasks.flatMap(({ kind, pieceId, machineId }) =>
    kind === "fry" && pieceId === piece.id && machineId !== null ? [machineId] : [],
  );
  const all = fries.map(({ fryer }) => fryer);
  return usedIds.length === 0 ? all : all.filter(({ id }) => usedIds.includes(id));
}

function shareOil(one: PiecePlan, other: PiecePlan, plan: Planned): boolean {
  const theirs = new Set(findFryers(other, plan).map(({ id }) => id));
  return findFryers(one, plan).some(({ id }) => theirs.has(id));
}

/** What the oil of a piece's fryers has fried before the day, as far as it is recorded. */
function listEarlierLoads(line: PiecePlan, plan: Planned): Source[] {
  return findFryers(line, plan).flatMap((fryer): Source[] => {
    const recorded = fryer.fried.map(({ name, allergens: held, unknown }) => ({
      ...{ pieceId: null, name, allergens: held, unknown, unknownLoads: 0 },
    }));
    const unknownLoads = countUnknownLoads(fryer);
    if (unknownLoads === 0) return recorded;
    return [...recorded, { pieceId: null, name: fryer.name, allergens: [], unknown: [], unknownLoads }];
  });
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
    return [
      {
        ...{ allergen, through },
        fromIds: [...new Set(near.flatMap(({ fromIds }) => fromIds))],
        fromEarlier: [...new Set(near.flatMap(({ fromEarlier }) => fromEarlier))],
      },
    ];
  });
  const unknown = [...new Set(all.flatMap((facts) => facts.unknown))];
  const byWay = contactWays.map((through) => {
    const near = all.flatMap(({ unknownContacts }) =>
      unknownContacts.filter((each) => each.through === through),
    );
    return {
      through,
      sources: near.map(({ names, loads }) => ({
        ...{ pieceId: null, name: "", allergens: [], unknown: names, unknownLoads: loads },
      })),
    };
  });
  return { contains, contacts, unknown, unknownContacts: listUnknownContacts(byWay, unknown) };
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
  if (contact)
    return [
      ...lines.flatMap(({ piece }) => (contact.fromIds.includes(piece.id) ? [piece.name] : [])),
      ...contact.fromEarlier.map((name) => `${name}, on an earlier day`),
    ];
  const group = row.of === "order" ? groupOrders(orders).find((each) => toGroupId(each) === row.id) : null;
  const isOf = (pieceId: string): boolean =>
    row.of === "day" ||
    row.id === pieceId ||
    (group?.orders.some((order) => order.pieceId === pieceId) ?? false);
  const isOnePiece = row.of === "piece";
  return lines.flatMap((line) => {
    if (!isOf(line.piece.id)) return [];
    const names = listContents(line, formulas, ingredients).flatMap((content) =>
      content.allergens?.includes(allergen) ? [content.name] : [],
    );
    if (names.length === 0) return [];
    return isOnePiece ? names : [`${line.piece.name}: ${names.join(", ")}`];
  });
}
