import {
  findIngredient,
  mergeIngredients,
  standardIngredients,
  type Allergen,
  type Ingredient,
} from "../formula";
import { groupOrders, type TakenOrder } from "../orders";
import {
  addDays,
  findAllergens,
  findFilling,
  listContents,
  listFormulaContents,
  listPieceMaterials,
  type Content,
  type DayBook,
  type DayPlan,
  type LarderItem,
  type LarderKind,
  type PiecePlan,
} from "../plan";
import { joinAllergens, listPieceAllergens, NO_FACTS, toGroupId, type AllergenFacts } from "./allergenMatrix";
import { findBakedKeepDays, findWarmUp } from "./keeping";

export const labelKinds = ["piece", "tray", "order", "larder"] as const;
/** What is labelled. */
export type LabelKind = (typeof labelKinds)[number];

/** Where it is kept until it is eaten, baked or used. */
export type KeptIn = "room" | "cold" | "freezer";

/** How one piece of what is in an order is made crisp again. */
export interface WarmUp {
  readonly name: string;
  readonly minutes: number;
  /** Null where it says nothing of the oven. */
  readonly heatC: number | null;
}

/** What a label says. Dates are local, YYYY-MM-DD; the use-by date is the last day it may be eaten or used. */
export interface Label extends AllergenFacts {
  readonly id: string;
  readonly kind: LabelKind;
  readonly title: string;
  /** Of a tray: which of how many. */
  readonly part: { readonly index: number; readonly of: number } | null;
  /** Pieces in it; 0 where it is not counted. */
  readonly count: number;
  /** When it is come for, minutes after midnight. */
  readonly dueMin: number | null;
  /** What is in it, by name and number; empty where the title says it. */
  readonly items: readonly { readonly name: string; readonly count: number }[];
  readonly larderKind: LarderKind | null;
  readonly madeOn: string;
  readonly useBy: string;
  readonly keptIn: KeptIn;
  readonly warmUps: readonly WarmUp[];
  /** The heaviest first, as weighed; empty where several kinds lie together. */
  readonly ingredients: readonly Content[];
  /** Of all that it stands on, g. */
  readonly massG: number;
  /** Usually stuck so often: once on each piece, tray, order and portion. */
  readonly copies: number;
}

type Book = Pick<DayBook, "day" | "formulas" | "ingredients" | "pieces" | "larder"> & {
  readonly orders: readonly TakenOrder[];
};

/** The labels of a day of one kind. O(pieces · lines of their formulas). */
export function listLabels(kind: LabelKind, plan: DayPlan, book: Book): Label[] {
  if (kind === "larder") return listLarderLabels(plan, book);
  const facts = listPieceAllergens(plan, book);
  const lines = plan.lines.filter(({ piece }) => facts.has(piece.id));
  const factsOf = ({ piece }: PiecePlan): AllergenFacts => facts.get(piece.id) ?? NO_FACTS;
  if (kind === "order") return listOrderLabels(lines, factsOf, book);
  return lines.flatMap((line) => {
    const label: Label = {
      ...{ id: line.piece.id, kind, title: line.piece.name, part: null, items: [], dueMin: null },
      ...{ larderKind: null, count: 1, madeOn: book.day.date },
      ...tellKeeping([line], book),
      ...factsOf(line),
      ingredients: listContents(line, book.formulas, book.ingredients),
      massG: line.shaped.masses.bakedPieceG,
      copies: line.counts.made,
    };
    return kind === "piece" ? [label] : listTrays(line, label);
  });
}

function listTrays({ loading, shaped }: PiecePlan, label: Label): Label[] {
  const trays = loading.loads.flatMap((load) => load.trays);
  return trays.map((count, index) => ({
    ...label,
    id: `${label.id}/${index}`,
    kind: "tray",
    part: { index: index + 1, of: trays.length },
    count,
    ingredients: [],
    massG: count * shaped.masses.bakedPieceG,
    copies: 1,
  }));
}

function listOrderLabels(
  lines: readonly PiecePlan[],
  factsOf: (line: PiecePlan) => AllergenFacts,
  book: Book,
): Label[] {
  const lineOf = new Map(lines.map((line) => [line.piece.id, line]));
  return groupOrders(book.orders).flatMap((group): Label[] => {
    const { customer, dueMin, orders } = group;
    const mine = orders.flatMap(({ pieceId, count }) => {
      const line = lineOf.get(pieceId);
      return line ? [{ line, count }] : [];
    });
    if (mine.length === 0) return [];
    return [
      {
        ...{ id: toGroupId(group), kind: "order", title: customer, part: null },
        ...{ larderKind: null, dueMin, madeOn: book.day.date },
        count: mine.reduce((sum, { count }) => sum + count, 0),
        items: mine.map(({ line, count }) => ({ name: line.piece.name, count })),
        ...tellKeeping(
          mine.map(({ line }) => line),
          book,
        ),
        ...joinAllergens(mine.map(({ line }) => factsOf(line))),
        ingredients: [],
        massG: mine.reduce((sum, { line, count }) => sum + count * line.shaped.masses.bakedPieceG, 0),
        copies: 1,
      },
    ];
  });
}

