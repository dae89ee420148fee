import type { DayBook, DayPlan, MaterialUse } from "@/core/plan";
import { findShownUnit, formatMass, formatNumber, formatScale } from "@/core/units";
import { formatDayDate } from "../shell/formatDayDate";

interface Props {
  readonly book: DayBook;
  readonly plan: DayPlan;
}

/** The day's batches on paper, in large type: what to weigh, in order, with the running total. */
export function WeighSheet({ book, plan }: Props) {
  const batches = [...plan.doughs, ...plan.fillings].filter(({ batch }) => batch !== null);
  return (
    <article className="mx-auto max-w-[190mm] bg-white p-4 text-lg text-black print:max-w-none print:p-0">
      <header className="flex items-baseline gap-4 border-b-2 border-black pb-1">
        <h1 className="text-2xl">Weigh out · {book.day.name}</h1>
        <p>{formatDayDate(book.day.date)}</p>
      </header>
      {batches.length === 0 && <p className="my-4">There is nothing to weigh for this day.</p>}
      {batches.map(({ formula, batch, steps, fromLarderG }) => (
        <section key={formula.id} className="mt-4 break-inside-avoid">
          <h2 className="flex justify-between border-b-2 border-black text-xl">
            {formula.name} <span className="figure">{formatScale(batch?.weighedG ?? 0)}</span>
          </h2>
          {fromLarderG > 0 && <p>and {formatMass(fromLarderG)} from the larder, first</p>}
          <table className="w-full">
            <thead>
              <tr className="text-left text-sm">
                <th scope="col">Add</th>
                <th scope="col" className="text-right">
                  By measure
                </th>
                <th scope="col" className="text-right">
                  Weigh
                </th>
                <th scope="col" className="text-right">
                  Scale shows
                </th>
              </tr>
            </thead>
            <tbody>
              {steps.map(({ line, measure, scaleShowsG }) => (
                <tr key={line.lineId} className="border-b border-dotted border-black">
                  <td>☐ {line.name}</td>
                  <td className="text-right">{measure}</td>
                  <td className="figure pl-2 text-right whitespace-normal">
                    {line.range ? (
                      <>
                        <span className="whitespace-nowrap">{formatMass(line.range.leastG)}</span> to{" "}
                        <span className="whitespace-nowrap">{formatMass(line.range.mostG)}</span>
                      </>
                    ) : (
                      <span className="whitespace-nowrap">{formatScale(line.massG)}</span>
                    )}
                  </td>
                  <td className="figure pl-2 text-right">
                    {line.range ? `took ____ ${findShownUnit("g").sign}` : formatScale(scaleShowsG)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      ))}
      <MaterialList materials={plan.materials} />
    </article>
  );
}

/** What goes in and on beside the batches, each with a box to tick. */
export function MaterialList({ materials }: { readonly materials: DayPlan["materials"] }) {
  const shown = materials.filter(({ massG, count }) => massG >= LEAST_SHOWN_G || count !== null);
  if (shown.length === 0) return null;
  return (
    <section className="mt-1 break-inside-avoid">
      <h2 className="border-b-2 border-black text-[1.15em]">Set out besides</h2>
      <ul className="sheet-columns">
        {shown.map(({ name, use, massG, count }) => (
          <li key={`${use}-${name}`} className="flex justify-between gap-2">
            <span>
              ☐ {name}, {useNames[use]}
            </span>
            <span className="figure whitespace-nowrap">
              {count !== null && formatNumber(count)}
              {count !== null && massG > 0 && " · "}
              {massG > 0 && formatMass(massG)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Less than this is a drop on the brush, g. */
const LEAST_SHOWN_G = 0.5;
const useNames: Record<MaterialUse, string> = {
  inside: "inside",
  onTop: "on top",
  glue: "as glue",
  wash: "as wash",
  glaze: "as glaze",
  fat: "taken up in the fryer",
  stick: "to hold by",
};
