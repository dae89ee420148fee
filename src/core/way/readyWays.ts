import type { PieceForm } from "../forming";
import { POUR_BEFORE_HEAT_MIN } from "./editWay";
import { listShapeSteps } from "./shapeSteps";
import { createWay, type StepKind, type Way, type WayStep } from "./step";

/** A way that bakers of a form use, ready to take. */
export interface ReadyWay {
  readonly id: string;
  readonly name: string;
  /** In one sentence, why bakers choose it. */
  readonly why: string;
  readonly way: Way;
}

type Draft = readonly [StepKind, Partial<Omit<WayStep, "id" | "kind">>?];

const bake = (heatC: number, minutes: number, figures: Partial<WayStep> = {}): Draft => [
  "bake",
  { heatC, minutes, ...figures },
];
const cool = (minutes: number): Draft => ["cool", { minutes }];
const chill = (minutes: number): Draft => ["chill", { minutes }];
/** Straight before the heat: what was filled wet softens its shell, a boiled syrup goes off the boil. */
const atOnce = { mostWaitMin: POUR_BEFORE_HEAT_MIN } as const;
const fry: readonly Draft[] = [["fry", { heatC: 180, minutes: 5 }], ["drain"]];

interface Plan {
  readonly id: string;
  readonly name: string;
  readonly why: string;
  readonly steps: (shape: {
    readonly before: readonly Draft[];
    readonly over: readonly Draft[];
  }) => readonly Draft[];
}

const closedPlans: readonly Plan[] = [
  {
    id: "chilled",
    name: "Closed, chilled, baked",
    why: "Cold fat into a hot oven is what makes flake.",
    steps: ({ before, over }) => [...before, ["fill"], ...over, chill(20), bake(200, 24), cool(15)],
  },
  {
    id: "straight",
    name: "Closed, straight into the oven",
    why: "Nothing waits: for a dough that stays firm on the bench.",
    steps: ({ before, over }) => [...before, ["fill"], ...over, bake(200, 24), cool(15)],
  },
  {
    id: "twoCoats",
    name: "Turned and coated at half time",
    why: "Colours evenly, and the second coat covers the cracks of the first.",
    steps: ({ before, over }) => [
      ...before,
      ["fill"],
      ...over,
      ["brush"],
      bake(205, 12),
      ["turn"],
      ["coat"],
      bake(190, 14),
      cool(15),
    ],
  },
  {
    id: "coldThrough",
    name: "Cold through, then hot",
    why: "A thin crust over wet fruit sets before the fruit boils; keeps some days cold and crisps again.",
    steps: ({ before, over }) => [
      ["takeOut"],
      ...before,
      ["dropIn"],
      ["fill"],
      ...over,
      ["freeze", { minutes: 45 }],
      bake(215, 22, atOnce),
      cool(20),
      ["setOut"],
      ["keep"],
      ["warmUp", { heatC: 175, minutes: 12 }],
    ],
  },
];

const friedPlan: Plan = {
  id: "fried",
  name: "Closed, fried",
  why: "Quick and blistered; a short chill at most, or cold pieces cool the oil.",
  steps: ({ before, over }) => [...before, ["fill"], ...over, ...fry, cool(10)],
};

const linedPlans: readonly Plan[] = [
  {
    id: "raw",
    name: "Raw shell, filled at the oven door",
    why: "The fewest steps: filled last of all, so that the shell stays dry.",
    steps: ({ before, over }) => [
      ...before,
      ["trim"],
      ["fill"],
      ...over,
      bake(220, 12, atOnce),
      ["turn"],
      bake(180, 12),
      cool(12),
      ["unmould"],
    ],
  },
  {
    id: "chilledShell",
    name: "Shell chilled, then filled, straight into the heat",
    why: "A cold, firm shell does not slide down its mould.",
    steps: ({ before, over }) => [
      ...before,
      ["trim"],
      chill(30),
      ["fill"],
      ...over,
      bake(210, 14, atOnce),
      ["turn"],
      bake(180, 14),
      cool(12),
      ["unmould"],
    ],
  },
  {
    id: "frozenShell",
    name: "Shell frozen, filled, frozen again, hot oven",
    why: "The filling is stiff as it meets the heat: the crust has a start on it.",
    steps: ({ before, over }) => [
      ...before,
      ["trim"],
      ["freeze", { minutes: 30 }],
      ["dropIn"],
      ["fill"],
      ...over,
      ["freeze", { minutes: 15 }],
      bake(220, 24, atOnce),
      cool(15),
      ["unmould"],
    ],
  },
];

/** Only where the top is open can it be filled once it was in the heat. */
const openPlans: readonly Plan[] = [
  {
    id: "blind",
    name: "Blind baked, filled, baked lower",
    why: "The base is crisp before something wet and gentle goes in.",
    steps: ({ before, over }) => [
      ...before,
      ["trim"],
      ["dock"],
      chill(20),
      ["weightsIn"],
      bake(190, 14),
      ["weightsOut"],
      bake(190, 6),
      cool(10),
      ["fill"],
      ...over,
      bake(150, 24, atOnce),
      cool(20),
      ["unmould"],
    ],
  },
  {
    id: "cold",
    name: "Fully baked, filled cold",
    why: "For what is not baked: creams and fresh fruit. Shells can be made days before.",
    steps: ({ before, over }) => [
      ...before,
      ["trim"],
      ["dock"],
      chill(20),
      ["weightsIn"],
      bake(190, 14),
      ["weightsOut"],
      bake(180, 10),
      cool(10),
      ["unmould"],
      cool(15),
      ["fill"],
      ...over,
    ],
  },
  {
    id: "partBaked",
    name: "Part-baked, pressed down, filled, finished",
    why: "What rises in the middle makes room for the filling; the last heat sets both together.",
    steps: ({ before, over }) => [
      ...before,
      bake(200, 12),
      ["pressDown"],
      cool(5),
      ["fill"],
      ...over,
      bake(200, 12),
      cool(10),
      ["unmould"],
    ],
  },
];

