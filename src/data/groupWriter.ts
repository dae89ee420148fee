import type Database from "better-sqlite3";
import { fail, ok, type Result } from "@/core/result";
import {
  applyToRecord,
  findConflict,
  type Change,
  type ChangeGroup,
  type FieldConflict,
  type GroupAnswer,
  type Standing,
} from "@/schemas/change";
import type { Formula } from "@/schemas/model";
import type { AnyRecord, RecordKind } from "@/schemas/recordKinds";
import { validateRecord } from "@/schemas/validate";
import type { FormulaEditions } from "./formulaEditions";
import type { Repositories } from "./repositories";
import type { Found, Repository } from "./versionedTable";

/** Carries an answer out of a group's transaction so that the group rolls back. */
class Refusal extends Error {
  constructor(readonly answer: GroupAnswer) {
    super(answer.kind);
  }
}

/** What became of a message. */
export interface AppliedGroups {
  /** Of the file when the answers were read: what they say of records stands at it. */
  readonly revision: number;
  /** One a group, in order. */
  readonly answers: readonly GroupAnswer[];
}

/** Groups remembered, so that one sent twice counts once: longer than any tablet lies in a drawer, days. */
const REMEMBER_DAYS = 60;

/**
 * Writes groups of changes: each whole or not at all, each by itself. A field that another hand has set meanwhile is
 * kept beside what this one sets; the same field set by both is a conflict, and the group waits.
 */
export function createGroupWriter(
  db: Database.Database,
  repositories: Repositories,
  editions: FormulaEditions,
) {
  const selectApplied = db.prepare<[string], { revision: number }>(
    "SELECT revision FROM applied_group WHERE group_id = ?",
  );
  const insertApplied = db.prepare<[string, string, string]>(
    "INSERT INTO applied_group (group_id, applied_at, touched) VALUES (?, ?, ?)",
  );
  const raise = db.prepare<[string, string]>(
    "INSERT OR IGNORE INTO applied_group (group_id, applied_at) VALUES (?, ?)",
  );
  const forget = db.prepare<[string]>("DELETE FROM applied_group WHERE applied_at < ?");
  const selectRevision = db.prepare<[], { seq: number }>(
    "SELECT seq FROM sqlite_sequence WHERE name = 'applied_group'",
  );
  const usersOf: Partial<Record<RecordKind, Database.Statement<[{ id: string }], { name: string }>>> = {
    formula: db.prepare(
      `SELECT name FROM piece WHERE is_archived = 0 AND (dough_id = @id OR filling_id = @id OR id IN (
         SELECT piece_id FROM piece_extra WHERE filling_id = @id))`,
    ),
    vessel: db.prepare("SELECT name FROM piece WHERE is_archived = 0 AND vessel_id = @id"),
    day: db.prepare("SELECT 'a run of it' AS name FROM run WHERE day_id = @id"),
    piece: db.prepare(
      `SELECT 'a standing order of ' || customer.name AS name FROM standing_order
       JOIN customer ON customer.id = customer_id WHERE piece_id = @id`,
    ),
  };
  const repositoryOf = (kind: RecordKind) => repositories[kind] as unknown as Repository<AnyRecord>;

  const applyChange = (group: ChangeGroup, change: Change, atIso: string): FieldConflict | null => {
    const { kind, id } = change;
    const repository = repositoryOf(kind);
    const found = repository.find(id);
    if (change.set === null && (!found || found.isArchived)) return null;
    const conflict = findConflict(change, found?.record ?? null);
    if (conflict) return conflict;
    if (change.set === null) {
      const users = usersOf[kind]?.all({ id }).map(({ name }) => name) ?? [];
      if (users.length > 0) throw refuse(group, describeUse(kind, found, users));
      repository.remove(id);
      return null;
    }
    // A new record whose id is there already, in the very same words: only what was taken away comes back.
    const checked = checkMerged(change, applyToRecord(found?.record ?? null, change));
    if (!checked.ok) throw refuse(group, `Not saved. ${checked.failure}`);
    const record = checked.value;
    if (record.id !== id)
      throw refuse(group, `Not saved. The record’s id is “${record.id}”, the change’s “${id}”.`);
    if (isFormula(kind, record)) editions.note(repositories.formula, record, atIso);
    repository.write(record, change.was === null);
    return null;
  };

  const applyGroup = db.transaction((group: ChangeGroup, atIso: string): GroupAnswer => {
    const conflicts = group.changes.flatMap((change) => {
      try {
        return applyChange(group, change, atIso) ?? [];
      } catch (error) {
        throw toRefusal(error, group);
      }
    });
    if (conflicts.length > 0) throw new Refusal({ id: group.id, kind: "conflicted", conflicts });
    const touched = group.changes.map(({ kind, id }) => [kind, id]);
    insertApplied.run(group.id, atIso, JSON.stringify(touched));
    return { id: group.id, kind: "written", standing: readStanding(group) };
  });

  const readStanding = ({ changes }: ChangeGroup): Standing[] =>
    changes.map(({ kind, id, set }) => {
      const found = repositoryOf(kind).find(id);
      // To whoever took it away it is gone; a day that still names what is archived may change it and keeps it.
      const isGone = !found || (found.isArchived && set === null);
      return { kind, id, record: isGone ? null : found.record };
    });

  const readRevision = (): number => selectRevision.get()?.seq ?? 0;
  const applyAll = db.transaction((groups: readonly ChangeGroup[], atIso: string): AppliedGroups => {
    const answers = groups.map((group): GroupAnswer => {
      if (selectApplied.get(group.id))
        return { id: group.id, kind: "written", standing: readStanding(group) };
      try {
        return applyGroup(group, atIso);
      } catch (error) {
        if (error instanceof Refusal) return error.answer;
        throw error;
      }
    });
    return { revision: readRevision(), answers };
  });
  return {
    /** Rises with every group that is written, and never falls. */
    readRevision,
    /** @param why - Its own for ever: the same twice raises once. */
    raiseRevision: (why: string, atIso: string): void => void raise.run(why, atIso),
    /** @param atIso - Now, UTC, ISO 8601. */
    applyGroups: (groups: readonly ChangeGroup[], atIso: string): AppliedGroups =>
      applyAll.immediate(groups, atIso),
    /** Forgets groups so old that no tablet sends them again. */
    forgetGroups: (nowIso: string): void =>
      void forget.run(new Date(Date.parse(nowIso) - REMEMBER_DAYS * 86_400_000).toISOString()),
  };
}

