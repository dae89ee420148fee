import { createReadStream, statSync } from "node:fs";
import { Readable } from "node:stream";
import { findCopy, readManifestOf } from "@/data/copies";
import { findDataFile } from "@/data/dataFile";
import { refuse } from "../../readJson";

interface Context {
  readonly params: Promise<{ readonly name: string }>;
}

/** A copy as a file to keep; `?about` what it holds. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { name } = await params;
  const file = findCopy(findDataFile(), name);
  if (file === null) return refuse([{ path: "name", message: "There is no copy of this name." }], 404);
  if (new URL(request.url).searchParams.has("about")) {
    const manifest = readManifestOf(findDataFile(), name);
    return manifest
      ? Response.json(manifest)
      : refuse([{ path: "name", message: "This copy does not say what it holds." }], 422);
  }
  return new Response(Readable.toWeb(createReadStream(file)) as ReadableStream<Uint8Array>, {
    headers: {
      "content-type": "application/zip",
      "content-length": String(statSync(file).size),
      "content-disposition": `attachment; filename="${name}"`,
    },
  });
}
