import { tellFelt } from "../../../felt";
import { readJson, refuse } from "../../readJson";

const MAX_MESSAGE_BYTES = 500;
/** A page that took longer was left lying, ms. */
const LONGEST_MS = 120_000;

/** A device says how long a screen took: the page that shows how the server is has it. Kept in memory. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request, MAX_MESSAGE_BYTES);
  if (!body.ok) return body.failure;
  const { screen, ms } = (body.value ?? {}) as Record<string, unknown>;
  if (typeof screen !== "string" || !/^[a-z]{1,20}$/.test(screen))
    return refuse([{ path: "screen", message: "Name the screen by its word in the address." }]);
  if (typeof ms !== "number" || !(ms >= 0 && ms <= LONGEST_MS))
    return refuse([{ path: "ms", message: `Say how long it took: 0 to ${LONGEST_MS} ms.` }]);
  tellFelt(screen, ms);
  return new Response(null, { status: 204 });
}
