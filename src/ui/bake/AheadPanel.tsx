"use client";

import { useInView } from "react-intersection-observer";
import { addDays, type AheadAnswers, type AheadIf, type DayNow, type MakeAhead } from "@/core/plan";
import { formatDuration, formatMass } from "@/core/units";
import { toDayBook } from "@/schemas/toDayBook";
import { createAheadClient, type AheadRequest } from "@/workers/createPlanClient";
import { usePicked } from "../bench/BenchProvider";
import { useLatest } from "../bench/useLatest";
import { WorkerFault } from "../controls/WorkerFault";
import { DAY_QUIET_MS, NEAR } from "./quiet";
import { AnswerCard } from "./AnswerCard";
import { formatShortDate } from "../shell/formatDayDate";

/** Two days together: what this day is given by the one before, what it gives the next, and what could be made ahead. */
export function AheadPanel() {
  const { book, records, ground, isOver, edit } = usePicked("book", "records", "ground", "isOver", "edit");
  // Once the day has come, the one before it is over.
  const request =
    book.nowMin === null && !isOver
      ? { book, eve: toDayBook(records, addDays(book.day.date, -1), null, ground) }
      : null;
  const { ref, inView } = useInView(NEAR);
  const { answer, isBusy, fault, askAgain } = useLatest<AheadRequest, AheadAnswers>(
    request,
    createAheadClient,
    DAY_QUIET_MS,
    inView,
  );
  const answers = request ? answer?.output : undefined;
  const take = ({ ahead }: AheadIf) => {
    if (!answers) return;
    edit([
      ...(answers.isNew ? [{ kind: "day" as const, id: answers.eve.id, record: answers.eve }] : []),
      ...ahead.map((record) => ({ kind: "ahead" as const, id: record.id, record })),
    ]);
  };
  if (!request && book.ahead.length === 0) return null;
  return (
    <section ref={ref} aria-labelledby="day-before" aria-busy={isBusy} className="flex flex-col gap-2">
      <h2 id="day-before" className="text-lg">
        Made the day before
      </h2>
      <WorkerFault fault={fault} onRetry={askAgain} />
      <AheadList />
      {answers ? (
        <ul aria-label="Could be made the day before" className="grid gap-2 sm:grid-cols-2">
          {answers.ifs.map((each) => (
            <li key={each.id}>
              <AnswerCard
                title={each.title}
                then={each.then}
                now={answers.now}
                note={`${formatShortDate(answers.eve.date)}: ${describeCost(each.eveThen, answers.eveNow)}`}
                onTake={() => take(each)}
              />
            </li>
          ))}
        </ul>
      ) : (
        request && <p className="quiet">reckoning…</p>
      )}
    </section>
  );
}

/** What is made ahead, for this day and on it, each to be taken off again. */
function AheadList() {
  const { book, edit } = usePicked("book", "edit");
  if (book.ahead.length === 0) return null;
  const nameOf = ({ kind, refId }: MakeAhead) =>
    (kind === "dough" || kind === "filling" ? book.formulas : book.pieces).find(({ id }) => id === refId)
      ?.name ?? refId;
  const amountOf = ({ massG, count, kind }: MakeAhead) =>
    count > 0 ? `${count} ${kind === "shells" ? "shells of" : ""}` : formatMass(massG);
  return (
    <ul className="flex flex-col">
      {book.ahead.map((each) => (
        <li key={each.id} className="flex items-center gap-2 border-b border-base-300">
          <span className="min-w-0">
            <strong className="figure">{amountOf(each)}</strong> {nameOf(each)},{" "}
            {each.forDate === book.day.date
              ? `made ${formatShortDate(each.date)}`
              : `made today for ${formatShortDate(each.forDate)}`}
          </span>
          <button
            type="button"
            className="btn btn-ghost touch ml-auto"
            aria-label={`Do not make ${nameOf(each)} ahead`}
            onClick={() => edit([{ kind: "ahead", id: each.id, record: null }])}
          >
            remove
          </button>
        </li>
      ))}
    </ul>
  );
}

/** What the day before takes on. */
function describeCost(then: DayNow, now: DayNow): string {
  const more = then.dayMin - now.dayMin;
  const day =
    now.dayMin === 0
      ? `${formatDuration(then.dayMin)} of work`
      : `${formatDuration(Math.max(more, 0))} more of a day`;
  return then.lateMin > now.lateMin ? `${day}, and ${formatDuration(then.lateMin)} late` : day;
}
