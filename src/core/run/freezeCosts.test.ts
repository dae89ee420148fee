import { mergeIngredients, standardIngredients, type Ingredient } from "../formula";
import { planDay, type DayBook } from "../plan";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { freezeCosts } from "./freezeCosts";

const book: DayBook = toDayBook(listDemoRecords(), "2026-11-28", null)!;
const costs = (of: DayBook) => freezeCosts(planDay(of), of);
const total = ({ pieces }: ReturnType<typeof costs>) =>
  pieces.reduce((sum, { ingredientsMinor }) => sum + ingredientsMinor, 0);

test("every piece of the day has its cost and its hands; what is trimmed away is told", () => {
  const plan = planDay(book);
  const { pieces, trimG } = freezeCosts(plan, book);
  expect(pieces.map(({ pieceId }) => pieceId)).toEqual(plan.lines.map(({ piece }) => piece.id));
  for (const { ingredientsMinor, handsMin } of pieces) {
    expect(ingredientsMinor).toBeGreaterThan(0);
    expect(handsMin).toBeGreaterThan(0);
  }
  expect(trimG).toBeCloseTo(plan.flow.trimLeftG, 6);
});

test("twice the price is twice the cost; an ingredient without a price is named, and costs nothing", () => {
  const known = mergeIngredients(standardIngredients, book.ingredients);
  const withPack = (change: (pack: NonNullable<Ingredient["pack"]>) => Ingredient["pack"]): DayBook => ({
    ...book,
    ingredients: known.map((each) => ({ ...each, pack: each.pack && change(each.pack) })),
  });
  const [plain, dear] = [
    total(costs(book)),
    total(costs(withPack((pack) => ({ ...pack, priceMinor: pack.priceMinor * 2 })))),
  ];
  expect(Math.abs(dear / plain - 2)).toBeLessThan(0.01);
  const bare = costs(withPack(() => null));
  expect(total(bare)).toBe(0);
  expect(bare.unpriced.length).toBeGreaterThan(costs(book).unpriced.length);
});

test("what comes out of the larder was paid for already", () => {
  const [crust] = planDay(book).doughs;
  const tub = {
    ...{ id: "tub", kind: "dough" as const, refId: crust!.formula.id, massG: 100_000, count: 0 },
    ...{ madeOn: "2026-11-27", useBy: "2026-12-01", fromDayId: null, takenByDayId: null },
  };
  expect(total(costs({ ...book, larder: [...book.larder, tub] }))).toBeLessThan(total(costs(book)));
});

test("a piece's heat grows with its oven's power, is nothing where nobody told it, and never more than the oven can draw", () => {
  const heat = (powerKw: number) => {
    const plan = planDay({ ...book, ovens: book.ovens.map((oven) => ({ ...oven, powerKw })) });
    const fried = new Set(plan.lines.flatMap(({ piece, fries }) => (fries.length > 0 ? [piece.id] : [])));
    const kwh = freezeCosts(plan, book).pieces.reduce(
      (sum, { pieceId, heatKwh = 0 }) => sum + (fried.has(pieceId) ? 0 : heatKwh),
      0,
    );
    const bakedH = plan.tasks
      .filter(({ kind }) => kind === "bake")
      .reduce((sum, { placed }) => sum + (placed.endMin - placed.startMin) / 60, 0);
    return { kwh, bakedH };
  };
  expect(heat(0).kwh).toBe(0);
  expect(heat(8).kwh).toBeCloseTo(2 * heat(4).kwh, 9);
  expect(heat(4).kwh).toBeGreaterThan(0);
  expect(heat(4).kwh).toBeLessThanOrEqual(4 * heat(4).bakedH);
});
