import type { Station } from "./stations";

/** How a step passes. */
export type StepPass =
  /** Done to the dough before a lot of the piece begins: its sheets are rolled for several pieces at once. */
  | "dough"
  /** Hands do it, piece by piece. */
  | "hands"
  /** Goes on beside the piece, to be ready when the next step needs it. */
  | "side"
  /** By itself, on a shelf. */
  | "stand"
  /** By itself, in the room: goes on while hands do something else to the piece. */
  | "cool"
  /** In the oven or the oil. */
  | "heat"
  /** At the open door of the oven, between two heats. */
  | "door"
  /** After the day: told on the sheet, not on the clock. */
  | "told";

/** By which of the log's paces its seconds are corrected. */
export type StepPace = "fill" | "close" | null;

/** What a step takes beside the piece. */
export type StepTakes = "filling" | "thing" | null;

export interface StepFacts {
  readonly name: string;
  readonly pass: StepPass;
  /** Null where it is done wherever the piece is. */
  readonly station: Station | null;
  readonly pace: StepPace;
  readonly takes: StepTakes;
  /** The craft's first guess of what hands take, seconds; the baker's own replace it. */
  readonly handsS: number;
  /** Whether these seconds are of one piece, or of one load. */
  readonly per: "piece" | "load";
  /** What it usually takes by itself, min. */
  readonly minutes: number;
  readonly lookFor: string;
  /** Shown where the step is; empty if it hurts nobody. */
  readonly caution: string;
}

const dough = { pass: "dough", station: "roll", pace: null, takes: null } as const;
const hands = { pass: "hands", takes: null, per: "piece", minutes: 0, caution: "" } as const;
const filling = { ...hands, station: "fill", pace: "fill" } as const;
const closing = { ...hands, station: "seal", pace: "close" } as const;
/** Where the piece is just then. */
const anywhere = { ...hands, station: null, pace: "close" } as const;
const byItself = { station: null, pace: null, takes: null, handsS: 0, per: "load", caution: "" } as const;
const door = {
  pass: "door",
  station: "bake",
  pace: null,
  takes: null,
  per: "load",
  minutes: 0,
  caution: "",
} as const;
const after = { ...hands, station: "cool", pace: null } as const;
const none = { handsS: 0, per: "load", minutes: 0, lookFor: "", caution: "" } as const;

/**
 * The vocabulary of making small pastry, in about the order in which it is done. Seconds of 0 are reckoned from the
 * piece: what it is portioned with, its seam, its top.
 */
