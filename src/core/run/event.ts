import type { LarderKind } from "../plan";
import type { LaidTask } from "../schedule";

/** What may go wrong with pieces. */
export const mishaps = [
  "leaked",
  "burst",
  "torn",
  "shrunk",
  "burnt",
  "pale",
  "stuck",
  "dropped",
  "other",
] as const;
export type Mishap = (typeof mishaps)[number];

/** What may be measured beside a job, each in the unit of its name. */
export const measures = [
  "massG",
  "coreC",
  "ovenC",
  "oilC",
  "roomC",
  "thicknessMm",
  "blankMm",
  "trimG",
  "heatUpMin",
  "oilLowC",
  "cutCount",
] as const;
export type Measure = (typeof measures)[number];

/** Who and when: of every event. */
export interface Happened {
  /** Its own for ever: sent twice, it counts once. */
  readonly id: string;
  /** Minutes of the day by the kitchen's clock, with a fraction. */
  readonly atMin: number;
  /** 0 the baker, 1 the helper. */
  readonly person: number;
  /** The tablet or the device it came from. */
  readonly deviceId: string;
}

/** What happened on the day. Nothing that happened is ever changed or taken back but by another event. */
export type RunEvent = Happened &
  (
    | { readonly kind: "begun"; readonly taskId: string }
    /** A whole task, or one part of it: a step of its way, a line of its weigh-out. */
    | { readonly kind: "done"; readonly taskId: string; readonly part?: string | undefined }
    | { readonly kind: "more"; readonly taskId: string; readonly minutes: number }
    | {
        readonly kind: "wrong";
        readonly taskId: string;
        readonly mishap: Mishap;
        readonly count: number;
        readonly word: string;
        /** These go no further; nothing said, they do. */
        readonly isLost?: boolean | undefined;
      }
    | {
        readonly kind: "measured";
        readonly taskId: string | null;
        readonly measure: Measure;
        readonly value: number;
        /** What of the job it is of, where it has several: an outline of a sheet by its demand. */
        readonly part?: string | undefined;
      }
    /** Of a filling nothing is left: this job was done to so many pieces, and those after it get none. */
    | { readonly kind: "ranOut"; readonly taskId: string; readonly formulaId: string; readonly made: number }
    /** The rest goes in this order from now on. */
    | { readonly kind: "ordered"; readonly placed: readonly LaidTask[] }
    /** Another pair of hands from now on, for so many minutes. */
    | { readonly kind: "helped"; readonly minutes: number }
    /** Whoever waits for it was told a later minute of the day. */
    | { readonly kind: "told"; readonly taskId: string; readonly dueMin: number }
    /** Liquid put in, g: what a dough took. */
    | { readonly kind: "poured"; readonly taskId: string; readonly massG: number }
    /** Handed to whoever `person` is. */
    | { readonly kind: "moved"; readonly taskId: string }
    | { readonly kind: "note"; readonly taskId: string | null; readonly word: string }
    /** Pieces that found a buyer, those ordered too; said again, the later counts. */
    | { readonly kind: "sold"; readonly pieceId: string; readonly count: number }
    /** What is over of one thing and kept: g of a dough or filling, else pieces. Nothing kept is 0. */
    | {
        readonly kind: "left";
        readonly larderKind: LarderKind;
        readonly refId: string;
        readonly massG: number;
        readonly count: number;
        readonly useBy: string;
      }
    /** What was kept in the larder is thrown out, all of it. */
    | { readonly kind: "thrown"; readonly itemId: string }
    /** The day is over: what it used goes out of the larder, what it leaves goes in. */
    | { readonly kind: "closed" }
    /** A lot, or with no task the whole day, from which nothing is learned, and why. */
    | { readonly kind: "leftOut"; readonly taskId: string | null; readonly word: string }
    /** Takes back another event, an undoing too. */
    | { readonly kind: "undone"; readonly eventId: string }
  );

export type RunEventKind = RunEvent["kind"];

/** The order in which events count, whatever the order in which they arrive. */
export const compareEvents = (one: RunEvent, other: RunEvent): number =>
  one.atMin - other.atMin || (one.id < other.id ? -1 : one.id > other.id ? 1 : 0);
