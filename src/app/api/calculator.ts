import type { Result } from "@/core/result";
import type { JobInput, JobName, JobOutput } from "@/jobs/jobs";
import { runJob, type JobFault } from "@/jobs/pool";
import type { Fault } from "@/schemas/validate";
import { inMetric } from "../requestMeasures";
import { readJson, refuse } from "./readJson";

interface CalculatorShape<D> {
  readonly validate: (value: unknown) => Result<D, Fault[]>;
  readonly answer: (document: D) => Response | Promise<Response>;
  /** Largest document it takes, bytes; what its calculators need is far below. */
  readonly maxBytes?: number;
}

/** Most documents are a piece, a sheet, a formula. */
const SMALL_DOCUMENT_BYTES = 100_000;

/**
 * A route that takes one JSON document, checks it and answers from it alone; nothing is stored. It speaks in mm and g
 * whatever the house measures in: so are its figures.
 */
export const calculator =
  <D>({ validate, answer, maxBytes = SMALL_DOCUMENT_BYTES }: CalculatorShape<D>) =>
  (request: Request): Promise<Response> =>
    inMetric(async () => {
      const body = await readJson(request, maxBytes);
      if (!body.ok) return body.failure;
      const document = validate(body.value);
      return document.ok ? answer(document.value) : refuse(document.failure);
    });

/** A hard end past what a search was given, ms: it may be in the middle of a step. */
const GRACE_MS = 5000;
/** For what has no budget of its own, ms, unless TEZGAH_END_MS says another: a small machine may want less. */
const USUAL_END_MS = Number(process.env.TEZGAH_END_MS) || 20_000;

/**
 * Answers with what a job gives, worked out in a thread of its own; 503 with Retry-After if there is no room, or if it
 * had to be ended.
 * @param budgetMs - What the job was asked to keep to; null where it has none.
 */
export async function answerByJob<N extends JobName>(
  name: N,
  input: JobInput<N>,
  budgetMs: number | null,
  answer: (output: Awaited<JobOutput<N>>) => Response,
): Promise<Response> {
  const done = await runJob(name, input, budgetMs === null ? USUAL_END_MS : budgetMs + GRACE_MS);
  return done.ok ? answer(done.value) : refuseJob(done.failure);
}

export function refuseJob(fault: JobFault): Response {
  const message =
    fault.kind === "busy"
      ? `Tezgah is working out others first. Ask again in ${fault.retryAfterS} s.`
      : `It was not worked out within ${Math.round(fault.ranMs / 1000)} s and was ended. Ask for less: fewer or larger cuts, a smaller sheet.`;
  const retryAfterS = fault.kind === "busy" ? fault.retryAfterS : Math.round(fault.ranMs / 1000);
  return Response.json(
    { faults: [{ path: "", message }] },
    { status: 503, headers: { "retry-after": String(retryAfterS) } },
  );
}
