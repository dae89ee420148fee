import { createStore, type StoreApi } from "zustand/vanilla";
import { foldRun, type RunEvent, type RunMend, type RunSheet, type SealRemedy } from "@/core/run";
import type { RemedyChange } from "@/core/remedy";
import type { RunAnswer, RunInput, Whose } from "@/workers/createRunClient";
import { describeError, NotReached } from "../bench/callServer";
import type { EventBox } from "./eventBox";

/** What the server says of a run. */
export interface RunServer {
  /** Changes a piece from now on and has the rest of the day frozen anew. @returns Why it could not be; null if it is. */
  changePiece(pieceId: string, remedy: Remedy): Promise<string | null>;
  fetchSheet(): Promise<RunSheet | null>;
  /** Null: there is no run of this date. */
  fetchEvents(after: number): Promise<EventPage | null>;
  send(events: readonly RunEvent[]): Promise<{
    kept: readonly string[];
    refused: readonly {
      readonly id: string | null;
      readonly faults: readonly { readonly message: string }[];
    }[];
    /** Why the log does not follow yet; null where it does. */
    readonly logBehind?: string | null;
  }>;
}

/** What arrived after a mark. */
export interface EventPage {
  readonly events: readonly RunEvent[];
  readonly seq: number;
  readonly edition: number;
  readonly isLogBehind?: boolean;
}

export interface RunStoreInput {
  readonly date: string;
  readonly server: RunServer;
  readonly box: EventBox;
  readonly deviceId: string;
  readonly createId: () => string;
  /** Whether the device keeps anything while no page is open. */
  readonly canKeepHere: () => Promise<boolean>;
  /** Minutes of the day now, by the kitchen's clock. */
  readonly nowMin: () => number;
  /** Looks for what would help where a promise breaks; null where it was asked anew meanwhile. */
  readonly mend: (input: RunInput) => Promise<readonly RunMend[] | null>;
  /** Times the rest of the day; null where a newer question came meanwhile. */
  readonly ask: (question: RunInput) => Promise<RunAnswer | null>;
}

/** What a piece is made by from now on: its fields as they are to be, or a step away from what they are. */
export type Remedy = Pick<SealRemedy, "set" | "was"> | { readonly change: RemedyChange };

/** Something that happens here and now; who, when and where from is added. */
export type Happening = RunEvent extends infer E
  ? E extends RunEvent
    ? Omit<E, "id" | "atMin" | "person" | "deviceId"> & { readonly person?: number }
    : never
  : never;

export interface RunScreen {
  readonly phase: "opening" | "running" | "notRun" | "failed";
  readonly sheet: RunSheet | null;
  readonly answer: RunAnswer | null;
  readonly whose: Whose;
  /** Events that only this device has. */
  readonly waiting: number;
  readonly isLinked: boolean;
  /** What the server or this page could not handle; null where all is well. It is not tried again by itself. */
  readonly fault: string | null;
  /** The baker's log is behind what happened; the server tries again. */
  readonly isLogBehind: boolean;
  /** False where the device keeps nothing: what is not sent is gone with the page. */
  readonly isKeptHere: boolean;
  /** What `undo` takes back; null if nothing is left. */
  readonly undoable: RunEvent | null;
  /** What the newest events changed; or what was refused. */
  readonly notice: string | null;
  /** What would help, as it was asked last; null while it is not known. */
  readonly mends: readonly RunMend[] | null;
  start(): Promise<void>;
  /** Looks for what would help where a promise breaks. */
  askMends(): Promise<void>;
  /** Takes down what happens as one tap. */
  happen(...happenings: readonly Happening[]): void;
  /** Takes the last tap back. */
  undo(): void;
  /** Tries again what the server or this page could not handle. */
  tryAgain(): Promise<void>;
  /** What has not come to the server. */
  listWaiting(): readonly RunEvent[];
  /** Makes a piece otherwise from the next load on. */
  take(pieceId: string, remedy: Remedy & { readonly text: string }): Promise<void>;
  setWhose(whose: Whose): void;
  /** Looks at the clock, and at what others did. */
  tick(): Promise<void>;
}

export type RunStore = StoreApi<RunScreen>;

/** Ids of one tap share what stands before this; its events are taken back together. */
const TAP_MARK = "/";

/** So many events go in one message, far below what the server takes. */
const BATCH = 200;

