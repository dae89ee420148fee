import Joi from "joi";
import { findUsualLossWPerK, ovenKinds, USUAL_OIL_J_PER_KG_K } from "@/core/heat";
import { allergens } from "@/core/formula";
import { shelfPlaces, vesselKinds, type FriedLoad } from "@/core/plan";
import { deviceUses } from "@/core/readings";
import {
  benchLimits,
  fryerLimits,
  MAX_DECKS,
  MAX_NAME_CHARACTERS,
  outlineLimits,
  ovenLimits,
  deviceLimits,
  shelfLimits,
  vesselLimits,
  type Limit,
} from "./limits";
import type { Bench, Cutter, Device, Fryer, Oven, Shelf, Vessel } from "./model";
import { quantity, whole } from "./quantity";
import { id, name } from "./recordParts";
import { outlineSchema } from "./shapes";

const sheetWithinBench = (limit: Limit, ref: string) =>
  quantity(limit)
    .max(Joi.ref(ref))
    .messages({
      "number.max": `${limit.label} is larger than the bench itself. Make it smaller, or correct the bench.`,
    });

/** What a bath loses; left out, what is usual for its oil. */
export const lossOr = (limit: Limit) =>
  quantity(limit)
    .default(({ oilKg }: { oilKg: number }) => findUsualLossWPerK(oilKg))
    .optional();

/** A load that a run recorded in the oil. Longer than any id of a job. */
const MAX_LOAD_ID_CHARACTERS = 200;
const friedLoad = Joi.object<FriedLoad>({
  id: Joi.string().min(1).max(MAX_LOAD_ID_CHARACTERS).required(),
  name: Joi.string().max(MAX_NAME_CHARACTERS).required(),
  baskets: whole(fryerLimits.usedLoads),
  allergens: Joi.array()
    .items(Joi.valid(...allergens))
    .unique()
    .required(),
  unknown: Joi.array().items(Joi.string()).required(),
});

/** What the bakery has. */
export const kitSchemas = {
  bench: Joi.object<Bench>({
    id,
    widthMm: quantity(benchLimits.widthMm),
    depthMm: quantity(benchLimits.depthMm),
    sheetMaxWidthMm: sheetWithinBench(benchLimits.sheetMaxWidthMm, "widthMm"),
    sheetMaxDepthMm: sheetWithinBench(benchLimits.sheetMaxDepthMm, "depthMm"),
  }),
  oven: Joi.object<Oven>({
    id,
    name: name("The oven"),
    traysAtOnce: whole(ovenLimits.traysAtOnce),
    trayWidthMm: quantity(ovenLimits.trayWidthMm),
    trayDepthMm: quantity(ovenLimits.trayDepthMm),
    heatUpCPerMin: quantity(ovenLimits.heatUpCPerMin),
    coolDownCPerMin: quantity(ovenLimits.coolDownCPerMin),
    maxC: quantity(ovenLimits.maxC),
    powerKw: quantity(ovenLimits.powerKw).default(0).optional(),
    kind: Joi.valid(...ovenKinds).default("still"),
    deckOffsetsC: Joi.array().items(quantity(ovenLimits.offsetC)).min(1).max(MAX_DECKS).default([0]),
  }),
  cutter: Joi.object<Cutter>({
    id,
    name: name("The cutter"),
    outline: outlineSchema,
    count: whole(outlineLimits.cutters).default(1).optional(),
  }),
  vessel: Joi.object<Vessel>({
    id,
    name: name("The mould or pan"),
    kind: Joi.valid(...vesselKinds).required(),
    count: whole(vesselLimits.count),
    holds: whole(vesselLimits.holds),
  }),
  device: Joi.object<Device>({
    id,
    source: name("The device"),
    use: Joi.valid(...deviceUses).required(),
    machineId: id.allow(null),
    deck: whole(deviceLimits.deck).allow(null),
  }),
  shelf: Joi.object<Shelf>({
    id,
    name: name("The shelf"),
    place: Joi.valid(...shelfPlaces).required(),
    count: whole(shelfLimits.count),
    widthMm: quantity(shelfLimits.widthMm),
    depthMm: quantity(shelfLimits.depthMm),
  }),
  fryer: Joi.object<Fryer>({
    id,
    name: name("The fryer"),
    oilKg: quantity(fryerLimits.oilKg),
    oilJPerKgK: quantity(fryerLimits.oilJPerKgK).default(USUAL_OIL_J_PER_KG_K).optional(),
    lossWPerK: lossOr(fryerLimits.lossWPerK),
    heaterW: quantity(fryerLimits.heaterW),
    maxC: quantity(fryerLimits.maxC),
    basketWidthMm: quantity(fryerLimits.basketWidthMm),
    basketDepthMm: quantity(fryerLimits.basketDepthMm),
    potDepthMm: quantity(fryerLimits.potDepthMm),
    fillShare: quantity(fryerLimits.fillShare),
    usedLoads: whole(fryerLimits.usedLoads),
    fried: Joi.array().items(friedLoad).max(fryerLimits.usedLoads.max).default([]).optional(),
    changeAfterLoads: whole(fryerLimits.changeAfterLoads),
  }),
} as const;
