import type { RecordKey } from "@/schemas/recordKinds";
import type { Step } from "./history";
import type { SteadyClock } from "@/time/steadyClock";
import type { DayPlan, PastLog } from "@/core/plan";
import type { ChangeGroup, GroupAnswer } from "@/schemas/change";
import type { DayBook, Formula } from "@/schemas/model";
import type { LiveNews } from "@/schemas/live";
import type { Edit, RecordLists, RecordTable } from "@/schemas/recordTable";
import type { ClosedDay, DayGround } from "@/schemas/toDayBook";
import type { PlannerState } from "./planner";
import type { OpenConflict, RefusedGroup } from "./saver";

/** A day as the server had it at a revision of its file. */
export interface DaySnapshot {
  readonly date: string;
  /** Which file; revisions of one say nothing about another. */
  readonly epoch: string;
  readonly revision: number;
  readonly lists: RecordLists;
  readonly past: PastLog;
  /** What happens on the day is told at its run, and stands in the log from there. */
  readonly hasRun: boolean;
  /** How it was laid, once it is closed. */
  readonly closed: ClosedDay | null;
  /** The owner keeps from this device what is paid and earned. */
  readonly hidesCosts: boolean;
  /** For a day that is over: the formulas as they stood then. Empty otherwise. */
  readonly formulasThen: readonly Formula[];
  /** The server's own zone: the kitchen's where it has named none. */
  readonly computersZone: string;
  /** The server's now, as the kitchen's wall clock shows it. */
  readonly clock: SteadyClock;
}

/** What the server says to a message. */
export interface SaveReply {
  readonly epoch: string;
  readonly revision: number;
  readonly answers: readonly GroupAnswer[];
}

export type SaveState =
  /** At which minute of the kitchen's clock; null before anything was. */
  | { readonly kind: "saved"; readonly atMin: number | null }
  | { readonly kind: "waiting" }
  | { readonly kind: "saving" }
  /** Held until the baker chooses. */
  | { readonly kind: "conflicted" }
  /** The server does not answer, or cannot write: kept here and tried again. */
  | { readonly kind: "offline"; readonly message: string; readonly waiting: number }
  /** The server's answer or this page is at fault: kept here, and tried again when the baker says so. */
  | { readonly kind: "faulted"; readonly message: string; readonly waiting: number };

/** Something that was not done, and why. */
export interface Notice {
  readonly id: string;
  readonly message: string;
  /** Where it is mended. */
  readonly links: readonly NoticeLink[];
}

/** Something that a notice names, and that can be gone to. */
export interface NoticeLink extends RecordKey {
  readonly name: string;
}

export interface BenchState {
  readonly date: string;
  /** The day is over: its formulas are those of then. */
  readonly isOver: boolean;
  /** The kitchen's date now, YYYY-MM-DD. */
  readonly today: string;
  /** It is run, or was: what happened on it is told there. */
  readonly hasRun: boolean;
  /** The owner keeps from this device what is paid and earned. */
  readonly hidesCosts: boolean;
  /** The zone whose wall clock the kitchen goes by. */
  readonly timeZone: string;
  readonly computersZone: string;
  readonly records: RecordTable;
  readonly ground: DayGround;
  readonly book: DayBook;
  /** Null until the first is worked out. */
  readonly plan: DayPlan | null;
  readonly planner: PlannerState;
  /** Those that the plan is of; null until there is one. The clock may have gone on since. */
  readonly plannedRecords: RecordTable | null;
  readonly save: SaveState;
  /** The first of those that wait for a choice. */
  readonly conflict: OpenConflict | null;
  /** It is on the screen; put off, it still holds what is to be saved. */
  readonly isConflictShown: boolean;
  /** How the conflict's record stands here. */
  readonly mine: Edit["record"];
  readonly refused: readonly RefusedGroup[];
  readonly notice: Notice | null;
  /** False where the device keeps nothing: what is not saved is gone with the page. */
  readonly isKeptHere: boolean;
  /** What undo and redo would turn; null for nothing. */
  readonly undoes: Step | null;
  readonly redoes: Step | null;
  /** Makes the edits at once, plans, and saves shortly after. */
  edit(edits: readonly Edit[]): void;
  undo(): void;
  redo(): void;
  /** Ends a conflict: take theirs, or write mine over it. */
  resolveConflict(keep: "mine" | "theirs"): void;
  /** Puts the open conflict off, or asks again. */
  showConflict(isShown: boolean): void;
  /** Takes a refused change off the screen. */
  takeBack(groupId: string): void;
  /** Sends what was refused once more. */
  sendAgain(): void;
  /** Says something that was not done, and why. */
  notify(message: string, links?: readonly NoticeLink[]): void;
  dismissNotice(): void;
  /** Sends now what waits. @returns Whether everything typed is at the server. */
  flush(): Promise<boolean>;
  /** Takes over what the server has now; an older snapshot is passed over. */
  adopt(snapshot: DaySnapshot): void;
  /** Takes over what others have written, as the server tells it while it is open. */
  hear(news: LiveNews): void;
  /** What of the file is known here, to be told what comes after. */
  readMark(): Pick<LiveNews, "epoch" | "revision">;
  /** The day as the server last had it, with its clock as it stands now: what a device keeps. */
  readSnapshot(): DaySnapshot;
  /** Asks the server for what it has now. */
  refresh(): Promise<void>;
  /** Takes up what the device has kept, once, when the page is there. */
  start(): Promise<void>;
  /** Looks at the clock: a day in hand is planned from now on. */
  tick(): void;
  /** What is not at the server. */
  listWaiting(): readonly ChangeGroup[];
  /** Keeps on the device what is not saved, at once: the page may be gone. */
  keepNow(): void;
}
