import { factsOfMaking, type Filling } from "../formula";
import type { FormKind } from "../forming";
import type { GlueId, Wash } from "../sealing";
import { formatLength } from "../units";

/** Where in the day a caution is shown. */
export type CautionStation = "mix" | "fill" | "seal" | "bake" | "cool";

export interface Caution {
  readonly station: CautionStation;
  readonly text: string;
}

/** What about a piece can hurt someone. */
export interface CautionFacts {
  readonly form: FormKind;
  readonly hasStick: boolean;
  /** All that go in or on, the main one first. */
  readonly fillings: readonly Filling[];
  readonly hasSauce: boolean;
  readonly glue: GlueId;
  readonly wash: Wash["kind"];
  /** Something heavy lies in it while it bakes empty. */
  readonly hasWeights: boolean;
  /** Fried in oil that stands so high with the food in it, of what is allowed, mm; null if it is baked. */
  readonly oil: { readonly levelMm: number; readonly mostMm: number } | null;
  /** Some of it was made on another day, or is made today for another. */
  readonly isKept: boolean;
}

/** A custard is set and safe at its core: below it runs, above it curdles. A usual rule. */
export const CUSTARD_CORE_C = { lowC: 72, highC: 74 };
const CUSTARD_MARK = `${CUSTARD_CORE_C.lowC}–${CUSTARD_CORE_C.highC} °C`;
const LOCAL = "Your local food code decides.";
const hasEgg = ({ lines }: Filling) =>
  lines.some(({ ingredientId }) => ingredientId?.startsWith("egg") ?? false);

/** Cautions of one piece, each at the step that it belongs to. They defer to local codes and licensed practice. */
export function listCautions(facts: CautionFacts): Caution[] {
  const { form, hasStick, fillings, hasSauce, glue, wash, hasWeights, oil, isKept } = facts;
  const custard = fillings.some(({ family }) => family === "custard");
  const syrup = fillings.some(({ family }) => family === "syrup");
  const wet = fillings.some(({ wetness }) => wetness === "wet");
  const eggCoat =
    glue === "egg" || glue === "white" || ["egg", "eggWater", "eggMilk", "white"].includes(wash);
  const when = (holds: boolean, station: CautionStation, text: string): Caution[] =>
    holds ? [{ station, text }] : [];
  return [
    ...when(
      syrup || fillings.some(({ making }) => making.some(({ kind }) => factsOfMaking(kind).isHot)),
      "mix",
      "Boiling syrup and fillings burn deep and go on burning: long sleeves, deep pan, nobody behind you.",
    ),
    ...when(
      custard,
      "mix",
      `Cook custards and creams through, ${CUSTARD_MARK} at the core is a usual rule, and cool them fast. ${LOCAL}`,
    ),
    ...when(fillings.some(hasEgg), "mix", "Raw egg and raw flour are not for tasting."),
    ...when(
      form === "wrapped",
      "fill",
      "Corer and blade: cut away from the body, fruit on a board, fingers behind the edge.",
    ),
    ...when(
      form === "rosette",
      "fill",
      "Slicing on a blade guide: always with its guard, never the last slice by hand.",
    ),
    ...when(
      hasSauce,
      "fill",
      "Hot syrup: pour around the pieces and away from you, pan set down first, not held.",
    ),
    ...when(
      hasStick,
      "seal",
      "Food-grade sticks only, no splinters. A stick is a hazard for small children: say so where they are sold.",
    ),
    ...when(
      eggCoat,
      "seal",
      `Raw egg in brush and bowl: do not taste, wash both after. What a brush touched holds egg: mind allergens. ${LOCAL}`,
    ),
    ...when(!eggCoat, "seal", "Raw flour is not for tasting."),
    ...when(
      hasWeights,
      "bake",
      "Blind-baking weights are hot: lift them out in their paper, and count them.",
    ),
    ...(oil
      ? when(
          true,
          "bake",
          `Hot oil: with the food in it it stands at ${formatLength(oil.levelMm, 0)}, never above ${formatLength(oil.mostMm, 0)}. ` +
            "Dry pieces only, let down away from you. Never leave it; lid and fire blanket at hand; never water on burning oil.",
        )
      : []),
    ...when(
      oil !== null,
      "bake",
      `Oil is shared: it holds the allergens of what was fried in it before. ${LOCAL}`,
    ),
    ...when(wet, "bake", "Boiling filling burns: lift trays level and let them stand before handling."),
    ...when(
      custard,
      "bake",
      `Egg custard: a probe in the middle of one piece, ${CUSTARD_MARK} at the core is a usual rule. ${LOCAL}`,
    ),
    ...when(
      isKept,
      "cool",
      `Label what is kept with its date and use-by; reheat it hot right through, once only, 75 °C at the core is a usual rule. ${LOCAL}`,
    ),
    ...when(
      wet || custard,
      "cool",
      `Held warm for sale: 60–63 °C and above, or cold at 5 °C and below; not between. ${LOCAL}`,
    ),
    ...when(
      custard,
      "cool",
      `Set custards leave the warm zone fast: 60 to 21 °C within 2 h and to 5 °C within 4 h more is a usual rule. ${LOCAL}`,
    ),
  ];
}
