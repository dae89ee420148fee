import {
  accessSync,
  chmodSync,
  constants,
  copyFileSync,
  existsSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from "node:fs";
import path from "node:path";
import { fail, ok, type Result } from "@/core/result";
import { findCopiesFolder, readCopyTime } from "./copies";
import { chooseKept } from "./copyGenerations";
import { makeSealKey, sealFile, type SealKey } from "./seal";

/** Copies that go to another disk or share as well. */
export interface OutwardSetting {
  /** Absolute; it must be there: a share that is not mounted is no place for a copy. */
  readonly folder: string;
  readonly everyHours: number;
  /** Sealed with a key that was made out of a passphrase. */
  readonly isSealed: boolean;
}

/** How that went last. */
export interface OutwardState extends OutwardSetting {
  /** Of the newest copy there; UTC, ISO 8601; null where there is none or the folder cannot be read. */
  readonly newestAt: string | null;
  /** Why none can be put there now; null if one can. */
  readonly fault: string | null;
}

interface Kept extends Omit<OutwardSetting, "isSealed"> {
  readonly seal: { readonly head: SealKey["head"]; readonly key: string } | null;
}

const HOUR_MS = 3_600_000;
/** Only who runs the server reads it: it may hold a key. */
const OWNER_ONLY = 0o600;
const SEALED = ".sealed";

const findSettingFile = (dataFile: string): string => `${dataFile}.outward.json`;

function readKept(dataFile: string): Kept | null {
  try {
    return JSON.parse(readFileSync(findSettingFile(dataFile), "utf8")) as Kept;
  } catch {
    return null;
  }
}

/**
 * Sets where copies go as well.
 * @param passphrase - Seals them from now on; empty leaves them open; null keeps what was.
 * @returns Why not.
 */
export function setOutward(
  dataFile: string,
  { folder, everyHours }: Omit<OutwardSetting, "isSealed">,
  passphrase: string | null,
): Result<null, string> {
  const fault = findFolderFault(dataFile, folder);
  if (fault) return fail(fault);
  const before = readKept(dataFile)?.seal ?? null;
  const made = passphrase ? makeSealKey(passphrase) : null;
  const seal = made
    ? { head: made.head, key: made.key.toString("base64") }
    : passphrase === null
      ? before
      : null;
  const file = findSettingFile(dataFile);
  writeFileSync(`${file}.half`, JSON.stringify({ folder, everyHours, seal } satisfies Kept));
  chmodSync(`${file}.half`, OWNER_ONLY);
  renameSync(`${file}.half`, file);
  return ok(null);
}

/** Copies go nowhere else any more; what is there stays. */
export const endOutward = (dataFile: string): void => rmSync(findSettingFile(dataFile), { force: true });

/** Why no copy can be put into a folder, as it looks; null if nothing speaks against it. Writes nothing. */
export function findFolderFault(dataFile: string, folder: string): string | null {
  if (!path.isAbsolute(folder)) return "Name the folder from its root, like /mnt/share/tezgah.";
  if (!existsSync(folder) || !statSync(folder).isDirectory())
    return `There is no folder ${folder}. Make it, or connect the disk or share that it is on.`;
  if (path.resolve(folder) === path.resolve(findCopiesFolder(dataFile)))
    return "That is where copies stand already. Choose a folder on another disk.";
  try {
    accessSync(folder, constants.W_OK);
    return null;
  } catch {
    return `Nothing can be written to ${folder}. Let the account that runs Tezgah write there.`;
  }
}

const listOutward = (folder: string): { readonly name: string; readonly madeAt: string }[] => {
  try {
    return readdirSync(folder)
      .flatMap((name) => {
        const madeAt = readCopyTime(name.endsWith(SEALED) ? name.slice(0, -SEALED.length) : name);
        return madeAt === null ? [] : [{ name, madeAt }];
      })
      .sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1));
  } catch {
    return [];
  }
};

/** Where copies go as well, and how that stands; null if nowhere. */
export function readOutward(dataFile: string): OutwardState | null {
  const kept = readKept(dataFile);
  if (!kept) return null;
  const { folder, everyHours, seal } = kept;
  return {
    ...{ folder, everyHours, isSealed: seal !== null },
    newestAt: listOutward(folder)[0]?.madeAt ?? null,
    fault: findFolderFault(dataFile, folder),
  };
}

/** Whether it is time for another copy there. */
export function isOutwardDue(dataFile: string, now: Date): boolean {
  const outward = readOutward(dataFile);
  if (!outward) return false;
  const ageMs = outward.newestAt === null ? Infinity : now.getTime() - Date.parse(outward.newestAt);
  return ageMs >= outward.everyHours * HOUR_MS;
}

/**
 * Puts a copy there too, sealed if that is set, and lets go of those that no generation keeps.
 * @returns Its name there; or why it is not there.
 */
export function putOutward(dataFile: string, copy: string): Result<string, string> {
  const kept = readKept(dataFile);
  if (!kept) return fail("No other place for copies is set.");
  const { folder, seal } = kept;
  const fault = findFolderFault(dataFile, folder);
  if (fault) return fail(fault);
  const name = path.basename(copy) + (seal ? SEALED : "");
  const target = path.join(folder, name);
  try {
    if (seal) sealFile(copy, target, { head: seal.head, key: Buffer.from(seal.key, "base64") });
    else {
      copyFileSync(copy, `${target}.half`);
      renameSync(`${target}.half`, target);
    }
    const there = listOutward(folder);
    const stay = chooseKept(there.map((each) => ({ name: each.name, madeAtMs: Date.parse(each.madeAt) })));
    for (const each of there) if (!stay.has(each.name)) rmSync(path.join(folder, each.name), { force: true });
    return ok(name);
  } catch (error) {
    return fail(
      `The copy did not get to ${folder}: ${error instanceof Error ? error.message : String(error)}`,
    );
  }
}
