import { writeAll } from "./writeAll";
import { createCipheriv, createDecipheriv, randomBytes, scryptSync } from "node:crypto";
import { closeSync, openSync, readSync, renameSync, rmSync, statSync } from "node:fs";
import { fail, ok, type Result } from "@/core/result";

/**
 * A copy under a passphrase. The file: eight letters, a line of JSON (how the key is made out of the passphrase), then
 * parts, each its length (4 bytes, big-endian), a nonce (12), what was sealed with AES-256-GCM, and its tag (16). The
 * number of a part, and whether it is the last, are sealed in with it: none can be left out, moved or cut off.
 */
const MAGIC = "TZSEALED";
const KEY_BYTES = 32;
const SALT_BYTES = 16;
const NONCE_BYTES = 12;
const TAG_BYTES = 16;
const PART_BYTES = 1 << 20;
const LENGTH_BYTES = 4;
/** Longest head that is read, bytes. */
const HEAD_BYTES = 4096;
/** What a guess costs: 64 MB each (RFC 7914's N, r, p). */
const COST = { N: 2 ** 16, r: 8, p: 1 } as const;
const MAX_MEMORY = 256 * 1024 * 1024;

interface SealHead {
  readonly kdf: "scrypt";
  readonly N: number;
  readonly r: number;
  readonly p: number;
  readonly salt: string;
}

/** A key that was made out of a passphrase, with all that is needed to make it again: the passphrase itself is not kept. */
export interface SealKey {
  readonly head: SealHead;
  readonly key: Buffer;
}

/** Makes a key; takes some tenths of a second, as a guess does. */
export function makeSealKey(passphrase: string): SealKey {
  const head: SealHead = { kdf: "scrypt", ...COST, salt: randomBytes(SALT_BYTES).toString("base64") };
  return { head, key: stretch(passphrase, head) };
}

const stretch = (passphrase: string, { N, r, p, salt }: SealHead): Buffer =>
  scryptSync(passphrase.normalize("NFKC"), Buffer.from(salt, "base64"), KEY_BYTES, {
    ...{ N, r, p },
    maxmem: MAX_MEMORY,
  });

/** Seals a file. @param target - Written under another name and then renamed. */
export function sealFile(source: string, target: string, { head, key }: SealKey): void {
  const half = `${target}.half`;
  const [input, output] = [openSync(source, "r"), openSync(half, "w")];
  try {
    writeAll(output, `${MAGIC}${JSON.stringify(head)}\n`);
    let left = statSync(source).size;
    for (let at = 0; at === 0 || left > 0; at++) {
      const part = Buffer.alloc(Math.min(PART_BYTES, left));
      const read = readSync(input, part);
      if (read < part.length) throw new Error("The file grew shorter while it was sealed.");
      left -= read;
      const nonce = randomBytes(NONCE_BYTES);
      const cipher = createCipheriv("aes-256-gcm", key, nonce).setAAD(markOf(at, left === 0));
      const sealed = Buffer.concat([cipher.update(part), cipher.final()]);
      const length = Buffer.alloc(LENGTH_BYTES);
      length.writeUInt32BE(sealed.length);
      for (const piece of [length, nonce, sealed, cipher.getAuthTag()]) writeAll(output, piece);
    }
    renameSync(half, target);
  } finally {
    closeSync(input);
    closeSync(output);
    rmSync(half, { force: true });
  }
}

const markOf = (at: number, isLast: boolean): Buffer => Buffer.from(`${at}${isLast ? " last" : ""}`);

/** Whether a file is a sealed copy. */
export const isSealed = (file: string): boolean => readStart(file, MAGIC.length).toString() === MAGIC;

function readStart(file: string, bytes: number): Buffer {
  const input = openSync(file, "r");
  try {
    const start = Buffer.alloc(bytes);
    return start.subarray(0, readSync(input, start));
  } finally {
    closeSync(input);
  }
}

/** Opens a sealed file. @returns Why it cannot be, and then `target` is gone. */
export function unsealFile(source: string, target: string, passphrase: string): Result<null, string> {
  const start = readStart(source, HEAD_BYTES);
  const head = readHead(start);
  if (!head) return fail("This is no sealed copy of Tezgah.");
  const key = stretch(passphrase, head);
  const [input, output] = [openSync(source, "r"), openSync(target, "w")];
  let isWhole = false;
  try {
    let position = start.indexOf("\n") + 1;
    const take = (bytes: number): Buffer | null => {
      const piece = Buffer.alloc(bytes);
      const read = readSync(input, piece, 0, bytes, position);
      position += read;
      return read === bytes ? piece : null;
    };
    const size = statSync(source).size;
    for (let at = 0; !isWhole; at++) {
      const length = take(LENGTH_BYTES)?.readUInt32BE() ?? null;
      if (length === null || length > PART_BYTES) return fail(damaged);
      const [nonce, sealed, tag] = [take(NONCE_BYTES), take(length), take(TAG_BYTES)];
      if (!nonce || !sealed || !tag) return fail(damaged);
      const isLast = position === size;
      const cipher = createDecipheriv("aes-256-gcm", key, nonce).setAAD(markOf(at, isLast)).setAuthTag(tag);
      try {
        writeAll(output, Buffer.concat([cipher.update(sealed), cipher.final()]));
      } catch {
        return fail(at === 0 ? "That is not its passphrase, or the copy is damaged." : damaged);
      }
      isWhole = isLast;
    }
    return ok(null);
  } finally {
    closeSync(input);
    closeSync(output);
    if (!isWhole) rmSync(target, { force: true });
  }
}

const damaged = "The sealed copy is damaged or not whole. Take another copy.";

function readHead(start: Buffer): SealHead | null {
  const end = start.indexOf("\n");
  if (end < 0 || start.subarray(0, MAGIC.length).toString() !== MAGIC) return null;
  try {
    const { kdf, N, r, p, salt } = JSON.parse(start.subarray(MAGIC.length, end).toString()) as SealHead;
    // A head from elsewhere may ask for all the memory there is.
    const isFair = kdf === "scrypt" && N <= COST.N && r <= COST.r && p <= COST.p && typeof salt === "string";
    return isFair ? { kdf, N, r, p, salt } : null;
  } catch {
    return null;
  }
}
