import { createWay, settleWay } from "@/core/way";
import type { Piece } from "@/schemas/model";
import { type FormerPiece } from "@/schemas/wayParts";
import { shortcrust } from "../doughs";
import { quince } from "../fillings";

/** A piece as the quay's baker makes it, step by step. */
export const goes = (piece: Piece, steps: Parameters<typeof createWay>[0]): Piece => ({
  ...piece,
  way: settleWay(createWay(steps), piece),
});

export const common: FormerPiece = {
  id: "quince-half-moon",
  name: "Quince half-moon",
  form: { kind: "halfMoon" },
  cut: { kind: "disc", diameterMm: 120 },
  doughId: shortcrust.id,
  fillingId: quince.id,
  thicknessMm: 3.5,
  marginMm: 13,
  plumpness: 0.55,
  portionG: null,
  extras: [],
  crimp: "rope",
  glue: "egg",
  vents: { kind: "slits", count: 2 },
  wash: { kind: "eggMilk", coats: 1, sugar: "before" },
  tin: "papered",
  heatBy: "oven",
  vesselId: null,
  unmould: null,
  doneness: { sign: "golden", moreMin: 2, atMost: 1 },
  glaze: { kind: "none", dryMin: 0 },
  webMm: 2,
  raggedMm: 8,
  cutAim: "sensible",
  seenFirst: true,
  pinnedSheet: null,
  spares: 2,
  chillMin: 20,
  stages: [{ ovenC: 200, minutes: 26, act: "none" }],
  bakeLossShare: 0.09,
  spacingMm: 20,
  coolMin: 20,
};
export const open = { kind: "open" } as const;
export const unwashed = { kind: "none", coats: 1, sugar: "none" } as const;
export const closedTop = { kind: "none", count: 0 } as const;
