import type { Dough, Filling, Formula } from "@/schemas/model";
import { writeLines } from "./formulaLines";

/** The formula book of Tirsen Quay: invented, one for each way of making a dough, and what goes in and on. */

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

const filling = (
  fields: Pick<Filling, "id" | "name" | "densityGPerMl" | "mixMin" | "makingLossShare" | "coolMin"> &
    Partial<Filling>,
  texts: readonly string[],
): Filling => ({
  kind: "filling",
  family: "filling",
  steps: [],
  keepsDays: 3,
  ...fields,
  lines: writeLines(fields.id, texts),
});

export const quince = filling(
  {
    id: "quince-and-bay",
    name: "Quince and bay",
    steps: ["Simmer everything until the quince is soft and the juice clings.", "Take the bay out; cool."],
    densityGPerMl: 1.08,
    mixMin: 18,
    makingLossShare: 0.24,
    coolMin: 60,
  },
  ["1 kg quince, cored and diced", "190 g sugar", "160 g water", "35 g lemon juice", "15 bay leaves"],
);

export const leek = filling(
  {
    id: "leek-and-white-cheese",
    name: "Leek and white cheese",
    steps: ["Soften the leeks in the oil until dry.", "Cold, fold in cheese, egg and pepper."],
    densityGPerMl: 1.02,
    mixMin: 20,
    makingLossShare: 0.19,
    coolMin: 45,
  },
  ["820 g leeks, sliced 2 mm", "460 g white brined cheese", "2 eggs", "30 g olive oil", "3 g black pepper"],
);

export const rhubarb = filling(
  {
    id: "rhubarb-and-orange",
    name: "Rhubarb and orange",
    steps: ["Toss the rhubarb with sugar, starch and zest.", "Warm through until it thickens; cool."],
    densityGPerMl: 1.06,
    mixMin: 14,
    makingLossShare: 0.14,
    coolMin: 40,
  },
  ["900 g rhubarb, cut 10 mm", "230 g sugar", "32 g potato starch", "6 g orange zest"],
);

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
  springBackShare: 0.02,
  restWay: "fridge",
  restMin: 60,
  // The last of it becomes leaves for the lids.
  trimEnd: "decorations",
  decorationCutterId: "leaf-44",
};

const sweetRubbed: Dough = {
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

const cheeseCrust: Dough = {
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
};

const oilCrust: Dough = {
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

const custard = filling(
  {
    id: "saffron-custard",
    name: "Saffron custard",
    family: "custard",
    steps: [
      "Warm milk and cream with the saffron.",
      "Whisk yolks, egg and sugar; pour the milk on, stirring; strain.",
      "Caution: cook through, 72–74 °C at the core is a usual rule; your local food code decides.",
    ],
    densityGPerMl: 1.07,
    mixMin: 15,
    makingLossShare: 0.03,
    coolMin: 20,
    keepsDays: 1,
  },
  ["500 ml whole milk", "250 ml double cream", "5 egg yolks", "1 egg", "130 g caster sugar", "0.4 g saffron"],
);
const wash = filling(
  {
    id: "gold-wash",
    name: "Gold wash",
    family: "wash",
    steps: ["Beat, strain, keep cold. Raw egg: do not taste."],
    densityGPerMl: 1.03,
    mixMin: 3,
    makingLossShare: 0.05,
    coolMin: 0,
    keepsDays: 1,
  },
  ["2 eggs", "1 egg yolk", "1 tbsp whole milk", "1 g fine salt"],
);
const syrup = filling(
  {
    id: "cardamom-syrup",
    name: "Cardamom syrup",
    family: "syrup",
    steps: ["Boil two minutes. Caution: boiling syrup burns; pour around and away from you."],
    densityGPerMl: 1.25,
    mixMin: 8,
    makingLossShare: 0.12,
    coolMin: 10,
    keepsDays: 14,
  },
  ["400 g sugar", "300 ml water", "2 tsp ground cardamom", "2 tbsp lemon juice"],
);
const glaze = filling(
  {
    id: "orange-glaze",
    name: "Orange glaze",
    family: "glaze",
    steps: ["Stir smooth; drizzle while the pieces are barely warm."],
    densityGPerMl: 1.3,
    mixMin: 4,
    makingLossShare: 0.04,
    coolMin: 0,
  },
  ["250 g icing sugar", "28–40 g orange juice"],
);

export const plum = filling(
  {
    id: "plum-and-poppy",
    name: "Plum and poppy",
    steps: ["Cook the plums down with sugar and starch until they mound.", "Stir in the poppy seed; cool."],
    densityGPerMl: 1.1,
    mixMin: 16,
    makingLossShare: 0.2,
    coolMin: 45,
  },
  ["700 g plums, stoned", "140 g sugar", "40 g poppy seeds", "24 g potato starch"],
);

export const chestnut = filling(
  {
    id: "chestnut-and-onion",
    name: "Chestnut and onion",
    steps: ["Fry the onions slowly until they are gold.", "Crush in chestnuts, crumbs and pepper; cool."],
    densityGPerMl: 0.98,
    mixMin: 18,
    makingLossShare: 0.1,
    coolMin: 40,
  },
  ["600 g chestnuts, cooked", "250 g onions, sliced", "60 g butter", "80 g breadcrumbs", "4 g black pepper"],
);

export const blossomCurd = filling(
  {
    id: "orange-blossom-curd",
    name: "Orange-blossom curd",
    family: "custard",
    steps: [
      "Whisk everything but the butter over steam until it coats a spoon.",
      "Caution: cook through, 72–74 °C at the core is a usual rule; your local food code decides.",
      "Beat in the butter off the heat; cool covered, quickly.",
    ],
    densityGPerMl: 1.08,
    mixMin: 20,
    makingLossShare: 0.05,
    coolMin: 60,
  },
  ["220 g sugar", "180 g orange juice", "4 eggs", "120 g butter", "6 g orange blossom water"],
);

export const courgette = filling(
  {
    id: "courgette-and-soft-cheese",
    name: "Courgette and soft cheese",
    steps: [
      "Slice the courgettes 2 mm thin; salt, drain and pat dry.",
      "Beat the cheese with mint and pepper.",
    ],
    densityGPerMl: 1.02,
    mixMin: 15,
    makingLossShare: 0.12,
    coolMin: 0,
  },
  ["300 g soft white cheese", "20 g olive oil", "8 g mint", "3 g black pepper"],
);

/** Formulas of the book beyond those of the starters. */
export const furtherFormulas: readonly Formula[] = [
  sweetRubbed,
  cheeseCrust,
  oilCrust,
  custard,
  wash,
  syrup,
  glaze,
];

/** Every formula that a baker may take into the book and change. */
export const starterFormulas: readonly Formula[] = [
  shortcrust,
  yoghurtCrust,
  lardCrust,
  quince,
  leek,
  rhubarb,
  sweetCreamed,
  roughPuff,
  boughtPuff,
  plum,
  chestnut,
  blossomCurd,
  courgette,
  ...furtherFormulas,
];
