import type { Store } from "@/data/store";
import { listDemoWorld } from "@/demo";
import { toChange } from "@/schemas/change";

/** When the demo's book was written: before its first day. */
const SEEDED_AT = "2026-11-20T06:00:00.000Z";

/** Lays the demo world into a store that holds nothing yet. @throws If it holds something that stands in the way. */
export function seedWorld(store: Store): void {
  const changes = listDemoWorld().flatMap(
    ({ kind, record }) => toChange({ kind, id: record.id }, null, record) ?? [],
  );
  const [answer] = store.applyGroups([{ id: "demo-world", changes }], SEEDED_AT).answers;
  if (answer?.kind !== "written")
    throw new Error(`The demo world was not written: ${JSON.stringify(answer)}`);
}
