/** What ails the data file. */
export type FileFaultKind =
  | "newer"
  | "notADatabase"
  | "corrupt"
  | "readOnly"
  | "full"
  | "noFolder"
  | "locked"
  | "unreadable"
  | "migration"
  | "foreign"
  | "missing";

/** The data file cannot be used, with what is wrong and what to do, in words for whoever runs Tezgah. */
export class FileFault extends Error {
  override readonly name = "FileFault";
  constructor(
    readonly kind: FileFaultKind,
    /** What is wrong. */
    message: string,
    /** What mends it. */
    readonly remedy: string,
  ) {
    super(message);
  }
}

const COPIES =
  "the last copies stand in the folder beside it, and the page Copies (or npm run restore) lays one of them back.";

/** Of SQLite's codes, those that speak of the file and not of what was asked. Longer codes begin with these. */
const byCode: readonly (readonly [string, FileFaultKind, string, string])[] = [
  [
    "SQLITE_NOTADB",
    "notADatabase",
    "The data file holds something that is no Tezgah data.",
    `Is TEZGAH_DATA the right path? If the file was damaged, ${COPIES}`,
  ],
  [
    "SQLITE_CORRUPT",
    "corrupt",
    "The data file is damaged.",
    `Stop Tezgah, keep the damaged file aside; ${COPIES}`,
  ],
  [
    "SQLITE_READONLY",
    "readOnly",
    "The data file cannot be written.",
    "Give the account that runs Tezgah the right to write the file and its folder, or take the disk out of read-only.",
  ],
  [
    "SQLITE_PERM",
    "readOnly",
    "The data file may not be written by this account.",
    "Give the account that runs Tezgah the right to write the file and its folder.",
  ],
  [
    "SQLITE_FULL",
    "full",
    "The disk is full: nothing more can be kept.",
    "Free some space on the disk of the data file. What was saved before is safe.",
  ],
  [
    "SQLITE_BUSY",
    "locked",
    "Another program holds the data file.",
    "Close what has it open (a second Tezgah, a database tool). What you typed waits and is tried again.",
  ],
  [
    "SQLITE_LOCKED",
    "locked",
    "Another program holds the data file.",
    "Close what has it open (a second Tezgah, a database tool). What you typed waits and is tried again.",
  ],
  [
    "SQLITE_CANTOPEN",
    "unreadable",
    "The data file cannot be opened.",
    "Is TEZGAH_DATA the right path, and may the account that runs Tezgah read it?",
  ],
  [
    "SQLITE_IOERR",
    "unreadable",
    "The disk gives an error on reading or writing the data file.",
    `Look at the disk; ${COPIES}`,
  ],
  [
    "SQLITE_ERROR",
    "foreign",
    "The data file does not hold what this Tezgah writes.",
    "Was it changed by another program, or made by a Tezgah in the middle of its development? Keep it aside; " +
      COPIES,
  ],
];

/** The fault behind an error of the database or of the file system; null if the error speaks of something else. */
export function toFileFault(error: unknown): FileFault | null {
  if (error instanceof FileFault) return error;
  const code = typeof error === "object" && error !== null && "code" in error ? String(error.code) : "";
  const known = byCode.find(([start]) => code.startsWith(start));
  if (known) return new FileFault(known[1], known[2], known[3]);
  if (code === "ENOSPC") return toFileFault({ code: "SQLITE_FULL" });
  if (["ENOENT", "ENOTDIR", "EACCES", "EPERM", "EROFS", "EEXIST"].includes(code))
    return new FileFault(
      "noFolder",
      "The folder of the data file cannot be made or reached.",
      "Is TEZGAH_DATA the right path? Make the folder, or give the account that runs Tezgah the right to.",
    );
  return null;
}

/** Another writer was there this instant: the same may be tried again shortly. */
export const isBusy = (error: unknown): boolean => toFileFault(error)?.kind === "locked";
