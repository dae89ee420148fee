import type { Result } from "../../result";
import { sayFailure, type EngineFailure } from "..";

/** A refusal as it is compared and as it is read; null where nothing was refused. */
export const refused = (
  answer: Result<unknown, EngineFailure>,
): { readonly code: EngineFailure["code"]; readonly words: string } | null =>
  answer.ok ? null : { code: answer.failure.code, words: sayFailure(answer.failure) };
