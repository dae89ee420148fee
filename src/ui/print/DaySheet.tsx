import { listPieceAllergens } from "@/core/labels";
import { sayProblem, type DayPlan, type Problem } from "@/core/plan";
import { formatClock } from "@/core/units";
import type { DayBook } from "@/schemas/model";
import { formatDayDate } from "../shell/formatDayDate";
import { BatchList } from "./BatchList";
import { ClockList } from "./ClockList";
import { PieceSheet } from "./PieceSheet";
import { PromiseList } from "./PromiseList";
import { MaterialList } from "./WeighSheet";

interface Props {
  readonly book: DayBook;
  readonly plan: DayPlan;
}

/**
 * The whole day on paper: what is promised to whom and when, the day by the clock for each person, then what to weigh,
 * and how each piece is rolled, cut, filled and baked.
 */
export function DaySheet({ book, plan }: Props) {
  const { tally } = plan;
  const allergens = listPieceAllergens(plan, book);
  const made = plan.lines.map(({ piece }) => piece.id);
  return (
    <article className="day-sheet mx-auto max-w-[210mm] bg-white p-4 text-black print:max-w-none print:p-0">
      <header className="flex items-baseline gap-4 border-b-2 border-black">
        <h1>{book.day.name}</h1>
        <p>{formatDayDate(book.day.date)}</p>
        {tally.startMin !== null && (
          <p className="figure ml-auto">
            start {formatClock(tally.startMin)} · ready{" "}
            {tally.readyMin === null ? "" : formatClock(tally.readyMin)}
          </p>
        )}
      </header>
      <PromiseList book={book} plan={plan} />
      {plan.problems.filter(isOfDay(made)).map((problem) => (
        <p key={problem.message} className="my-0.5 border-2 border-black px-1 font-bold">
          Decide: {sayProblem(problem)}
        </p>
      ))}
      {plan.lines.length === 0 && plan.tasks.length === 0 && (
        <p className="my-4">Nothing is planned for this day yet: take an order first.</p>
      )}
      {plan.tasks.length > 0 && <ClockList plan={plan} book={book} />}
      <BatchList batches={[...plan.doughs, ...plan.fillings]} />
      <MaterialList materials={plan.materials} />
      <div className="sheet-columns">
        {plan.lines.map((line, i) => (
          <PieceSheet
            key={line.piece.id}
            scale={book.kitchen.ovenScale}
            line={line}
            toldWith={plan.lines.slice(0, i).find(({ cut }) => cut.id === line.cut.id)?.piece.name ?? null}
            formulas={book.formulas}
            allergens={allergens.get(line.piece.id) ?? null}
          />
        ))}
      </div>
      <ul className="sheet-columns mt-1 border-t-2 border-black pt-0.5">
        {plan.cautions.map(({ station, text }) => (
          <li key={`${station}-${text}`} className="break-inside-avoid">
            ⚠ {text}
          </li>
        ))}
      </ul>
    </article>
  );
}

/** What is the matter with a piece of the book that nobody ordered is none of the day's. */
const isOfDay =
  (made: readonly string[]) =>
  ({ pieceId }: Problem): boolean =>
    pieceId === null || made.includes(pieceId);
