import { MAX_TOLD_CHARACTERS } from "@/schemas/live";
import { move } from "../../../live";
import { readJson, refuse } from "../../readJson";

/** A path and a field's name, bytes. */
const MAX_MESSAGE_BYTES = 2000;

/** Where a screen that listens is now, and in which field: told to the others, and kept nowhere. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request, MAX_MESSAGE_BYTES);
  if (!body.ok) return body.failure;
  const { device, at, field } = (body.value ?? {}) as Record<string, unknown>;
  const isText = (value: unknown): value is string =>
    typeof value === "string" && value.length <= MAX_TOLD_CHARACTERS;
  if (!isText(device) || !isText(at) || (field !== null && !isText(field)))
    return refuse([{ path: "", message: "Name the device, where it is, and the field it is in, or null." }]);
  move(device, { at, field });
  return new Response(null, { status: 204 });
}
