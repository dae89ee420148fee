import { rollsRound } from "../cutting";
import { hasGrain, type Dough } from "../formula";
import type { PlumpnessAdvice } from "../filling";
import { isFilledLevel, type FormedPiece } from "../forming";
import { adviseVents, glues, ventFacts, type VentKind } from "../sealing";
import type { Wetness } from "../formula";
import type { BakeStage, Piece, Tin } from "./book";
import type { Choice } from "./whatIf";

/** One school's answer. */
export interface SchoolOption {
  readonly id: string;
  readonly title: string;
  /** In one sentence, why bakers choose it. */
  readonly why: string;
  readonly choice: Choice;
}

/** A question on which practitioners disagree, with every answer that this piece can take. */
export interface School {
  readonly id: string;
  readonly question: string;
  /** Whom the answer touches: this piece, or every piece of its dough. */
  readonly scope: "piece" | "dough";
  readonly options: readonly SchoolOption[];
  /** Null where the piece stands between the schools. */
  readonly chosenId: string | null;
}

export interface SchoolFacts {
  readonly piece: Piece;
  readonly dough: Dough;
  readonly wetness: Wetness;
  /** Null where the piece cannot be made as it stands. */
  readonly formed: FormedPiece | null;
  readonly advice: PlumpnessAdvice | null;
}

/** Every question of the craft that this piece raises. */
export function listSchools(facts: SchoolFacts): School[] {
  return [
    blanksSchool(facts),
    liquidSchool(facts),
    restSchool(facts),
    ...(facts.formed && facts.formed.seamMm > 0 ? [glueSchool(facts)] : []),
    ...fillSchool(facts),
    bakeSchool(facts),
    washSchool(facts),
    sugarSchool(facts),
    tinSchool(facts),
    trimSchool(facts),
    ...topSchool(facts),
    ventSchool(facts),
  ];
}

const ofPiece = (piece: Partial<Piece>): Choice => ({ piece, dough: {} });
const ofDough = (dough: Partial<Dough>): Choice => ({ piece: {}, dough });

function blanksSchool({ piece, dough, formed }: SchoolFacts): School {
  const isSheet = piece.cutAim !== "portioned" && piece.cutAim !== "sliced";
  const options: readonly SchoolOption[] = [
    {
      id: "sheet",
      title: "Sheet and cut",
      why: "Fast, and even in thickness; the trim is rolled again.",
      choice: ofPiece({ cutAim: isSheet ? piece.cutAim : "leastDough" }),
    },
    {
      id: "portioned",
      title: "Portion and roll",
      why: "No trim, no re-roll, the dough stays cold; slower by the piece.",
      choice: ofPiece({ cutAim: "portioned" }),
    },
    {
      id: "sliced",
      title: "Slice and flatten",
      why: "Slices off a rolled-up log: the layers show as a swirl, and nothing is trimmed.",
      choice: ofPiece({ cutAim: "sliced" }),
    },
  ];
  // A bought sheet comes rolled, a pin makes nothing square, and only a laminated log is sliced.
  const isRound = (formed?.blanks ?? []).every(({ cut }) => rollsRound(cut));
  const canTake = (id: string) =>
    id === "sheet" || (dough.boughtSheet === null && isRound && (id === "portioned" || hasGrain(dough)));
  return {
    id: "blanks",
    question: "How are the blanks made?",
    scope: "piece",
    chosenId: isSheet ? "sheet" : piece.cutAim,
    options: options.filter(({ id }) => id === piece.cutAim || canTake(id)),
  };
}

function liquidSchool({ dough }: SchoolFacts): School {
  return {
    id: "liquid",
    question: "How much liquid?",
    scope: "dough",
    chosenId: dough.liquidSchool,
    options: [
      {
        id: "justHolds",
        title: "It just holds",
        why: "As dry as it will hold is the most tender.",
        choice: ofDough({ liquidSchool: "justHolds" }),
      },
      {
        id: "littleMoist",
        title: "A little moist",
        why: "Rolls without cracking, at the price of some toughness.",
        choice: ofDough({ liquidSchool: "littleMoist" }),
      },
    ],
  };
}

