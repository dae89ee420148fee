import type { Cutter, Dough, Filling, Formula, Fryer, Oven, Piece, Shelf, Vessel } from "@/schemas/model";
import { createMaking } from "@/core/formula";
import { findUsualLossWPerK, USUAL_OIL_J_PER_KG_K } from "@/core/heat";
import { describeOutline, type Outline } from "@/core/shape";
import { listReadyWays, settleWay } from "@/core/way";
import { createId } from "../bench/createId";

/** An empty dough or filling with the craft's usual figures, to be corrected. */
export function newFormula(kind: Formula["kind"]): Formula {
  return kind === "dough" ? newDough() : newFilling();
}

function newDough(): Dough {
  return {
    kind: "dough",
    id: createId("dough"),
    name: "New dough",
    lines: [],
    steps: [],
    method: "rubbed",
    fatParticle: "pea",
    liquidSchool: "justHolds",
    window: { lowC: 10, highC: 16 },
    restWay: "minutes",
    dividedInto: "disc",
    dividedCount: null,
    boughtSheet: null,
    keepsDays: 3,
    densityGPerMl: 1.2,
    mixMin: 12,
    springBackShare: 0.03,
    rerollLimit: 2,
    rerollLossShare: 0.02,
    rerollShrinkShare: 0.01,
    trimEnd: "larder",
    decorationCutterId: null,
    restMin: 30,
    rerollRestMin: 15,
    benchLimitMin: 60,
  };
}

function newFilling(): Filling {
  return {
    kind: "filling",
    id: createId("filling"),
    name: "New filling",
    lines: [],
    steps: [],
    family: "filling",
    keepsDays: 2,
    densityGPerMl: 1.05,
    makingLossShare: 0,
    making: createMaking([["make"], ["cool"]]),
    wetness: "moist",
    shrinkShare: 0,
    measure: "spoon",
    fruit: null,
  };
}

/** A half-moon of middling size to begin with. */
export function newPiece(doughId: string, fillingId: string): Piece {
  const form = { kind: "halfMoon" } as const;
  const figures = {
    vents: { kind: "pricks", count: 4 },
    wash: { kind: "egg", coats: 1, sugar: "none" },
    glaze: { kind: "none" },
    extras: [],
  } as const;
  return {
    id: createId("piece"),
    name: "New piece",
    form,
    cut: { kind: "disc", diameterMm: 110 },
    doughId,
    fillingId,
    thicknessMm: 3,
    marginMm: 12,
    plumpness: 0.5,
    portionG: null,
    crimp: "forked",
    glue: "water",
    ...figures,
    tin: "papered",
    vesselId: null,
    doneness: { sign: "golden", moreMin: 2, atMost: 1 },
    webMm: 1,
    raggedMm: 8,
    cutAim: "sensible",
    seenFirst: true,
    pinnedSheet: null,
    spares: 0,
    way: settleWay(listReadyWays(form)[0]?.way ?? [], figures),
    bakeLossShare: 0.08,
    spacingMm: 20,
  };
}

/** An oven found in many kitchens; of the trays that another one has, so that loads may go into either. */
export function newOven(like: Oven | null): Oven {
  return {
    id: createId("oven"),
    name: "Another oven",
    traysAtOnce: 1,
    powerKw: 0,
    trayWidthMm: like?.trayWidthMm ?? 450,
    trayDepthMm: like?.trayDepthMm ?? 350,
    heatUpCPerMin: 10,
    coolDownCPerMin: 4,
    maxC: 250,
    kind: "still",
    deckOffsetsC: [0],
  };
}

/** A cutter for the drawer. */
export function newCutter(outline: Outline): Cutter {
  const words = describeOutline(outline);
  return { id: createId("cutter"), name: words.charAt(0).toUpperCase() + words.slice(1), outline, count: 1 };
}

const vesselNames: Record<Vessel["kind"], string> = { mould: "New moulds", pan: "New pans", tray: "Trays" };

/** A dozen moulds, four pans of six, or eight trays: to be corrected. */
export function newVessel(kind: Vessel["kind"]): Vessel {
  const counts = { mould: 12, pan: 4, tray: 8 };
  return {
    id: createId(kind),
    name: vesselNames[kind],
    kind,
    count: counts[kind],
    holds: kind === "pan" ? 6 : 1,
  };
}

/** Shelves that hold one tray each. */
export function newShelf(place: Shelf["place"], name: string, like: Oven | null): Shelf {
  return {
    id: createId(place),
    name,
    place,
    count: 4,
    widthMm: like?.trayWidthMm ?? 450,
    depthMm: like?.trayDepthMm ?? 350,
  };
}

/** A table fryer of six litres. */
export function newFryer(): Fryer {
  return {
    id: createId("fryer"),
    name: "Fryer",
    oilKg: 5,
    oilJPerKgK: USUAL_OIL_J_PER_KG_K,
    lossWPerK: findUsualLossWPerK(5),
    heaterW: 3000,
    maxC: 195,
    basketWidthMm: 280,
    basketDepthMm: 240,
    potDepthMm: 190,
    fillShare: 0.55,
    usedLoads: 0,
    changeAfterLoads: 60,
  };
}
