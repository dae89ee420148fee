/** A day there is, for going to it. */
export interface DayName {
  readonly date: string;
  readonly name: string;
}

/** Asks the server about the days of the book. @returns null if it does not answer. */
export async function askDays<Answer>(question: string): Promise<Answer | null> {
  const answer = await fetch(`/api/bench/days?${question}`, { cache: "no-store" }).catch(() => null);
  return answer?.ok ? ((await answer.json()) as Answer) : null;
}
