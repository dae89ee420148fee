import { createHash, randomBytes, scrypt, timingSafeEqual } from "node:crypto";

/**
 * What a guess costs: 32 MB and about a tenth of a second, each (RFC 7914's N, r, p). An attacker who has the file tries
 * some ten a second and core; who has not is held up at the door.
 */
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 } as const;
const HASH_BYTES = 32;
const SALT_BYTES = 16;

const stretch = (passphrase: string, salt: Buffer): Promise<Buffer> =>
  new Promise((resolve, reject) =>
    // The same letters typed on another keyboard are the same passphrase.
    scrypt(passphrase.normalize("NFKC"), salt, HASH_BYTES, COST, (error, hash) =>
      error ? reject(error) : resolve(hash),
    ),
  );

/** A passphrase as it is kept. */
export async function hashPassphrase(passphrase: string): Promise<{ salt: Buffer; hash: Buffer }> {
  const salt = randomBytes(SALT_BYTES);
  return { salt, hash: await stretch(passphrase, salt) };
}

/** Whether it is the passphrase that was kept; takes as long either way. */
export const isPassphrase = async (
  passphrase: string,
  kept: { readonly salt: Buffer; readonly hash: Buffer },
): Promise<boolean> => timingSafeEqual(await stretch(passphrase, kept.salt), kept.hash);

const TOKEN_BYTES = 32;
/** A key that nobody guesses: kept as its hash, which needs no salt and no slowness. */
export const createToken = (): string => randomBytes(TOKEN_BYTES).toString("base64url");
export const hashToken = (token: string): Buffer => createHash("sha256").update(token).digest();

/** Letters and figures that are not taken for each other. */
const CODE_LETTERS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";
const CODE_LENGTH = 12;

/** A code to be typed or scanned, like `K7MP-2XQA-9RTB`: 60 bits. */
export function createCode(): string {
  const letters = Array.from(randomBytes(CODE_LENGTH), (byte) => CODE_LETTERS[byte % CODE_LETTERS.length]);
  return (letters.join("").match(/.{4}/g) ?? []).join("-");
}

/** A code as it was meant, however it was typed. */
export const hashCode = (code: string): Buffer => hashToken(code.toUpperCase().replaceAll(/[^A-Z0-9]/g, ""));
