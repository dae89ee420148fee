import { fail, ok, type Result } from "@/core/result";
import type { Fault } from "@/schemas/validate";

/** Largest document the API takes, bytes: a day of a thousand orders is a tenth of it. */
const MAX_BODY_BYTES = 1_000_000;

/** A request's JSON, read no further than the limit; or the answer that refuses it. */
export async function readJson(request: Request): Promise<Result<unknown, Response>> {
  if (Number(request.headers.get("content-length") ?? 0) > MAX_BODY_BYTES) return fail(tooLarge());
  const text = await readText(request);
  if (text === null) return fail(tooLarge());
  try {
    return ok(JSON.parse(text));
  } catch {
    return fail(
      refuse([
        { path: "", message: "The document is no JSON. Send one object with content-type application/json." },
      ]),
    );
  }
}

/** Answer 400 with the list of faults. */
export function refuse(faults: readonly Fault[]): Response {
  return Response.json({ faults }, { status: 400 });
}

async function readText(request: Request): Promise<string | null> {
  const reader = request.body?.getReader();
  if (!reader) return "";
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return Buffer.concat(chunks).toString("utf8");
    size += value.byteLength;
    if (size > MAX_BODY_BYTES) {
      await reader.cancel();
      return null;
    }
    chunks.push(value);
  }
}

function tooLarge(): Response {
  const message = `The document is larger than ${MAX_BODY_BYTES} bytes. Send one day with only what it needs.`;
  return Response.json({ faults: [{ path: "", message }] }, { status: 413 });
}
