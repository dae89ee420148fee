import type { AnyRecord, RecordKey } from "@/schemas/recordKinds";
import { findRecord, type Edit, type RecordTable } from "@/schemas/recordTable";
import { applyToRecord, invert, isSameKey, type Change } from "@/schemas/change";

/** What was changed in one go. */
export interface Step {
  readonly changes: readonly Change[];
  readonly atMs: number;
}

/** Steps done and steps undone, each latest last. */
export interface History {
  readonly past: readonly Step[];
  readonly future: readonly Step[];
}

export const NO_HISTORY: History = { past: [], future: [] };

/** Edits to a field of the same records closer than this belong to one drag and are undone together, ms. */
const ONE_GESTURE_MS = 900;
/** Steps kept for undo. */
const MAX_STEPS = 200;

/** The history with a new step; what was undone before cannot be redone any more. */
export function remember(
  { past }: History,
  step: Step,
  join: (first: Change, next: Change) => Change | null,
): History {
  const last = past.at(-1);
  const isOneGesture =
    last !== undefined && step.atMs - last.atMs < ONE_GESTURE_MS && isOneDrag(last.changes, step.changes);
  if (!isOneGesture) return { past: [...past, step].slice(-MAX_STEPS), future: [] };
  const changes = step.changes.flatMap((change) => {
    const before = last.changes.find((each) => isSameKey(each, change));
    return (before ? join(before, change) : change) ?? [];
  });
  const kept = past.slice(0, -1);
  return { past: changes.length > 0 ? [...kept, { ...step, changes }] : kept, future: [] };
}

/** What a turn back or forward does. */
export interface Turn {
  readonly history: History;
  readonly edits: readonly Edit[];
}

/** Back by one step; null if there is none. @param table - As it is now: fields that the step did not touch stay. */
export function turnBack({ past, future }: History, table: RecordTable): Turn | null {
  const step = past.at(-1);
  if (!step) return null;
  const edits = toEdits([...step.changes].reverse().map(invert), table);
  return { history: { past: past.slice(0, -1), future: [...future, step] }, edits };
}

/** Forward by one step that was undone; null if there is none. */
export function turnForward({ past, future }: History, table: RecordTable): Turn | null {
  const step = future.at(-1);
  if (!step) return null;
  // A redone step is a gesture of its own, however soon the next edit comes.
  const done = { ...step, atMs: Number.NEGATIVE_INFINITY };
  return {
    history: { past: [...past, done], future: future.slice(0, -1) },
    edits: toEdits(step.changes, table),
  };
}

/** What the last step that touched a field set it to; undefined if none did. */
export function findLastSet({ past }: History, key: RecordKey, name: string): unknown {
  for (const { changes } of past.toReversed()) {
    const change = changes.find((each) => isSameKey(each, key));
    if (change?.set && name in change.set) return change.set[name];
  }
  return undefined;
}

/** Fields of a record that another hand has set; null: all of it came or went. */
export interface Foreign extends RecordKey {
  readonly fields: readonly string[] | null;
}

/** Without the steps that would write over what another hand has set. */
export function purge({ past, future }: History, foreign: readonly Foreign[]): History {
  if (foreign.length === 0) return { past, future };
  const isClear = ({ changes }: Step) =>
    !changes.some((change) => foreign.some((each) => isSameKey(each, change) && meets(change, each.fields)));
  return { past: past.filter(isClear), future: future.filter(isClear) };
}

function meets({ set, was }: Change, fields: readonly string[] | null): boolean {
  if (fields === null || set === null || was === null) return true;
  return Object.keys(set).some((name) => fields.includes(name));
}

/** The same records, and a field in common in each; what is put in or taken out is a step of its own. */
const isOneDrag = (left: readonly Change[], right: readonly Change[]): boolean =>
  left.length === right.length &&
  left.every((change, i) => {
    const next = right[i];
    if (!next || !isSameKey(change, next) || !change.was || !change.set || !next.set) return false;
    const { set } = next;
    return Object.keys(change.set).some((field) => field in set);
  });

const toEdits = (changes: readonly Change[], table: RecordTable): Edit[] =>
  changes.map((change) => {
    const { kind, id } = change;
    const record: AnyRecord | null = applyToRecord(findRecord(table, kind, id), change);
    return { kind, id, record } as Edit;
  });
