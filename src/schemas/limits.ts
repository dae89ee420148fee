import type { Measure } from "@/core/run";

/** What a field accepts. Shared by dials, forms, actions and routes, so that all refuse the same. */
export interface Limit {
  readonly label: string;
  /** Shown after the figure; empty for a plain count. */
  readonly unit: string;
  readonly min: number;
  readonly max: number;
  readonly step: number;
}

const limit = (label: string, unit: string, min: number, max: number, step: number): Limit => ({
  label,
  unit,
  min,
  max,
  step,
});

/** Smallest and largest cut: a leaf for a lid, and what a bench still rolls. */
const cutMm = (label: string) => limit(label, "mm", 10, 600, 1);

export const pieceLimits = {
  diameterMm: cutMm("Cutter"),
  sideMm: cutMm("Square"),
  widthMm: cutMm("Width"),
  heightMm: cutMm("Height"),
  thicknessMm: limit("Rolled to", "mm", 1, 12, 0.5),
  marginMm: limit("Clean margin", "mm", 3, 60, 1),
  plumpness: limit("Plumpness", "", 0.05, 1, 0.05),
  portionG: limit("Each gets", "g", 0.5, 2000, 1),
  webMm: limit("Between cuts", "mm", 0, 100, 1),
  raggedMm: limit("Ragged edge", "mm", 0, 200, 1),
  spares: limit("Spare pieces", "", 0, 500, 1),
  chillMin: limit("Chill before baking", "min", 0, 1440, 5),
  ovenC: limit("Oven", "°C", 100, 300, 5),
  bakeMin: limit("Bake", "min", 3, 180, 1),
  bakeLossShare: limit("Lost in the oven", "", 0, 0.5, 0.01),
  spacingMm: limit("Gap on the tray", "mm", 5, 100, 5),
  coolMin: limit("Cool", "min", 0, 720, 5),
  unmouldFromMin: limit("Out of the mould, not before", "min", 0, 720, 1),
  unmouldUntilMin: limit("Out of the mould, not after", "min", 1, 1440, 1),
  moreMin: limit("Not yet: more", "min", 1, 30, 1),
  atMost: limit("At most so often", "", 0, 5, 1),
  glazeDryMin: limit("Glaze dries", "min", 0, 240, 5),
  topOversizeMm: limit("Top larger by", "mm", -20, 100, 0.5),
  holeMm: limit("Centre", "mm", 10, 580, 1),
  sliceMm: limit("Slices across", "mm", 10, 120, 1),
  sliceThicknessMm: limit("Slices thick", "mm", 0.5, 10, 0.5),
  overlapShare: limit("Overlap of slices", "", 0, 0.9, 0.05),
  cavityMm: limit("Cavity across", "mm", 20, 200, 1),
  spreadMm: limit("Spread thick", "mm", 1, 80, 1),
  servings: limit("Cut into", "", 2, 24, 1),
  stickLengthMm: limit("Stick, long", "mm", 40, 300, 5),
  stickThicknessMm: limit("Stick, thick", "mm", 1, 12, 0.5),
  fruitMm: limit("Fruit across", "mm", 20, 150, 1),
  fruitHeightMm: limit("Fruit high, trimmed", "mm", 20, 200, 1),
  footMm: limit("Flat below", "mm", 0, 120, 1),
  coreMm: limit("Core across", "mm", 5, 60, 1),
  overlapMm: limit("Corners overlap", "mm", 0, 60, 1),
  finishedMm: limit("Rolled to, across", "mm", 30, 250, 1),
  finishedHighMm: limit("… and high", "mm", 8, 60, 0.5),
  heapMm: limit("Guide ring", "mm", 20, 200, 1),
  logMm: limit("Log across", "mm", 20, 150, 1),
  stacked: limit("Sheets stacked", "", 1, 8, 1),
  sheetMm: limit("Each sheet thick", "mm", 1, 12, 0.5),
  pressMm: limit("Press across", "mm", 40, 250, 1),
  ventCount: limit("Vents", "", 0, 24, 1),
  washCoats: limit("Coats", "", 1, 2, 1),
} as const;

/** A batch that is divided into pieces. */
export const batchLimits = {
  doughG: limit("Batch", "g", 10, 100_000, 10),
  pieces: limit("Into", "", 1, 5000, 1),
  eachG: limit("Dough each", "g", 1, 5000, 1),
  each: limit("In a set", "", 1, 12, 1),
} as const;

/** What a piece holds beside its main filling. */
export const extraLimits = {
  heightMm: limit("Layer high", "mm", 0.5, 80, 0.5),
  share: limit("Share", "", 0.05, 0.95, 0.05),
  sauceG: limit("Each piece", "g", 1, 500, 1),
  perPan: limit("Pieces in a pan", "", 1, 60, 1),
  count: limit("In each piece", "", 1, 40, 1),
  eachG: limit("One weighs", "g", 0.1, 100, 0.1),
  gPerMl: limit("Density", "g/ml", 0.2, 2, 0.01),
} as const;

