import type { Price, Till } from "@/schemas/model";

/** What the invented bakery pays for an hour of hands and a kilowatt-hour. */
export const till: Till = { id: "till", hourMinor: 1600, kwhMinor: 30, hidesFromBench: false };

/** What its pieces are sold for, in the smallest coin. */
const soldFor: Readonly<Record<string, number>> = {
  "quince-half-moon": 240,
  "leek-triangle": 260,
  "rhubarb-crescent": 220,
  "plum-pop": 190,
  "chestnut-oval": 310,
  "apple-envelope": 280,
  "leek-press": 250,
  "harbour-fold": 390,
  "blossom-case": 260,
  "courgette-rose": 290,
  "custard-cup": 230,
  "tahini-tartlet": 270,
  "chestnut-pie": 340,
  "lemon-puck": 210,
  "pear-coat": 420,
  "date-round": 250,
};

export const prices: readonly Price[] = Object.entries(soldFor).map(([id, priceMinor]) => ({
  id,
  priceMinor,
}));
