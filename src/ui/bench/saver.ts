import isSame from "fast-deep-equal";
import {
  applyChanges,
  isSameKey,
  joinChanges,
  rebase,
  withoutFields,
  type Change,
  type ChangeGroup,
  type FieldConflict,
  type GroupAnswer,
} from "@/schemas/change";
import { recordKinds, type RecordKey } from "@/schemas/recordKinds";
import { findRecord, keepSame, withRecord, type RecordTable } from "@/schemas/recordTable";
import type { Foreign } from "./history";

/** A group on its way to the server. */
export interface QueuedGroup extends ChangeGroup {
  /** It may have arrived, answered or not: it is never changed again, and sent again as it is. */
  readonly wasSent: boolean;
}

/** A group that the server did not take, with its reason. Still on the screen, unless something was to be removed. */
export interface RefusedGroup extends ChangeGroup {
  readonly message: string;
  readonly isShown: boolean;
}

/** The same field set here and on another screen: nothing more is sent until one is chosen. */
export interface OpenConflict extends FieldConflict {
  readonly groupId: string;
}

/** What is between the screen and the disk. Pure data: it is kept on the device as it is. */
export interface SaverState {
  /** As the server last said it. */
  readonly base: RecordTable;
  /** In the order in which they were made. */
  readonly queue: readonly QueuedGroup[];
  readonly refused: readonly RefusedGroup[];
  readonly conflicts: readonly OpenConflict[];
}

/** What the screen shows: what the server said, and on it everything that is not there yet. */
export function readLocal({ base, queue, refused }: SaverState): RecordTable {
  const shown = refused.filter(({ isShown }) => isShown);
  return applyChanges(
    base,
    [...shown, ...queue].flatMap(({ changes }) => changes),
  );
}

/**
 * Adds changes to what is to be sent: to the last group where it speaks of the same records and has not been sent, and
 * with a group that was refused for the same record, which this may mend.
 * @param createId - For groups: one that is changed is another group.
 */
export function enqueue(state: SaverState, changes: readonly Change[], createId: () => string): SaverState {
  const touches = (group: ChangeGroup) =>
    group.changes.some((change) => changes.some((each) => isSameKey(each, change)));
  const mended = state.refused.filter((group) => group.isShown && touches(group));
  const last = state.queue.at(-1);
  const joins = last !== undefined && !last.wasSent && haveSameKeys(last.changes, changes);
  const before = [...mended.flatMap((group) => group.changes), ...(joins ? last.changes : [])];
  const kept = joins ? state.queue.slice(0, -1) : state.queue;
  const refused = state.refused.filter((group) => !mended.includes(group));
  const id = createId();
  const queueOf = (joined: readonly Change[]): readonly QueuedGroup[] =>
    joined.length > 0 ? [...kept, { id, changes: sortByRank(joined), wasSent: false }] : kept;
  const joined = joinAll([...before, ...changes]);
  const local = readLocal({ ...state, refused, queue: queueOf(joined) });
  return { ...state, refused, queue: queueOf(keepTyped(joined, changes, local)) };
}

/**
 * Back to what stood here first is nothing to send, unless another has set the field meanwhile: then it is, and is asked
 * about.
 * @param local - The records as they would stand with what is joined.
 */
function keepTyped(joined: readonly Change[], typed: readonly Change[], local: RecordTable): Change[] {
  return typed.reduce<Change[]>(
    (all, change) => {
      const { kind, id, set } = change;
      const standing = findRecord(local, kind, id);
      if (!standing || set === null || change.was === null) return all;
      const lost = Object.fromEntries(
        Object.entries(set).filter(([name, value]) => !isSame(fieldOf(standing, name), value)),
      );
      if (Object.keys(lost).length === 0) return all;
      const had = all.find((each) => isSameKey(each, change));
      const rest = all.filter((each) => each !== had);
      return [...rest, { kind, id, set: { ...had?.set, ...lost }, was: { ...had?.was, ...lost } }];
    },
    [...joined],
  );
}

/** Each record once: what was done to it, as one change. */
function joinAll(changes: readonly Change[]): Change[] {
  const joined: Change[] = [];
  for (const change of changes) {
    const at = joined.findIndex((each) => isSameKey(each, change));
    const before = joined[at];
    if (!before) joined.push(change);
    else joined.splice(at, 1, ...[joinChanges(before, change)].filter((each) => each !== null));
  }
  return joined;
}

