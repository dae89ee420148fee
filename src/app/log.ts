import pino, { type Logger } from "pino";
import { createStream } from "rotating-file-stream";
import type { EnterRequest, Role } from "@/schemas/access";

/**
 * All that the log ever says. It takes these and no free text of a page: no order, no customer, no name of a device gets
 * into it.
 */
export type LogEvent =
  | { readonly event: "started"; readonly version: string; readonly isForHouse: boolean }
  | { readonly event: "stopped"; readonly upSeconds: number }
  /** A reason is one of the server's own sentences, with a folder's name at the most. */
  | { readonly event: "fileIll"; readonly kind: string }
  | { readonly event: "copied"; readonly why: string; readonly bytes: number }
  | { readonly event: "copiedElsewhere" }
  | { readonly event: "notCopied"; readonly why: string; readonly reason: string }
  | { readonly event: "turnedAway"; readonly status: number; readonly method: string }
  | {
      readonly event: "cameIn";
      readonly holder: string;
      readonly role: Role;
      readonly by: EnterRequest["by"];
    }
  | { readonly event: "notLetIn"; readonly status: number; readonly by: EnterRequest["by"] }
  | { readonly event: "turnedOut"; readonly holder: string }
  /** Something broke: what kind of error, where in the programme; its message may hold what was typed, and stays out. */
  | {
      readonly event: "failed";
      readonly route: string;
      readonly kind: string;
      readonly at: readonly string[];
    };

/** A file of the log is no larger, and so many are kept: a year of a bakery. */
const FILE_SIZE = "2M";
const FILES_KEPT = 5;

/** One a process, kept across hot reloads; none where nothing was opened, as in a test of a part. */
const holder = globalThis as { tezgahLog?: Logger };

/** Where the log of a data file stands. */
export const findLogFolder = (dataFile: string): string => `${dataFile}.log`;

/** Opens the log: JSON Lines, a new file when one is full, the oldest let go. */
export function openLog(folder: string): void {
  if (holder.tezgahLog) return;
  const stream = createStream("tezgah.log", { path: folder, size: FILE_SIZE, maxFiles: FILES_KEPT });
  // A disk that is full or gone is told by health; the day goes on without a log.
  stream.on("error", () => undefined);
  holder.tezgahLog = pino(
    { base: null, timestamp: pino.stdTimeFunctions.isoTime, formatters: { level: (level) => ({ level }) } },
    stream,
  );
}

/** Writes a line, where a log was opened. */
export const log = (event: LogEvent): void => holder.tezgahLog?.info(event);

/** Frames of an error that are told, at the most. */
const MOST_FRAMES = 6;

/** Where an error came from, without what it says. */
export const listFrames = (error: unknown): string[] =>
  (error instanceof Error ? (error.stack ?? "") : "")
    .split("\n")
    .filter((line) => /^\s+at /.test(line))
    .slice(0, MOST_FRAMES)
    .map((line) => line.trim().replace(/\(?(file:\/\/)?\/[^)]*\/(?=[^/)]+\)?$)/, "("));
