/** Tezgah was not reached, or cannot answer now: worth sending again by itself. */
export class NotReached extends Error {}

/** Tezgah answered, and this page or that answer is at fault: the same message would fail again. */
export class NotHandled extends Error {}

/** Too slow, too many, starting, busy, no room on the disk: the same message may be taken later. */
const LATER: ReadonlySet<number> = new Set([408, 425, 429, 502, 503, 504, 507]);

const NO_ANSWER = "Tezgah does not answer.";

/**
 * Asks Tezgah and tells a network that failed from an answer that cannot be used.
 * @param withinMs - After this it counts as not reached.
 * @returns The answer, if it is good or one of `known`.
 * @throws {NotReached} No answer, or one that says to come later.
 * @throws {NotHandled} Any other answer, in the server's words.
 */
export async function callServer(
  path: string,
  {
    withinMs,
    known = [],
    ...init
  }: RequestInit & { readonly withinMs: number; readonly known?: readonly number[] },
): Promise<Response> {
  const response = await fetch(path, { ...init, signal: AbortSignal.timeout(withinMs) }).catch(() => {
    throw new NotReached(NO_ANSWER);
  });
  if (response.ok || known.includes(response.status)) return response;
  const body = (await response.json().catch(() => null)) as { faults?: { message: string }[] } | null;
  const message = body?.faults?.[0]?.message ?? `Tezgah answered ${response.status}.`;
  throw LATER.has(response.status) ? new NotReached(message) : new NotHandled(message);
}

/** An answer's JSON. @throws {NotReached} It broke off. @throws {NotHandled} It is no JSON. */
export async function readAnswer<T>(response: Response, read: (text: string) => T): Promise<T> {
  const text = await response.text().catch(() => {
    throw new NotReached(NO_ANSWER);
  });
  try {
    return read(text);
  } catch {
    throw new NotHandled("This page cannot read Tezgah's answer. Reload it: a newer version may be there.");
  }
}

/** What went wrong, in words. */
export const describeError = (error: unknown): string =>
  error instanceof Error ? error.message : String(error);