/** Writes in the order in which records name each other, then removals the other way round. */
function sortByRank(changes: readonly Change[]): Change[] {
  const rank = ({ kind }: RecordKey) => recordKinds.indexOf(kind);
  const writes = changes.filter(({ set }) => set !== null).sort((a, b) => rank(a) - rank(b));
  const removals = changes.filter(({ set }) => set === null).sort((a, b) => rank(b) - rank(a));
  return [...writes, ...removals];
}

const haveSameKeys = (left: readonly Change[], right: readonly Change[]): boolean =>
  left.length === right.length && left.every((change) => right.some((each) => isSameKey(each, change)));

/** Groups in one message at the most. */
const MAX_MESSAGE_GROUPS = 50;

/**
 * What to send next: the first groups of the queue, as long as no record comes twice among them, since what becomes of
 * one group may change what the next on its record has to say. Empty while a conflict is open.
 */
export function takeMessage(state: SaverState): {
  readonly state: SaverState;
  readonly groups: readonly ChangeGroup[];
} {
  if (state.conflicts.length > 0) return { state, groups: [] };
  const seen: RecordKey[] = [];
  let count = 0;
  for (const { changes } of state.queue.slice(0, MAX_MESSAGE_GROUPS)) {
    if (changes.some((change) => seen.some((key) => isSameKey(key, change)))) break;
    seen.push(...changes);
    count++;
  }
  const queue = state.queue.map((group, i) => (i < count ? { ...group, wasSent: true } : group));
  return {
    state: { ...state, queue },
    groups: queue.slice(0, count).map(({ id, changes }) => ({ id, changes })),
  };
}

/** The state after the server has answered, and what others have set meanwhile. */
export function takeAnswers(
  state: SaverState,
  answers: readonly GroupAnswer[],
): { readonly state: SaverState; readonly foreign: readonly Foreign[] } {
  let next = state;
  const foreign: Foreign[] = [];
  for (const answer of answers) {
    const group = next.queue.find(({ id }) => id === answer.id);
    if (!group) continue;
    const rest = next.queue.filter((each) => each !== group);
    if (answer.kind === "written") {
      const base = answer.standing.reduce((table, { kind, id, record }) => {
        const had = findRecord(table, kind, id);
        return withRecord(table, { kind, id }, isSame(had, record) ? had : record);
      }, next.base);
      // What stands otherwise than this group alone would have left it is another's.
      foreign.push(...findForeign(applyChanges(next.base, group.changes), base, () => false));
      next = { ...next, base, queue: rest };
    } else if (answer.kind === "refused") {
      // A record that was to go is back on the screen, and what went with it; anything else stays as it was typed.
      const isShown = group.changes.every(({ set }) => set !== null);
      const { id, changes } = group;
      const waiting = next.refused.filter((each) => each.isShown);
      next = {
        ...next,
        queue: rest,
        refused: [...waiting, { id, changes, message: answer.message, isShown }],
      };
    } else {
      const base = answer.conflicts.reduce(
        (table, { theirs, ...key }) => withRecord(table, key, theirs),
        next.base,
      );
      const conflicts = answer.conflicts.map((conflict) => ({ ...conflict, groupId: group.id }));
      // The fields in conflict are neither's until one is chosen.
      const isOpen = (key: RecordKey, name: string) =>
        conflicts.some((conflict) => isSameKey(conflict, key) && conflict.fields.includes(name));
      foreign.push(...findForeign(next.base, base, isOpen));
      next = { ...next, base, conflicts: [...next.conflicts, ...conflicts] };
    }
  }
  return { state: next, foreign };
}

