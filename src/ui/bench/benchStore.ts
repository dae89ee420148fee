import isSame from "fast-deep-equal";
import { createStore } from "zustand/vanilla";
import type { DayPlan } from "@/core/plan";
import { joinChanges, toChange, type Change, type ChangeGroup, type GroupAnswer } from "@/schemas/change";
import {
  findRecord,
  keepSame,
  fromLists,
  pickRecords,
  toLists,
  type Edit,
  type RecordLists,
  type RecordTable,
} from "@/schemas/recordTable";
import { toDayBook, type DayGround } from "@/schemas/toDayBook";
import { readSteadyClock, startSteadyClock } from "@/time/steadyClock";
import { findNowMin, findPhase } from "@/time/wallClock";
import type { BenchState, DaySnapshot, SaveReply, SaveState } from "./benchState";
import { describeError, NotReached } from "./callServer";
import { findUse } from "./findUse";
import {
  findLastSet,
  NO_HISTORY,
  purge,
  remember,
  turnBack,
  turnForward,
  type Foreign,
  type History,
  type Turn,
} from "./history";
import type { Outbox } from "./outbox";
import { takeNews } from "./takeNews";
import type { DayInput } from "@/workers/createPlanClient";
import {
  enqueue,
  readLocal,
  rebaseOn,
  resolve,
  sendAgain,
  takeAnswers,
  takeBack,
  takeMessage,
  type SaverState,
} from "./saver";

export interface BenchInput {
  readonly snapshot: DaySnapshot;
  readonly send: (groups: readonly ChangeGroup[]) => Promise<SaveReply>;
  readonly fetchSnapshot: (date: string) => Promise<DaySnapshot | null>;
  readonly plan: (input: DayInput) => void;
  /** The server's plan of the day as it has it; null if it is of another state than this, or there is none. */
  readonly fetchPlan: (date: string, state: string) => Promise<DayPlan | null>;
  /** Does it once a hand comes to the page, and at leisure if none does. */
  readonly atLeisure: (work: () => void) => void;
  readonly outbox: Outbox;
  /** Whether the device keeps anything while no page is open. */
  readonly canKeepHere: () => Promise<boolean>;
  readonly clock: () => Date;
  readonly createId: () => string;
}

/** Quiet time before what changed is sent, ms. */
const SAVE_DELAY_MS = 350;
/** Waits before a message that got no answer is sent again, ms; the last one again and again. */
const RETRY_DELAYS_MS = [1000, 2000, 4000, 8000, 15_000];

/** A day that could not be read though there is news of it is asked for again after so long, ms. */
const REFRESH_AGAIN_MS = 4000;

/** The server's first plan is waited for so long, ms; then the worker here begins too. */
const FIRST_PLAN_WITHIN_MS = 1500;

