import { isFilledLevel } from "../../../forming";
import { adviseVents, glues, ventFacts, type VentKind } from "../../../sealing";
import { ofPiece, type School, type SchoolFacts } from "./school";

const glueWhy = {
  none: "Moist dough sticks to itself; nothing to brush.",
  water: "Quick, cheap and free of egg.",
  egg: "Holds well and browns where it spreads; egg joins the allergens.",
  white: "The strongest hold, for wet fillings, and clear once baked; egg joins the allergens.",
} as const;

/** What the seam is brushed with. */
export function glueSchool({ piece }: SchoolFacts): School {
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

/** Lean or plump, as advised for its filling; of what is filled level, how much of its depth. None for a large fold. */
export function fillSchool({ piece, formed, advice }: SchoolFacts): School[] {
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

/** A top cut larger by what it climbs over, or by the base's own cutter; none where no lid is. */
export function topSchool({ piece }: SchoolFacts): School[] {
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

/** Which openings let the steam out, as many as the top's area and the filling's wetness ask for. */
export function ventSchool({ piece, formed, wetness }: SchoolFacts): School {
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
