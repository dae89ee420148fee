import { closeSync, openSync, readSync, rmSync } from "node:fs";
import { fail, type Result } from "@/core/result";
import { unpackCopy, type CopyManifest } from "./copyFile";
import { looksLikeLines, rebuildFromLines } from "./copyLines";
import { isSealed, unsealFile } from "./seal";

/** What a packed copy begins with, as every such file does. */
const PACKED = "PK";

/** Whether a file begins as a copy of any kind: what does not is refused without being unpacked. */
export function looksLikeCopy(file: string): boolean {
  const input = openSync(file, "r");
  try {
    const start = Buffer.alloc(PACKED.length);
    readSync(input, start);
    return start.toString() === PACKED || looksLikeLines(file) || isSealed(file);
  } finally {
    closeSync(input);
  }
}

/** Said where a sealed copy comes without its passphrase, or with another. */
export const NEEDS_PASSPHRASE = "This copy is sealed: give its passphrase.";

/**
 * Unpacks a copy of any kind into `target`: packed, as lines, or either of them sealed.
 * @param passphrase - Of a sealed one; null where none was given.
 * @returns What it holds; or why it is no copy, and then `target` is gone.
 */
export function openCopy(
  copy: string,
  target: string,
  migrationsFolder: string,
  passphrase: string | null,
): Result<CopyManifest, string> {
  if (isSealed(copy)) {
    if (passphrase === null) return fail(NEEDS_PASSPHRASE);
    const opened = `${target}.opened`;
    try {
      const unsealed = unsealFile(copy, opened, passphrase);
      return unsealed.ok ? openCopy(opened, target, migrationsFolder, null) : unsealed;
    } finally {
      rmSync(opened, { force: true });
    }
  }
  return looksLikeLines(copy) ? rebuildFromLines(copy, target, migrationsFolder) : unpackCopy(copy, target);
}
