import { fail, ok, type Result } from "@/core/result";
import { findLongList } from "@/schemas/findLongList";
import type { Fault } from "@/schemas/validate";
import { isOtherOrigin } from "../gate";

/**
 * A request's JSON, read no further than the limit; or the answer that refuses it. Taken is only what calls itself
 * JSON, from this origin or from no page at all: a page elsewhere cannot post here in a baker's name.
 */
export async function readJson(
  request: Request,
  maxBytes: number,
  taken = /^application\/json\s*(;|$)/i,
): Promise<Result<unknown, Response>> {
  const type = request.headers.get("content-type") ?? "";
  if (!taken.test(type))
    return fail(refuse([{ path: "", message: "Send one object with content-type application/json." }], 415));
  const stranger = findStranger(request);
  if (stranger) return fail(refuse([{ path: "", message: `A page of ${stranger} may not post here.` }], 403));
  if (Number(request.headers.get("content-length") ?? 0) > maxBytes) return fail(tooLarge(maxBytes));
  const text = await readText(request, maxBytes);
  if (text === null) return fail(tooLarge(maxBytes));
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return fail(
      refuse([
        { path: "", message: "The document is no JSON. Send one object with content-type application/json." },
      ]),
    );
  }
  // Before anything walks the document: a list of a hundred thousand costs seconds to check item by item.
  const long = findLongList(value);
  return long ? fail(refuse([long])) : ok(value);
}

/** The origin of a page that is not ours; null if it is ours, or no page's. */
export function findStranger(request: Request): string | null {
  const origin = request.headers.get("origin");
  if (origin === null || !isOtherOrigin(origin, request.headers.get("host"))) return null;
  return origin.slice(0, MAX_ORIGIN_CHARACTERS);
}

const MAX_ORIGIN_CHARACTERS = 80;

/** Answer with the list of faults. */
export function refuse(faults: readonly Fault[], status = 400): Response {
  return Response.json({ faults }, { status });
}

async function readText(request: Request, maxBytes: number): Promise<string | null> {
  const reader = request.body?.getReader();
  if (!reader) return "";
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return Buffer.concat(chunks).toString("utf8");
    size += value.byteLength;
    if (size > maxBytes) {
      await reader.cancel();
      return null;
    }
    chunks.push(value);
  }
}

const tooLarge = (maxBytes: number): Response =>
  refuse(
    [{ path: "", message: `The document is larger than ${maxBytes} bytes. Send only what it needs.` }],
    413,
  );
