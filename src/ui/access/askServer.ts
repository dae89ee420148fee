/** What the server answered, or what is wrong in words. */
export type Answered<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly message: string };

/** Sends one object and reads one; what goes wrong comes back in words. */
export async function askServer<T>(path: string, body: object): Promise<Answered<T>> {
  const answer = await fetch(path, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(body),
  }).catch(() => null);
  if (!answer) return { ok: false, message: "Tezgah does not answer. Try again in a moment." };
  const told = (await answer.json().catch(() => null)) as
    | (T & { readonly faults?: readonly { readonly message: string }[] })
    | null;
  return answer.ok && told
    ? { ok: true, value: told }
    : { ok: false, message: told?.faults?.[0]?.message ?? `Tezgah answered ${answer.status}.` };
}