/** Corners, lobes and points that a cutter has. */
export const outlineLimits = {
  sides: limit("Sides", "", 3, 12, 1),
  lobes: limit("Scallops", "", 5, 40, 1),
  points: limit("Points", "", 4, 12, 1),
  cutters: limit("How many there are", "", 1, 200, 1),
} as const;

export const formulaLimits = {
  densityGPerMl: limit("Density", "g/ml", 0.2, 2, 0.01),
  springBackShare: limit("Spring-back", "", 0, 0.3, 0.01),
  rerollLimit: limit("Re-rolls allowed", "", 0, 5, 1),
  rerollLossShare: limit("Lost at a re-roll", "", 0, 0.5, 0.01),
  rerollShrinkShare: limit("Draws back more at a re-roll", "", 0, 0.15, 0.005),
  dividedCount: limit("Equal parts", "", 1, 60, 1),
  restMin: limit("Rest before rolling", "min", 0, 2880, 5),
  rerollRestMin: limit("Rest of the trim", "min", 0, 1440, 5),
  benchLimitMin: limit("Longest on the bench", "min", 5, 720, 5),
  mixMin: limit("Hands to mix it", "min", 1, 240, 1),
  makingLossShare: limit("Lost in the pan", "", 0, 0.8, 0.01),
  shrinkShare: limit("Shrinks in the oven", "", 0, 0.6, 0.05),
  trimLossShare: limit("Peel, stone and core", "", 0, 0.7, 0.01),
  varietyShare: limit("Parts", "", 0.05, 20, 0.5),
  makingHandsMin: limit("Hands", "min", 0, 240, 1),
  makingMin: limit("By itself", "min", 0, 1440, 5),
  keepsDays: limit("Keeps in the fridge", "days", 0, 365, 1),
  windowLowC: limit("Cracks below", "°C", -5, 25, 1),
  windowHighC: limit("Smears above", "°C", 0, 35, 1),
  sheetWidthMm: limit("Bought sheet, long side", "mm", 50, 2000, 5),
  sheetHeightMm: limit("Bought sheet, short side", "mm", 50, 2000, 5),
  sheetThicknessMm: limit("Bought sheet, thick", "mm", 0.5, 20, 0.1),
  lineMassG: limit("Amount", "g", 0.01, 100_000, 1),
} as const;

export const benchLimits = {
  widthMm: limit("Bench, long side", "mm", 200, 5000, 10),
  depthMm: limit("Bench, deep", "mm", 200, 2000, 10),
  sheetMaxWidthMm: limit("Largest sheet, long side", "mm", 100, 5000, 10),
  sheetMaxDepthMm: limit("Largest sheet, short side", "mm", 100, 2000, 10),
} as const;

/** How blanks come off a sheet. */
export const cutLimits = {
  tearSharePer100Mm: limit("Torn when lifted, 100 mm across", "", 0, 0.5, 0.01),
} as const;

/** One sheet laid out by itself. */
export const sheetLimits = {
  widthMm: limit("Sheet, wide", "mm", 40, 2000, 10),
  heightMm: limit("Sheet, high", "mm", 40, 2000, 10),
} as const;

export const ovenLimits = {
  traysAtOnce: limit("Trays at once", "", 1, 40, 1),
  powerKw: limit("Power", "kW", 0, 60, 0.1),
  trayWidthMm: limit("Tray, long side", "mm", 100, 1200, 5),
  trayDepthMm: limit("Tray, short side", "mm", 100, 1200, 5),
  heatUpCPerMin: limit("Heats up", "°C/min", 1, 60, 1),
  coolDownCPerMin: limit("Cools down", "°C/min", 0.5, 60, 0.5),
  maxC: limit("Hottest", "°C", 100, 500, 5),
  offsetC: limit("Hotter than it says by", "°C", -40, 40, 1),
  decks: limit("Decks or shelves", "", 1, 6, 1),
} as const;

export const vesselLimits = {
  count: limit("How many", "", 1, 500, 1),
  holds: limit("Pieces in each", "", 1, 60, 1),
} as const;

export const deviceLimits = { deck: limit("Deck", "", 1, 20, 1) } as const;

export const shelfLimits = {
  count: limit("Shelves", "", 1, 60, 1),
  widthMm: limit("Shelf, long side", "mm", 100, 2000, 10),
  depthMm: limit("Shelf, short side", "mm", 100, 2000, 10),
} as const;

