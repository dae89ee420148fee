/** The stations of a day in working order. */
export const stations = ["orders", "mix", "roll", "fill", "seal", "bake", "cool"] as const;
export type Station = (typeof stations)[number];