/** Ends the first open conflict: theirs is taken, or mine is written over it. */
export function resolve(
  state: SaverState,
  keep: "mine" | "theirs",
  createId: () => string,
): { readonly state: SaverState; readonly foreign: readonly Foreign[] } {
  const [conflict, ...conflicts] = state.conflicts;
  if (!conflict) return { state, foreign: [] };
  const local = findRecord(readLocal(state), conflict.kind, conflict.id);
  const at = state.queue.findIndex(({ id }) => id === conflict.groupId);
  const groupId = createId();
  const mend = (change: Change): Change | null => {
    if (!isSameKey(change, conflict)) return change;
    if (keep === "mine") return rebase(change, conflict.theirs, local);
    return conflict.theirs === null ? null : withoutFields(change, conflict.fields);
  };
  const queue = state.queue.flatMap((group, i) => {
    // Of mine, later changes follow from the first; of theirs, what was done on top of mine goes with it.
    if (i < at || (i > at && keep === "mine")) return [group];
    const changes = group.changes.flatMap((change) => mend(change) ?? []);
    if (changes.length === 0) return [];
    const isSameGroup =
      changes.every((change, n) => change === group.changes[n]) && changes.length === group.changes.length;
    if (isSameGroup) return [group];
    return [{ id: i === at ? groupId : createId(), changes, wasSent: false }];
  });
  const renamed = conflicts.map((each) => (each.groupId === conflict.groupId ? { ...each, groupId } : each));
  const { kind, id, fields, theirs } = conflict;
  const foreign = keep === "theirs" ? [{ kind, id, fields: theirs === null ? null : fields }] : [];
  return { state: { ...state, queue, conflicts: renamed }, foreign };
}

/** Takes a refused group back: the screen shows again what the server has. */
export const takeBack = (state: SaverState, groupId: string): SaverState => ({
  ...state,
  refused: state.refused.filter(({ id }) => id !== groupId),
});

/** Sends refused groups once more: what stood in their way may be gone. */
export function sendAgain(state: SaverState, createId: () => string): SaverState {
  const again = state.refused.filter(({ isShown }) => isShown);
  return {
    ...state,
    refused: [],
    queue: [...again.map(({ changes }) => ({ id: createId(), changes, wasSent: false })), ...state.queue],
  };
}

/**
 * What the server has now, as a snapshot tells it; records that are the same keep their identity.
 * @param isSetHere - Whether a field was last set to a value by this page itself, be it in its former life.
 */
export function rebaseOn(
  state: SaverState,
  table: RecordTable,
  isSetHere: (key: RecordKey, name: string, value: unknown) => boolean = () => false,
): { readonly state: SaverState; readonly foreign: readonly Foreign[] } {
  const base = keepSame(state.base, table);
  // The server may have written a group already whose answer is still on its way.
  const isOwn = (key: RecordKey, name: string, value: unknown) =>
    isSetHere(key, name, value) ||
    state.queue.some(({ changes }) =>
      changes.some(
        (change) => isSameKey(change, key) && change.set !== null && isSame(change.set[name], value),
      ),
    );
  // What is asked about is what stands now.
  const conflicts = state.conflicts.map((conflict) => {
    const theirs = findRecord(base, conflict.kind, conflict.id);
    return isSame(theirs, conflict.theirs) ? conflict : { ...conflict, theirs };
  });
  return { state: { ...state, base, conflicts }, foreign: findForeign(state.base, base, isOwn) };
}

/** Fields that stand otherwise than they should. @param isExcused - Of a record's field with the value that stands there. */
function findForeign(
  expected: RecordTable,
  standing: RecordTable,
  isExcused: (key: RecordKey, name: string, value: unknown) => boolean,
): Foreign[] {
  return recordKinds.flatMap((kind) => {
    const [should, does] = [expected, standing].map((table) => table.get(kind) ?? new Map());
    if (should === does) return [];
    const ids = new Set([...should!.keys(), ...does!.keys()]);
    return [...ids].flatMap((id): Foreign[] => {
      const [from, to] = [should!.get(id), does!.get(id)];
      if (isSame(from, to)) return [];
      const key = { kind, id };
      const fields = Object.keys({ ...from, ...to }).filter(
        (name) =>
          !isSame(fieldOf(from ?? {}, name), fieldOf(to ?? {}, name)) &&
          !isExcused(key, name, to && fieldOf(to, name)),
      );
      if (fields.length === 0) return [];
      return [{ ...key, fields: from && to ? fields : null }];
    });
  });
}

const fieldOf = (record: object, name: string): unknown => (record as Record<string, unknown>)[name];
