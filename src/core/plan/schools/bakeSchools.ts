import type { BakeStage, Piece, Tin } from "../book";
import { ofPiece, type School, type SchoolFacts, type SchoolOption } from "./school";

/** How the schools of baking differ from one steady heat, °C and share of the minutes. */
const HOT_START_C = 25;
const LOWERED_C = 15;
const HOT_SHARE = 0.4;
const BLIND_MIN = 12;
const LOW_C = 35;
/** Least minutes of a stage. */
const LEAST_STAGE_MIN = 3;

export function bakeSchool({ piece }: SchoolFacts): School {
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

export function washSchool({ piece }: SchoolFacts): School {
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

export function sugarSchool({ piece }: SchoolFacts): School {
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

export function tinSchool({ piece }: SchoolFacts): School {
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