export const fryerLimits = {
  oilKg: limit("Oil in it", "kg", 0.2, 60, 0.1),
  oilJPerKgK: limit("Warms with", "J/kg K", 1500, 6000, 10),
  lossWPerK: limit("Loses", "W/K", 0.01, 1000, 0.01),
  heaterW: limit("Heater", "W", 100, 30_000, 100),
  maxC: limit("Hottest", "°C", 120, 200, 5),
  basketWidthMm: limit("Basket, long side", "mm", 80, 900, 5),
  basketDepthMm: limit("Basket, short side", "mm", 80, 900, 5),
  potDepthMm: limit("Pot, deep", "mm", 50, 600, 5),
  fillShare: limit("Highest level, food in it", "", 0.2, 0.8, 0.05),
  usedLoads: limit("Loads this oil has fried", "", 0, 500, 1),
  changeAfterLoads: limit("Change the oil after loads", "", 1, 500, 1),
  /** Two times that tell what a bath holds and loses. */
  warmMin: limit("100 to 170 °C, heater on", "min", 0.5, 120, 0.5),
  coolMin: limit("170 back to 160 °C, heater off", "min", 0.5, 240, 0.5),
} as const;

/** What goes through heat, and through what. */
export const heatLimits = {
  startC: limit("Goes in at", "°C", -30, 100, 1),
  doneC: limit("Done at", "°C", 30, 105, 1),
  airC: limit("Oven", "°C", 50, 300, 1),
  airMin: limit("Minutes", "min", 1, 360, 1),
  roomMin: limit("In the room first", "min", 0, 720, 5),
  bodyMm: limit("As high as", "mm", 1, 600, 1),
} as const;

/** A load in oil. */
export const fryLimits = {
  setC: limit("Oil set to", "°C", 120, 200, 1),
  pieces: limit("In at once", "", 1, 500, 1),
  minutes: limit("Fry", "min", 1, 180, 0.5),
  pieceMm2: limit("Surface of a piece", "mm²", 100, 200_000, 1),
  pieceG: limit("A piece", "g", 1, 1000, 1),
  waterShare: limit("Share of water", "", 0.01, 1, 0.01),
  leastC: limit("Never below", "°C", 120, 195, 1),
} as const;

/** A layout of cuts that is sent as a document. */
export const layoutLimits = {
  ratio: limit("Share of an outline among the cuts", "", 0, 1000, 1),
  placeMm: limit("Place on the sheet", "mm", 0, 5000, 0.1),
  angleDeg: limit("Turned by", "°", 0, 360, 1),
} as const;

/** A schedule that is sent as a document. */
export const scheduleLimits = {
  amount: limit("Amount of a resource", "", 0, 1e6, 1),
  weight: limit("Weight", "", 0, 1000, 1),
  heatC: limit("Heat", "°C", -40, 500, 1),
  rateCPerMin: limit("Heats or cools by", "°C/min", 0, 200, 1),
  toleranceC: limit("Heats count as one within", "°C", 0, 50, 1),
} as const;

/** An order of jobs that was kept: minutes from a day's midnight, a week either way. */
export const laidLimits = {
  startMin: limit("Start", "min", -10_080, 10_080, 1),
  mode: limit("Mode", "", 0, 20, 1),
} as const;

export const kitchenLimits = {
  roomC: limit("Room today", "°C", 5, 45, 1),
  fridgeC: limit("Fridge", "°C", 0, 12, 0.5),
  freezerC: limit("Freezer", "°C", -40, -5, 1),
  mixedC: limit("Dough after mixing", "°C", 5, 35, 1),
} as const;

/** Money in the smallest coin; none of it is more than a hundred thousand. */
const MOST_MINOR = 10_000_000;
export const tillLimits = {
  hourMinor: limit("An hour of hands", "", 0, MOST_MINOR, 50),
  kwhMinor: limit("A kilowatt-hour", "", 0, MOST_MINOR, 1),
  priceMinor: limit("Price of one", "", 0, MOST_MINOR, 5),
} as const;

export const ingredientLimits = {
  gPerMl: limit("Density", "g/ml", 0.05, 3, 0.01),
  pieceG: limit("One piece", "g", 0.01, 20_000, 1),
  share: limit("Share", "", 0, 1, 0.01),
  packG: limit("Pack", "g", 0.1, 100_000, 1),
  packPriceMinor: limit("Price of a pack", "", 0, 10_000_000, 1),
} as const;

export const mouldLimits = {
  baseMm: limit("Across the base", "mm", 10, 400, 1),
  rimMm: limit("Across the rim", "mm", 10, 400, 1),
  narrowMm: limit("Across the rim, short way", "mm", 10, 400, 1),
  depthMm: limit("Deep", "mm", 3, 150, 1),
  fluteMm: limit("Flutes, crest to valley", "mm", 0, 20, 0.5),
  trimMm: limit("Over the rim, to trim", "mm", 0, 30, 1),
} as const;