/**
 * The record as it would be written. Of a record that breaks a rule already, written under older ones, a fault in
 * fields that the change does not touch is none of the change's.
 */
function checkMerged({ kind, set, was }: Change, merged: AnyRecord | null): Result<AnyRecord, string> {
  const valid = validateRecord(kind, merged);
  if (valid.ok) return valid;
  const touched = was === null ? null : Object.keys(set ?? {});
  const own = valid.failure.find(
    ({ path }) => path === "" || !touched || touched.includes(path.split(".")[0] ?? ""),
  );
  return own || !merged ? fail(own?.message ?? "Check what you entered.") : ok(merged);
}

const isFormula = (kind: RecordKind, record: AnyRecord): record is Formula =>
  kind === "formula" && "lines" in record;

const refuse = (group: ChangeGroup, message: string) =>
  new Refusal({ id: group.id, kind: "refused", message });

/** A rule that the tables keep, in words; any other error as it is. */
function toRefusal(error: unknown, group: ChangeGroup): unknown {
  const code = findCode(error);
  if (code === "SQLITE_CONSTRAINT_UNIQUE")
    return refuse(
      group,
      group.changes.some(({ kind }) => kind === "customer")
        ? "Not saved: there is a customer of this name already. Add a word that tells them apart."
        : "Not saved: there is a day with this date already. Choose another date.",
    );
  if (code === "SQLITE_CONSTRAINT_FOREIGNKEY")
    return refuse(group, "Not saved: it names something that is no longer there. Choose another, or undo.");
  return error;
}

const findCode = (error: unknown): unknown =>
  typeof error === "object" && error !== null && "code" in error ? error.code : null;

/** Names said before the rest are only counted. */
const MOST_NAMED = 3;

/** What to do about it, where that is not to give the users another. */
const mendOf: Partial<Record<RecordKind, string>> = {
  day: "What was run stays in the book of days.",
  piece: "Take those off first.",
};

function describeUse(kind: RecordKind, found: Found<AnyRecord> | null, users: readonly string[]): string {
  const name = found && "name" in found.record ? found.record.name : "it";
  const more = users.length > MOST_NAMED ? ` and ${users.length - MOST_NAMED} more` : "";
  return `Not removed: ${name} is used by ${users.slice(0, MOST_NAMED).join(", ")}${more}. ${mendOf[kind] ?? "Give them another first."}`;
}