/** What is filled with these spoils on a warm shelf. Usual rules; local codes say more. */
const PERISHABLE_GROUPS: ReadonlySet<Ingredient["group"]> = new Set(["dairy", "egg", "meat"]);
const PERISHABLE_ALLERGENS: ReadonlySet<Allergen> = new Set(["fish", "crustaceans", "molluscs"]);
const standardIds: ReadonlySet<string> = new Set(standardIngredients.map(({ id }) => id));

/** Whether an ingredient spoils, or nobody has said what it is: its kind or its allergens are not known. */
const maySpoil = ({ id, group, allergens }: Ingredient): boolean =>
  allergens === null ||
  PERISHABLE_GROUPS.has(group) ||
  (group === "other" && !standardIds.has(id)) ||
  allergens.some((allergen) => PERISHABLE_ALLERGENS.has(allergen));

/**
 * Whether a piece is kept cold: its way says so, what lies in or on it spoils, or nobody knows what that is.
 * Dough is baked through and dry, so only its unknown ingredients count.
 */
function needsCold(line: PiecePlan, { formulas, ingredients: own }: Book): boolean {
  const { piece } = line;
  if (findBakedKeepDays(piece.way) > 0) return true;
  const book = mergeIngredients(standardIngredients, own);
  const isDoubtful = (line: Parameters<typeof findIngredient>[0]) => {
    const known = findIngredient(line, book);
    return !known || maySpoil(known);
  };
  const fillingIds = [
    piece.fillingId,
    ...piece.extras.flatMap((extra) => ("fillingId" in extra ? [extra.fillingId] : [])),
    ...piece.way.flatMap((step) => step.fillingId ?? []),
  ];
  return (
    listContents(line, formulas, own).some((content) => content.allergens === null) ||
    listPieceMaterials(line, own).some(
      (material) => (material.use === "inside" || material.use === "onTop") && isDoubtful(material),
    ) ||
    fillingIds.some((id) => {
      const filling = findFilling(id, formulas);
      return filling?.family === "custard" || filling?.lines.some(isDoubtful);
    })
  );
}

/** What lies together is kept as the one that keeps least asks. */
function tellKeeping(lines: readonly PiecePlan[], book: Book): Pick<Label, "useBy" | "keptIn" | "warmUps"> {
  const pieces = lines.map(({ piece }) => piece);
  const named = new Map(pieces.map((piece) => [piece.id, piece]));
  return {
    useBy: addDays(book.day.date, Math.min(...pieces.map(({ way }) => findBakedKeepDays(way)))),
    keptIn: lines.some((line) => needsCold(line, book)) ? "cold" : "room",
    warmUps: [...named.values()].flatMap(({ name, way }) => {
      const warmUp = findWarmUp(way);
      return warmUp ? [{ name, ...warmUp }] : [];
    }),
  };
}

/** Nothing in the book says what it is made of. */
const UNKNOWN_CONTENT: Content = { name: "what is in it", ingredientId: null, massG: 0, allergens: null };

function listLarderLabels({ shaped }: DayPlan, book: Book): Label[] {
  const { larder, formulas, pieces, ingredients: own } = book;
  const contentsOf = ({ kind, refId, massG, count }: LarderItem): Content[] => {
    if (kind === "dough" || kind === "filling") {
      const formula = formulas.find(({ id }) => id === refId);
      return formula ? listFormulaContents(formula, massG, own) : [UNKNOWN_CONTENT];
    }
    const piece = pieces.find(({ id }) => id === refId);
    const shape = shaped[refId];
    if (!piece || !shape) return [UNKNOWN_CONTENT];
    const part = kind === "frozenPieces" ? "whole" : "dough";
    return listContents({ piece, shaped: shape }, formulas, own, part).map((content) => ({
      ...content,
      massG: content.massG * count,
    }));
  };
  return larder
    .filter(({ takenByDayId }) => takenByDayId === null)
    .map((item): Label => {
      const contents = contentsOf(item);
      const { allergens: contains, unknown } = findAllergens(contents);
      const { id, kind, refId, count, madeOn, useBy } = item;
      const named = kind === "dough" || kind === "filling" ? formulas : pieces;
      return {
        ...{
          id,
          kind: "larder",
          part: null,
          dueMin: null,
          items: [],
          larderKind: kind,
          count,
          madeOn,
          useBy,
        },
        title: named.find((each) => each.id === refId)?.name ?? "",
        keptIn: kind === "frozenPieces" ? "freezer" : "cold",
        warmUps: [],
        ...{ ...NO_FACTS, contains, unknown },
        ingredients: contents,
        massG: item.massG > 0 ? item.massG : contents.reduce((sum, { massG }) => sum + massG, 0),
        copies: 1,
      };
    });
}