const stepFacts = {
  takeOut: {
    ...dough,
    ...none,
    name: "Take from the cold",
    minutes: 12,
    lookFor: "gives to a thumb, cracks no more",
  },
  roll: { ...dough, ...none, name: "Roll" },
  cut: { ...dough, ...none, name: "Cut" },
  portion: { ...dough, ...none, name: "Weigh off and roll each" },
  restFlat: {
    ...byItself,
    pass: "stand",
    name: "Rest flat, rolled",
    minutes: 15,
    lookFor: "does not draw back",
  },

  prepare: {
    ...filling,
    name: "Peel, core, flatten the foot",
    handsS: 50,
    lookFor: "stands by itself",
    caution: "Cut away from the body; a corer slips.",
  },
  line: {
    ...filling,
    name: "Press into the mould",
    handsS: 30,
    lookFor: "no air in the corner, thicker at the side",
  },
  spread: {
    ...filling,
    takes: "filling",
    name: "Spread thin",
    handsS: 0,
    lookFor: "to the edge of what is eaten",
  },
  laySlices: {
    ...filling,
    name: "Lay the slices along the strip",
    handsS: 25,
    lookFor: "edges stand out, overlapping",
  },
  stick: { ...filling, name: "Lay the stick", handsS: 4, lookFor: "past the middle, short of the far edge" },
  fill: { ...filling, takes: "filling", name: "Fill", handsS: 0, lookFor: "clear of the rim" },
  dropIn: { ...filling, takes: "thing", name: "Drop in", handsS: 0, lookFor: "each has its count" },
  fold: { ...closing, name: "Fold over", handsS: 15, lookFor: "edges meet, no air under it" },
  layTop: { ...closing, name: "Lay the top on", handsS: 4, lookFor: "from the middle outwards, the air out" },
  layShape: { ...closing, name: "Lay the cut-out on", handsS: 3, lookFor: "clear of the rim" },
  ring: { ...closing, name: "Set the ring on its base", handsS: 15, lookFor: "edges flush" },
  bringUp: {
    ...closing,
    name: "Bring the corners up",
    handsS: 20,
    lookFor: "opposite corners cross at the top",
  },
  gather: { ...closing, name: "Draw up like a purse", handsS: 15, lookFor: "pleats even, none open" },
  rollUp: {
    ...closing,
    name: "Fold, roll up, set in its cavity",
    handsS: 18,
    lookFor: "the seam lies below",
  },
  press: { ...closing, name: "Lay in the press, take out", handsS: 5, lookFor: "teeth meet all round" },
  close: { ...closing, name: "Close and crimp", handsS: 0, lookFor: "no filling in the seam" },
  turnOver: {
    ...closing,
    name: "Turn over, roll flat",
    handsS: 10,
    lookFor: "the filling does not show through",
  },
  dock: { ...anywhere, name: "Dock", handsS: 3, lookFor: "right through, all over" },
  trim: { ...anywhere, name: "Trim", handsS: 3, lookFor: "level with the rim, or a finger over" },
  vent: { ...anywhere, name: "Vent", handsS: 0, lookFor: "right through to the filling" },
  brush: { ...anywhere, name: "Brush", handsS: 0, lookFor: "thin and even, none running down" },
  strew: { ...anywhere, name: "Sugar on top", handsS: 0, lookFor: "sticks to the wash" },
  weightsIn: {
    ...anywhere,
    name: "Paper and weights in",
    handsS: 12,
    lookFor: "into the corner, up to the rim",
  },

  chill: { ...byItself, pass: "stand", name: "Chill", minutes: 20, lookFor: "the fat is hard again" },
  freeze: { ...byItself, pass: "stand", name: "Freeze", minutes: 20, lookFor: "stiff, knocks on the tray" },

  warm: {
    pass: "side",
    station: "fill",
    pace: null,
    takes: "filling",
    name: "Bring to the boil",
    handsS: 60,
    per: "load",
    minutes: 5,
    lookFor: "boils all over",
    caution: "Boiling syrup burns deep: long sleeves, nobody behind you.",
  },
  pourAround: {
    ...filling,
    takes: "filling",
    name: "Pour around, not over",
    handsS: 0,
    lookFor: "stands a finger high, tops dry",
    caution: "Pour away from you; the pan goes straight into the heat.",
  },

  bake: { ...byItself, pass: "heat", station: "bake", name: "Bake", minutes: 22, lookFor: "" },
  turn: { ...door, name: "Turn the tray", handsS: 60, lookFor: "even from front to back" },
  coat: { ...door, name: "Second coat", handsS: 0, lookFor: "over the cracks of the first" },
  weightsOut: {
    ...door,
    name: "Weights out",
    handsS: 60,
    lookFor: "count them back, every one",
    caution: "The weights are as hot as the oven.",
  },
  pressDown: { ...door, name: "Press down what rose", handsS: 60, lookFor: "only the wall stands up" },
  fry: {
    ...byItself,
    pass: "heat",
    station: "bake",
    name: "Fry, turn once",
    minutes: 5,
    lookFor: "golden on both sides",
    caution: "Hot oil: dry pieces, lid at hand, never leave it.",
  },
  drain: { ...byItself, pass: "stand", name: "Drain", minutes: 1, lookFor: "no oil under it" },
  cool: { ...byItself, pass: "cool", station: "cool", name: "Cool", minutes: 15, lookFor: "" },
  unmould: { ...after, name: "Take out of the mould", handsS: 6, lookFor: "a knife round, then up" },
  glaze: { ...after, name: "Glaze", handsS: 0, lookFor: "thin, dry to the touch" },
  spoonOver: { ...after, name: "Spoon over", handsS: 5, lookFor: "shines all over" },
  garnish: { ...after, takes: "thing", name: "Garnish", handsS: 4, lookFor: "fresh, at the last moment" },
  lidOn: { ...after, name: "Set the lid on", handsS: 3, lookFor: "" },
  dust: { ...after, name: "Sugar or dust", handsS: 0, lookFor: "cold enough that it stays white" },
  setOut: { ...after, name: "Set out", handsS: 4, lookFor: "" },
  keep: { ...byItself, pass: "told", name: "Keep cold", minutes: 2 * 24 * 60, lookFor: "covered, labelled" },
  warmUp: {
    ...byItself,
    pass: "told",
    name: "Crisp again in the oven",
    minutes: 12,
    lookFor: "hot to the middle",
  },
} as const satisfies Readonly<Record<string, StepFacts>>;

export type StepKind = keyof typeof stepFacts;
export const stepKinds = Object.keys(stepFacts) as StepKind[];
/** What the craft knows of a kind of step. */
export const factsOf = (kind: StepKind): StepFacts => stepFacts[kind];

/** Something whole that a step puts in or on. */
export interface StepThing {
  readonly name: string;
  readonly count: number;
  readonly eachG: number;
}

/** One step of making a piece. */
export interface WayStep {
  /** Its own within the way. */
  readonly id: string;
  readonly kind: StepKind;
  /** The filling it takes; null for what the kind takes by itself: all fillings that no other step names. */
  readonly fillingId: string | null;
  readonly thing: StepThing | null;
  /** Of a heat, °C as it is written for still air; null otherwise. */
  readonly heatC: number | null;
  /** Minutes that pass by themselves. */
  readonly minutes: number;
  /** Seconds of hands, a piece or a load as its kind has it; null as the craft reckons. */
  readonly handsS: number | null;
  /** It begins at the latest so many minutes after hands or heat have left the piece; null where it may wait. */
  readonly mostWaitMin: number | null;
  /** What this baker looks for; empty for the usual. */
  readonly note: string;
}

/** How a piece goes from dough to ready, step by step. */
export type Way = readonly WayStep[];

/** A step as it is usually done. */
export const createStep = (
  id: string,
  kind: StepKind,
  figures: Partial<Omit<WayStep, "id" | "kind">> = {},
): WayStep => ({
  id,
  kind,
  fillingId: null,
  thing: null,
  heatC: null,
  minutes: factsOf(kind).minutes,
  handsS: null,
  mostWaitMin: null,
  note: "",
  ...figures,
});

/** A way of these steps, numbered in their order. */
export const createWay = (
  steps: readonly (readonly [StepKind, Partial<Omit<WayStep, "id" | "kind">>?])[],
): Way => steps.map(([kind, figures], i) => createStep(`s${i + 1}`, kind, figures));
