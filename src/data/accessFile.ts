import { chmodSync, existsSync, mkdirSync } from "node:fs";
import path from "node:path";
import Database from "better-sqlite3";
import type { Holder, Role } from "@/schemas/access";

/** A passphrase as it is kept: what it is made into slowly, and what that was salted with. */
export interface KeptPassphrase {
  readonly role: Role;
  readonly salt: Buffer;
  readonly hash: Buffer;
}

/** A code that lets in once. */
export interface KeptInvite {
  readonly role: Role;
  /** UTC, ISO 8601; null for the one of the first start, which waits until it is used. */
  readonly endsAt: string | null;
}

/**
 * Who may come in, beside the data file and not in it: a copy of the book carries no key to the house, and the house
 * keeps its locks when a copy is laid back.
 */
export const findAccessFile = (dataFile: string): string => `${dataFile}.access`;

const TABLES = `
  CREATE TABLE IF NOT EXISTS passphrase (role TEXT PRIMARY KEY, salt BLOB NOT NULL, hash BLOB NOT NULL) STRICT;
  CREATE TABLE IF NOT EXISTS holder (
    id TEXT PRIMARY KEY, kind TEXT NOT NULL, name TEXT NOT NULL, role TEXT NOT NULL,
    token_hash BLOB NOT NULL UNIQUE, made_at TEXT NOT NULL, seen_at TEXT NOT NULL
  ) STRICT;
  CREATE TABLE IF NOT EXISTS invite (code_hash BLOB PRIMARY KEY, role TEXT NOT NULL, ends_at TEXT) STRICT;
`;

/** Only who runs the server reads it. */
const OWNER_ONLY = 0o600;
/** A second server of the same file is waited for so long, ms. */
const BUSY_TIMEOUT_MS = 300;

/** Opens it, making it and its folder if need be. */
export function openAccessFile(file: string) {
  if (file !== ":memory:") mkdirSync(path.dirname(file), { recursive: true });
  const db = new Database(file);
  db.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
  db.pragma("journal_mode = WAL");
  db.exec(TABLES);
  if (existsSync(file)) chmodSync(file, OWNER_ONLY);
  const columns = "id, kind, name, role, made_at AS madeAt, seen_at AS seenAt";
  const listPassphrases = db.prepare<[], KeptPassphrase>("SELECT role, salt, hash FROM passphrase");
  const keepPassphrase = db.prepare("INSERT OR REPLACE INTO passphrase VALUES (@role, @salt, @hash)");
  const dropPassphrase = db.prepare<[Role]>("DELETE FROM passphrase WHERE role = ?");
  const listHolders = db.prepare<[], Holder>(`SELECT ${columns} FROM holder ORDER BY seen_at DESC`);
  const findHolder = db.prepare<[Buffer], Holder>(`SELECT ${columns} FROM holder WHERE token_hash = ?`);
  const addHolder = db.prepare(
    "INSERT INTO holder VALUES (@id, @kind, @name, @role, @tokenHash, @madeAt, @seenAt)",
  );
  const seeHolder = db.prepare<[string, string]>("UPDATE holder SET seen_at = ? WHERE id = ?");
  const dropHolder = db.prepare<[string]>("DELETE FROM holder WHERE id = ?");
  const addInvite = db.prepare<[Buffer, Role, string | null]>("INSERT INTO invite VALUES (?, ?, ?)");
  const takeInvite = db.prepare<[Buffer], KeptInvite>(
    "DELETE FROM invite WHERE code_hash = ? RETURNING role, ends_at AS endsAt",
  );
  const dropStartCodes = db.prepare("DELETE FROM invite WHERE ends_at IS NULL");
  const countStartCodes = db.prepare("SELECT count(*) FROM invite WHERE ends_at IS NULL").pluck();
  const dropEnded = db.prepare<[string]>("DELETE FROM invite WHERE ends_at < ?");
  const replaceStart = db.transaction((codeHash: Buffer) => {
    dropStartCodes.run();
    addInvite.run(codeHash, "owner", null);
  });
  return {
    listPassphrases: () => listPassphrases.all(),
    keepPassphrase: (kept: KeptPassphrase) => void keepPassphrase.run(kept),
    dropPassphrase: (role: Role) => void dropPassphrase.run(role),
    listHolders: () => listHolders.all(),
    findHolder: (tokenHash: Buffer) => findHolder.get(tokenHash) ?? null,
    addHolder: (holder: Holder & { readonly tokenHash: Buffer }) => void addHolder.run(holder),
    seeHolder: (id: string, at: string) => void seeHolder.run(at, id),
    /** @returns Whether there was one. */
    dropHolder: (id: string) => dropHolder.run(id).changes > 0,
    /** @param endsAt - UTC, ISO 8601. Those that have ended by `now` are forgotten. */
    addInvite(codeHash: Buffer, role: Role, endsAt: string, now: string) {
      dropEnded.run(now);
      addInvite.run(codeHash, role, endsAt);
    },
    /** The one code of the first start, in place of any before it. */
    replaceStartCode: (codeHash: Buffer) => replaceStart.immediate(codeHash),
    hasStartCode: (): boolean => Number(countStartCodes.get()) > 0,
    /** Takes a code away, whoever asks first; null if there is none such. */
    takeInvite: (codeHash: Buffer) => takeInvite.get(codeHash) ?? null,
    close: () => db.close(),
  };
}

export type AccessFile = ReturnType<typeof openAccessFile>;
