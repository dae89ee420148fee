import type { Cutter, Dough, Filling, Piece } from "@/schemas/model";
import {
  blossomCurd,
  boughtPuff,
  chestnut,
  courgette,
  lardCrust,
  leek,
  plum,
  quince,
  rhubarb,
  roughPuff,
  shortcrust,
  sweetCreamed,
  yoghurtCrust,
} from "./formulas";

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
  form: { kind: "halfMoon" },
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
  form: { kind: "triangle" },
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

const pop: Piece = {
  ...halfMoon,
  id: "plum-pop",
  name: "Plum pop",
  form: { kind: "lidded", topOversizeMm: null },
  cut: { kind: "disc", diameterMm: 74 },
  fillingId: plum.id,
  thicknessMm: 3,
  marginMm: 11,
  plumpness: 0.4,
  crimp: "forked",
  webMm: 1,
  ovenC: 195,
  bakeMin: 20,
};

const oval: Piece = {
  ...halfMoon,
  id: "chestnut-oval",
  name: "Chestnut oval",
  form: { kind: "lidded", topOversizeMm: null },
  cut: { kind: "oval", widthMm: 130, heightMm: 85 },
  doughId: sweetCreamed.id,
  fillingId: chestnut.id,
  thicknessMm: 4,
  marginMm: 12,
  plumpness: 0.45,
  crimp: "forked",
  ovenC: 185,
  bakeMin: 30,
};

const puffCase: Piece = {
  ...halfMoon,
  id: "blossom-case",
  name: "Orange-blossom case",
  form: { kind: "case", holeMm: 46 },
  cut: { kind: "disc", diameterMm: 78 },
  doughId: roughPuff.id,
  fillingId: blossomCurd.id,
  thicknessMm: 4,
  marginMm: 5,
  plumpness: 0.85,
  webMm: 1,
  ovenC: 215,
  bakeMin: 18,
  coolMin: 25,
};

const rose: Piece = {
  ...halfMoon,
  id: "courgette-rose",
  name: "Courgette rose",
  form: { kind: "rosette", sliceMm: 42, sliceThicknessMm: 2, overlapShare: 0.5, cavityMm: 70 },
  cut: { kind: "rectangle", widthMm: 300, heightMm: 56 },
  doughId: boughtPuff.id,
  fillingId: courgette.id,
  thicknessMm: 2,
  marginMm: 4,
  plumpness: 0.5,
  webMm: 0,
  raggedMm: 0,
  ovenC: 190,
  bakeMin: 32,
};

/** One starter for each form there is, and a small fold. */
export const starters: readonly Starter[] = [
  {
    id: "half-moon",
    title: "Half-moons",
    blurb: "A round folded over, roped along the curve. Quince and bay in shortcrust.",
    dough: shortcrust,
    filling: quince,
    piece: halfMoon,
    cutter: { id: "round-120", name: "Round 120", outline: halfMoon.cut, count: 1 },
  },
  {
    id: "triangle",
    title: "Triangles",
    blurb: "A square folded corner to corner, forked. Leek and white cheese in yoghurt crust.",
    dough: yoghurtCrust,
    filling: leek,
    piece: triangle,
    cutter: { id: "square-110", name: "Wheel and ruler, 110", outline: triangle.cut, count: 1 },
  },
  {
    id: "crescent",
    title: "Small crescents",
    blurb: "Two bites each, pinched shut. Rhubarb and orange in lard crust.",
    dough: lardCrust,
    filling: rhubarb,
    piece: crescent,
    cutter: { id: "round-95", name: "Round 95", outline: crescent.cut, count: 1 },
  },
  {
    id: "pop",
    title: "Pops",
    blurb: "Two rounds with a heap between, the top larger so that it climbs. Plum and poppy in shortcrust.",
    dough: shortcrust,
    filling: plum,
    piece: pop,
    cutter: { id: "round-74", name: "Round 74", outline: pop.cut, count: 1 },
  },
  {
    id: "oval",
    title: "Lidded ovals",
    blurb: "An oval base and its larger lid, forked all round. Chestnut and onion in sweet paste.",
    dough: sweetCreamed,
    filling: chestnut,
    piece: oval,
    cutter: { id: "oval-130", name: "Oval 130 × 85", outline: oval.cut, count: 1 },
  },
  {
    id: "case",
    title: "Puff cases",
    blurb: "Base, ring, and the ring’s centre as a lid; filled cold. Orange-blossom curd in rough puff.",
    dough: roughPuff,
    filling: blossomCurd,
    piece: puffCase,
    cutter: { id: "round-78", name: "Round 78", outline: puffCase.cut, count: 1 },
  },
  {
    id: "rose",
    title: "Rosettes",
    blurb:
      "Slices along a strip, folded and rolled up in a cavity. Courgette and soft cheese in bought puff.",
    dough: boughtPuff,
    filling: courgette,
    piece: rose,
    cutter: { id: "strip-300", name: "Wheel and ruler, 300 × 56", outline: rose.cut, count: 1 },
  },
];
