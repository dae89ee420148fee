import type { Cutter, Dough, Filling, Piece } from "@/schemas/model";

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

type Line = readonly [name: string, massG: number];

const lines = (prefix: string, list: readonly Line[]) =>
  list.map(([name, massG], i) => ({ id: `${prefix}-${i + 1}`, name, amountText: `${massG} g`, massG }));

const shortcrust: Dough = {
  kind: "dough",
  id: "bay-shortcrust",
  name: "Bay shortcrust",
  lines: lines("bay-shortcrust", [
    ["plain flour", 500],
    ["cold butter", 255],
    ["bay-leaf water, iced", 135],
    ["fine salt", 8],
  ]),
  densityGPerMl: 1.2,
  mixMin: 14,
  springBackShare: 0.03,
  rerollLimit: 2,
  rerollLossShare: 0.02,
  restMin: 45,
  rerollRestMin: 20,
  benchLimitMin: 75,
};

const yoghurtCrust: Dough = {
  kind: "dough",
  id: "yoghurt-crust",
  name: "Yoghurt crust",
  lines: lines("yoghurt-crust", [
    ["plain flour", 480],
    ["cold butter", 190],
    ["thick yoghurt", 165],
    ["egg, beaten", 52],
    ["fine salt", 9],
  ]),
  densityGPerMl: 1.18,
  mixMin: 12,
  springBackShare: 0.04,
  rerollLimit: 2,
  rerollLossShare: 0.02,
  restMin: 40,
  rerollRestMin: 20,
  benchLimitMin: 60,
};

const lardCrust: Dough = {
  kind: "dough",
  id: "pier-lard-crust",
  name: "Pier lard crust",
  lines: lines("pier-lard-crust", [
    ["plain flour", 520],
    ["leaf lard", 205],
    ["iced water", 128],
    ["cider vinegar", 12],
    ["fine salt", 8],
  ]),
  densityGPerMl: 1.22,
  mixMin: 10,
  springBackShare: 0.05,
  rerollLimit: 2,
  rerollLossShare: 0.025,
  restMin: 30,
  rerollRestMin: 15,
  benchLimitMin: 80,
};

const quince: Filling = {
  kind: "filling",
  id: "quince-and-bay",
  name: "Quince and bay",
  lines: lines("quince-and-bay", [
    ["quince, cored and diced", 1000],
    ["sugar", 190],
    ["water", 160],
    ["lemon juice", 35],
    ["bay leaves", 3],
  ]),
  densityGPerMl: 1.08,
  mixMin: 18,
  makingLossShare: 0.24,
  coolMin: 60,
};

const leek: Filling = {
  kind: "filling",
  id: "leek-and-white-cheese",
  name: "Leek and white cheese",
  lines: lines("leek-and-white-cheese", [
    ["leeks, sliced 2 mm", 820],
    ["white brined cheese", 460],
    ["egg", 104],
    ["olive oil", 30],
    ["black pepper", 3],
  ]),
  densityGPerMl: 1.02,
  mixMin: 20,
  makingLossShare: 0.19,
  coolMin: 45,
};

const rhubarb: Filling = {
  kind: "filling",
  id: "rhubarb-and-orange",
  name: "Rhubarb and orange",
  lines: lines("rhubarb-and-orange", [
    ["rhubarb, cut 10 mm", 900],
    ["sugar", 230],
    ["potato starch", 32],
    ["orange zest", 6],
  ]),
  densityGPerMl: 1.06,
  mixMin: 14,
  makingLossShare: 0.14,
  coolMin: 40,
};

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
