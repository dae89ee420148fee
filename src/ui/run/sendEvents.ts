import type { RunEvent } from "@/core/run";

/** Sends what happened on a date to its run. @returns Why it was not kept, whole or in part; null if it was. */
export async function sendEvents(date: string, events: readonly RunEvent[]): Promise<string | null> {
  const answer = await fetch(`/api/v1/runs/${date}/events`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ events }),
  }).catch(() => null);
  if (!answer?.ok) return "Tezgah does not answer. Try again.";
  const { refused } = (await answer.json()) as {
    readonly refused: readonly { readonly faults: readonly { readonly message: string }[] }[];
  };
  return refused[0] ? (refused[0].faults[0]?.message ?? "the server refused it.") : null;
}
