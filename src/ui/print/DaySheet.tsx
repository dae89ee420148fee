import {
  listAllergens,
  listClockRows,
  sayClockStep,
  sayProblem,
  signNames,
  type DayBook,
  type DayPlan,
  type Piece,
  type PiecePlan,
} from "@/core/plan";
import { describeVents } from "@/core/sealing";
import { describeOutline, describeSheet } from "@/core/shape";
import {
  formatClock,
  formatCount,
  formatDuration,
  formatHeat,
  formatLength,
  formatMass,
  formatNumber,
  type OvenScale,
} from "@/core/units";
import { findChillMin, findCoolMin, findHeatWay } from "@/core/way";
import { formatDayDate } from "../shell/formatDayDate";
import { describeStages, describeWash } from "../piece/describePiece";
import { glazeNames, tinNames } from "../piece/words";
import { toDrawnParts } from "../drawings/drawnParts";
import { SheetDrawing } from "../drawings/SheetDrawing";
import { namePass } from "../drawings/SheetThumb";
import { MaterialList } from "./WeighSheet";

interface Props {
  readonly book: DayBook;
  readonly plan: DayPlan;
}

/** The whole day on paper: what to weigh, roll, cut, fill and bake, and the day by the clock. */
export function DaySheet({ book, plan }: Props) {
  const { tally } = plan;
  return (
    <article className="day-sheet mx-auto max-w-[190mm] bg-white p-4 text-black print:max-w-none print:p-0">
      <header className="flex items-baseline gap-4 border-b-2 border-black pb-1">
        <h1 className="text-2xl">{book.day.name}</h1>
        <p>{formatDayDate(book.day.date)}</p>
        {tally.startMin !== null && (
          <p className="figure ml-auto">
            start {formatClock(tally.startMin)} · ready{" "}
            {tally.readyMin === null ? "" : formatClock(tally.readyMin)}
          </p>
        )}
      </header>
      {plan.problems.map((problem) => (
        <p key={problem.message} className="my-1 border-2 border-black p-1 font-bold">
          Decide: {sayProblem(problem)}
        </p>
      ))}
      {plan.lines.length === 0 && (
        <p className="my-4">Nothing is planned for this day yet: take an order first.</p>
      )}
      <div className="mt-2 grid gap-x-6 sm:grid-cols-2 print:grid-cols-2 gap-y-2">
        {[...plan.doughs, ...plan.fillings].map(({ formula, batch, fromLarderG, divided, rest }) => (
          <section key={formula.id} className="break-inside-avoid">
            <h2 className="flex justify-between border-b border-black text-base">
              {formula.name} <span className="figure">{formatMass(batch?.weighedG ?? 0)}</span>
            </h2>
            <ul>
              {fromLarderG > 0 && <li>☐ first {formatMass(fromLarderG)} from the larder</li>}
              {batch?.lines.map(({ lineId, name, massG }) => (
                <li key={lineId} className="flex justify-between">
                  <span>☐ {name}</span>
                  <span className="figure">{formatMass(massG)}</span>
                </li>
              ))}
            </ul>
            {formula.steps.length > 0 && (
              <p className="text-[0.85em] leading-4">
                {formula.steps.map((step, i) => `${i + 1}. ${step}`).join(" ")}
              </p>
            )}
            {divided.length > 0 && (
              <p>
                Divide:{" "}
                {divided
                  .map(({ count, massG, shape }) => `${count} × ${formatMass(massG)} ${shape}`)
                  .join(", ")}
                {rest && `; rest ${formatDuration(rest.minutes)}`}
              </p>
            )}
          </section>
        ))}
      </div>
      <MaterialList materials={plan.materials} />
      {plan.lines.map((line) => (
        <PieceBlock
          key={line.piece.id}
          scale={book.kitchen.ovenScale}
          line={line}
          formulas={book.formulas}
          contains={listAllergens(line, plan.materials, plan.analyses, book.ingredients)}
        />
      ))}
      {plan.tasks.length > 0 && <Clock plan={plan} book={book} />}
    </article>
  );
}