const shellPlan: Plan = {
  id: "shell",
  name: "Shell alone, baked empty",
  why: "Sold as it is, or filled another day: nothing goes in.",
  steps: ({ before }) => [
    ...before,
    ["trim"],
    ["dock"],
    chill(20),
    bake(190, 20),
    cool(12),
    ["unmould"],
    cool(10),
  ],
};

const casePlans: readonly Plan[] = [
  {
    id: "case",
    name: "Baked empty, poked down, filled cold, lidded",
    why: "Only the wall rises; what is fresh goes in at the last.",
    steps: ({ before }) => [
      ...before,
      ["brush"],
      ["dock"],
      chill(15),
      bake(215, 18),
      ["pressDown"],
      cool(25),
      ["fill"],
      ["lidOn"],
    ],
  },
];

const wrappedPlans: readonly Plan[] = [
  {
    id: "syrup",
    name: "Coat, syrup at the oven door",
    why: "The syrup is poured boiling and at once into the heat: bottoms stay crisp, tops dry.",
    steps: ({ before, over }) => [
      ...before,
      ["fill"],
      ...over,
      chill(20),
      ["brush"],
      ["strew"],
      ["warm"],
      ["pourAround"],
      bake(205, 15, atOnce),
      ["turn"],
      bake(175, 30),
      cool(30),
      ["spoonOver"],
    ],
  },
  {
    id: "dry",
    name: "Dry coat",
    why: "Nothing is poured: crisp all round.",
    steps: ({ before, over }) => [
      ...before,
      ["fill"],
      ...over,
      chill(20),
      bake(205, 15),
      ["turn"],
      bake(175, 28),
      cool(30),
    ],
  },
];

const rosettePlans: readonly Plan[] = [
  {
    id: "rosette",
    name: "Laid, rolled up, baked in its cavity",
    why: "The cavity holds the petals together; dusted once it is cold.",
    steps: ({ before, over }) => [
      ...before,
      ["fill"],
      ...over,
      bake(190, 32),
      cool(5),
      ["unmould"],
      cool(15),
      ["dust"],
    ],
  },
];

const largeFoldPlans: readonly Plan[] = [
  {
    id: "large",
    name: "Folded over, turned half way, rested, cut",
    why: "Hot first so that the rim sets; a rest before it is cut, or it runs.",
    steps: ({ before, over }) => [
      ...before,
      ["fill"],
      ...over,
      bake(210, 15),
      ["turn"],
      bake(185, 20),
      cool(20),
    ],
  },
];

const plansOf = (form: PieceForm): readonly Plan[] => {
  switch (form.kind) {
    case "lined":
      return form.topping.kind === "open" ? [...linedPlans, ...openPlans, shellPlan] : linedPlans;
    case "puck":
      return [openPlans[2]!, ...linedPlans.slice(0, 1)];
    case "case":
      return casePlans;
    case "wrapped":
      return wrappedPlans;
    case "rosette":
      return rosettePlans;
    case "largeFold":
      return largeFoldPlans;
    case "gathered":
    case "pressed":
      return [...closedPlans, friedPlan];
    case "lidded":
      return closedPlans;
    default:
      return [...closedPlans, friedPlan];
  }
};

/** The ways of a form; the first is the one that a new piece of it starts with. Steps that hold nothing yet wait for what they take. */
export function listReadyWays(form: PieceForm): ReadyWay[] {
  const { before, over } = listShapeSteps(form);
  const shape = {
    before: before.map((kind): Draft => [kind]),
    over: over.map((kind): Draft => [kind]),
  };
  return plansOf(form).map(({ id, name, why, steps }) => {
    const middle = steps(shape);
    const [first] = middle;
    const [out, rest] = first?.[0] === "takeOut" ? [[first], middle.slice(1)] : [[], middle];
    const drafts: Draft[] = [...out, ["roll"], ["cut"], ...rest];
    const isSetOut = drafts.some(([kind]) => kind === "setOut");
    return { id, name, why, way: createWay(isSetOut ? drafts : [...drafts, ["setOut"]]) };
  });
}

/** Steps that follow from a figure of the piece, or are told for later: a way is the same with or without them. */
const besideTheWay: readonly StepKind[] = [
  "vent",
  "brush",
  "strew",
  "coat",
  "glaze",
  "dust",
  "keep",
  "warmUp",
];

/** The ready way of a form that a way is, step by step, whatever its minutes; null for a baker's own. */
export function findReadyWay(form: PieceForm, way: Way): ReadyWay | null {
  const kinds = (steps: Way) =>
    steps
      .filter(({ kind }) => !besideTheWay.includes(kind))
      .map(({ kind }) => kind)
      .join();
  return listReadyWays(form).find((ready) => kinds(ready.way) === kinds(way)) ?? null;
}
