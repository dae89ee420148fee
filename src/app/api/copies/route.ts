import { findDataFile } from "@/data/dataFile";
import { listCopies } from "@/data/copies";
import { makeCopy } from "../../copyInBackground";
import { findStranger, refuse } from "../readJson";
import { stored } from "../stored";

/** The copies there are, newest first. Needs no data file: it may be ill. */
export const GET = (): Response =>
  Response.json({ copies: listCopies(findDataFile()) }, { headers: { "cache-control": "no-store" } });

/** Makes a copy now; what it holds out. */
export const POST = stored(async (request: Request): Promise<Response> => {
  if (findStranger(request))
    return refuse([{ path: "", message: "A page elsewhere may not ask for this." }], 403);
  const made = await makeCopy("by hand", true);
  return made.ok ? Response.json(made.value) : refuse([{ path: "", message: made.failure }], 503);
});
