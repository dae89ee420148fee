import type { WorkingWindow } from "../heat";
import type { Making } from "./making";

/** One line of a formula: what was typed for the amount is kept beside its grams. */
export interface IngredientLine {
  readonly id: string;
  readonly name: string;
  readonly amountText: string;
  /** For a range, the least. */
  readonly massG: number;
  /** For a range such as `6–8 tbsp`, the most; null otherwise. */
  readonly mostG: number | null;
  /** Its entry in the ingredient book; null if the book has none. */
  readonly ingredientId: string | null;
}

interface FormulaBase {
  readonly id: string;
  readonly name: string;
  readonly lines: readonly IngredientLine[];
  /** How it is made, in order. */
  readonly steps: readonly string[];
  /** Raw, as it is rolled or spooned. */
  readonly densityGPerMl: number;
}

export const doughMethods = [
  "rubbed",
  "sweetCreamed",
  "sweetRubbed",
  "enrichedLard",
  "cheese",
  "oilAndButter",
  "roughPuff",
  "bought",
] as const;
export type DoughMethod = (typeof doughMethods)[number];

/** How far the fat is worked in: the size at which to stop. */
export const fatParticles = ["none", "sand", "seed", "pea", "coin"] as const;
export type FatParticle = (typeof fatParticles)[number];

/** Two schools of liquid: as dry as it just holds, for tenderness; or a little moist, so that it rolls uncracked. */
export const liquidSchools = ["justHolds", "littleMoist"] as const;
export type LiquidSchool = (typeof liquidSchools)[number];

/** Where the rest's minutes come from: the baker's own figure, or the conduction model. */
export const restWays = ["minutes", "fridge", "freezer", "rolledInFridge"] as const;
export type RestWay = (typeof restWays)[number];

/** What the mixed dough is divided into. */
export const dividedShapes = ["disc", "log", "ball", "brick"] as const;
export type DividedShape = (typeof dividedShapes)[number];

/** Kept for another day, cut into decorations, or thrown out. */
export const trimEnds = ["larder", "decorations", "waste"] as const;
export type TrimEnd = (typeof trimEnds)[number];

/** A sheet as it comes from the shop. */
export interface BoughtSheet {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly thicknessMm: number;
}

/** What is rolled. Shares are fractions of 1. */
export interface Dough extends FormulaBase {
  readonly kind: "dough";
  /** Hands-on minutes to mix one batch, whatever its size. */
  readonly mixMin: number;
  readonly method: DoughMethod;
  readonly fatParticle: FatParticle;
  readonly liquidSchool: LiquidSchool;
  /** Between these it rolls: below it cracks, above it smears. */
  readonly window: WorkingWindow;
  readonly restWay: RestWay;
  readonly dividedInto: DividedShape;
  /** Equal parts of the batch, as the baker divides it; null for one for each sheet that is rolled. */
  readonly dividedCount: number | null;
  /** Null unless it is bought in sheets. */
  readonly boughtSheet: BoughtSheet | null;
  /** Share of every length a blank loses as it relaxes after cutting. */
  readonly springBackShare: number;
  /** How many times the trim may be rolled again. */
  readonly rerollLimit: number;
  /** Share of the trim lost to flour, pin and bench at each re-roll. */
  readonly rerollLossShare: number;
  /** By how much more of its length a sheet draws back after each re-roll. */
  readonly rerollShrinkShare: number;
  /** What becomes of the trim that is not rolled again. */
  readonly trimEnd: TrimEnd;
  /** The cutter its decorations are cut with; null if none is chosen. */
  readonly decorationCutterId: string | null;
  /** Rest in the cold between mixing and the first rolling, where the baker gives it. */
  readonly restMin: number;
  /** Rest of the stacked trim before it is rolled again. */
  readonly rerollRestMin: number;
  /** Longest a cut blank may wait on the bench before it is filled. */
  readonly benchLimitMin: number;
  /** Days it keeps in the fridge. */
  readonly keepsDays: number;
}

export const fillingFamilies = ["filling", "custard", "wash", "syrup", "glaze"] as const;
export type FillingFamily = (typeof fillingFamilies)[number];

export const wetnesses = ["dry", "moist", "wet"] as const;
/** How a filling behaves in the heat: it holds its water, gives some, or boils. */
export type Wetness = (typeof wetnesses)[number];

export const fillingMeasures = ["spoon", "scoop", "bag", "jug"] as const;
/** What it is portioned with. */
export type FillingMeasure = (typeof fillingMeasures)[number];

export const tartnesses = ["sweet", "mild", "tart", "sharp"] as const;
export type Tartness = (typeof tartnesses)[number];

/** One kind of fruit in a mixture. */
export interface FruitVariety {
  readonly name: string;
  /** Part of the mixture; the parts are weighed against each other. */
  readonly share: number;
  readonly tartness: Tartness;
  readonly isSoft: boolean;
}

/** Fruit that is sugared just before it is filled. */
export interface FruitFacts {
  /** Share of the bought fruit that peel, stone and core take. */
  readonly trimLossShare: number;
  readonly varieties: readonly FruitVariety[];
}

/** What goes inside, or on it. */
export interface Filling extends FormulaBase {
  readonly kind: "filling";
  readonly family: FillingFamily;
  readonly wetness: Wetness;
  /** Share of its volume that it loses in the oven. */
  readonly shrinkShare: number;
  readonly measure: FillingMeasure;
  /** Null unless it is raw fruit. */
  readonly fruit: FruitFacts | null;
  /** How it is made on the clock, to the lot that it goes into. */
  readonly making: Making;
  /** Share of the weighed ingredients that boils away or stays in the pan. */
  readonly makingLossShare: number;
  readonly keepsDays: number;
}

export type Formula = Dough | Filling;

/** Layers run one way: cuts may be turned by half a turn only, or some shrink along and some across. */
export function hasGrain({ method }: Dough): boolean {
  return method === "roughPuff" || method === "bought";
}

/** A laminated dough rises away from what it holds. */
export const doesLift = (dough: Dough): boolean => hasGrain(dough);

/** How far into the liquid's range each school aims. */
const SCHOOL_SHARE: Record<LiquidSchool, number> = { justHolds: 0.25, littleMoist: 0.75 };

/**
 * Grams of a line to aim at: as written; for a range, what it took last time, else the school's point in it.
 * @param tookG - What the range took last time, for the formula as written; null if never recorded.
 */
export function computeTargetG(formula: Formula, line: IngredientLine, tookG: number | null): number {
  if (line.mostG === null) return line.massG;
  if (tookG !== null) return tookG;
  const share = formula.kind === "dough" ? SCHOOL_SHARE[formula.liquidSchool] : SCHOOL_SHARE.justHolds;
  return line.massG + share * (line.mostG - line.massG);
}

/** The line whose amount is a range, added by degrees; null if there is none. */
export function findLiquidLine({ lines }: Formula): IngredientLine | null {
  return lines.find(({ mostG }) => mostG !== null) ?? null;
}

/** Grams weighed for the formula as written, ranges at their target. */
export function computeTotalG(formula: Formula, tookG: number | null = null): number {
  return formula.lines.reduce((sum, line) => sum + computeTargetG(formula, line, tookG), 0);
}

/** Share of the weighed mass that can be used: 1 for dough, less the making loss for a filling. */
export function computeYieldShare(formula: Formula): number {
  return formula.kind === "filling" ? 1 - formula.makingLossShare : 1;
}