function PieceBlock({
  line,
  formulas,
  scale,
  contains,
}: {
  readonly contains: ReturnType<typeof listAllergens>;
  readonly line: PiecePlan;
  readonly scale: OvenScale;
  readonly formulas: DayBook["formulas"];
}) {
  const nameFilling = (id: string) => formulas.find((formula) => formula.id === id)?.name ?? "";
  const {
    piece,
    cut,
    loading,
    shaped: { portion, seal, formed },
  } = line;
  const { sheets, portioning } = cut.plan;
  const [fry] = line.fries;
  const [largest] = sheets;
  const chillMin = findChillMin(piece.way);
  return (
    <section className="mt-4 break-inside-avoid border-t-2 border-black pt-1">
      <h2 className="flex justify-between text-lg">
        {piece.name}
        <span className="figure">
          {line.counts.made} = {line.counts.ordered} ordered + {line.counts.made - line.counts.ordered} spare
          {line.counts.frozenTaken + line.counts.blanksTaken > 0 &&
            `, ${line.counts.frozenTaken + line.counts.blanksTaken} from the larder`}
        </span>
      </h2>
      <div className="grid gap-4 sm:grid-cols-[1fr_62mm] print:grid-cols-[1fr_62mm]">
        <div>
          <table className="w-full">
            <caption className="text-left">
              Roll to {formatLength(cut.thicknessMm)}, cut{" "}
              {formed.blanks.map((blank) => describeOutline(blank.cut)).join(" and ")}
              {cut.pieceIds.length > 1 && "; shared with another piece of this dough"}
            </caption>
            <thead>
              <tr className="border-b border-black text-left">
                <th scope="col" className="font-normal">
                  Sheet
                </th>
                <th scope="col" className="font-normal">
                  Roll to
                </th>
                <th scope="col" className="text-right font-normal">
                  Weigh
                </th>
                <th scope="col" className="text-right font-normal">
                  Cuts
                </th>
              </tr>
            </thead>
            <tbody>
              {sheets.map((sheet, i) => (
                <tr key={i}>
                  <td>
                    {i + 1}
                    {sheet.pass > 0 && `, ${namePass(sheet)}`}
                  </td>
                  <td className="figure">{describeSheet({ ...sheet.sheet, ...sheet.rolledTo })}</td>
                  <td className="figure text-right">{formatMass(sheet.doughG)}</td>
                  <td className="figure text-right">{sheet.count}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-1">
            {portioning?.portions.map(({ demandId, count, eachG }) => (
              <span key={demandId}>
                {count} of {formatMass(eachG)},{" "}
              </span>
            ))}
            {line.fills
              .filter(({ totalG }) => totalG > 0)
              .map(({ part, count, pans }) => (
                <span key={`${part.role}-${part.fillingId}`}>
                  {nameFilling(part.fillingId)} <strong>{formatMass(part.portion.massG)}</strong> (
                  {part.portion.spoons}){part.ofPieces < 1 && ` in ${count}`}
                  {pans !== null &&
                    `, ${formatMass(pans.eachG)} in each of ${formatCount(pans.count, "pan")}`}
                  ;{" "}
                </span>
              ))}
            {portion.massG > 0
              ? `weigh every tenth, ${Math.round(portion.lowG)}–${Math.round(portion.highG)} g`
              : "nothing goes in"}
            {seal &&
              `, margin ${formatLength(piece.marginMm)}; ${seal.crimp.name.toLowerCase()}, ${seal.marks} ${seal.crimp.markName} on ${formatNumber(seal.seamMm)} mm`}
            .
          </p>
          <p>
            {seal && `Glue: ${seal.glue.name.toLowerCase()}. `}
            {describeVents(piece.vents)}; {describeWash(piece)}. Tin {tinNames[piece.tin]}.
            {chillMin > 0 && ` Chill ${formatDuration(chillMin)}.`}{" "}
            {findHeatWay(piece.way) === "oil" ? "Fry" : "Bake"} {describeStages(piece, scale)},{" "}
            {fry
              ? `${fry.perBasket} in a basket`
              : `${formatCount(loading.loads.length, "load")} of up to ${loading.loads[0]?.pieces ?? 0}, ${loading.perTray} to a tray`}
            ; done when {signNames[piece.doneness.sign]}. Cool {formatDuration(findCoolMin(piece.way))}.
            {piece.glaze.kind !== "none" && ` Glaze: ${glazeNames[piece.glaze.kind]}.`}
          </p>
          <p>
            Contains: <strong>{contains.allergens.join(", ") || "none of those that must be named"}</strong>
            {contains.unknown.length > 0 && `; not known of: ${contains.unknown.join(", ")}`}.
          </p>
          <KeepNote piece={piece} scale={scale} />
        </div>
        {largest && (
          <div className="h-[48mm]">
            <SheetDrawing
              sheet={largest.sheet}
              parts={toDrawnParts(largest, cut.roles)}
              raggedMm={largest.marginMm}
              title={`Sheet 1, ${largest.count} cuts`}
              rerolled={false}
              limit={largest.sheet}
              onResize={null}
            />
          </div>
        )}
      </div>
    </section>
  );
}

/** How it is kept and warmed again, where its way says so. */
function KeepNote({ piece: { way }, scale }: { readonly piece: Piece; readonly scale: OvenScale }) {
  const keep = way.find(({ kind }) => kind === "keep");
  const warm = way.find(({ kind }) => kind === "warmUp");
  if (!keep && !warm) return null;
  return (
    <p>
      {keep && `Keeps cold ${formatCount(Math.round(keep.minutes / MIN_PER_DAY), "day")}. `}
      {warm &&
        `Crisp again ${formatDuration(warm.minutes)}${warm.heatC === null ? "" : ` at ${formatHeat(warm.heatC, scale)}`}.`}
    </p>
  );
}

const MIN_PER_DAY = 24 * 60;

function Clock({ plan, book }: Props) {
  const rows = listClockRows(plan, book);
  const people = [...new Set(rows.map(({ person }) => person))].sort();
  return (
    <>
      {people.map((person) => (
        <section key={person} className="mt-4 border-t-2 border-black pt-1">
          <h2 className="text-lg">
            By the clock{people.length > 1 && (person === 0 ? ", the baker" : ", the helper")}
          </h2>
          <table className="w-full">
            <thead className="sr-only">
              <tr>
                <th scope="col">From</th>
                <th scope="col">To</th>
                <th scope="col">What</th>
              </tr>
            </thead>
            <tbody>
              {rows
                .filter((row) => row.person === person)
                .map(({ id, startMin, endMin, label, steps }) => (
                  <tr key={id} className="break-inside-avoid border-b border-dotted border-black">
                    <td className="figure w-16 py-px">{formatClock(startMin)}</td>
                    <td className="figure w-16">{endMin === null ? "" : formatClock(endMin)}</td>
                    <td>
                      ☐ {label}
                      {steps.length > 0 && (
                        <p className="pl-5 text-[0.85em] leading-4">{steps.map(sayClockStep).join(" · ")}</p>
                      )}
                    </td>
                  </tr>
                ))}
            </tbody>
          </table>
        </section>
      ))}
      <ul className="mt-2">
        {plan.cautions.map(({ station, text }) => (
          <li key={`${station}-${text}`}>⚠ {text}</li>
        ))}
      </ul>
    </>
  );
}
