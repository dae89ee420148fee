import { format, parse } from "date-fns";
import type { KeptIn, Label, UnknownContact } from "@/core/labels";
import {
  formatClock,
  formatCount,
  formatDuration,
  formatHeat,
  formatMass,
  type OvenScale,
} from "@/core/units";
import type { LarderKind } from "@/core/plan";

/** Words set in one weight. */
export interface Run {
  readonly text: string;
  readonly isBold: boolean;
}

/** What a part of a label says; what must be named is never left off. */
export type LabelPart =
  | "title"
  | "what"
  | "allergens"
  | "dates"
  | "keep"
  | "weight"
  | "ingredients"
  | "warmUp";

export interface Paragraph {
  readonly part: LabelPart;
  readonly runs: readonly Run[];
}

/** What a baker chooses to have on every label. */
export interface LabelWishes {
  /** What share of the whole each ingredient is. */
  readonly showsShares: boolean;
  /** What all of the day's pieces may touch on bench and pin; oil and brush are always said. */
  readonly namesBench: boolean;
  readonly ovenScale: OvenScale;
}

/** Of how a label says where a thing is kept: usual rules, the house's own come before them. */
const keepWords: Record<KeptIn, string> = {
  room: "Keep cool and dry.",
  cold: "Keep cold, 5 °C or below.",
  freezer: "Keep frozen, −18 °C or below.",
};
const larderWords: Record<LarderKind, string> = {
  dough: "dough",
  filling: "filling",
  blanks: "cut blanks",
  shells: "baked shells",
  frozenPieces: "frozen, unbaked: bake from frozen",
};

const plain = (text: string): Run => ({ text, isBold: false });
const bold = (text: string): Run => ({ text, isBold: true });
/** `Sat 28 Nov 2026`. */
const sayDate = (date: string): string => format(parse(date, "yyyy-MM-dd", new Date(0)), "EEE d MMM yyyy");

/** A label's paragraphs in the order in which they are read. */
export function describeLabel(label: Label, wishes: LabelWishes): Paragraph[] {
  const { title, part, count, items, dueMin, larderKind, madeOn, useBy, massG } = label;
  const what = [
    ...(dueMin === null ? [] : [`for ${formatClock(dueMin)}`]),
    ...items.map((item) => `${item.count} × ${item.name}`),
    ...(part ? [`tray ${part.index} of ${part.of}`, formatCount(count, "piece")] : []),
    ...(larderKind === null
      ? []
      : [count > 0 ? `${count} ${larderWords[larderKind]}` : larderWords[larderKind]]),
  ].join(" · ");
  const touched = label.contacts.filter(({ through }) => through !== "bench" || wishes.namesBench);
  const paragraph = (of: LabelPart, ...runs: Run[]): Paragraph => ({ part: of, runs });
  return [
    paragraph("title", bold(title === "" ? "For whoever comes" : title)),
    ...(what === "" ? [] : [paragraph("what", plain(what))]),
    paragraph("allergens", ...sayContains(label)),
    ...(touched.length === 0
      ? []
      : [
          paragraph(
            "allergens",
            plain(`May hold traces of ${listed(touched.map(({ allergen }) => allergen))}.`),
          ),
        ]),
    ...sayUnknownContacts(label.unknownContacts, wishes),
    paragraph("dates", plain(`Made ${sayDate(madeOn)} · `), bold(`use by ${sayDate(useBy)}`)),
    paragraph("keep", plain(keepWords[label.keptIn])),
    paragraph("weight", plain(`About ${formatMass(massG)}`)),
    ...sayIngredients(label, wishes),
    ...(label.warmUps.length === 0
      ? []
      : [paragraph("warmUp", plain(`Crisp again: ${sayWarmUps(label, wishes.ovenScale)}.`))]),
  ];
}

/** The all-clear stands only where everything in it, and everything it touched, is known. */
function sayContains({ kind, contains, unknown, unknownContacts }: Label): Run[] {
  const said = contains.length > 0 ? [plain("Contains "), bold(contains.join(", ")), plain(".")] : [];
  if (unknown.length > 0) {
    const lead = said.length > 0 ? " " : "";
    return [...said, plain(lead), bold(`Allergens not known of ${listed(unknown)}: ask before it is sold.`)];
  }
  if (said.length > 0) return said;
  // What lay in the larder's portions touched on the day they were made is not kept.
  return unknownContacts.length > 0 || kind === "larder"
    ? [plain("No allergens in the ingredients.")]
    : [plain("None of the allergens that must be named.")];
}

/** Unknown things that came by oil and brush are always named, those of the bench as the house wishes. */
function sayUnknownContacts(touched: readonly UnknownContact[], { namesBench }: LabelWishes): Paragraph[] {
  const named = touched.filter(({ through }) => through !== "bench" || namesBench);
  const things = [...new Set(named.flatMap(({ names }) => names))];
  const loads = named.reduce((sum, each) => sum + each.loads, 0);
  if (things.length === 0 && loads === 0) return [];
  const sources = [...things, ...(loads > 0 ? [`${formatCount(loads, "earlier load")} of the oil`] : [])];
  return [
    {
      part: "allergens",
      runs: [plain(`May hold traces of ${listed(sources)}: allergens not known.`)],
    },
  ];
}

/** By mass, the heaviest first; whatever holds an allergen in bold. */
function sayIngredients({ ingredients }: Label, { showsShares }: LabelWishes): Paragraph[] {
  const totalG = ingredients.reduce((sum, { massG }) => sum + massG, 0);
  if (totalG <= 0) return [];
  const runs = ingredients.flatMap(({ name, massG, allergens }, i): Run[] => {
    const share = showsShares ? ` ${sayShare(massG / totalG)}` : "";
    const end = i === ingredients.length - 1 ? "." : ", ";
    return [allergens === null || allergens.length > 0 ? bold(name) : plain(name), plain(`${share}${end}`)];
  });
  return [{ part: "ingredients", runs: [plain("Ingredients by mass: "), ...runs] }];
}

/** Below a hundredth it is not told more finely. */
const sayShare = (share: number): string => (share < 0.01 ? "< 1 %" : `${Math.round(share * 100)} %`);

function sayWarmUps({ warmUps, items }: Label, scale: OvenScale): string {
  const says = warmUps.map(({ name, minutes, heatC }) => ({
    name,
    how: `${formatDuration(minutes)}${heatC === null ? "" : ` at ${formatHeat(heatC, scale)}`}`,
  }));
  const ways = [...new Set(says.map(({ how }) => how))];
  // One way for all that lies in it needs no names.
  if (ways.length === 1 && (items.length === 0 || says.length === items.length)) return ways[0] ?? "";
  return says.map(({ name, how }) => `${name} ${how}`).join("; ");
}

/** `egg, milk and nuts`. */
export const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join("") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;
