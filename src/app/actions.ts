"use server";

import { fail, ok, type Result } from "@/core/result";
import { getStore } from "@/data/getStore";
import type { ChangeFault } from "@/data/store";
import type { RecordKind, StoredRecord } from "@/schemas/recordKinds";
import { validateChanges } from "@/schemas/validate";
import { readClock } from "./clock";

type SaveFault =
  | {
      readonly kind: "stale";
      readonly changed: RecordKind;
      readonly id: string;
      readonly current: StoredRecord | null;
    }
  | { readonly kind: "refused"; readonly message: string };

/** Writes all the changes or none, and gives their new versions in the same order. */
export async function saveChanges(changes: unknown): Promise<Result<readonly number[], SaveFault>> {
  const valid = validateChanges(changes);
  if (!valid.ok)
    return fail({
      kind: "refused",
      message: `Not saved. ${valid.failure[0]?.message ?? "Check what you entered."}`,
    });
  const applied = getStore().applyChanges(valid.value, readClock().toISOString());
  return applied.ok ? ok(applied.value) : fail(toSaveFault(applied.failure));
}

function toSaveFault(fault: ChangeFault): SaveFault {
  switch (fault.kind) {
    case "stale":
      return fault;
    case "inUse":
      return {
        kind: "refused",
        message: `Not removed: the ${fault.changed} is still used. Undo, then free it first.`,
      };
    case "dateTaken":
      return {
        kind: "refused",
        message: "Not saved: there is a day with this date already. Choose another date.",
      };
  }
}
