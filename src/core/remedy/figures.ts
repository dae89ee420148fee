/** A figure as it usually stands and how far it strays, one standard deviation. */
export interface Spread {
  readonly mean: number;
  readonly sd: number;
}

/** A figure of a lot that speaks for or against what may have caused a trouble. */
export interface FigureFacts {
  /** What it is, in a sentence: “the margin against what the crimp needs”. */
  readonly name: string;
  /** What would have to be read or noted to know it. */
  readonly ask: string;
  /** How it is told: a share as per cent, degrees, degrees above (+) or below (−) something, pieces. */
  readonly unit: "%" | "°C" | "±°C" | "";
  /** As it is in a lot in which nothing is wrong with it. */
  readonly usual: Spread;
}

/**
 * Figures that stand on record or are read from it. How a figure is spread in good lots is the craft's: what a practised
 * hand keeps to. Shares are of what was planned or is needed, so that one spread serves every piece.
 */
export const figureFacts = {
  marginShare: {
    name: "margin against what the crimp needs",
    ask: "the margin, with a ruler on the rolled blank",
    unit: "%",
    usual: { mean: 1.1, sd: 0.2 },
  },
  portionShare: {
    name: "portion against the planned one",
    ask: "every tenth portion on the scale",
    unit: "%",
    usual: { mean: 1, sd: 0.06 },
  },
  portionSpread: {
    name: "spread of the portions",
    ask: "every tenth portion on the scale",
    unit: "%",
    usual: { mean: 0.05, sd: 0.02 },
  },
  plumpness: {
    name: "how round it is filled",
    ask: "the portion against the room for it",
    unit: "%",
    usual: { mean: 0.65, sd: 0.2 },
  },
  doughOffC: {
    name: "dough core against its window",
    ask: "the dough's core, with a probe as it is rolled",
    unit: "±°C",
    usual: { mean: -0.5, sd: 1.5 },
  },
  restShare: {
    name: "rest against what the dough needs",
    ask: "when the dough was put away and when it was rolled",
    unit: "%",
    usual: { mean: 1.1, sd: 0.2 },
  },
  chillShare: {
    name: "chill of the shaped piece against the planned one",
    ask: "when it went into the cold and when it left it",
    unit: "%",
    usual: { mean: 1.05, sd: 0.15 },
  },
  thicknessShare: {
    name: "thickness rolled against the planned one",
    ask: "the rolled dough, with a calliper at the four corners",
    unit: "%",
    usual: { mean: 1, sd: 0.07 },
  },
  rerollShare: {
    name: "share that comes from re-rolled dough",
    ask: "which trays were of re-rolled dough",
    unit: "%",
    usual: { mean: 0.15, sd: 0.15 },
  },
  benchShare: {
    name: "wait on the bench against what the dough bears",
    ask: "when it was shaped and when it went on",
    unit: "%",
    usual: { mean: 0.4, sd: 0.25 },
  },
  ovenOffC: {
    name: "oven against its setting",
    ask: "the oven, with a probe beside the tray",
    unit: "±°C",
    usual: { mean: 0, sd: 6 },
  },
  bakeShare: {
    name: "minutes in the heat against the planned ones",
    ask: "when it went in and when it came out",
    unit: "%",
    usual: { mean: 1, sd: 0.07 },
  },
  oilOffC: {
    name: "oil against its setting as the basket goes in",
    ask: "the oil, with a probe before each basket",
    unit: "±°C",
    usual: { mean: 0, sd: 4 },
  },
  loadShare: {
    name: "load against the most that the heat bears",
    ask: "pieces in the basket or on the tray",
    unit: "%",
    usual: { mean: 0.85, sd: 0.12 },
  },
  oilLoads: {
    name: "baskets since the oil was changed",
    ask: "how many baskets the oil has seen",
    unit: "",
    usual: { mean: 12, sd: 8 },
  },
  coreOffC: {
    name: "core against its mark at the end",
    ask: "the core, with a probe in the last piece",
    unit: "±°C",
    usual: { mean: 0, sd: 1.5 },
  },
  fillingC: {
    name: "filling as it is filled",
    ask: "the filling, with a probe before the first piece",
    unit: "°C",
    usual: { mean: 14, sd: 5 },
  },
  waterShare: {
    name: "weight of the filling made against the planned one",
    ask: "the pan on the scale after cooking",
    unit: "%",
    usual: { mean: 1, sd: 0.04 },
  },
  ventShare: {
    name: "vents against what the filling wants",
    ask: "how many vents were cut",
    unit: "%",
    usual: { mean: 1, sd: 0.15 },
  },
  washCoats: {
    name: "coats of wash",
    ask: "how often it was brushed",
    unit: "",
    usual: { mean: 1.2, sd: 0.4 },
  },
} as const satisfies Readonly<Record<string, FigureFacts>>;

export type FigureId = keyof typeof figureFacts;
export const figureIds = Object.keys(figureFacts) as FigureId[];

/** What is on record of a lot; what nobody read or noted is not in it. */
export type LotFigures = Readonly<Partial<Record<FigureId, number>>>;
