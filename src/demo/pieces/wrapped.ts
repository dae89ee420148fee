import type { Piece } from "@/schemas/model";
import { toPiece } from "@/schemas/wayParts";
import { yoghurtCrust } from "../doughs";
import { datePaste, spicedSugar, syrup } from "../fillings";
import { syrupPans } from "../kit";
import { common, goes } from "./common";

/** Pieces of Tirsen Quay, invented. What is wrapped or gathered round its filling. */

export const pearCoat: Piece = goes(
  toPiece({
    ...common,
    id: "pear-coat",
    name: "Pear in its coat",
    form: { kind: "wrapped", fruitMm: 58, fruitHeightMm: 66, footMm: 26, coreMm: 18, overlapMm: 14 },
    cut: { kind: "square", sideMm: 168 },
    fillingId: spicedSugar.id,
    thicknessMm: 4,
    marginMm: 9,
    plumpness: 0.9,
    portionG: null,
    extras: [{ kind: "sauce", fillingId: syrup.id, eachG: 30, perPan: 6 }],
    crimp: "pinched",
    glue: "water",
    vents: { kind: "pricks", count: 4 },
    wash: { kind: "milk", coats: 1, sugar: "before" },
    tin: "buttered",
    spares: 0,
    vesselId: syrupPans.id,
    doneness: { sign: "skewer", moreMin: 5, atMost: 1 },
    webMm: 0,
    bakeLossShare: 0.1,
  }),
  [
    ["roll"],
    ["cut"],
    ["prepare", { thing: { name: "pears", count: 1, eachG: 160 } }],
    ["fill"],
    ["bringUp"],
    ["close"],
    ["chill", { minutes: 20 }],
    ["warm", { minutes: 5 }],
    ["pourAround"],
    ["bake", { heatC: 205, minutes: 15, mostWaitMin: 4 }],
    ["turn"],
    ["bake", { heatC: 175, minutes: 30 }],
    ["cool", { minutes: 30 }],
    ["spoonOver"],
    ["setOut"],
  ],
);

export const dateRound: Piece = goes(
  toPiece({
    ...common,
    id: "date-round",
    name: "Date-and-sesame round",
    form: { kind: "gathered", finishedMm: 70, heapMm: null },
    cut: { kind: "disc", diameterMm: 132 },
    doughId: yoghurtCrust.id,
    fillingId: datePaste.id,
    thicknessMm: 5,
    marginMm: 8,
    plumpness: 0.9,
    portionG: null,
    crimp: "pinched",
    glue: "water",
    vents: { kind: "slits", count: 1 },
    wash: { kind: "egg", coats: 1, sugar: "none" },
    bakeLossShare: 0.07,
  }),
  [
    ["roll"],
    ["cut"],
    ["fill", { note: "heaped inside a ring of 70 mm" }],
    ["gather"],
    ["close"],
    ["turnOver"],
    ["chill", { minutes: 20 }],
    ["bake", { heatC: 190, minutes: 25 }],
    ["cool", { minutes: 20 }],
    ["setOut"],
    ["keep", { minutes: 4320 }],
    ["warmUp", { heatC: 170, minutes: 12 }],
  ],
);
