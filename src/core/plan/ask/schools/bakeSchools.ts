import { findHeatWay, findShellEntry, listHeats, settleWay, withHeats, type Heat } from "../../../way";
import type { Piece, Tin } from "../../book";
import { ofPiece, type School, type SchoolFacts, type SchoolOption } from "./school";

/** How the schools of baking differ from one steady heat, °C and share of the minutes. */
const HOT_START_C = 25;
const LOWERED_C = 15;
const HOT_SHARE = 0.4;
const BLIND_MIN = 12;
const LOW_C = 35;
/** Least minutes of a heat. */
const LEAST_HEAT_MIN = 3;

/** One steady heat, hot and then lower, or a shell baked empty and filled after: each from the heat and minutes that stand. */
export function bakeSchool({ piece }: SchoolFacts): School {
  const heats = listHeats(piece.way);
  const minutes = heats.reduce((sum, heat) => sum + heat.minutes, 0);
  const meanC =
    Math.round(heats.reduce((sum, { ovenC, minutes: each }) => sum + ovenC * each, 0) / minutes / 5) * 5;
  const heat = (ovenC: number, share: number): Heat => ({
    ovenC,
    minutes: Math.max(Math.round(minutes * share), LEAST_HEAT_MIN),
  });
  // A closed piece has nowhere to be filled once it is baked; a case never is before.
  const open =
    piece.form.kind === "puck" || (piece.form.kind === "lined" && piece.form.topping.kind !== "lid");
  const isFilledLate = open && findShellEntry(piece.way) >= 0;
  const fallsBy = (heats[0]?.ovenC ?? 0) - (heats.at(-1)?.ovenC ?? 0);
  const chosenId = isFilledLate ? (fallsBy >= 0 ? "blind" : "part") : fallsBy > 0 ? "lowered" : "steady";
  const ways: readonly (Omit<SchoolOption, "choice"> & {
    readonly empty: Heat | null;
    readonly heats: readonly Heat[];
  })[] = [
    {
      id: "steady",
      title: "One steady heat",
      why: "Nothing to watch, and loads of one heat follow each other.",
      empty: null,
      heats: [heat(meanC, 1)],
    },
    {
      id: "lowered",
      title: "Hot, then lower",
      why: "The crust sets before the filling boils: sticky tarts, custards, fruit.",
      empty: null,
      heats: [heat(meanC + HOT_START_C, HOT_SHARE), heat(meanC - LOWERED_C, 1 - HOT_SHARE)],
    },
    {
      id: "blind",
      title: "Blind, then filled",
      why: "The base is crisp before something wet and gentle goes in, baked low.",
      empty: { ovenC: meanC, minutes: BLIND_MIN },
      heats: [heat(meanC - LOW_C, 1)],
    },
    {
      id: "part",
      title: "Part-baked, filled, finished hot",
      why: "Shells made ahead; the last heat sets filling and colour together.",
      empty: { ovenC: meanC - LOWERED_C, minutes: BLIND_MIN },
      heats: [heat(meanC + HOT_START_C, 0.6)],
    },
  ];
  // Oil is held at one heat.
  const isOil = findHeatWay(piece.way) === "oil";
  return {
    id: "bake",
    question: "How is it baked?",
    scope: "piece",
    chosenId,
    options: ways
      .filter(({ id }) => (isOil ? id === chosenId : open || id === "steady" || id === "lowered"))
      .map(({ empty, heats: taken, ...school }) => ({
        ...school,
        choice: ofPiece({
          way: school.id === chosenId ? piece.way : settleWay(withHeats(piece.way, taken, empty), piece),
        }),
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

/** What the top is brushed with before it bakes. */
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
      choice: ofWash(piece, { ...piece.wash, kind, coats }),
    })),
  };
}

/** What is brushed or strewn on is a step of the way. */
const ofWash = (piece: Piece, wash: Piece["wash"]) =>
  ofPiece({ wash, way: settleWay(piece.way, { ...piece, wash }) });

/** Whether sugar is baked on, strewn on afterwards, or left out. */
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
      choice: ofWash(piece, { ...piece.wash, sugar: option.id }),
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

/** What pieces stand on in the oven. */
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
