import { FRESH_OIL } from "@/core/plan";
import { findHeatWay } from "@/core/way";
import type { Bench, Device, Fryer, Oven, Piece, Shelf, Vessel } from "@/schemas/model";

/** What stands in the hatch bakery of Tirsen Quay. */
export const bench: Bench = {
  id: "bench",
  widthMm: 1400,
  depthMm: 700,
  sheetMaxWidthMm: 640,
  sheetMaxDepthMm: 430,
};

export const twoDeckOven: Oven = {
  id: "two-deck",
  name: "Two-deck oven",
  traysAtOnce: 2,
  powerKw: 5.2,
  trayWidthMm: 600,
  trayDepthMm: 400,
  heatUpCPerMin: 6,
  coolDownCPerMin: 3,
  maxC: 300,
  kind: "still",
  // The upper deck runs hot, the lower cool.
  deckOffsetsC: [4, -4],
};

export const smallFan: Oven = {
  id: "small-fan",
  name: "Small fan oven",
  traysAtOnce: 1,
  powerKw: 2.8,
  trayWidthMm: 600,
  trayDepthMm: 400,
  heatUpCPerMin: 12,
  coolDownCPerMin: 5,
  maxC: 250,
  kind: "fan",
  deckOffsetsC: [0],
};

export const fryer: Fryer = {
  id: "six-litre",
  name: "Six-litre fryer",
  oilKg: 5.2,
  oilJPerKgK: 2300,
  lossWPerK: 3.12,
  heaterW: 3200,
  maxC: 195,
  basketWidthMm: 300,
  basketDepthMm: 250,
  potDepthMm: 200,
  fillShare: 0.55,
  usedLoads: 22,
  fried: [
    {
      id: "2026-10-10/fried before",
      name: "Rhubarb crescent",
      baskets: 22,
      allergens: ["gluten"],
      unknown: [],
    },
  ],
  changeAfterLoads: 60,
};

export const cups: Vessel = { id: "cup-tins", name: "Deep cup tins", kind: "mould", count: 2, holds: 12 };
export const tartletRings: Vessel = {
  id: "tartlet-rings",
  name: "Loose-bottomed rings",
  kind: "mould",
  count: 12,
  holds: 1,
};
export const pieMoulds: Vessel = {
  id: "pie-moulds",
  name: "Oval pie moulds",
  kind: "mould",
  count: 8,
  holds: 1,
};
export const syrupPans: Vessel = { id: "syrup-pans", name: "Deep pans", kind: "pan", count: 2, holds: 6 };
const trays: Vessel = { id: "trays", name: "Trays 600 × 400", kind: "tray", count: 12, holds: 1 };
/** What a starter's piece is baked or fried in, for a kitchen that has none of it yet. */
export const findStarterKit = ({
  vesselId,
  way,
}: Piece): { vessels: readonly Vessel[]; fryers: readonly Fryer[] } => ({
  vessels: vessels.filter(({ id }) => id === vesselId),
  fryers: findHeatWay(way) === "oil" ? [{ ...fryer, ...FRESH_OIL }] : [],
});

/** Named by pieces, so they are written before them. */
export const vessels: readonly Vessel[] = [cups, tartletRings, pieMoulds, syrupPans, trays];

const tray = { widthMm: 620, depthMm: 420 } as const;
export const shelves: readonly Shelf[] = [
  { id: "tall-fridge", name: "Tall fridge", place: "fridge", count: 6, ...tray },
  { id: "chest-freezer", name: "Freezer shelves", place: "freezer", count: 3, ...tray },
  { id: "rack", name: "Rack by the hatch", place: "rack", count: 8, ...tray },
];

/** The stand-ins that ship, each at its place. */
export const devices: readonly Device[] = [
  { id: "device-bench-scale-mass", source: "bench-scale/mass", use: "scale", machineId: null, deck: null },
  { id: "device-probe-1", source: "probe/1", use: "dough", machineId: null, deck: null },
  { id: "device-probe-2", source: "probe/2", use: "custard", machineId: null, deck: null },
  { id: "device-deck-oven-deck-1", source: "deck-oven/deck-1", use: "oven", machineId: "two-deck", deck: 1 },
  { id: "device-deck-oven-deck-2", source: "deck-oven/deck-2", use: "oven", machineId: "two-deck", deck: 2 },
  { id: "device-fryer-oil", source: "fryer/oil", use: "fryer", machineId: "six-litre", deck: null },
];
