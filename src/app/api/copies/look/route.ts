import { randomUUID } from "node:crypto";
import { createWriteStream } from "node:fs";
import { mkdir, rm } from "node:fs/promises";
import path from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { findCopiesFolder, findCopy } from "@/data/copies";
import { looksLikeCopy, NEEDS_PASSPHRASE } from "@/data/openCopy";
import { inspectData } from "@/data/copyFile";
import { findDataFile } from "@/data/dataFile";
import { admitRequest, withHeaders } from "../../../access/admitRequest";
import { unpackForRestore } from "../../../restoreCopy";
import { findStranger, refuse } from "../../readJson";

/** Largest copy that is taken in, bytes: fifty years of a bakery. */
const MAX_COPY_BYTES = 1_000_000_000;

/**
 * A copy in, packed or as lines, sealed or not (`x-tezgah-passphrase`), by its name (`?name=`) or as the body; what it holds out, beside what the data file holds now. Nothing is
 * replaced yet: the answer's `token` names what was looked at, for laying it back.
 */
export async function POST(request: Request): Promise<Response> {
  const admission = admitRequest(request);
  if (admission instanceof Response) return admission;
  return withHeaders(await look(request), request.headers);
}

async function look(request: Request): Promise<Response> {
  if (findStranger(request))
    return refuse([{ path: "", message: "A page elsewhere may not ask for this." }], 403);
  const dataFile = findDataFile();
  const name = new URL(request.url).searchParams.get("name");
  const known = name === null ? null : findCopy(dataFile, name);
  if (name !== null && known === null)
    return refuse([{ path: "name", message: "There is no copy of this name." }], 404);
  const brought = path.join(findCopiesFolder(dataFile), `brought-${randomUUID()}`);
  if (known === null) {
    const fault = await takeIn(request, brought);
    if (fault) return fault;
    if (!looksLikeCopy(brought)) {
      await rm(brought, { force: true });
      return refuse([{ path: "", message: "This is no copy of Tezgah." }], 422);
    }
  }
  const looked = await unpackForRestore(known ?? brought, readPassphrase(request.headers));
  await rm(brought, { force: true });
  if (!looked.ok) {
    const path = looked.failure === NEEDS_PASSPHRASE ? "passphrase" : "";
    return refuse([{ path, message: looked.failure }], 422);
  }
  const now = inspectData(dataFile);
  return Response.json({ ...looked.value, now: now.ok ? now.value : null });
}

/** A header holds no letter beyond ASCII: the passphrase comes as the base64url of its UTF-8. */
const readPassphrase = (headers: Headers): string | null => {
  const told = headers.get("x-tezgah-passphrase");
  return told === null ? null : Buffer.from(told, "base64url").toString("utf8");
};

async function takeIn(request: Request, file: string): Promise<Response | null> {
  const type = request.headers.get("content-type") ?? "";
  if (!/^application\/(zip|octet-stream|x-zip-compressed|jsonl|x-ndjson)/.test(type))
    return refuse([{ path: "", message: "Send the copy itself, with content-type application/zip." }], 415);
  const bytes = Number(request.headers.get("content-length") ?? 0);
  if (bytes > MAX_COPY_BYTES || !request.body)
    return refuse([{ path: "", message: `A copy is at most ${MAX_COPY_BYTES} bytes.` }], 413);
  await mkdir(path.dirname(file), { recursive: true });
  let taken = 0;
  const source = Readable.fromWeb(request.body as Parameters<typeof Readable.fromWeb>[0]);
  source.on("data", (chunk: Buffer) => {
    taken += chunk.length;
    if (taken > MAX_COPY_BYTES) source.destroy(new Error("too large"));
  });
  try {
    await pipeline(source, createWriteStream(file));
    return null;
  } catch {
    await rm(file, { force: true });
    return refuse([{ path: "", message: "The copy did not arrive whole. Bring it again." }], 400);
  }
}