function restSchool({ dough }: SchoolFacts): School {
  return {
    id: "rest",
    question: "How does the dough rest?",
    scope: "dough",
    chosenId: dough.restWay,
    options: [
      {
        id: "minutes",
        title: "My minutes",
        why: "By the clock, as your hands know this dough: ten on the counter, or longer in the cold.",
        choice: ofDough({ restWay: "minutes" }),
      },
      {
        id: "fridge",
        title: "Fridge, by its core",
        why: "Until the core is inside its window, whatever the piece weighs.",
        choice: ofDough({ restWay: "fridge" }),
      },
      {
        id: "freezer",
        title: "Freezer, turned",
        why: "The short cut: turned half way, out before it hardens.",
        choice: ofDough({ restWay: "freezer" }),
      },
      {
        id: "rolledInFridge",
        title: "Rolled, then rested",
        why: "A rolled sheet is cold in minutes and has already relaxed.",
        choice: ofDough({ restWay: "rolledInFridge" }),
      },
    ],
  };
}

const glueWhy = {
  none: "Moist dough sticks to itself; nothing to brush.",
  water: "Quick, cheap and free of egg.",
  egg: "Holds well and browns where it spreads; egg joins the allergens.",
  white: "The strongest hold, for wet fillings, and clear once baked; egg joins the allergens.",
} as const;

function glueSchool({ piece }: SchoolFacts): School {
  return {
    id: "glue",
    question: "What glues the seam?",
    scope: "piece",
    chosenId: piece.glue,
    options: glues.map(({ id, name }) => ({
      id,
      title: name,
      why: glueWhy[id],
      choice: ofPiece({ glue: id }),
    })),
  };
}

/** Plumpness this near to a school's is that school's. */
const SAME_PLUMPNESS = 0.026;
/** A poured filling's levels: rising puff, sticky sugar, set custard. */
const LEVELS = [
  {
    id: "two-thirds",
    title: "Two thirds",
    level: 0.67,
    why: "For puff that was part-baked and filling that rises.",
  },
  {
    id: "three-quarters",
    title: "Three quarters",
    level: 0.75,
    why: "Sticky sugar fillings boil up and over.",
  },
  {
    id: "nine-tenths",
    title: "Nine tenths",
    level: 0.9,
    why: "A set custard hardly moves; just below the rim.",
  },
  { id: "rim", title: "To the rim", level: 1, why: "Levelled cream seals itself to the shell." },
] as const;

function fillSchool({ piece, formed, advice }: SchoolFacts): School[] {
  if (piece.form.kind === "largeFold") return [];
  const isLevel = isFilledLevel(piece.form.kind);
  if (!isLevel && (!advice || !formed || formed.seamMm === 0)) return [];
  const options = isLevel
    ? LEVELS.map(({ id, title, why, level }) => ({ id, title, why, plumpness: level }))
    : [
        {
          id: "lean",
          title: "Lean",
          why: "A boiling filling bursts out and glues the piece to the tin.",
          plumpness: advice?.lean ?? 0,
        },
        {
          id: "plump",
          title: "Plump",
          why: `A lean one bakes hollow: ${advice?.why ?? ""}.`,
          plumpness: advice?.plump ?? 0,
        },
      ];
  return [
    {
      id: "fill",
      question: isLevel ? "How high is it filled?" : "How full?",
      scope: "piece",
      chosenId:
        options.find(({ plumpness }) => Math.abs(plumpness - piece.plumpness) < SAME_PLUMPNESS)?.id ?? null,
      options: options.map(({ id, title, why, plumpness }) => ({
        id,
        title: `${title}, ${Math.round(plumpness * 100)} %`,
        why,
        choice: ofPiece({ plumpness }),
      })),
    },
  ];
}

/** How the schools of baking differ from one steady heat, °C and share of the minutes. */
const HOT_START_C = 25;
const LOWERED_C = 15;
const HOT_SHARE = 0.4;
const BLIND_MIN = 12;
const LOW_C = 35;
/** Least minutes of a stage. */
const LEAST_STAGE_MIN = 3;

