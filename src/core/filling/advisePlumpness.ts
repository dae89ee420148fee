import type { Wetness } from "../formula";

/** What decides how plump a piece may start. */
export interface PlumpnessFacts {
  /** Share of the filling's volume that it loses in the heat. */
  readonly shrinkShare: number;
  readonly wetness: Wetness;
  /** The dough rises away from its filling as it bakes. */
  readonly doughLifts: boolean;
}

export interface PlumpnessAdvice {
  readonly lean: number;
  readonly plump: number;
  readonly why: string;
}

/** How full a baked piece should end, lean and plump: less is hollow, more strains the seam. Craft's first guess. */
const ENDS_LEAN = 0.3;
const ENDS_PLUMP = 0.5;
/** A laminated dough rises so much away from what it holds that the piece is filled by so much more. */
const LIFT_MORE = 0.3;
/** A filling that boils bursts out: it starts so much leaner. */
const LESS_FOR: Readonly<Record<Wetness, number>> = { dry: 1, moist: 1, wet: 0.8 };
const [LEAST, MOST] = [0.15, 0.9];

/** The two schools of filling as plumpness, for this dough and this filling. */
export function advisePlumpness({ shrinkShare, wetness, doughLifts }: PlumpnessFacts): PlumpnessAdvice {
  const startFor = (ends: number) => {
    const start = ((ends * (doughLifts ? 1 + LIFT_MORE : 1)) / (1 - shrinkShare)) * LESS_FOR[wetness];
    return Math.round(Math.min(Math.max(start, LEAST), MOST) * 20) / 20;
  };
  const reasons = [
    shrinkShare >= 0.1
      ? `the filling shrinks by ${Math.round(shrinkShare * 100)} %, so it starts heaped`
      : null,
    doughLifts ? "the dough rises away from it" : null,
    wetness === "wet" ? "it boils, so it is held back" : null,
  ].filter((reason) => reason !== null);
  return {
    lean: startFor(ENDS_LEAN),
    plump: startFor(ENDS_PLUMP),
    why: reasons.length > 0 ? reasons.join("; ") : "neither dough nor filling changes much in the heat",
  };
}
