import { startSteadyClock } from "@/time/steadyClock";
import { NO_PAST } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { applyToRecord, findConflict, type ChangeGroup, type GroupAnswer } from "@/schemas/change";
import { findRecord, toLists, withRecord, type RecordTable } from "@/schemas/recordTable";
import type { LiveNews } from "@/schemas/live";
import type { RecordKey } from "@/schemas/recordKinds";
import type { DaySnapshot, SaveReply } from "../benchState";

/** When the tests take place. */
export const NOW_ISO = "2026-11-24T10:00:00.000Z";

/**
 * A server in a few lines, by the words of its contract and knowing nothing of the real one: groups whole or not at
 * all, each once, fields merged, the same field asked about. It can be made to refuse and to lose its answers.
 */
export function createTestServer(date = "2026-11-28") {
  let table: RecordTable = listDemoRecords();
  let revision = 1;
  const applied = new Set<string>();
  /** What each revision after the first touched. */
  const touched: RecordKey[][] = [];
  let refuse: (group: ChangeGroup) => string | null = () => null;
  const received: (readonly ChangeGroup[])[] = [];

  function apply(group: ChangeGroup): GroupAnswer {
    const standing = () =>
      group.changes.map(({ kind, id }) => ({ kind, id, record: findRecord(table, kind, id) }));
    if (applied.has(group.id)) return { id: group.id, kind: "written", standing: standing() };
    const message = refuse(group);
    if (message) return { id: group.id, kind: "refused", message };
    let next = table;
    const conflicts = group.changes.flatMap((change) => {
      const current = findRecord(next, change.kind, change.id);
      const conflict = findConflict(change, current);
      if (conflict) return [conflict];
      next = withRecord(next, change, applyToRecord(current, change));
      return [];
    });
    if (conflicts.length > 0) return { id: group.id, kind: "conflicted", conflicts };
    table = next;
    revision++;
    touched.push(group.changes.map(({ kind, id }) => ({ kind, id })));
    applied.add(group.id);
    return { id: group.id, kind: "written", standing: standing() };
  }
  return {
    received,
    read: () => table,
    snapshot: (): DaySnapshot => ({
      date,
      epoch: "file",
      revision,
      lists: toLists(table),
      past: NO_PAST,
      formulasThen: [],
      closed: null,
      hidesCosts: false,
      hasRun: false,
      computersZone: "UTC",
      clock: startSteadyClock(new Date(NOW_ISO), "UTC"),
    }),
    take(groups: readonly ChangeGroup[]): SaveReply {
      received.push(groups);
      const answers = (JSON.parse(JSON.stringify(groups)) as ChangeGroup[]).map(apply);
      return JSON.parse(JSON.stringify({ epoch: "file", revision, answers })) as SaveReply;
    },
    /** What a line that is open tells of what was written after a revision. */
    tell(after: number): LiveNews {
      const standing = touched
        .slice(after - 1)
        .flat()
        .map(({ kind, id }) => ({ kind, id, record: findRecord(table, kind, id) }));
      return JSON.parse(JSON.stringify({ epoch: "file", after, revision, standing })) as LiveNews;
    },
    /** From now on groups are refused for which this gives a reason. */
    refuseIf(reason: typeof refuse): void {
      refuse = reason;
    },
  };
}

export type TestServer = ReturnType<typeof createTestServer>;
