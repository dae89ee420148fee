import { readSenMl } from "@/formats";
import { getReadings, listPlacedReadings, readingClock } from "../../../readings";
import { readJson, refuse } from "../../readJson";
import { stored } from "../../stored";

/** A pack of a hundred records, bytes. */
const MAX_PACK_BYTES = 20_000;
/** Where posted nonsense is said to come from. */
const POSTED = "posted";

/** One SenML pack in JSON (RFC 8428) in; how many of its numbers were heard out. */
export const POST = async (request: Request): Promise<Response> => {
  const body = await readJson(request, MAX_PACK_BYTES, /^application\/(senml\+)?json\s*(;|$)/i);
  if (!body.ok) {
    getReadings().hearNonsense(POSTED);
    return body.failure;
  }
  const records = readSenMl(body.value);
  if (!records.ok) {
    getReadings().hearNonsense(POSTED);
    return refuse([{ path: "", message: records.failure }]);
  }
  getReadings().hear(records.value, readingClock());
  return Response.json({ heard: records.value.length });
};

/** Everything that is heard, with its age and what was wrong; and what each device says at its place. */
export const GET = stored((): Response =>
  Response.json(
    {
      heard: getReadings().list(readingClock()),
      nonsense: getReadings().listNonsense(),
      placed: listPlacedReadings(),
    },
    { headers: { "cache-control": "no-store" } },
  ),
);
