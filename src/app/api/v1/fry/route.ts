import { findLargestLoad, fryLoad } from "@/core/heat";
import { validateFry } from "@/schemas/heatCalculators";
import { readJson, refuse } from "../../readJson";

/** A bath of oil and a load in; the dip, the recovery, the largest load and the curve out. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const document = validateFry(body.value);
  if (!document.ok) return refuse(document.failure);
  const { bath, load, leastC } = document.value;
  const fried = fryLoad(bath, load);
  return fried.ok
    ? Response.json({ ...fried.value, largestLoad: findLargestLoad(bath, load, leastC) })
    : refuse([{ path: "bath", message: fried.failure.message }]);
}
