"use client";

import { useState } from "react";
import {
  computeDoughAreaMm2,
  craftHandTimes,
  RAGGED_SPREAD_MM,
  THICKNESS_SPREAD_MM,
  type Yield,
  type YieldTable,
  type YieldTableRequest,
} from "@/core/cutting";
import { forecastCount, type CountForecast, type YieldHabit } from "@/core/habits";
import { computeTotalG, hasGrain, type Dough } from "@/core/formula";
import type { Cutter } from "@/core/plan";
import {
  formatCount,
  formatLength,
  formatMass,
  formatNumber,
  formatScale,
  formatSide,
  lengthName,
  parseMass,
  parseNumber,
} from "@/core/units";
import { sayParseFailure } from "@/core/words";
import { describeLimitFault } from "@/schemas/checkValue";
import { orderLimits, pieceLimits, weighingLimits } from "@/schemas/limits";
import { createYieldClient } from "@/workers/createCutClient";
import { usePicked } from "../bench/BenchProvider";
import { useLatest } from "../bench/useLatest";
import { WorkerFault } from "../controls/WorkerFault";
import { Dial } from "../controls/Dial";
import { Picker } from "../controls/Picker";
import { StationLayout } from "../controls/StationLayout";
import { TextField } from "../controls/TextField";
import { SheetDrawing } from "../drawings/SheetDrawing";
import { SheetThumb } from "../drawings/SheetThumb";

/** Thicknesses of the table: the craft rolls between these. */
const THICKNESSES_MM = [2, 2.5, 3, 3.5, 4, 5, 6];
const FIRST_THICKNESS = 3;
/** Web and ragged edge to begin with: a knife's width, a hand-rolled edge. */
const FIRST_WEB_MM = 1;
const FIRST_RAGGED_MM = 8;

/** A batch to begin with, g. */
const FIRST_G = 1000;
/** Of a dough that the plan does not know yet. */
const NO_LOG: YieldHabit = { rollings: 0, share: 1, spread: 0 };

/** How many will this make? Counts by cutter and thickness, live, and the way back from a count. */
export function YieldPage() {
  const { book, plan } = usePicked("book", "plan");
  const doughs = book.formulas.filter((formula): formula is Dough => formula.kind === "dough");
  const [doughId, setDoughId] = useState(plan.doughs[0]?.formula.id ?? doughs[0]?.id ?? "");
  const dough = doughs.find(({ id }) => id === doughId) ?? doughs[0];
  // As on its own page: the liquid as it is aimed at.
  const totalOf = (each: Dough) => computeTotalG(each, plan.liquidAims[each.id]?.massG ?? null);
  const [massText, setMassText] = useState(() => formatMass(FIRST_G));
  const [wantedText, setWantedText] = useState("48");
  const [webMm, setWebMm] = useState(FIRST_WEB_MM);
  const [marginMm, setMarginMm] = useState(FIRST_RAGGED_MM);
  const [chosen, setChosen] = useState({ outline: 0, thickness: FIRST_THICKNESS });
  const { cutters, bench } = book;
  const mass = readMass(massText);
  const wanted = readCount(wantedText);
  const { answer, fault, askAgain } = useLatest<YieldTableRequest, YieldTable>(
    dough && cutters.length > 0 && "massG" in mass
      ? {
          dough: {
            doughG: mass.massG,
            densityGPerMl: dough.densityGPerMl,
            webMm,
            marginMm,
            sheetLimit: { widthMm: bench.sheetMaxWidthMm, heightMm: bench.sheetMaxDepthMm },
            rerollLimit: dough.rerollLimit,
            rerollLossShare: dough.rerollLossShare,
            rerollShrinkShare: dough.rerollShrinkShare,
            mayTurn: !hasGrain(dough),
            handTimes: craftHandTimes,
          },
          outlines: cutters.map(({ outline }) => outline),
          thicknessesMm: THICKNESSES_MM,
          chosen,
          wanted: "count" in wanted ? wanted.count : null,
        }
      : null,
    createYieldClient,
  );
  const [table, request] = [answer?.output, answer?.input];
  if (!dough || cutters.length === 0) {
    return (
      <p className="p-6 text-lg">
        {dough
          ? "There is no cutter in the drawer: add one in Kit."
          : "There is no dough in the book yet: write one first."}
      </p>
    );
  }
  const habit = plan.yieldHabits[dough.id] ?? NO_LOG;
  const larderG = book.larder.reduce(
    (sum, { kind, refId, massG, takenByDayId }) =>
      sum + (kind === "dough" && refId === dough.id && takenByDayId === null ? massG : 0),
    0,
  );
  return (
    <StationLayout
      label="How many"
      surface={
        <div className="flex flex-col gap-3">
          <h2 className="text-2xl">
            How many will {"massG" in mass ? formatMass(mass.massG) : "this"} make?
          </h2>
          <WorkerFault fault={fault} onRetry={askAgain} />
          {table && request && (
            <>
              <CountTable
                table={table}
                cutters={cutters}
                chosen={chosen}
                onChoose={setChosen}
                wanted={request.wanted}
                habit={habit}
              />
              <ChosenSheets table={table} request={request} cutter={cutters[chosen.outline]} habit={habit} />
            </>
          )}
        </div>
      }
      side={
        <>
          <Picker
            label="Dough"
            isLabelShown
            items={doughs.map((each) => ({
              id: each.id,
              name: each.name,
              figure: formatMass(totalOf(each)),
              mark: null,
            }))}
            selectedId={dough.id}
            onPick={setDoughId}
          />
          <TextField
            label="So much of it"
            inputClassName="figure text-2xl"
            value={massText}
            check={(text) => {
              const read = readMass(text);
              return "fault" in read ? read.fault : null;
            }}
            onCommit={setMassText}
          />
          <div className="flex flex-wrap gap-2">
            {totalOf(dough) > 0 && (
              <button
                type="button"
                className="btn touch flex-1"
                onClick={() => setMassText(formatScale(totalOf(dough)))}
              >
                as written, {formatMass(totalOf(dough))}
              </button>
            )}
            {larderG > 0 && (
              <button
                type="button"
                className="btn touch flex-1"
                onClick={() => setMassText(formatScale(larderG))}
              >
                in the larder, {formatMass(larderG)}
              </button>
            )}
          </div>
          <TextField
            label="Or: exactly so many wanted"
            inputClassName="figure text-2xl"
            value={wantedText}
            check={(text) => {
              const read = readCount(text);
              return "fault" in read ? read.fault : null;
            }}
            onCommit={setWantedText}
          />
          {table && request && request.wanted !== null && (
            <Exact table={table} cutters={cutters} request={request} />
          )}
          <Dial limit={pieceLimits.raggedMm} value={marginMm} sliderMax={30} onChange={setMarginMm} />
          <Dial limit={pieceLimits.webMm} value={webMm} sliderMax={10} onChange={setWebMm} />
        </>
      }
    />
  );
}

