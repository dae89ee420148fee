import { createMaking } from "@/core/formula";
import type { Filling } from "@/schemas/model";
import { writeLines } from "./formulaLines";

/** What goes in and on at Tirsen Quay: invented. */

const filling = (
  fields: Pick<Filling, "id" | "name" | "densityGPerMl" | "making" | "makingLossShare"> & Partial<Filling>,
  texts: readonly string[],
): Filling => ({
  kind: "filling",
  family: "filling",
  steps: [],
  keepsDays: 3,
  wetness: "moist",
  shrinkShare: 0.05,
  measure: "spoon",
  fruit: null,
  ...fields,
  lines: writeLines(fields.id, texts),
});

export const quince = filling(
  {
    id: "quince-and-bay",
    name: "Quince and bay",
    steps: ["Simmer everything until the quince is soft and the juice clings.", "Take the bay out; cool."],
    densityGPerMl: 1.08,
    making: createMaking([
      ["make", { handsMin: 18 }],
      ["cool", { minutes: 60 }],
    ]),
    makingLossShare: 0.24,
    wetness: "wet",
    shrinkShare: 0.1,
  },
  ["1 kg quince, cored and diced", "190 g sugar", "160 g water", "35 g lemon juice", "15 bay leaves"],
);

export const leek = filling(
  {
    id: "leek-and-white-cheese",
    name: "Leek and white cheese",
    steps: ["Soften the leeks in the oil until dry.", "Cold, fold in cheese, egg and pepper."],
    densityGPerMl: 1.02,
    making: createMaking([
      ["cookPart", { name: "Softened leeks", handsMin: 6, minutes: 15 }],
      ["cool", { minutes: 25 }],
      ["make", { handsMin: 20 }],
      ["cool", { minutes: 45 }],
    ]),
    makingLossShare: 0.19,
    wetness: "moist",
    shrinkShare: 0.08,
  },
  ["820 g leeks, sliced 2 mm", "460 g white brined cheese", "2 eggs", "30 g olive oil", "3 g black pepper"],
);

export const rhubarb = filling(
  {
    id: "rhubarb-and-orange",
    name: "Rhubarb and orange",
    steps: ["Toss the rhubarb with sugar, starch and zest.", "Warm through until it thickens; cool."],
    densityGPerMl: 1.06,
    making: createMaking([
      ["make", { handsMin: 14 }],
      ["cool", { minutes: 40 }],
    ]),
    makingLossShare: 0.14,
  },
  ["900 g rhubarb, cut 10 mm", "230 g sugar", "32 g potato starch", "6 g orange zest"],
);

export const custard = filling(
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
    making: createMaking([
      ["make", { handsMin: 6 }],
      ["cook", { handsMin: 6, minutes: 6 }],
      ["strain", { handsMin: 3 }],
      ["cool", { minutes: 20 }],
    ]),
    makingLossShare: 0.03,
    keepsDays: 1,
    wetness: "wet",
    shrinkShare: 0.02,
    measure: "jug",
  },
  ["500 ml whole milk", "250 ml double cream", "5 egg yolks", "1 egg", "130 g caster sugar", "0.4 g saffron"],
);
export const wash = filling(
  {
    id: "gold-wash",
    name: "Gold wash",
    family: "wash",
    steps: ["Beat, strain, keep cold. Raw egg: do not taste."],
    densityGPerMl: 1.03,
    making: createMaking([["make", { handsMin: 3 }]]),
    makingLossShare: 0.05,
    keepsDays: 1,
  },
  ["2 eggs", "1 egg yolk", "1 tbsp whole milk", "1 g fine salt"],
);
export const syrup = filling(
  {
    id: "cardamom-syrup",
    name: "Cardamom syrup",
    family: "syrup",
    steps: ["Boil two minutes. Caution: boiling syrup burns; pour around and away from you."],
    densityGPerMl: 1.25,
    making: createMaking([
      ["make", { handsMin: 8 }],
      ["cool", { minutes: 10 }],
    ]),
    makingLossShare: 0.12,
    keepsDays: 14,
    wetness: "wet",
    measure: "jug",
  },
  ["400 g sugar", "300 ml water", "2 tsp ground cardamom", "2 tbsp lemon juice"],
);
export const glaze = filling(
  {
    id: "orange-glaze",
    name: "Orange glaze",
    family: "glaze",
    steps: ["Stir smooth; drizzle while the pieces are barely warm."],
    densityGPerMl: 1.3,
    making: createMaking([["make", { handsMin: 4 }]]),
    makingLossShare: 0.04,
  },
  ["250 g icing sugar", "28–40 g orange juice"],
);

export const plum = filling(
  {
    id: "plum-and-poppy",
    name: "Plum and poppy",
    steps: ["Cook the plums down with sugar and starch until they mound.", "Stir in the poppy seed; cool."],
    densityGPerMl: 1.1,
    making: createMaking([
      ["make", { handsMin: 16 }],
      ["cool", { minutes: 45 }],
    ]),
    makingLossShare: 0.2,
    wetness: "wet",
    shrinkShare: 0.12,
  },
  ["700 g plums, stoned", "140 g sugar", "40 g poppy seeds", "24 g potato starch"],
);

