"use client";

import type { DayAnswers, DayBook, DayChange, DayIf } from "@/core/plan";
import { useInView } from "react-intersection-observer";
import { createAnswersClient } from "@/workers/createPlanClient";
import { usePicked } from "../bench/BenchProvider";
import { toEdits } from "../bench/toEdits";
import { useLatest } from "../bench/useLatest";
import { WorkerFault } from "../controls/WorkerFault";
import { DAY_QUIET_MS, NEAR } from "./quiet";
import { AnswerCard } from "./AnswerCard";

/** What if? Each answer is a whole day planned; for a day that is late, why, and what was found to mend it. */
export function DayAnswersPanel() {
  const { book, edit } = usePicked("book", "edit");
  const { ref, inView } = useInView(NEAR);
  const { answer, isBusy, fault, askAgain } = useLatest<DayBook, DayAnswers>(
    book,
    createAnswersClient,
    DAY_QUIET_MS,
    inView,
  );
  const answers = answer?.output;
  const take = (change: DayChange) => edit(toEdits(change));
  return (
    <section ref={ref} aria-labelledby="what-if" aria-busy={isBusy} className="flex flex-col gap-2">
      <WorkerFault fault={fault} onRetry={askAgain} />
      {answers && answers.reasons.length > 0 && (
        <div className="rounded-lg border-2 border-error bg-base-100 p-3">
          <h2 className="text-lg">Why it is late</h2>
          <ul className="list-disc pl-5">
            {answers.reasons.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
          </ul>
          {answers.mends.length > 0 ? (
            <>
              <p className="mt-2">Each of these mends it, tried whole:</p>
              <Answers ifs={answers.mends} now={answers.now} label="Mends" onTake={take} />
            </>
          ) : (
            <p className="mt-2">No single change mends it. Take an order off, or try two of those below.</p>
          )}
        </div>
      )}
      <h2 id="what-if" className="text-lg">
        What if …
      </h2>
      {answers ? (
        <Answers ifs={answers.ifs} now={answers.now} label="What if" onTake={take} />
      ) : (
        <p className="quiet">reckoning…</p>
      )}
    </section>
  );
}

interface AnswersProps {
  readonly ifs: readonly DayIf[];
  readonly now: DayAnswers["now"];
  readonly label: string;
  readonly onTake: (change: DayChange) => void;
}

function Answers({ ifs, now, label, onTake }: AnswersProps) {
  return (
    <ul aria-label={label} className="grid gap-2 sm:grid-cols-2">
      {ifs.map((each) => (
        <li key={each.id}>
          <AnswerCard title={each.title} then={each} now={now} onTake={() => onTake(each.change)} />
        </li>
      ))}
    </ul>
  );
}
