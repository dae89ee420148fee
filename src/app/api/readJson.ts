import { fail, ok, type Result } from "@/core/result";
import { findLongList } from "@/schemas/findLongList";
import type { Fault } from "@/schemas/validate";
import { isOtherOrigin } from "../gate";

/** A document of some megabytes over a poor network is there by then, ms; who sends slower only holds the server. */
const SENT_WITHIN_MS = 20_000;

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
  const read = await readText(request, maxBytes);
  if (read.kind === "tooLarge") return fail(tooLarge(maxBytes));
  if (read.kind === "tooSlow")
    return fail(
      refuse(
        [
          {
            path: "",
            message: `The document did not come within ${SENT_WITHIN_MS / 1000} s. Send it again.`,
          },
        ],
        408,
      ),
    );
  let value: unknown;
  try {
    value = JSON.parse(read.text);
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

type Read =
  | { readonly kind: "whole"; readonly text: string }
  | { readonly kind: "tooLarge" }
  | { readonly kind: "tooSlow" };

async function readText(request: Request, maxBytes: number): Promise<Read> {
  const reader = request.body?.getReader();
  if (!reader) return { kind: "whole", text: "" };
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<null>((resolve) => {
    timer = setTimeout(() => resolve(null), SENT_WITHIN_MS);
  });
  const chunks: Uint8Array[] = [];
  let size = 0;
  try {
    for (;;) {
      const read = await Promise.race([reader.read(), late]);
      if (read?.done) return { kind: "whole", text: Buffer.concat(chunks).toString("utf8") };
      size += read?.value.byteLength ?? 0;
      if (read === null || size > maxBytes) {
        void reader.cancel().catch(() => undefined);
        return { kind: read === null ? "tooSlow" : "tooLarge" };
      }
      chunks.push(read.value);
    }
  } finally {
    clearTimeout(timer);
  }
}

const tooLarge = (maxBytes: number): Response =>
  refuse(
    [{ path: "", message: `The document is larger than ${maxBytes} bytes. Send only what it needs.` }],
    413,
  );