export const larderLimits = {
  massG: limit("Amount", "g", 0, 1_000_000, 1),
  count: limit("Pieces", "", 0, 100_000, 1),
} as const;

export const weighingLimits = {
  tookG: limit("Liquid taken", "g", 0, 100_000, 1),
  scale: limit("Multiple of the formula", "", 0.0001, 10_000, 0.01),
  mixG: limit("Batch", "g", 1, 1_000_000, 1),
} as const;

/** What a rolling gave: as many as ordered at most, and a few that were squeezed in. */
export const cutRecordLimits = {
  planned: limit("Planned", "", 1, 100_000, 1),
  got: limit("Really cut", "", 0, 100_000, 1),
} as const;

/** What a lot of pieces took and how many leaked. */
export const lotRecordLimits = {
  pieces: limit("Pieces", "", 1, 10_000, 1),
  minutes: limit("Minutes", "min", 0.1, 1440, 1),
  leaked: limit("Leaked", "", 0, 10_000, 1),
  leakShare: limit("Expected to leak", "", 0, 1, 0.01),
} as const;

/** A word on what happened: a sentence, not a letter. */
export const MAX_WORD_CHARACTERS = 500;

/** What may be told of a running day: from a fortnight ahead, when one is tried out, to a correction as long after it. */
export const runLimits = {
  atMin: limit("Time of the day", "min", -20_160, 20_160, 1),
  moreMin: limit("More", "min", 1, 600, 1),
  count: limit("Pieces", "", 0, 10_000, 1),
  massG: limit("Mass", "g", 0, 100_000, 1),
  heatC: limit("Temperature", "°C", -40, 350, 1),
  roomC: limit("Room", "°C", -20, 60, 1),
  thicknessMm: limit("Thickness", "mm", 0.2, 60, 0.1),
  blankMm: limit("Blank", "mm", 5, 600, 0.5),
  heatUpMin: limit("To heat up", "min", 1, 240, 1),
  mode: limit("Way", "", 0, 20, 1),
} as const;

/** What a reading may be: beyond it the device is wrong, or its unit. */
export const measureLimits: Readonly<Record<Measure, Limit>> = {
  massG: runLimits.massG,
  coreC: runLimits.heatC,
  ovenC: runLimits.heatC,
  oilC: runLimits.heatC,
  roomC: runLimits.roomC,
  thicknessMm: runLimits.thicknessMm,
  blankMm: runLimits.blankMm,
  trimG: runLimits.massG,
  heatUpMin: runLimits.heatUpMin,
  oilLowC: runLimits.heatC,
  cutCount: runLimits.count,
};

export const orderLimits = {
  count: limit("Pieces", "", 1, 10_000, 1),
  dueMin: limit("Promised for", "", 0, 1439, 1),
  handedMin: limit("Handed over", "", 0, 1439, 1),
  holidayCount: limit("On a holiday", "", 0, 10_000, 1),
} as const;

export const dayLimits = {
  openMin: limit("Opens", "", 0, 1439, 1),
  helperMin: limit("Helper", "", 0, 1440, 1),
} as const;

/** Longest name or note that is kept. */
export const MAX_NAME_CHARACTERS = 80;
/** Longest telephone number with a word or two beside it. */
export const MAX_CONTACT_CHARACTERS = 200;
/** Most lines in one formula and most records of a kind in one document: far above a small bakery's. */
export const MAX_FORMULA_LINES = 60;
export const MAX_FORMULA_STEPS = 60;
/** Longest step of a formula, and longest text pasted. */
export const MAX_STEP_CHARACTERS = 600;
export const MAX_PASTE_CHARACTERS = 100_000;
/** A kept day must always be able to go out as one document: its book is all that one kitchen makes. */
export const MAX_RECORDS = 2000;
/** Most fields of a record. */
export const MAX_FIELDS = 100;
/** Most tasks of a day whose order is kept. */
export const MAX_LAID = 1000;
/** Most fillings, layers and inclusions beside the main filling, stages of a bake, and parts of a filling. */
export const MAX_EXTRAS = 6;
export const MAX_STAGES = 6;

/** Of the steps of a way. */
export const stepLimits = {
  minutes: limit("By itself", "min", 0, 14 * 24 * 60, 1),
  handsS: limit("Hands", "s", 0, 3600, 1),
  mostWaitMin: limit("After the step before, at most", "min", 0, 1440, 1),
  count: limit("Of them, each piece", "", 1, 60, 1),
  eachG: limit("One weighs", "g", 0.01, 500, 0.1),
} as const;
export const MAX_NOTE_CHARACTERS = 300;
export const MAX_DECKS = 6;
export const MAX_PARTS = 6;
