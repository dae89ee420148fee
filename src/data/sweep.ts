import { chmodSync, existsSync, readdirSync, rmSync } from "node:fs";
import path from "node:path";
import { findAccessFile } from "./accessFile";
import { findCopiesFolder } from "./copies";
import { listCopiesBefore } from "./openDatabase";

/** Files of a data file that is being written or replaced; what is found of them at a start was left by one that broke off. */
const LEFT_BESIDE =
  /\.(half|copying|trial|trial-journal|opened|restoring(-[0-9a-f-]+)?(-wal|-shm|-journal|\.opened)?)$/;
/** The same in the folder of copies: copies and lines that were not finished, were brought, or were being sent. */
const LEFT_IN_COPIES = /(\.half|\.opened|\.jsonl|^being-made\.db.*|^brought-.*)$/;
/** Files from before an upgrade are kept for so many upgrades: going back further is what copies are for. */
const BEFORE_KEPT = 2;
/** Only the account that runs the server reads them. */
const FILE_MODE = 0o600;
const FOLDER_MODE = 0o700;

/** Removes what broken-off copies, restores and upgrades left. Called once the data file is open: before, it may be all there is. */
export function sweepLeftovers(dataFile: string): readonly string[] {
  const [folder, base, copies] = [
    path.dirname(dataFile),
    path.basename(dataFile),
    findCopiesFolder(dataFile),
  ];
  const beside = list(folder)
    .filter((name) => name.startsWith(`${base}.`) && LEFT_BESIDE.test(name))
    .map((name) => path.join(folder, name));
  const inCopies = list(copies)
    .filter((name) => LEFT_IN_COPIES.test(name))
    .map((name) => path.join(copies, name));
  const swept = [...beside, ...inCopies, ...listCopiesBefore(dataFile).slice(BEFORE_KEPT)];
  for (const file of swept) rmSync(file, { force: true });
  return swept;
}

/** Takes the data file, its keys and its copies from everyone but their owner: files from before may be open to all. */
export function closeToOthers(dataFile: string): void {
  const copies = findCopiesFolder(dataFile);
  const files = [dataFile, findAccessFile(dataFile)].flatMap((file) =>
    ["", "-wal", "-shm"].map((end) => file + end),
  );
  for (const file of [...files, ...list(copies).map((name) => path.join(copies, name))])
    if (existsSync(file)) chmodSync(file, FILE_MODE);
  if (existsSync(copies)) chmodSync(copies, FOLDER_MODE);
}

const list = (folder: string): string[] => (existsSync(folder) ? readdirSync(folder) : []);
