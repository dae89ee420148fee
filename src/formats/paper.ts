import type { BoxMm } from "@/core/shape";

export type Paper = "a4" | "letter";

/** Paper upright, mm. */
export const papers: Record<Paper, BoxMm> = {
  a4: { widthMm: 210, heightMm: 297 },
  letter: { widthMm: 215.9, heightMm: 279.4 },
};

/** PDF measures in points, 72 to an inch. */
export const PT_PER_MM = 72 / 25.4;
