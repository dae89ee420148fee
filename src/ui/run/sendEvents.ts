import type { RunEvent } from "@/core/run";
import { callServer, describeError, readAnswer } from "../bench/callServer";

/** What became of events that a page sent. */
export interface SentEvents {
  /** Why they were not kept, whole or in part; null if they were. */
  readonly failure: string | null;
  /** Why the log does not follow yet, though they are kept; null if it does. */
  readonly logBehind: string | null;
}

interface Answer {
  readonly refused: readonly { readonly faults: readonly { readonly message: string }[] }[];
  readonly logBehind: string | null;
}

/** The server writes a day's log within this, ms. */
const ANSWER_WITHIN_MS = 15_000;

/** Sends what happened on a date to its run. */
export async function sendEvents(date: string, events: readonly RunEvent[]): Promise<SentEvents> {
  try {
    const response = await callServer(`/api/v1/runs/${date}/events`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ events }),
      withinMs: ANSWER_WITHIN_MS,
    });
    const { refused, logBehind } = await readAnswer(response, (text) => JSON.parse(text) as Answer);
    const [first] = refused;
    return { failure: first ? (first.faults[0]?.message ?? "the server refused it.") : null, logBehind };
  } catch (error) {
    return { failure: `${describeError(error)} Try again.`, logBehind: null };
  }
}

/** Said where the log is behind. */
export const sayLogBehind = (why: string): string =>
  `What happened is saved, but not in the log yet: ${why} Tezgah tries again by itself.`;