export const chestnut = filling(
  {
    id: "chestnut-and-onion",
    name: "Chestnut and onion",
    steps: ["Fry the onions slowly until they are gold.", "Crush in chestnuts, crumbs and pepper; cool."],
    densityGPerMl: 0.98,
    making: createMaking([
      ["make", { handsMin: 18 }],
      ["cool", { minutes: 40 }],
    ]),
    makingLossShare: 0.1,
    wetness: "dry",
    measure: "scoop",
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
    making: createMaking([
      ["make", { handsMin: 20 }],
      ["cool", { minutes: 60 }],
    ]),
    makingLossShare: 0.05,
    wetness: "moist",
    measure: "bag",
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
    making: createMaking([["make", { handsMin: 15 }]]),
    makingLossShare: 0.12,
    measure: "bag",
  },
  ["300 g soft white cheese", "20 g olive oil", "8 g mint", "3 g black pepper"],
);

export const spicedSugar = filling(
  {
    id: "spiced-sugar",
    name: "Spiced sugar and butter",
    steps: ["Rub the cold butter into sugar and spice; keep cold until it goes into the cores."],
    densityGPerMl: 0.95,
    making: createMaking([["make", { handsMin: 5 }]]),
    makingLossShare: 0.02,
    wetness: "wet",
  },
  ["120 g light brown sugar", "60 g butter", "2 tsp ground cinnamon", "30 g walnuts"],
);

export const datePaste = filling(
  {
    id: "date-and-sesame",
    name: "Date and sesame",
    steps: ["Soften the dates over steam, mash, work in butter and sesame.", "Roll into balls; cool."],
    densityGPerMl: 1.2,
    making: createMaking([
      ["make", { handsMin: 12 }],
      ["cool", { minutes: 30 }],
    ]),
    makingLossShare: 0.03,
    wetness: "dry",
    shrinkShare: 0,
    measure: "scoop",
    keepsDays: 7,
  },
  ["500 g dates, stoned", "50 g butter", "60 g sesame seeds", "4 g ground cardamom"],
);

export const tahiniCream = filling(
  {
    id: "hazelnut-tahini-cream",
    name: "Hazelnut-tahini cream",
    steps: ["Beat butter, sugar and tahini; work in egg, then the ground nuts."],
    densityGPerMl: 1.02,
    making: createMaking([["make", { handsMin: 14 }]]),
    makingLossShare: 0.04,
    shrinkShare: 0,
    measure: "bag",
  },
  ["150 g butter", "150 g caster sugar", "90 g tahini", "3 eggs", "160 g hazelnuts, ground"],
);

export const quinceJam = filling(
  {
    id: "quince-jam",
    name: "Quince jam",
    steps: ["Boil until a drop sets on a cold plate. Caution: boiling jam burns; long sleeves, deep pan."],
    densityGPerMl: 1.33,
    making: createMaking([
      ["make", { handsMin: 5 }],
      ["cook", { handsMin: 5, minutes: 25 }],
      ["cool", { minutes: 60 }],
      ["warm"],
    ]),
    makingLossShare: 0.3,
    wetness: "wet",
    keepsDays: 60,
  },
  ["500 g quince, diced", "400 g sugar", "30 g lemon juice"],
);

export const lemonCustard = filling(
  {
    id: "lemon-custard",
    name: "Lemon custard",
    family: "custard",
    steps: [
      "Whisk eggs, sugar and starch; pour on hot milk and cream with the lemon; strain.",
      "Caution: cook through, 72–74 °C at the core is a usual rule; your local food code decides.",
    ],
    densityGPerMl: 1.08,
    making: createMaking([
      ["make", { handsMin: 5 }],
      ["cook", { handsMin: 4, minutes: 5 }],
      ["strain", { handsMin: 3 }],
      ["cool", { minutes: 20 }],
    ]),
    makingLossShare: 0.04,
    keepsDays: 1,
    wetness: "wet",
    shrinkShare: 0.02,
    measure: "jug",
  },
  [
    "400 ml whole milk",
    "200 ml double cream",
    "4 egg yolks",
    "140 g caster sugar",
    "60 g lemon juice",
    "20 g cornflour",
  ],
);

export const twoApple = filling(
  {
    id: "two-apple",
    name: "Two apples, raw",
    steps: [
      "Dice a tart and a soft apple 8 mm; lemon over them.",
      "Sugar a lot only as it is filled: juice runs.",
    ],
    densityGPerMl: 0.75,
    making: createMaking([["make", { handsMin: 16 }]]),
    makingLossShare: 0,
    keepsDays: 1,
    wetness: "wet",
    shrinkShare: 0.3,
    fruit: {
      trimLossShare: 0.28,
      varieties: [
        { name: "Harbour tart", share: 2, tartness: "tart", isSoft: false },
        { name: "Pier mellow", share: 1, tartness: "sweet", isSoft: true },
      ],
    },
  },
  ["900 g apples, diced", "120 g sugar", "20 g lemon juice", "16 g cornflour"],
);