/** A running day on one screen: what happened is shown at once, kept on the device, and sent as soon as there is a server. */
export function createRunStore(input: RunStoreInput): RunStore {
  const known = new Map<string, RunEvent>();
  const unsent = new Map<string, RunEvent>();
  let seq = 0;
  let edition = 0;
  let sending: Promise<void> | null = null;

  return createStore<RunScreen>((set, get) => {
    /** No answer is no network; anything else is a fault, which is said and waits for a hand. */
    const note = (error: unknown) =>
      set(error instanceof NotReached ? { isLinked: false } : { fault: describeError(error) });

    /** Shows at once what happened and what undo would take back; the rest is asked for. */
    const show = () => {
      const { counted } = foldRun([...known.values()]);
      set({ waiting: unsent.size, undoable: counted.at(-1) ?? null });
    };

    async function ask(isNews: boolean): Promise<void> {
      const { sheet, whose } = get();
      if (!sheet) return;
      try {
        const answer = await input.ask({ sheet, events: [...known.values()], nowMin: input.nowMin(), whose });
        if (answer) set(isNews && answer.moved ? { answer, notice: answer.moved } : { answer });
      } catch (error) {
        note(error);
      }
    }

    /** Sends until nothing is left or the server is gone. @returns Whether it may be asked again at once. */
    async function send(): Promise<boolean> {
      while (unsent.size > 0) {
        const batch = [...unsent.values()].slice(0, BATCH);
        const { kept, refused, logBehind = null } = await input.server.send(batch);
        const settled = [...kept, ...refused.flatMap(({ id }) => id ?? [])];
        for (const id of settled) unsent.delete(id);
        for (const { id, faults } of refused) {
          if (id !== null) known.delete(id);
          set({ notice: `Not kept: ${faults[0]?.message ?? "the server refused it."}` });
        }
        await input.box.drop(settled);
        show();
        set({ isLinked: true, isLogBehind: logBehind !== null });
        if (refused.length > 0) await ask(false);
        // A server that settles nothing would be asked for ever.
        if (settled.length === 0) return false;
      }
      return true;
    }

    async function sendSoon(): Promise<void> {
      if (sending) return sending;
      let isWell = false;
      sending = send().then((may) => {
        isWell = may;
      }, note);
      await sending;
      sending = null;
      // What happened after the last look, and before this.
      if (isWell && unsent.size > 0) await sendSoon();
    }

    async function hear(): Promise<boolean> {
      const page = await input.server.fetchEvents(seq);
      if (!page) return false;
      const news = page.events.filter(({ id }) => !known.has(id));
      for (const event of page.events) known.set(event.id, event);
      seq = page.seq;
      const isOther = page.edition !== edition;
      if (isOther) {
        const sheet = await input.server.fetchSheet();
        if (sheet) {
          edition = page.edition;
          set({ sheet });
        }
      }
      show();
      set({ isLinked: true, isLogBehind: page.isLogBehind ?? false });
      const { sheet } = get();
      if (sheet && (page.events.length > 0 || isOther))
        void input.box.keepDay({ sheet, edition, seq, events: [...known.values()] });
      return news.length > 0;
    }

    return {
      phase: "opening",
      sheet: null,
      answer: null,
      whose: "both",
      waiting: 0,
      isLinked: true,
      fault: null,
      isLogBehind: false,
      isKeptHere: true,
      undoable: null,
      notice: null,
      mends: null,
      async askMends() {
        const { sheet, whose } = get();
        if (!sheet) return;
        set({ mends: null });
        const mends = await input.mend({ sheet, events: [...known.values()], nowMin: input.nowMin(), whose });
        if (mends) set({ mends });
      },
      async start() {
        for (const event of await input.box.list()) {
          known.set(event.id, event);
          unsent.set(event.id, event);
        }
        show();
        void input.canKeepHere().then((isKeptHere) => set({ isKeptHere }));
        try {
          await hear();
        } catch (error) {
          note(error);
          const kept = await input.box.readDay();
          if (!kept) return set({ phase: "failed" });
          ({ seq, edition } = kept);
          for (const event of kept.events) known.set(event.id, event);
          set({ sheet: kept.sheet });
          show();
        }
        if (!get().sheet) {
          set({ phase: "notRun" });
          return;
        }
        await ask(false);
        set({ phase: "running" });
        void sendSoon();
      },
      happen(...happenings) {
        const tap = input.createId();
        const atMin = input.nowMin();
        const events = happenings.map((happening, i) => ({
          person: findPerson(get(), happening),
          ...happening,
          id: `${tap}${TAP_MARK}${i}`,
          atMin,
          deviceId: input.deviceId,
        }));
        for (const event of events) {
          known.set(event.id, event);
          unsent.set(event.id, event);
        }
        show();
        set({ notice: null });
        void input.box.put(events);
        void ask(true);
        void sendSoon();
      },
      undo() {
        // From what is known here and now: the worker's answer may be of before the last tap.
        const { counted, lastId } = foldRun([...known.values()]);
        if (lastId === null) return;
        const tap = lastId.split(TAP_MARK)[0];
        const together = counted.filter(({ id }) => id.split(TAP_MARK)[0] === tap);
        get().happen(...together.toReversed().map(({ id }) => ({ kind: "undone" as const, eventId: id })));
      },
      async take(pieceId, remedy) {
        const failure = await input.server
          .changePiece(pieceId, remedy)
          .catch(() => "Tezgah does not answer. Try again when it does.");
        if (failure) return set({ notice: `Not changed: ${failure}` });
        get().happen({ kind: "note", taskId: null, word: `From now on ${remedy.text}.` });
        await get().tick();
      },
      setWhose(whose) {
        set({ whose });
        void ask(false);
      },
      async tick() {
        if (get().phase !== "running") {
          if (get().phase === "failed") await get().start();
          return;
        }
        const isNews = await hear().catch((error: unknown) => {
          note(error);
          return false;
        });
        await ask(isNews);
        if (get().fault === null) await sendSoon();
      },
      async tryAgain() {
        set({ fault: null });
        await get().tick();
      },
      listWaiting: () => [...unsent.values()],
    };
  });
}

/** Whose hands it was: on a screen of one's own that one's, on one for both those that have the job. */
function findPerson({ whose, sheet, answer }: RunScreen, happening: Happening): number {
  if (whose !== "both") return whose === "helper" ? 1 : 0;
  const taskId = "taskId" in happening ? happening.taskId : null;
  if (taskId === null) return 0;
  return answer?.tasks[taskId]?.person ?? sheet?.jobs.find((job) => job.taskId === taskId)?.person ?? 0;
}
