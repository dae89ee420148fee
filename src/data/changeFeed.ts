import type Database from "better-sqlite3";
import type { Standing } from "@/schemas/change";
import type { AnyRecord, RecordKey, RecordKind } from "@/schemas/recordKinds";
import type { Repositories } from "./repositories";
import type { Repository } from "./versionedTable";

/** How far the file has come: what is written raises one of both, whichever process writes it. */
export interface FileMark {
  /** Of records, what plans know, and sheets of runs that are frozen; never falls. */
  readonly revision: number;
  /** Of what happened on days that run. */
  readonly happened: number;
}

/** What was written after a revision. */
export interface News {
  readonly revision: number;
  /** The records that were touched, as they stand now; null where a screen has to read its day whole. */
  readonly standing: readonly Standing[] | null;
}

/** Groups told one by one; a screen that missed more reads its day whole. */
const MOST_GROUPS = 200;
/** Records told one by one. */
const MOST_RECORDS = 200;

/** What was written since, for screens that are open: by the file itself, so that several servers may write it. */
export function createChangeFeed(db: Database.Database, repositories: Repositories) {
  const selectMarks = db.prepare<[], { name: string; seq: number }>(
    "SELECT name, seq FROM sqlite_sequence WHERE name IN ('applied_group', 'run_event')",
  );
  const selectTouched = db.prepare<[number, number], { touched: string | null }>(
    "SELECT touched FROM applied_group WHERE revision > ? ORDER BY revision LIMIT ?",
  );
  const repositoryOf = (kind: RecordKind) => repositories[kind] as unknown as Repository<AnyRecord>;

  const readMark = (): FileMark => {
    const seqOf = new Map(selectMarks.all().map(({ name, seq }) => [name, seq]));
    return {
      revision: seqOf.get("applied_group") ?? 0,
      happened: seqOf.get("run_event") ?? 0,
    };
  };

  const listSince = db.transaction((revision: number): News => {
    const now = readMark().revision;
    const groups = selectTouched.all(revision, MOST_GROUPS);
    // Groups so old that they are forgotten leave a gap.
    if (groups.length !== now - revision) return { revision: now, standing: null };
    const keys = new Map<string, RecordKey>();
    for (const { touched } of groups) {
      if (touched === null) return { revision: now, standing: null };
      for (const [kind, id] of JSON.parse(touched) as [RecordKind, string][])
        keys.set(`${kind} ${id}`, { kind, id });
    }
    if (keys.size > MOST_RECORDS) return { revision: now, standing: null };
    const standing: Standing[] = [];
    for (const { kind, id } of keys.values()) {
      const found = repositoryOf(kind).find(id);
      // A day that names what is archived keeps it: only the day's own reading can tell.
      if (found?.isArchived) return { revision: now, standing: null };
      standing.push({ kind, id, record: found?.record ?? null });
    }
    return { revision: now, standing };
  });

  return {
    readMark,
    /** @param revision - What the screen knows. O(groups since). */
    listSince: (revision: number): News => listSince.deferred(revision),
  };
}

export type ChangeFeed = ReturnType<typeof createChangeFeed>;