/** State of one open day: what the server has, what is on its way there, the plan, undo. */
export function createBenchStore(input: BenchInput) {
  let snapshot = input.snapshot;
  // The server's clock is the kitchen's: tablets may be minutes off.
  let clockOffsetMs = Date.parse(snapshot.clock.atIso) - input.clock().getTime();
  let saver: SaverState = { base: fromLists(snapshot.lists), queue: [], refused: [], conflicts: [] };
  let history: History = NO_HISTORY;
  let hasPlanned = false;
  let revision = snapshot.revision;
  // All that was written until then is known here; what this page wrote itself may be later, with others' before it.
  let heard = snapshot.revision;
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** There was news that only the whole day tells, and the day has not been read since. */
  let isBehind = false;
  let again: ReturnType<typeof setTimeout> | undefined;
  let sending: Promise<void> | null = null;
  let failures = 0;
  let started: Promise<void> | null = null;
  /** What the server has, as lists. */
  let kept: { readonly base: RecordTable; readonly lists: RecordLists } | null = null;

  const readZone = (table: RecordTable) =>
    pickRecords(table, "kitchen")[0]?.timeZone ?? snapshot.computersZone;
  const readNow = () =>
    readSteadyClock(
      snapshot.clock,
      new Date(input.clock().getTime() + clockOffsetMs),
      readZone(readLocal(saver)),
    );
  const toGround = ({ formulasThen, past, closed }: DaySnapshot): DayGround => ({
    formulasThen,
    past,
    closed,
  });
  const firstNow = readNow();
  const firstGround = toGround(snapshot);
  const firstBook = toDayBook(saver.base, snapshot.date, findNowMin(snapshot.date, firstNow), firstGround);
  if (!firstBook) throw new RangeError(`createBenchStore: no day ${snapshot.date} among the records`);

  const store = createStore<BenchState>()((set, get) => {
    const showSave = (): SaveState => {
      if (saver.conflicts.length > 0) return { kind: "conflicted" };
      if (saver.queue.length === 0) return { kind: "saved", atMin: readNow().minute };
      return sending ? { kind: "saving" } : { kind: "waiting" };
    };
    /** Shows and keeps what the saver and the history now say; plans if what is planned from has changed. */
    const settle = (more: Partial<BenchState> = {}) => {
      const before = get();
      // What the server has taken says the same as what was shown: nothing is planned anew for it.
      const records = keepSame(before.records, readLocal(saver));
      const [conflict = null] = saver.conflicts;
      const ground = more.ground ?? before.ground;
      const nowMin = ground.closed ? null : findNowMin(before.date, readNow());
      const isSame = before.book.nowMin === nowMin && ground === before.ground && records === before.records;
      // The open day may not vanish under the screen.
      const book = isSame ? before.book : (toDayBook(records, before.date, nowMin, ground) ?? before.book);
      set({
        records,
        timeZone: readZone(records),
        book,
        conflict,
        isConflictShown: conflict === before.conflict ? before.isConflictShown : conflict !== null,
        mine: conflict && findRecord(records, conflict.kind, conflict.id),
        refused: saver.refused,
        undoes: history.past.at(-1) ?? null,
        redoes: history.future.at(-1) ?? null,
        ...more,
      });
      input.outbox.keep({ queue: saver.queue, refused: saver.refused, history });
      if (!isSame) replan();
    };
    const replan = () => {
      const { date, records, book, ground, plan: shown } = get();
      hasPlanned = true;
      input.plan({ date, table: records, nowMin: book.nowMin, ground, shown });
    };
    /**
     * A worker that has not planned yet is slow: the first plan is the server's, if it is of the same state. The worker
     * is then made ready for the first edit when the page has been drawn, instead of beside it.
     */
    const showFirstPlan = async () => {
      const { date, epoch } = snapshot;
      const { records } = get();
      const state = [epoch, snapshot.revision, get().book.nowMin ?? "ahead"].join("/");
      const answer = input.fetchPlan(date, state).catch(() => null);
      const late = new Promise<null>((resolve) => setTimeout(() => resolve(null), FIRST_PLAN_WITHIN_MS));
      const plan = await Promise.race([answer, late]);
      if (plan && !get().plan)
        set({ plan, plannedRecords: records, planner: hasPlanned ? get().planner : { kind: "current" } });
      const makeReady = () => {
        if (!hasPlanned) replan();
      };
      if (plan) input.atLeisure(makeReady);
      else makeReady();
    };
    const schedule = (delayMs: number) => {
      clearTimeout(timer);
      timer = setTimeout(() => void get().flush(), delayMs);
    };
    const forget = (foreign: readonly Foreign[]) => {
      history = purge(history, foreign);
    };
    /** What the server has, under what is not there yet. */
    const takeTable = (table: RecordTable) => {
      // What this page saved in its former life, after this one's snapshot was read, is its own.
      const rebased = rebaseOn(saver, table, (key, name, value) => {
        const set = findLastSet(history, key, name);
        return set !== undefined && isSame(set, value);
      });
      saver = rebased.state;
      forget(rebased.foreign);
    };
    const makeChanges = (changes: readonly Change[]) => {
      saver = enqueue(saver, changes, input.createId);
      // What could not be done is behind whoever does something else.
      settle({
        notice: null,
        save: saver.queue.length > 0 && !isHeldUp(get().save) ? showSave() : get().save,
      });
      schedule(SAVE_DELAY_MS);
    };
    const turn = (turned: Turn | null) => {
      if (!turned) return;
      ({ history } = turned);
      makeChanges(toChanges(turned.edits, readLocal(saver)));
    };
    /** Sending the same again would fail again: it waits for a hand. */
    const showFault = (error: unknown) =>
      settle({ save: { kind: "faulted", message: describeError(error), waiting: saver.queue.length } });
    const sendOnce = async (): Promise<void> => {
      const message = takeMessage(saver);
      if (message.groups.length === 0) return;
      saver = message.state;
      set({ save: { kind: "saving" } });
      const reply = await input.send(message.groups).catch((error: unknown): never => {
        if (error instanceof NotReached) {
          schedule(RETRY_DELAYS_MS[Math.min(failures++, RETRY_DELAYS_MS.length - 1)] ?? 0);
          settle({ save: { kind: "offline", message: error.message, waiting: saver.queue.length } });
        } else showFault(error);
        throw new NotSent();
      });
      failures = 0;
      try {
        const isOfFile = reply.epoch === snapshot.epoch;
        // News may overtake an answer: what it told is later then, and has this page's own in it.
        const isOvertaken = isOfFile && reply.revision <= heard;
        const taken = takeAnswers(
          saver,
          isOvertaken ? reply.answers.map((answer) => standOn(saver.base, answer)) : reply.answers,
        );
        saver = taken.state;
        forget(taken.foreign);
        if (isOfFile) revision = Math.max(revision, reply.revision);
      } catch (error) {
        showFault(error);
        throw new NotSent();
      }
    };
    const sendAll = async (): Promise<void> => {
      // A turn later: by then it is known that this is what is under way.
      await Promise.resolve();
      try {
        while (saver.queue.length > 0 && saver.conflicts.length === 0) {
          await sendOnce();
          settle();
        }
        sending = null;
        settle({ save: showSave() });
      } catch (error) {
        sending = null;
        if (!(error instanceof NotSent)) throw error;
      }
    };
    return {
      date: snapshot.date,
      today: firstNow.date,
      isOver: findPhase(snapshot.date, firstNow) === "over",
      hasRun: snapshot.hasRun,
      hidesCosts: snapshot.hidesCosts,
      timeZone: readZone(saver.base),
      computersZone: snapshot.computersZone,
      records: saver.base,
      ground: firstGround,
      book: firstBook,
      plan: null,
      planner: { kind: "working" },
      plannedRecords: null,
      save: { kind: "saved", atMin: null },
      conflict: null,
      isConflictShown: false,
      mine: null,
      refused: [],
      notice: null,
      isKeptHere: true,
      undoes: null,
      redoes: null,
      edit(edits) {
        const local = readLocal(saver);
        const use = findUse(local, edits);
        if (use) return get().notify(use.message, use.users);
        const changes = toChanges(edits, local);
        if (changes.length === 0) return;
        history = remember(history, { changes, atMs: input.clock().getTime() }, joinChanges);
        makeChanges(changes);
      },
      undo: () => turn(turnBack(history, readLocal(saver))),
      redo: () => turn(turnForward(history, readLocal(saver))),
      resolveConflict(keep) {
        const resolved = resolve(saver, keep, input.createId);
        saver = resolved.state;
        forget(resolved.foreign);
        settle({ save: showSave() });
        void get().flush();
      },
      showConflict: (isShown) => set({ isConflictShown: isShown }),
      takeBack(groupId) {
        const group = saver.refused.find(({ id }) => id === groupId);
        saver = takeBack(saver, groupId);
        // What was taken back cannot be undone to.
        if (group?.isShown)
          forget(
            group.changes.map(({ kind, id, set: fields }) => ({
              kind,
              id,
              fields: fields && Object.keys(fields),
            })),
          );
        settle();
      },
      sendAgain() {
        saver = sendAgain(saver, input.createId);
        settle({ save: showSave() });
        void get().flush();
      },
      notify: (message, links = []) => set({ notice: { id: input.createId(), message, links } }),
      dismissNotice: () => set({ notice: null }),
      async flush() {
        clearTimeout(timer);
        sending ??= sendAll();
        await sending;
        return saver.queue.length === 0 && saver.refused.every(({ isShown }) => !isShown);
      },
      adopt(next) {
        if (next === snapshot) return;
        const isSameFile = next.epoch === snapshot.epoch;
        if (isSameFile && next.revision < revision) return;
        isBehind = false;
        const isNews =
          !isSameFile ||
          next.revision > heard ||
          next.hasRun !== snapshot.hasRun ||
          (next.closed === null) !== (snapshot.closed === null) ||
          next.formulasThen.length !== snapshot.formulasThen.length;
        snapshot = next;
        // What the router remembered is of an earlier now: the clock does not go back by it.
        clockOffsetMs = Math.max(clockOffsetMs, Date.parse(next.clock.atIso) - input.clock().getTime());
        if (!isNews) return get().tick();
        heard = next.revision;
        revision = isSameFile ? Math.max(revision, heard) : heard;
        takeTable(fromLists(next.lists));
        settle({
          ground: toGround(next),
          isOver: findPhase(next.date, readNow()) === "over",
          hasRun: next.hasRun,
          hidesCosts: next.hidesCosts,
        });
      },
      readMark: () => ({ epoch: snapshot.epoch, revision: heard }),
      readSnapshot() {
        if (kept?.base !== saver.base) kept = { base: saver.base, lists: toLists(saver.base) };
        const instant = new Date(input.clock().getTime() + clockOffsetMs);
        const clock = startSteadyClock(instant, readZone(saver.base));
        return { ...snapshot, revision: heard, lists: kept.lists, clock };
      },
      hear(news) {
        const isOfFile = news.epoch === snapshot.epoch;
        // Read before an answer that is here already was written: the next news goes further, and finds the gap.
        if (isOfFile && (news.revision <= heard || news.revision < revision)) return;
        const isNext = isOfFile && news.after <= heard;
        const table = isNext && news.standing ? takeNews(saver.base, news.standing) : null;
        if (!table) {
          isBehind = true;
          return void get().refresh();
        }
        heard = news.revision;
        revision = Math.max(revision, heard);
        takeTable(table);
        settle();
      },
      async refresh() {
        clearTimeout(again);
        const next = await input.fetchSnapshot(snapshot.date).catch(() => null);
        if (next) get().adopt(next);
        // Nobody tells the same news twice.
        else if (isBehind) again = setTimeout(() => void get().refresh(), REFRESH_AGAIN_MS);
      },
      start() {
        started ??= (async () => {
          // A device whose storage is slow to answer keeps nobody from the day.
          void showFirstPlan();
          void input.canKeepHere().then((isKeptHere) => set({ isKeptHere }));
          const { mine, left } = await input.outbox.open();
          const strays = left.map((group) => ({ ...group, wasSent: true }));
          const kept = (mine?.queue ?? []).map((group) => ({ ...group, wasSent: true }));
          saver = {
            ...saver,
            queue: [...strays, ...kept, ...saver.queue],
            refused: [...(mine?.refused ?? []), ...saver.refused],
          };
          if (mine)
            history = {
              past: [...mine.history.past, ...history.past],
              future: history.future.length > 0 ? history.future : mine.history.future,
            };
          settle({ save: saver.queue.length > 0 ? showSave() : get().save });
          if (saver.queue.length > 0) await get().flush();
          // The page before this one lived until this one came: what it saved meanwhile is not in the snapshot.
          if (mine) await get().refresh();
        })();
        return started;
      },
      tick() {
        const now = readNow();
        const { date, isOver, book, today } = get();
        if (now.date !== today) set({ today: now.date });
        const phase = findPhase(date, now);
        if ((phase === "over") !== isOver) {
          set({ isOver: phase === "over" });
          // Its formulas are those of then from now on.
          void get().refresh();
        }
        if (!get().ground.closed && findNowMin(date, now) !== book.nowMin) settle();
      },
      listWaiting: () => [...saver.queue, ...saver.refused].map(({ id, changes }) => ({ id, changes })),
      keepNow: () => input.outbox.keepNow({ queue: saver.queue, refused: saver.refused, history }),
    };
  });
  return store;
}

export type BenchStore = ReturnType<typeof createBenchStore>;

/** An answer as it would be had it been read when the table was: what it says of records is older than that. */
function standOn(table: RecordTable, answer: GroupAnswer): GroupAnswer {
  if (answer.kind === "written") return { ...answer, standing: [] };
  if (answer.kind === "refused") return answer;
  const conflicts = answer.conflicts.map((conflict) => ({
    ...conflict,
    theirs: findRecord(table, conflict.kind, conflict.id),
  }));
  return { ...answer, conflicts };
}

/** What is typed waits for the network or for a hand: more of it changes nothing of that. */
const isHeldUp = ({ kind }: SaveState): boolean => kind === "offline" || kind === "faulted";

/** A message was not taken; it is kept. */
class NotSent extends Error {}

const toChanges = (edits: readonly Edit[], table: RecordTable): Change[] =>
  edits.flatMap(({ kind, id, record }) => toChange({ kind, id }, findRecord(table, kind, id), record) ?? []);
