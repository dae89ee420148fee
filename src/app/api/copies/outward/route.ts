import { findDataFile } from "@/data/dataFile";
import { endOutward, findFolderFault, readOutward } from "@/data/outward";
import { runJob } from "@/jobs/pool";
import { MAX_PASSPHRASE, MIN_PASSPHRASE } from "@/schemas/access";
import { makeCopy } from "../../../copyInBackground";
import { readJson, refuse } from "../../readJson";

const MAX_MESSAGE_BYTES = 4000;
const MAX_PATH_CHARACTERS = 1000;
/** From every copy there is to one a month, h. */
const LONGEST_HOURS = 744;
/** A key is made and a share is written to by then, ms. */
const END_MS = 30_000;

/**
 * Where copies go as well: `{ "folder", "everyHours", "passphrase" }` sets it (a passphrase seals them, an empty one leaves
 * them open, null keeps what was), `{ "folder": null }` ends it. How it stands out.
 */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request, MAX_MESSAGE_BYTES);
  if (!body.ok) return body.failure;
  const { folder, everyHours, passphrase = null } = (body.value ?? {}) as Record<string, unknown>;
  const dataFile = findDataFile();
  if (folder === null) {
    endOutward(dataFile);
    return answer();
  }
  if (typeof folder !== "string" || folder.trim() === "" || folder.length > MAX_PATH_CHARACTERS)
    return refuse([{ path: "folder", message: "Name the folder from its root, like /mnt/share/tezgah." }]);
  if (typeof everyHours !== "number" || !(everyHours >= 1 && everyHours <= LONGEST_HOURS))
    return refuse([{ path: "everyHours", message: `Say every how many hours: 1 to ${LONGEST_HOURS}.` }]);
  if (passphrase !== null && (typeof passphrase !== "string" || !isFit(passphrase)))
    return refuse([
      { path: "passphrase", message: `A passphrase has ${MIN_PASSPHRASE} to ${MAX_PASSPHRASE} characters.` },
    ]);
  const fault = findFolderFault(dataFile, folder.trim());
  if (fault) return refuse([{ path: "folder", message: fault }], 409);
  const input = { dataFile, setting: { folder: folder.trim(), everyHours }, passphrase };
  const set = await runJob("setOutward", input, END_MS);
  if (!set.ok) return refuse([{ path: "", message: "Tezgah is busy. Try again in a moment." }], 503);
  if (!set.value.ok) return refuse([{ path: "folder", message: set.value.failure }], 409);
  void makeCopy("elsewhere", true);
  return answer();
}

const isFit = (passphrase: string): boolean =>
  passphrase === "" || (passphrase.length >= MIN_PASSPHRASE && passphrase.length <= MAX_PASSPHRASE);

const answer = (): Response => Response.json({ outward: readOutward(findDataFile()) });
