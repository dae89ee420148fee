import { createReadStream, mkdirSync, openSync, rmSync, statSync } from "node:fs";
import path from "node:path";
import { Readable } from "node:stream";
import { findCopiesFolder } from "@/data/copies";
import { findDataFile } from "@/data/dataFile";
import { writeLinesInThread } from "../../../copyInBackground";
import { refuse } from "../../readJson";

/** Everything there is now as JSON Lines (docs/lines.schema.json), which alone rebuild the file. */
export async function GET(): Promise<Response> {
  const now = new Date();
  const folder = findCopiesFolder(findDataFile());
  mkdirSync(folder, { recursive: true });
  const name = `tezgah-${now.toISOString().replaceAll(/[:.]/g, "-")}.jsonl`;
  const file = path.join(folder, name);
  const written = await writeLinesInThread(file, now);
  if (!written.ok) return refuse([{ path: "", message: written.failure }], 503);
  const bytes = statSync(file).size;
  const open = openSync(file, "r");
  // Without a name it is gone with its last reader, however the sending ends.
  rmSync(file);
  const stream = createReadStream("", { fd: open });
  return new Response(Readable.toWeb(stream) as ReadableStream<Uint8Array>, {
    headers: {
      "content-type": "application/jsonl",
      "content-length": String(bytes),
      "content-disposition": `attachment; filename="${name}"`,
    },
  });
}
