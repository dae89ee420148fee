import { adviseVentKind, adviseVents, computeSeal, computeWash, scoreHold } from "@/core/sealing";
import { validateSeal } from "@/schemas/pieceCalculators";
import { readJson, refuse } from "../../../readJson";

/** Nothing is logged in a document: the craft's odds stand. */
const NO_LOG = 1;

/** A seam and what surrounds it in; marks, glue, seconds, vents advised, wash and the risk that it opens out. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const document = validateSeal(body.value);
  if (!document.ok) return refuse(document.failure);
  const { topMm2, wetness, vents, wash } = document.value;
  return Response.json({
    seal: computeSeal(document.value),
    vents: {
      advised: adviseVentKind(topMm2, wetness),
      advisedOfThisKind: adviseVents(vents.kind, topMm2, wetness),
    },
    wash: computeWash(wash, topMm2),
    hold: scoreHold(document.value, NO_LOG),
  });
}
