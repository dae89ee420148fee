import { listThings } from "../piece";
import { createMemory } from "../../createMemory";
import { findIngredient, mergeIngredients, standardIngredients, type Ingredient } from "../../formula";
import { washFacts, type GlazeKind } from "../../sealing";
import { hasStep, isFilling, type WayStep } from "../../way";
import type { PiecePlan, Material, MaterialUse } from "../result";

/** Thin icing: icing sugar to water by mass, and syrup as it is brushed. Craft's first guesses. */
const ICING_SUGAR_SHARE = 0.84;
const SYRUP_SUGAR_SHARE = 0.5;

/** Of one piece: by what name and how much of it goes where. `pieces` of the day get it. */
interface Share {
  readonly name: string;
  readonly use: MaterialUse;
  readonly eachG: number;
  readonly count: number | null;
  readonly pieces: number;
}

/** The same, with its entry in the book; null where the book does not know it. */
export interface PieceMaterial extends Share {
  readonly ingredientId: string | null;
}

/** All that goes into or onto the day's pieces beside their doughs and fillings, each material once for each use. */
export function listMaterials(
  lines: readonly PiecePlan[],
  ownIngredients: readonly Ingredient[],
): Material[] {
  const gathered = new Map<string, Material>();
  for (const line of lines)
    for (const { name, use, eachG, count, pieces, ingredientId } of listPieceMaterials(
      line,
      ownIngredients,
    )) {
      const key = `${use}:${name.toLowerCase()}`;
      const had = gathered.get(key);
      gathered.set(key, {
        name,
        use,
        ingredientId: had ? had.ingredientId : ingredientId,
        massG: (had?.massG ?? 0) + eachG * pieces,
        count: count === null ? null : (had?.count ?? 0) + count * pieces,
        pieceIds: [...new Set([...(had?.pieceIds ?? []), line.piece.id])],
      });
    }
  return [...gathered.values()];
}

/** A kind of piece, and how many of it are filled and made. */
type MadePiece = Pick<PiecePlan, "piece" | "shaped"> & {
  readonly counts: Pick<PiecePlan["counts"], "toFill" | "made">;
};

/** What goes into or onto each piece of a kind beside its dough and fillings; nothing of what goes on none of them. */
export function listPieceMaterials(line: MadePiece, ownIngredients: readonly Ingredient[]): PieceMaterial[] {
  const book = mergeIngredients(standardIngredients, ownIngredients);
  return listShares(line)
    .filter(({ pieces, eachG, count }) => pieces > 0 && (eachG > 0 || count !== null))
    .map((share) => ({ ...share, ingredientId: findIngredientId(share.name, book, ownIngredients) }));
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
    () => findIngredient({ name, ingredientId: null }, book)?.id ?? null,
  );

/** The baker's name for what the form itself puts in, from the step that prepares it. */
const nameSolid = (way: readonly WayStep[], name: string): string =>
  way.find(({ kind, thing }) => (kind === "prepare" || kind === "laySlices") && thing !== null)?.thing
    ?.name ?? name;

function listShares(line: MadePiece): Share[] {
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