function bakeSchool({ piece }: SchoolFacts): School {
  const { stages } = piece;
  const minutes = stages.reduce((sum, stage) => sum + stage.minutes, 0);
  const meanC =
    Math.round(stages.reduce((sum, { ovenC, minutes: each }) => sum + ovenC * each, 0) / minutes / 5) * 5;
  const stage = (ovenC: number, share: number, act: BakeStage["act"] = "none"): BakeStage => ({
    ovenC,
    minutes: Math.max(Math.round(minutes * share), LEAST_STAGE_MIN),
    act,
  });
  const fillAt = stages.findIndex(({ act }) => act === "fill");
  const fallsBy = (stages[0]?.ovenC ?? 0) - (stages.at(-1)?.ovenC ?? 0);
  const chosenId = fillAt >= 0 ? (fallsBy >= 0 ? "blind" : "part") : fallsBy > 0 ? "lowered" : "steady";
  const ways: readonly (Omit<SchoolOption, "choice"> & { readonly stages: readonly BakeStage[] })[] = [
    {
      id: "steady",
      title: "One steady heat",
      why: "Nothing to watch, and loads of one heat follow each other.",
      stages: [stage(meanC, 1)],
    },
    {
      id: "lowered",
      title: "Hot, then lower",
      why: "The crust sets before the filling boils: sticky tarts, custards, fruit.",
      stages: [stage(meanC + HOT_START_C, HOT_SHARE), stage(meanC - LOWERED_C, 1 - HOT_SHARE)],
    },
    {
      id: "blind",
      title: "Blind, then filled",
      why: "The base is crisp before something wet and gentle goes in, baked low.",
      stages: [{ ovenC: meanC, minutes: BLIND_MIN, act: "fill" }, stage(meanC - LOW_C, 1)],
    },
    {
      id: "part",
      title: "Part-baked, filled, finished hot",
      why: "Shells made ahead; the last heat sets filling and colour together.",
      stages: [
        { ovenC: meanC - LOWERED_C, minutes: BLIND_MIN, act: "fill" },
        stage(meanC + HOT_START_C, 0.6),
      ],
    },
  ];
  // A closed piece has nowhere to be filled once it is baked.
  const open = piece.form.kind === "lined" || piece.form.kind === "puck";
  return {
    id: "bake",
    question: "How is it baked?",
    scope: "piece",
    chosenId,
    options: ways
      .filter(({ id }) => open || id === "steady" || id === "lowered")
      .map(({ stages: taken, ...way }) => ({
        ...way,
        choice: ofPiece({ stages: way.id === chosenId ? stages : taken }),
      })),
  };
}

const washes = [
  { id: "egg-1", title: "Egg, once", kind: "egg", coats: 1, why: "Gold and shine." },
  {
    id: "egg-2",
    title: "Egg, twice",
    kind: "egg",
    coats: 2,
    why: "A second coat at half time: deeper, and cracks are covered.",
  },
  {
    id: "eggMilk-1",
    title: "Egg and milk",
    kind: "eggMilk",
    coats: 1,
    why: "Softer gold, and the egg goes further.",
  },
  { id: "white-1", title: "White", kind: "white", coats: 1, why: "Paler and crisp; sugar sticks to it." },
  { id: "milk-1", title: "Milk", kind: "milk", coats: 1, why: "Matt brown, no egg." },
  { id: "none-1", title: "None", kind: "none", coats: 1, why: "For what is dusted or glazed afterwards." },
] as const;

function washSchool({ piece }: SchoolFacts): School {
  return {
    id: "wash",
    question: "What washes the top?",
    scope: "piece",
    chosenId:
      washes.find(({ kind, coats }) => kind === piece.wash.kind && coats === piece.wash.coats)?.id ?? null,
    options: washes.map(({ id, title, kind, coats, why }) => ({
      id,
      title,
      why,
      choice: ofPiece({ wash: { ...piece.wash, kind, coats }, stages: coatStages(piece, coats) }),
    })),
  };
}

/** A second coat goes on at half time: a bake of one stage is parted there. */
function coatStages({ stages }: Piece, coats: number): readonly BakeStage[] {
  const [only] = stages;
  if (coats < 2 || stages.length > 1 || !only) return stages;
  const half = Math.max(Math.round(only.minutes / 2), LEAST_STAGE_MIN);
  return [
    { ...only, minutes: half, act: "secondCoat" },
    { ...only, minutes: Math.max(only.minutes - half, LEAST_STAGE_MIN), act: "none" },
  ];
}

