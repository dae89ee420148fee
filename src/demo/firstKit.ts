import type { Bench, Oven } from "@/schemas/model";

/** A bench and an oven to begin with: sizes found in many kitchens, to be corrected by the baker. */
export const firstBench: Bench = {
  id: "bench",
  widthMm: 1200,
  depthMm: 600,
  sheetMaxWidthMm: 600,
  sheetMaxDepthMm: 400,
};

export const firstOven: Oven = {
  id: "oven",
  name: "Oven",
  traysAtOnce: 2,
  powerKw: 0,
  trayWidthMm: 450,
  trayDepthMm: 350,
  heatUpCPerMin: 10,
  coolDownCPerMin: 4,
  maxC: 250,
  kind: "still",
  deckOffsetsC: [0],
};
