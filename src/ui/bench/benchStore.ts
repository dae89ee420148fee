import { createStore } from "zustand/vanilla";
import type { DayBook, DayPlan } from "@/core/plan";
import type { Result } from "@/core/result";
import {
  recordKinds,
  type RecordChange,
  type RecordKind,
  type RecordTypes,
  type StoredRecord,
} from "@/schemas/recordKinds";
import type { Formula } from "@/schemas/model";
import { toDayBook } from "@/schemas/toDayBook";

/** A record as the screen wants it; null takes it away. */
export type Edit = { [K in RecordKind]: { kind: K; id: string; record: RecordTypes[K] | null } }[RecordKind];

/** Why nothing of a save was written. */
export type SaveFault =
  | {
      readonly kind: "stale";
      readonly changed: RecordKind;
      readonly id: string;
      readonly current: StoredRecord | null;
    }
  | { readonly kind: "refused"; readonly message: string };

export type SaveChanges = (changes: readonly RecordChange[]) => Promise<Result<readonly number[], SaveFault>>;

export type SaveState =
  | { readonly kind: "saved"; readonly at: Date | null }
  | { readonly kind: "waiting" }
  | { readonly kind: "saving" }
  | { readonly kind: "failed"; readonly message: string };

/** Another tablet changed what this one changed too. */
export interface Conflict {
  readonly kind: RecordKind;
  readonly id: string;
  readonly theirs: StoredRecord | null;
  readonly mine: Edit["record"];
}

interface Step {
  readonly before: readonly Edit[];
  readonly after: readonly Edit[];
  readonly atMs: number;
}

export interface BenchState {
  readonly date: string;
  /** The day is over: its formulas are those of then. */
  readonly isOver: boolean;
  readonly records: readonly StoredRecord[];
  readonly book: DayBook;
  readonly plan: DayPlan;
  readonly save: SaveState;
  readonly conflict: Conflict | null;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** Makes the edits at once, plans, and saves shortly after. */
  edit(edits: readonly Edit[]): void;
  undo(): void;
  redo(): void;
  /** Ends a conflict: take theirs, or write mine over it. */
  resolveConflict(keep: "mine" | "theirs"): void;
  /** Saves now what waits. */
  flush(): Promise<void>;
}

export interface BenchInput {
  readonly date: string;
  readonly records: readonly StoredRecord[];
  /** For a day that is over: the formulas as they stood then. Empty otherwise. */
  readonly formulasThen: readonly Formula[];
  readonly plan: DayPlan;
  readonly nowMin: number | null;
  readonly saveChanges: SaveChanges;
  readonly planBook: (book: DayBook) => Promise<DayPlan | null>;
  readonly clock: () => Date;
}

/** Edits to the same record closer than this belong to one drag and are undone together, ms. */
const ONE_GESTURE_MS = 900;
/** Quiet time before what changed is sent, ms. */
const SAVE_DELAY_MS = 350;
/** Steps kept for undo. */
const MAX_STEPS = 200;

const keyOf = ({ kind, id }: { kind: RecordKind; id: string }) => `${kind}:${id}`;