function sugarSchool({ piece }: SchoolFacts): School {
  const options = [
    { id: "before", title: "Before baking", why: "It sticks to the wash and crackles." },
    { id: "after", title: "After baking", why: "It sparkles, or dusts." },
    { id: "none", title: "None", why: "Savoury, or sweet enough." },
  ] as const;
  return {
    id: "sugar",
    question: "When is it sugared?",
    scope: "piece",
    chosenId: piece.wash.sugar,
    options: options.map((option) => ({
      ...option,
      choice: ofPiece({ wash: { ...piece.wash, sugar: option.id } }),
    })),
  };
}

const tinWhy: Readonly<Record<Tin, string>> = {
  bare: "A fat-rich dough greases its own tin.",
  buttered: "Browns what it touches, and lets go.",
  floured: "Butter and flour: a dry film for sweet pastes that glue.",
  sprayed: "Quick in deep and fluted moulds.",
  papered: "Parchment: nothing sticks, leaks included.",
};

function tinSchool({ piece }: SchoolFacts): School {
  return {
    id: "tin",
    question: "What is on the tin?",
    scope: "piece",
    chosenId: piece.tin,
    options: (Object.keys(tinWhy) as Tin[]).map((tin) => ({
      id: tin,
      title: tin.charAt(0).toUpperCase() + tin.slice(1),
      why: tinWhy[tin],
      choice: ofPiece({ tin }),
    })),
  };
}

function trimSchool({ dough }: SchoolFacts): School {
  const chosenId = dough.rerollLimit > 0 ? "reroll" : dough.trimEnd;
  const usualLimit = hasGrain(dough) ? 1 : 2;
  return {
    id: "trim",
    question: "What becomes of the trim?",
    scope: "dough",
    chosenId,
    options: [
      {
        id: "reroll",
        title: "Rolled again",
        why: "Least dough; re-rolled blanks go underneath, where toughness does not show.",
        choice: ofDough({ rerollLimit: Math.max(dough.rerollLimit, usualLimit) }),
      },
      {
        id: "decorations",
        title: "Decorations",
        why: "First rolling only for what is eaten; leaves from the rest.",
        choice: ofDough({ rerollLimit: 0, trimEnd: "decorations" }),
      },
      {
        id: "larder",
        title: "Kept for another day",
        why: "First rolling only; the trim rests and comes back as dough.",
        choice: ofDough({ rerollLimit: 0, trimEnd: "larder" }),
      },
      {
        id: "waste",
        title: "Not used again",
        why: "The most tender pieces, and the most waste.",
        choice: ofDough({ rerollLimit: 0, trimEnd: "waste" }),
      },
    ],
  };
}

function topSchool({ piece }: SchoolFacts): School[] {
  const { form } = piece;
  if (form.kind !== "lidded") return [];
  return [
    {
      id: "top",
      question: "How large is the top?",
      scope: "piece",
      chosenId: form.topOversizeMm === null ? "computed" : form.topOversizeMm === 0 ? "same" : null,
      options: [
        {
          id: "computed",
          title: "Larger, computed",
          why: "It climbs over the filling without being stretched.",
          choice: ofPiece({ form: { ...form, topOversizeMm: null } }),
        },
        {
          id: "same",
          title: "Same cutter",
          why: "One cutter, and every cut is either; but it lies flat and holds little.",
          choice: ofPiece({ form: { ...form, topOversizeMm: 0 } }),
        },
      ],
    },
  ];
}

const ventWhy: Readonly<Record<VentKind, string>> = {
  none: "For what is open, dry or fried.",
  pricks: "Quick, and hardly seen.",
  slits: "They open as it rises and let a wet filling breathe.",
  cutOut: "A window: the surest vent, and it shows what is inside.",
};

function ventSchool({ piece, formed, wetness }: SchoolFacts): School {
  const { kind, count } = piece.vents;
  const advised = (each: VentKind) =>
    each === kind && count > 0 ? count : adviseVents(each, formed?.washMm2 ?? 0, wetness);
  return {
    id: "vents",
    question: "Where does the steam leave?",
    scope: "piece",
    chosenId: kind,
    options: (Object.keys(ventWhy) as VentKind[]).map((each) => ({
      id: each,
      title: each === "none" ? "Nowhere" : `${advised(each)} ${ventFacts[each].name}`,
      why: ventWhy[each],
      choice: ofPiece({ vents: { kind: each, count: advised(each) } }),
    })),
  };
}
