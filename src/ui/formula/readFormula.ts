import type { Formula, KitchenRule, ParsedFormula } from "@/core/formula";
import { fail, type Result } from "@/core/result";

/** What a pasted or dropped text holds: a formula whole, or lines as far as they could be read. */
export type ReadAnswer =
  | { readonly kind: "whole"; readonly formula: Formula }
  | { readonly kind: "text"; readonly parsed: ParsedFormula };

const noAnswer = fail(
  "Tezgah does not answer: the text cannot be read now. It stays here; type on to try again.",
);

/** Has the server read a text by these cups and eggs. Never rejects. */
export async function readFormula(
  text: string,
  measures: Pick<KitchenRule, "system" | "eggSize">,
): Promise<Result<ReadAnswer, string>> {
  const response = await fetch("/api/formula/read", {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ text, ...measures }),
  }).catch(() => null);
  return response?.ok ? ((await response.json()) as Result<ReadAnswer, string>) : noAnswer;
}