interface CountTableProps {
  readonly table: YieldTable;
  readonly cutters: readonly Cutter[];
  readonly chosen: { readonly outline: number; readonly thickness: number };
  readonly onChoose: (chosen: { outline: number; thickness: number }) => void;
  readonly wanted: number | null;
  readonly habit: YieldHabit;
}

function CountTable({ table, cutters, chosen, onChoose, wanted, habit }: CountTableProps) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full min-w-[560px] border-separate border-spacing-1">
        <caption className="sr-only">Cuts by cutter and thickness</caption>
        <thead>
          <tr>
            <th scope="col" className="text-left font-normal">
              rolled to
            </th>
            {THICKNESSES_MM.map((thicknessMm) => (
              <th key={thicknessMm} scope="col" className="figure">
                {formatLength(thicknessMm)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.map(({ yields }, row) => (
            <tr key={cutters[row]?.id ?? row}>
              <th scope="row" className="pr-2 text-left font-normal">
                {cutters[row]?.name}
              </th>
              {yields.map((each, column) => (
                <td key={column} className="p-0">
                  <button
                    type="button"
                    aria-pressed={chosen.outline === row && chosen.thickness === column}
                    aria-label={`${cutters[row]?.name ?? ""} at ${formatLength(THICKNESSES_MM[column] ?? 0)}: ${describeYield(each, forecastCount(each, habit))}`}
                    className="flex min-h-14 w-full cursor-pointer flex-col items-center justify-center rounded-lg border-2 border-transparent aria-pressed:border-primary"
                    style={{
                      background: `color-mix(in srgb, var(--dough-deep) ${Math.round((each.count / Math.max(1, ...yields.map(({ count }) => count))) * 70)}%, var(--color-base-100))`,
                    }}
                    onClick={() => onChoose({ outline: row, thickness: column })}
                  >
                    <span className="figure text-2xl leading-7">
                      {each.count}
                      {each.count === wanted && <span aria-hidden> ✓</span>}
                    </span>
                    <span className="text-xs">{describeRange(forecastCount(each, habit))}</span>
                  </button>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const describeYield = ({ count }: Yield, { lowCount, highCount }: CountForecast) =>
  `${formatCount(count, "cut")}, likely between ${lowCount} and ${highCount}`;

const describeRange = ({ lowCount, highCount }: CountForecast) => `${lowCount}–${highCount}`;

function ChosenSheets({
  table: { plan, rows },
  request,
  cutter,
  habit,
}: {
  readonly table: YieldTable;
  readonly request: YieldTableRequest;
  readonly cutter: Cutter | undefined;
  readonly habit: YieldHabit;
}) {
  const [shown, setShown] = useState(0);
  const sheet = plan?.sheets[shown] ?? plan?.sheets[0];
  const outline = request.outlines[request.chosen.outline];
  const chosenYield = rows[request.chosen.outline]?.yields[request.chosen.thickness];
  if (!plan || !sheet || !outline || !chosenYield) {
    return (
      <p className="quiet">Not one: this is too little dough, or the cutter is larger than the sheet.</p>
    );
  }
  const forecast = forecastCount(chosenYield, habit);
  return (
    <div className="grid gap-4 md:grid-cols-[minmax(0,1fr)_230px]">
      <div className="h-64">
        <SheetDrawing
          sheet={sheet.sheet}
          parts={sheet.parts.map(({ placements }) => ({ outline, placements, tone: "seen" }))}
          raggedMm={request.dough.marginMm}
          rerolled={sheet.pass > 0}
          title={`Sheet ${plan.sheets.indexOf(sheet) + 1} of ${plan.sheets.length}, ${formatSide(sheet.sheet.widthMm, 0)} by ${formatSide(sheet.sheet.heightMm, 0)} ${lengthName()}, ${sheet.count} cuts`}
          limit={sheet.sheet}
          onResize={null}
        />
      </div>
      <div className="flex flex-col gap-1">
        <p>
          <span className="figure text-5xl">{chosenYield.count}</span> {cutter?.name}
        </p>
        <p className="quiet text-sm">
          {forecast.lowCount} to {forecast.highCount}, likely {forecast.likelyCount}: a hand rolls{" "}
          {formatLength(THICKNESS_SPREAD_MM)} thicker or thinner, and the edge is ragged{" "}
          {formatLength(RAGGED_SPREAD_MM)} more or less
          {habit.rollings > 0 &&
            `; your log of ${formatCount(habit.rollings, "rolling")} gave ${formatNumber(habit.share * 100)} % of what was planned`}
        </p>
        <p className="text-sm">
          {describeRolling(request, plan.sheets.filter(({ pass }) => pass === 0).length)}
        </p>
        <p className="text-sm">
          {chosenYield.firstCount} from the first rolling, {chosenYield.count - chosenYield.firstCount} from
          re-rolls; {formatMass(plan.trimLeftG)} left, {formatMass(plan.lossG)} lost
        </p>
        <div className="flex flex-wrap items-end gap-1">
          {plan.sheets.map((each, i) => (
            <SheetThumb
              key={i}
              sheet={each}
              scale={56 / request.dough.sheetLimit.widthMm}
              selected={each === sheet}
              label={`Sheet ${i + 1}, ${each.count} cuts`}
              onSelect={() => setShown(i)}
            />
          ))}
        </div>
      </div>
    </div>
  );
}

/** Whether the bench takes the dough in one go, and in how many sheets otherwise. */
function describeRolling({ dough, thicknessesMm, chosen }: YieldTableRequest, sheets: number): string {
  const thicknessMm = thicknessesMm[chosen.thickness] ?? 1;
  const needsM2 = computeDoughAreaMm2(dough.doughG, dough.densityGPerMl, thicknessMm) / 1e6;
  const { widthMm, heightMm } = dough.sheetLimit;
  const benchM2 = (widthMm * heightMm) / 1e6;
  const sheet = `${formatNumber(needsM2, 2)} m² at ${formatLength(thicknessMm)}`;
  return needsM2 > benchM2
    ? `${sheet}: more than the ${formatNumber(benchM2, 2)} m² you roll at once, so ${formatCount(sheets, "sheet")} in the first rolling.`
    : `${sheet}: ${formatCount(sheets, "sheet")} in the first rolling.`;
}

/** Which cutters give exactly the wanted count, and what dough it takes. */
function Exact({
  table,
  cutters,
  request,
}: {
  readonly table: YieldTable;
  readonly cutters: readonly Cutter[];
  readonly request: YieldTableRequest;
}) {
  const thicknessMm = request.thicknessesMm[request.chosen.thickness] ?? 0;
  return (
    <ul className="flex flex-col gap-1.5" aria-label={`Exactly ${request.wanted}`}>
      {table.rows.map(({ exact, neededG }, i) => (
        <li key={cutters[i]?.id ?? i} className="border-t border-base-300 pt-1">
          <strong>{cutters[i]?.name}</strong>
          <span className="block">
            {exact
              ? `exactly ${request.wanted} at ${exact.toMm > exact.fromMm ? `${formatSide(exact.fromMm, 1)} to ` : ""}${formatLength(exact.toMm, 1)}`
              : `never exactly ${request.wanted} from this dough`}
          </span>
          <span className="quiet block text-sm">
            {neededG === null
              ? "cannot be cut on this bench"
              : `${request.wanted} at ${formatLength(thicknessMm)} take ${formatMass(neededG)}`}
          </span>
        </li>
      ))}
    </ul>
  );
}

function readMass(text: string): { readonly massG: number } | { readonly fault: string } {
  const amount = parseMass(text);
  if (!amount.ok) return { fault: sayParseFailure(amount.failure) };
  const fault = describeLimitFault(amount.value, weighingLimits.mixG);
  return fault ? { fault } : { massG: amount.value };
}

function readCount(text: string): { readonly count: number } | { readonly fault: string } {
  const parsed = parseNumber(text);
  if (!parsed.ok) return { fault: sayParseFailure(parsed.failure) };
  if (!Number.isInteger(parsed.value)) return { fault: "Use a whole number." };
  const fault = describeLimitFault(parsed.value, orderLimits.count);
  return fault ? { fault } : { count: parsed.value };
}
