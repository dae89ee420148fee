import { findUsualLossWPerK, USUAL_OIL_J_PER_KG_K } from "../../heat";
import { describeOutline, type Outline } from "../../shape";
import { FRESH_OIL, type Cutter, type Fryer, type Oven, type Shelf, type Vessel } from "../book";

/** A tray of a small deck oven, mm. */
const TRAY = { trayWidthMm: 450, trayDepthMm: 350 } as const;
/** A domestic or small deck oven: how hot it gets, °C, and how it comes and goes, °C/min. */
const OVEN_MAX_C = 250;
const HEAT_UP_C_PER_MIN = 10;
const COOL_DOWN_C_PER_MIN = 4;
/** A table fryer of six litres: its oil, kg, its heater, W, and what its thermostat goes up to, °C. */
const FRYER_OIL_KG = 5;
const FRYER_W = 3000;
const FRYER_MAX_C = 195;
/** Its basket and pot, mm, and how full a pot is safe, of its depth: oil rises as it boils. */
const BASKET = { basketWidthMm: 280, basketDepthMm: 240 } as const;
const POT_DEPTH_MM = 190;
const FILL_SHARE = 0.55;
/** Loads after which frying oil is dark and smokes. */
const CHANGE_AFTER_LOADS = 60;
/** A dozen moulds, four pans of six, eight trays: what a small kitchen has. */
const VESSELS = {
  mould: { name: "New moulds", count: 12, holds: 1 },
  pan: { name: "New pans", count: 4, holds: 6 },
  tray: { name: "Trays", count: 8, holds: 1 },
} as const satisfies Record<Vessel["kind"], object>;
/** Shelves of a domestic fridge, freezer or rack that a tray goes on. */
const SHELVES = 4;

/** An oven found in many kitchens; of the trays that another one has, so that loads may go into either. */
export function createOven(id: string, like: Oven | null): Oven {
  return {
    ...{ id, name: "Another oven" },
    traysAtOnce: 1,
    powerKw: 0,
    trayWidthMm: like?.trayWidthMm ?? TRAY.trayWidthMm,
    trayDepthMm: like?.trayDepthMm ?? TRAY.trayDepthMm,
    heatUpCPerMin: HEAT_UP_C_PER_MIN,
    coolDownCPerMin: COOL_DOWN_C_PER_MIN,
    maxC: OVEN_MAX_C,
    kind: "still",
    deckOffsetsC: [0],
  };
}

/** A cutter for the drawer, named by its size. */
export function createCutter(id: string, outline: Outline): Cutter {
  const words = describeOutline(outline);
  return { id, name: words.charAt(0).toUpperCase() + words.slice(1), outline, count: 1 };
}

/** Moulds, pans or trays: to be corrected. */
export const createVessel = (id: string, kind: Vessel["kind"]): Vessel => ({ id, kind, ...VESSELS[kind] });

/** Shelves that hold one tray each. @param like - The oven whose trays stand on them. */
export function createShelf(id: string, place: Shelf["place"], name: string, like: Oven | null): Shelf {
  return {
    ...{ id, name, place, count: SHELVES },
    widthMm: like?.trayWidthMm ?? TRAY.trayWidthMm,
    depthMm: like?.trayDepthMm ?? TRAY.trayDepthMm,
  };
}

/** A table fryer. */
export function createFryer(id: string): Fryer {
  return {
    ...{ id, name: "Fryer", oilKg: FRYER_OIL_KG },
    oilJPerKgK: USUAL_OIL_J_PER_KG_K,
    lossWPerK: findUsualLossWPerK(FRYER_OIL_KG),
    heaterW: FRYER_W,
    maxC: FRYER_MAX_C,
    ...BASKET,
    potDepthMm: POT_DEPTH_MM,
    fillShare: FILL_SHARE,
    ...FRESH_OIL,
    changeAfterLoads: CHANGE_AFTER_LOADS,
  };
}
