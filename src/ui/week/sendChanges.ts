import type { Change, GroupAnswer } from "@/schemas/change";

/**
 * Sends changes of a page that has no day open, as one group.
 * @returns Null if they are written; else what stands in the way and what to do.
 */
export async function sendChanges(groupId: string, changes: readonly Change[]): Promise<string | null> {
  const response = await fetch("/api/bench/changes", {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ groups: [{ id: groupId, changes }] }),
  }).catch(() => null);
  if (!response) return "Tezgah does not answer. Nothing was changed; try again.";
  const told = (await response.json().catch(() => null)) as {
    readonly answers?: readonly GroupAnswer[];
    readonly faults?: readonly { readonly message: string }[];
  } | null;
  const answer = told?.answers?.[0];
  if (answer?.kind === "written") return null;
  if (answer?.kind === "conflicted") return "Another hand was there meanwhile. Look at it as it is now.";
  return answer?.message ?? told?.faults?.[0]?.message ?? `Tezgah answered ${response.status}. Try again.`;
}
