export const ovenKinds = ["still", "fan", "hotAir"] as const;
/** Still air, a fan, or a countertop oven that blows hard. */
export type OvenKind = (typeof ovenKinds)[number];

interface KindFacts {
  readonly name: string;
  /** Set so much below still air for the same bake, °C. */
  readonly belowStillC: number;
  /** Minutes for one of still air's, at that setting. */
  readonly minutesShare: number;
}

/** The craft's usual conversion; a baker's own oven is learnt from its log. */
export const ovenKindFacts: Readonly<Record<OvenKind, KindFacts>> = {
  still: { name: "still air", belowStillC: 0, minutesShare: 1 },
  fan: { name: "fan", belowStillC: 20, minutesShare: 1 },
  hotAir: { name: "countertop hot air", belowStillC: 25, minutesShare: 0.8 },
};

/** A heat and its minutes, carried from one kind of oven to another; whole five degrees, whole minutes. */
export function convertBake(
  { ovenC, minutes }: { readonly ovenC: number; readonly minutes: number },
  from: OvenKind,
  to: OvenKind,
): { ovenC: number; minutes: number } {
  if (from === to) return { ovenC, minutes };
  const [was, is] = [ovenKindFacts[from], ovenKindFacts[to]];
  return {
    ovenC: Math.round((ovenC + was.belowStillC - is.belowStillC) / 5) * 5,
    minutes: Math.max(Math.round((minutes * is.minutesShare) / was.minutesShare), 1),
  };
}
