import { loadPackedPlan } from "../../../../planCache";
import { refuseJob } from "../../../calculator";
import { refuse } from "../../../readJson";
import { stored } from "../../../stored";

interface Context {
  readonly params: Promise<{ readonly date: string }>;
}

/** The plan of a stored day as it is now; its headers say which state of the file it is the plan of. */
export const GET = stored(async (_request: Request, { params }: Context): Promise<Response> => {
  const { date } = await params;
  const packed = await loadPackedPlan(date);
  if (!packed) return refuse([{ path: "date", message: `There is no day ${date.slice(0, 20)}.` }], 404);
  if (!packed.ok) return refuseJob(packed.failure);
  const { epoch, revision, nowMin, gzip } = packed.value;
  return new Response(Buffer.from(gzip), {
    headers: {
      // Packed once and unpacked by the page: the server would pack it anew for each.
      "content-type": "application/gzip",
      "cache-control": "no-store",
      "x-tezgah-state": [epoch, revision, nowMin ?? "ahead"].join("/"),
    },
  });
});
