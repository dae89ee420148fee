import { listThings } from "../piece";
import { createMemory } from "../../createMemory";
import {
  allergens,
  matchIngredient,
  mergeIngredients,
  standardIngredients,
  type Allergen,
  type FormulaAnalysis,
  type Ingredient,
} from "../../formula";
import { washFacts, type GlazeKind } from "../../sealing";
import { hasStep, isFilling, type WayStep } from "../../way";
import type { PiecePlan, Material, MaterialUse } from "../result";

/** Thin icing: icing sugar to water by mass, and syrup as it is brushed. Craft's first guesses. */
const ICING_SUGAR_SHARE = 0.84;
const SYRUP_SUGAR_SHARE = 0.5;

/** Of one piece: by what name and how much of it goes where. */
interface Share {
  readonly name: string;
  readonly use: MaterialUse;
  readonly eachG: number;
  readonly count: number | null;
  readonly pieces: number;
}

/** All that goes into or onto the day's pieces beside their doughs and fillings, each material once for each use. */
export function listMaterials(
  lines: readonly PiecePlan[],
  ownIngredients: readonly Ingredient[],
): Material[] {
  const book = mergeIngredients(standardIngredients, ownIngredients);
  const gathered = new Map<string, Material>();
  for (const line of lines)
    for (const { name, use, eachG, count, pieces } of listShares(line)) {
      if (pieces === 0 || (eachG === 0 && count === null)) continue;
      const key = `${use}:${name.toLowerCase()}`;
      const had = gathered.get(key);
      gathered.set(key, {
        name,
        use,
        ingredientId: had ? had.ingredientId : findIngredientId(name, book, ownIngredients),
        massG: (had?.massG ?? 0) + eachG * pieces,
        count: count === null ? null : (had?.count ?? 0) + count * pieces,
        pieceIds: [...new Set([...(had?.pieceIds ?? []), line.piece.id])],
      });
    }
  return [...gathered.values()];
}

/** Names looked up: a few dozen a kitchen, each time anything of the day changes. */
const NAMES_REMEMBERED = 200;
const remember = createMemory<string | null>(NAMES_REMEMBERED);

const findIngredientId = (
  name: string,
  book: readonly Ingredient[],
  own: readonly Ingredient[],
): string | null =>
  remember(
    JSON.stringify([name, own.map(({ id, name: ownName, otherNames }) => [id, ownName, otherNames])]),
    () => matchIngredient(name, book)?.ingredient.id ?? null,
  );

/** The baker's name for what the form itself puts in, from the step that prepares it. */
const nameSolid = (way: readonly WayStep[], name: string): string =>
  way.find(({ kind, thing }) => (kind === "prepare" || kind === "laySlices") && thing !== null)?.thing
    ?.name ?? name;

function listShares(line: PiecePlan): Share[] {
  const {
    piece,
    shaped: {
      formed,
      seal,
      washed,
      masses: { glazeG, fatG },
    },
    counts: { toFill, made },
  } = line;
  const { way, form, extras, wash, glaze } = piece;
  const raw = { pieces: toFill, count: null };
  const share = (name: string, use: MaterialUse, eachG: number): Share => ({ name, use, eachG, ...raw });
  const { eggShare, whiteShare, milkShare } = washFacts[wash.kind];
  return [
    ...formed.solids.map(({ name, count, eachMl, gPerMl }) => ({
      name: nameSolid(way, name),
      use: "inside" as const,
      eachG: count * eachMl * gPerMl,
      count,
      pieces: toFill,
    })),
    ...extras.flatMap((extra) =>
      extra.kind === "inclusion" && (way.some(isFilling) || hasStep(way, "dropIn"))
        ? [
            {
              name: extra.name,
              use: "inside" as const,
              eachG: extra.count * extra.eachG,
              count: extra.count,
              pieces: toFill,
            },
          ]
        : [],
    ),
    ...listThings(way).map(({ thing, isRaw }) => ({
      name: thing.name,
      use: isRaw ? ("inside" as const) : ("onTop" as const),
      eachG: thing.count * thing.eachG,
      count: thing.count,
      pieces: isRaw ? toFill : made,
    })),
    ...(form.kind === "lidded" && form.stick
      ? [{ name: "food-grade sticks", use: "stick" as const, eachG: 0, count: 1, pieces: toFill }]
      : []),
    ...(seal && seal.glue.id !== "none"
      ? [
          share(
            seal.glue.id === "egg" ? "egg" : seal.glue.id === "white" ? "egg white" : "water",
            "glue",
            seal.glueG,
          ),
        ]
      : []),
    share("egg", "wash", washed.washG * eggShare),
    share("egg white", "wash", washed.washG * whiteShare),
    share("milk", "wash", washed.washG * milkShare),
    share("water", "wash", washed.washG * (1 - eggShare - whiteShare - milkShare)),
    ...(wash.sugar === "none"
      ? []
      : [
          {
            ...share(wash.sugar === "before" ? "sugar" : "icing sugar", "onTop", washed.sugarG),
            pieces: wash.sugar === "before" ? toFill : made,
          },
        ]),
    { name: "frying oil", use: "fat", eachG: fatG, count: null, pieces: made },
    ...listGlaze(glaze.kind, glazeG).map(({ name, massG }) => ({
      ...share(name, "glaze", massG),
      pieces: made,
    })),
  ];
}

function listGlaze(kind: GlazeKind, massG: number): { name: string; massG: number }[] {
  switch (kind) {
    case "icing":
      return [
        { name: "icing sugar", massG: massG * ICING_SUGAR_SHARE },
        { name: "water", massG: massG * (1 - ICING_SUGAR_SHARE) },
      ];
    case "syrup":
      return [
        { name: "sugar", massG: massG * SYRUP_SUGAR_SHARE },
        { name: "water", massG: massG * (1 - SYRUP_SUGAR_SHARE) },
      ];
    case "jam":
      return [{ name: "jam", massG }];
    default:
      return [];
  }
}

/** What must be named of a piece: of its formulas, and of what goes in and on. Things that the book does not know are told apart. */
export function listAllergens(
  { piece, shaped: { parts } }: PiecePlan,
  materials: readonly Material[],
  analyses: Readonly<Record<string, FormulaAnalysis>>,
  ownIngredients: readonly Ingredient[],
): { readonly allergens: readonly Allergen[]; readonly unknown: readonly string[] } {
  const book = new Map(mergeIngredients(standardIngredients, ownIngredients).map((each) => [each.id, each]));
  const formulas = [piece.doughId, ...parts.map(({ fillingId }) => fillingId)].flatMap(
    (id) => analyses[id] ?? [],
  );
  const mine = materials.filter(({ pieceIds, use }) => pieceIds.includes(piece.id) && use !== "stick");
  const known = mine.flatMap(({ ingredientId }) =>
    ingredientId === null ? [] : (book.get(ingredientId) ?? []),
  );
  const present = new Set([
    ...formulas.flatMap((analysis) => analysis.allergens),
    ...known.flatMap((ingredient) => ingredient.allergens),
  ]);
  return {
    allergens: allergens.filter((allergen) => present.has(allergen)),
    unknown: [
      ...new Set([
        ...formulas.flatMap(({ unknownLines }) => unknownLines),
        ...mine.filter(({ ingredientId }) => ingredientId === null).map(({ name }) => name),
      ]),
    ],
  };
}
