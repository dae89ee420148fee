import type { Cutter, Dough, Filling, Piece } from "@/schemas/model";
import { lardCrust, leek, quince, rhubarb, shortcrust, yoghurtCrust } from "./formulas";

/** A dough, a filling, a piece and its cutter, ready to be taken and changed. */
export interface Starter {
  readonly id: string;
  readonly title: string;
  readonly blurb: string;
  readonly dough: Dough;
  readonly filling: Filling;
  readonly piece: Piece;
  readonly cutter: Cutter;
}

const halfMoon: Piece = {
  id: "quince-half-moon",
  name: "Quince half-moon",
  form: "halfMoon",
  cut: { kind: "disc", diameterMm: 120 },
  doughId: shortcrust.id,
  fillingId: quince.id,
  thicknessMm: 3.5,
  marginMm: 13,
  plumpness: 0.55,
  crimp: "rope",
  webMm: 2,
  raggedMm: 8,
  cutAim: "leastDough",
  pinnedSheet: null,
  spares: 2,
  chillMin: 20,
  ovenC: 200,
  bakeMin: 26,
  bakeLossShare: 0.09,
  spacingMm: 20,
  coolMin: 20,
};

const triangle: Piece = {
  ...halfMoon,
  id: "leek-triangle",
  name: "Leek triangle",
  form: "triangle",
  cut: { kind: "square", sideMm: 110 },
  doughId: yoghurtCrust.id,
  fillingId: leek.id,
  thicknessMm: 3,
  marginMm: 11,
  plumpness: 0.5,
  crimp: "forked",
  webMm: 0,
  ovenC: 190,
  bakeMin: 24,
  bakeLossShare: 0.08,
  coolMin: 15,
};

const crescent: Piece = {
  ...halfMoon,
  id: "rhubarb-crescent",
  name: "Rhubarb crescent",
  cut: { kind: "disc", diameterMm: 95 },
  doughId: lardCrust.id,
  fillingId: rhubarb.id,
  thicknessMm: 2.5,
  marginMm: 10,
  plumpness: 0.6,
  crimp: "pinched",
  spares: 2,
  ovenC: 210,
  bakeMin: 20,
  bakeLossShare: 0.1,
  coolMin: 15,
};

/** One starter for each fold there is, and a small one. */
export const starters: readonly Starter[] = [
  {
    id: "half-moon",
    title: "Half-moons",
    blurb: "A round folded over, roped along the curve. Quince and bay in shortcrust.",
    dough: shortcrust,
    filling: quince,
    piece: halfMoon,
    cutter: { id: "round-120", name: "Round 120", outline: halfMoon.cut },
  },
  {
    id: "triangle",
    title: "Triangles",
    blurb: "A square folded corner to corner, forked. Leek and white cheese in yoghurt crust.",
    dough: yoghurtCrust,
    filling: leek,
    piece: triangle,
    cutter: { id: "square-110", name: "Wheel and ruler, 110", outline: triangle.cut },
  },
  {
    id: "crescent",
    title: "Small crescents",
    blurb: "Two bites each, pinched shut. Rhubarb and orange in lard crust.",
    dough: lardCrust,
    filling: rhubarb,
    piece: crescent,
    cutter: { id: "round-95", name: "Round 95", outline: crescent.cut },
  },
];
