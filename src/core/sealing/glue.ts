export const glueIds = ["none", "water", "egg", "white"] as const;
export type GlueId = (typeof glueIds)[number];

/** What sticks one edge to the other. */
export interface Glue {
  readonly id: GlueId;
  readonly name: string;
  /** Brushed on one edge only, g for a metre of seam one brush wide: thin. */
  readonly gPerM: number;
  /** How much it lowers the log-odds that a seam opens, against water. */
  readonly strength: number;
}

export const glues: readonly Glue[] = [
  { id: "none", name: "None", gPerM: 0, strength: -0.9 },
  { id: "water", name: "Water", gPerM: 4, strength: 0 },
  { id: "egg", name: "Whole egg", gPerM: 6, strength: 0.4 },
  { id: "white", name: "Egg white", gPerM: 5, strength: 0.5 },
];

/** Drawing a wet brush along the seam. */
const BRUSH_SECONDS_PER_M = 10;

/** Glue of a seam: which, g and seconds of brushing; both grow with its length in mm. @throws On an unknown id. */
export function gluePerPiece(id: GlueId, seamMm: number): { glue: Glue; massG: number; seconds: number } {
  const glue = glues.find((each) => each.id === id);
  if (!glue) throw new RangeError(`gluePerPiece: no glue has the id ${id}`);
  const seamM = seamMm / 1000;
  return { glue, massG: seamM * glue.gPerM, seconds: glue.gPerM > 0 ? seamM * BRUSH_SECONDS_PER_M : 0 };
}
