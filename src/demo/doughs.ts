import type { Dough } from "@/schemas/model";
import { writeLines } from "./formulaLines";

/** The doughs of Tirsen Quay: invented, one for each way of making a dough. */

const butterWindow = { lowC: 10, highC: 16 };
/** Lard is soft over a wider span. */
const lardWindow = { lowC: 7, highC: 19 };

export const shortcrust: Dough = {
  kind: "dough",
  id: "bay-shortcrust",
  name: "Bay shortcrust",
  method: "rubbed",
  lines: writeLines("bay-shortcrust", [
    "500 g plain flour",
    "255 g cold butter",
    "8 g fine salt",
    "115–150 g water, iced, steeped with bay",
  ]),
  steps: [
    "Rub the cold butter into flour and salt until the largest bits are peas.",
    "Add the water by degrees, cutting it in with a knife; stop when the dough holds.",
    "Press into flat discs, wrap, and rest in the cold.",
  ],
  densityGPerMl: 1.2,
  mixMin: 14,
  fatParticle: "pea",
  liquidSchool: "littleMoist",
  window: butterWindow,
  restWay: "fridge",
  dividedInto: "disc",
  dividedCount: null,
  boughtSheet: null,
  springBackShare: 0.03,
  rerollLimit: 2,
  rerollLossShare: 0.02,
  rerollShrinkShare: 0.01,
  trimEnd: "larder",
  decorationCutterId: null,
  restMin: 45,
  rerollRestMin: 20,
  benchLimitMin: 75,
  keepsDays: 3,
};

export const yoghurtCrust: Dough = {
  ...shortcrust,
  id: "yoghurt-crust",
  name: "Yoghurt crust",
  method: "enrichedLard",
  lines: writeLines("yoghurt-crust", [
    "480 g plain flour",
    "190 g cold butter",
    "9 g fine salt",
    "1 egg, beaten",
    "145–175 g thick yoghurt",
  ]),
  steps: [
    "Rub the butter into flour and salt until it looks like coarse sand.",
    "Beat egg into the yoghurt and add it by degrees.",
    "Pat into a disc and rest.",
  ],
  densityGPerMl: 1.18,
  mixMin: 12,
  fatParticle: "sand",
  liquidSchool: "justHolds",
  restWay: "minutes",
  springBackShare: 0.04,
  restMin: 40,
  benchLimitMin: 60,
};

export const lardCrust: Dough = {
  ...shortcrust,
  id: "pier-lard-crust",
  name: "Pier lard crust",
  method: "enrichedLard",
  lines: writeLines("pier-lard-crust", [
    "520 g plain flour",
    "205 g lard",
    "8 g fine salt",
    "12 g cider vinegar",
    "115–140 g iced water",
  ]),
  steps: [
    "Cut the lard into flour and salt to the size of seeds.",
    "Vinegar into the water; add it by degrees until the dough just holds.",
    "Rest ten minutes on the bench, or longer in the cold.",
  ],
  densityGPerMl: 1.22,
  mixMin: 10,
  fatParticle: "seed",
  liquidSchool: "justHolds",
  window: lardWindow,
  restWay: "minutes",
  springBackShare: 0.05,
  rerollLossShare: 0.025,
  restMin: 30,
  rerollRestMin: 15,
  benchLimitMin: 80,
};

export const sweetCreamed: Dough = {
  ...shortcrust,
  id: "hazel-sweet-paste",
  name: "Hazel sweet paste",
  method: "sweetCreamed",
  lines: writeLines("hazel-sweet-paste", [
    "420 g plain flour",
    "80 g hazelnuts, ground",
    "240 g unsalted butter",
    "150 g icing sugar",
    "3 egg yolks",
    "4 g fine salt",
  ]),
  steps: ["Cream butter and sugar.", "Beat in the yolks.", "Fold in flour, nuts and salt; do not work it."],
  densityGPerMl: 1.22,
  fatParticle: "none",
  dividedInto: "log",
  dividedCount: null,
  springBackShare: 0.02,
  restWay: "fridge",
  restMin: 60,
  // The last of it becomes leaves for the lids.
  trimEnd: "decorations",
  decorationCutterId: "leaf-44",
};

export const sweetRubbed: Dough = {
  ...sweetCreamed,
  id: "lemon-sweet-paste",
  name: "Lemon sweet paste",
  method: "sweetRubbed",
  lines: writeLines("lemon-sweet-paste", [
    "500 g plain flour",
    "250 g cold butter",
    "125 g caster sugar",
    "1 egg",
    "10–30 g milk",
    "6 g lemon zest",
  ]),
  steps: [
    "Rub butter into flour to fine sand.",
    "Stir in sugar and zest.",
    "Bind with egg, then milk by degrees.",
  ],
  fatParticle: "sand",
};

export const cheeseCrust: Dough = {
  ...shortcrust,
  id: "gull-cheese-crust",
  name: "Gull cheese crust",
  method: "cheese",
  lines: writeLines("gull-cheese-crust", [
    "400 g plain flour",
    "200 g cold butter",
    "160 g curd cheese",
    "70 g dry grating cheese, grated",
    "4 g fine salt",
    "20–50 g iced water",
  ]),
  steps: ["Rub in the butter to seeds.", "Fork in both cheeses.", "Add water only if it will not hold."],
  densityGPerMl: 1.16,
  fatParticle: "seed",
  dividedInto: "brick",
  dividedCount: null,
};

export const oilCrust: Dough = {
  ...shortcrust,
  id: "harbour-oil-crust",
  name: "Harbour oil crust",
  method: "oilAndButter",
  lines: writeLines("harbour-oil-crust", [
    "500 g plain flour",
    "110 g unsalted butter, melted",
    "90 g olive oil",
    "7 g fine salt",
    "110–140 g plain yoghurt",
  ]),
  steps: [
    "Whisk butter, oil and most of the yoghurt.",
    "Stir into flour and salt; add the rest if it cracks.",
  ],
  fatParticle: "none",
  liquidSchool: "justHolds",
  window: { lowC: 6, highC: 24 },
  restWay: "minutes",
  restMin: 10,
};

export const roughPuff: Dough = {
  ...shortcrust,
  id: "lantern-rough-puff",
  name: "Lantern rough puff",
  method: "roughPuff",
  lines: writeLines("lantern-rough-puff", [
    "500 g strong flour",
    "400 g cold butter",
    "9 g fine salt",
    "10 g lemon juice",
    "230–265 g iced water",
  ]),
  steps: [
    "Toss flour, salt and butter in coins; bind with the water.",
    "Roll to three times as long as wide and fold in three; turn. Four times, resting after each two.",
    "Rest as a brick before the last rolling.",
  ],
  densityGPerMl: 1.15,
  mixMin: 35,
  fatParticle: "coin",
  dividedInto: "brick",
  dividedCount: null,
  springBackShare: 0.06,
  rerollLimit: 1,
  restWay: "freezer",
  restMin: 60,
};

export const boughtPuff: Dough = {
  ...roughPuff,
  id: "bought-puff-sheets",
  name: "Bought puff sheets",
  method: "bought",
  lines: writeLines("bought-puff-sheets", ["320 g bought puff sheet"]),
  steps: ["Thaw flat in the fridge overnight.", "Unroll on its paper; cut while it is cold."],
  mixMin: 3,
  fatParticle: "none",
  boughtSheet: { widthMm: 400, heightMm: 230, thicknessMm: 3 },
  restWay: "minutes",
  restMin: 10,
  springBackShare: 0.02,
};
