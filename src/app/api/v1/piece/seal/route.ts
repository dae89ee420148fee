import {
  adviseVentKind,
  adviseVents,
  computeSeal,
  computeWash,
  CRAFT_HANDS,
  scoreHold,
} from "@/core/sealing";
import { validateSeal } from "@/schemas/pieceCalculators";
import { calculator } from "../../../calculator";

/** Nothing is logged in a document, so the craft's odds stand: a seam and what surrounds it in; marks, glue, seconds, vents advised, wash and the risk that it opens out. */
export const POST = calculator({
  validate: validateSeal,
  answer(document) {
    const { topMm2, wetness, vents, wash } = document;
    return Response.json({
      seal: computeSeal(document),
      vents: {
        advised: adviseVentKind(topMm2, wetness),
        advisedOfThisKind: adviseVents(vents.kind, topMm2, wetness),
      },
      wash: computeWash(wash, topMm2),
      hold: scoreHold(document, CRAFT_HANDS),
    });
  },
});