/** State of one open day: records, plan, undo and saving. The server's versions are kept apart from the edits. */
export function createBenchStore(input: BenchInput) {
  const versions = new Map(
    input.records.map(({ kind, record, version }) => [keyOf({ kind, id: record.id }), version]),
  );
  const dirty = new Map<string, { kind: RecordKind; id: string }>();
  let past: Step[] = [];
  let future: Step[] = [];
  let timer: ReturnType<typeof setTimeout> | undefined;
  let saving: Promise<void> | null = null;

  const readBook = (records: readonly StoredRecord[]) =>
    toDayBook(records, input.date, input.nowMin, input.formulasThen);
  const initialBook = readBook(input.records);
  if (!initialBook) throw new RangeError(`createBenchStore: no day ${input.date} among the records`);

  return createStore<BenchState>()((set, get) => {
    const apply = (edits: readonly Edit[]) => {
      const records = edits.reduce(withEdit, get().records);
      // The open day may not vanish under the screen.
      const book = readBook(records) ?? get().book;
      set({ records, book, save: { kind: "waiting" } });
      for (const { kind, id } of edits) dirty.set(keyOf({ kind, id }), { kind, id });
      void replan(book);
      clearTimeout(timer);
      timer = setTimeout(() => void get().flush(), SAVE_DELAY_MS);
    };
    const replan = async (book: DayBook) => {
      try {
        const plan = await input.planBook(book);
        if (plan) set({ plan });
      } catch (error) {
        set({
          save: { kind: "failed", message: `${toMessage(error)} Reload the page: what is saved stays.` },
        });
      }
    };
    const remember = (step: Step) => {
      const last = past.at(-1);
      const sameGesture = last && step.atMs - last.atMs < ONE_GESTURE_MS && sameKeys(last.after, step.after);
      past = sameGesture
        ? [...past.slice(0, -1), { ...step, before: last.before }]
        : [...past, step].slice(-MAX_STEPS);
      future = [];
      set({ canUndo: true, canRedo: false });
    };
    const save = async () => {
      const sent = [...dirty.values()];
      if (sent.length === 0) return;
      dirty.clear();
      const changes = toChanges(sent, get().records, versions);
      set({ save: { kind: "saving" } });
      const keepDirty = () =>
        sent.forEach((entry) => dirty.set(keyOf(entry), dirty.get(keyOf(entry)) ?? entry));
      try {
        const saved = await input.saveChanges(changes);
        if (saved.ok) {
          changes.forEach((change, i) => versions.set(keyOf(change), saved.value[i] ?? 0));
          if (dirty.size === 0) set({ save: { kind: "saved", at: input.clock() } });
          return;
        }
        keepDirty();
        const fault = saved.failure;
        if (fault.kind === "refused") return set({ save: { kind: "failed", message: fault.message } });
        const mine =
          changes.find((change) => keyOf(change) === keyOf({ kind: fault.changed, id: fault.id }))?.record ??
          null;
        set({
          conflict: { kind: fault.changed, id: fault.id, theirs: fault.current, mine },
          save: { kind: "failed", message: "Changed on another screen. Choose which to keep." },
        });
      } catch {
        keepDirty();
        set({
          save: {
            kind: "failed",
            message: "Not saved: Tezgah did not answer. It is kept here and tried again.",
          },
        });
        timer = setTimeout(() => void get().flush(), RETRY_DELAY_MS);
      }
    };
    return {
      date: input.date,
      isOver: input.formulasThen.length > 0,
      records: input.records,
      book: initialBook,
      plan: input.plan,
      save: { kind: "saved", at: null },
      conflict: null,
      canUndo: false,
      canRedo: false,
      edit(edits) {
        const before = edits.map(({ kind, id }) => findEdit(get().records, kind, id));
        remember({ before, after: edits, atMs: input.clock().getTime() });
        apply(edits);
      },
      undo() {
        const step = past.at(-1);
        if (!step) return;
        past = past.slice(0, -1);
        future = [...future, step];
        set({ canUndo: past.length > 0, canRedo: true });
        apply([...step.before].reverse());
      },
      redo() {
        const step = future.at(-1);
        if (!step) return;
        future = future.slice(0, -1);
        past = [...past, { ...step, atMs: 0 }];
        set({ canUndo: true, canRedo: future.length > 0 });
        apply(step.after);
      },
      resolveConflict(keep) {
        const { conflict } = get();
        if (!conflict) return;
        const key = keyOf(conflict);
        versions.set(key, conflict.theirs?.version ?? 0);
        set({ conflict: null });
        if (keep === "mine") return void get().flush();
        dirty.delete(key);
        const record = conflict.theirs?.record ?? null;
        const edit = { kind: conflict.kind, id: conflict.id, record } as Edit;
        const records = withEdit(get().records, edit);
        const book = readBook(records) ?? get().book;
        set({ records, book, save: { kind: "saved", at: input.clock() } });
        void replan(book);
        void get().flush();
      },
      async flush() {
        clearTimeout(timer);
        if (get().conflict) return;
        while (saving) await saving;
        saving = save();
        await saving;
        saving = null;
      },
    };
  });
}

/** Wait before a save that got no answer is tried again, ms. */
const RETRY_DELAY_MS = 4000;

function toMessage(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}

function sameKeys(left: readonly Edit[], right: readonly Edit[]): boolean {
  return (
    left.length === right.length &&
    left.every((edit, i) => right[i] !== undefined && keyOf(edit) === keyOf(right[i]))
  );
}

function findEdit(records: readonly StoredRecord[], kind: RecordKind, id: string): Edit {
  const stored = records.find((entry) => entry.kind === kind && entry.record.id === id);
  return { kind, id, record: stored?.record ?? null } as Edit;
}

/** The records with one edit made; a new record goes last. */
function withEdit(records: readonly StoredRecord[], { kind, id, record }: Edit): readonly StoredRecord[] {
  const index = records.findIndex((entry) => entry.kind === kind && entry.record.id === id);
  if (record === null) return index < 0 ? records : records.toSpliced(index, 1);
  const stored = { kind, record, version: 0 } as StoredRecord;
  return index < 0 ? [...records, stored] : records.with(index, stored);
}

/** What to send: writes in the order in which records name each other, then removals the other way round. */
function toChanges(
  entries: readonly { kind: RecordKind; id: string }[],
  records: readonly StoredRecord[],
  versions: ReadonlyMap<string, number>,
): RecordChange[] {
  const rank = ({ kind }: { kind: RecordKind }) => recordKinds.indexOf(kind);
  const changes = entries.map((entry) => {
    const { record } = findEdit(records, entry.kind, entry.id);
    return { ...entry, record, expectedVersion: versions.get(keyOf(entry)) ?? 0 } as RecordChange;
  });
  const writes = changes.filter(({ record }) => record !== null).sort((a, b) => rank(a) - rank(b));
  const removals = changes
    .filter(({ record, expectedVersion }) => record === null && expectedVersion > 0)
    .sort((a, b) => rank(b) - rank(a));
  return [...writes, ...removals];
}
