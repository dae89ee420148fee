"use client";

import { Check } from "lucide-react";
import { useState } from "react";
import { findLiquidLine, type WeighStep } from "@/core/formula";
import type { DayBatch, LiquidAim } from "@/core/plan";
import {
  findShownUnit,
  formatCount,
  formatMass,
  formatScale,
  parseMass,
  readHouseMeasures,
} from "@/core/units";
import { sayParseFailure } from "@/core/words";
import { describeLimitFault } from "@/schemas/checkValue";
import { weighingLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { Link } from "../controls/Link";
import { StationLayout } from "../controls/StationLayout";
import { TextField } from "../controls/TextField";
import { schoolNames } from "../formula/words";
import { ByTheRun } from "../run/ByTheRun";
import { useWeighing } from "./useWeighing";

/** One batch weighed with floury hands: a line a knuckle, a running total, liquid by degrees. */
export function WeighPage({ formulaId }: { readonly formulaId: string }) {
  const plan = useBench((state) => state.plan);
  const date = useBench((state) => state.date);
  const day = [...plan.doughs, ...plan.fillings].find(({ formula }) => formula.id === formulaId);
  if (!day?.batch) {
    return (
      <p className="p-6 text-lg">
        {day
          ? "The larder holds enough of this: nothing to weigh."
          : "Nothing of this formula is needed today."}{" "}
        <Link className="why-link" href={`/day/${date}/mix`}>
          Back to Mix
        </Link>
      </p>
    );
  }
  return <StationLayout label="Weigh out" surface={<Steps day={day} />} side={<WeighSide day={day} />} />;
}

function Steps({ day: { formula, steps } }: { readonly day: DayBatch }) {
  const { weighing, setWeighing } = useWeighing(formula.id);
  const { tickedLineIds } = weighing;
  const toggle = (lineId: string) =>
    setWeighing({
      tickedLineIds: tickedLineIds.includes(lineId)
        ? tickedLineIds.filter((id) => id !== lineId)
        : [...tickedLineIds, lineId],
    });
  const next = steps.find(({ line }) => !tickedLineIds.includes(line.lineId));
  return (
    <div className="flex flex-col gap-3">
      <h2 className="text-2xl">{formula.name}</h2>
      <ol className="flex flex-col gap-2">
        {steps.map((step) => (
          <StepRow
            key={step.line.lineId}
            step={step}
            done={tickedLineIds.includes(step.line.lineId)}
            isNext={step === next}
            onToggle={() => toggle(step.line.lineId)}
          />
        ))}
      </ol>
    </div>
  );
}

function StepRow({
  step: { line, measure, scaleShowsG },
  done,
  isNext,
  onToggle,
}: {
  readonly step: WeighStep;
  readonly done: boolean;
  readonly isNext: boolean;
  readonly onToggle: () => void;
}) {
  const edge = isNext ? "border-primary" : "border-base-300";
  return (
    <li>
      <button
        type="button"
        aria-pressed={done}
        className={`flex min-h-16 w-full cursor-pointer items-center gap-4 rounded-xl border-2 bg-base-100 px-4 py-2 text-left ${edge} ${done ? "opacity-70" : ""}`}
        onClick={onToggle}
      >
        <span
          className={`flex size-10 shrink-0 items-center justify-center rounded-lg border-2 ${done ? "border-primary bg-primary text-primary-content" : "border-base-content"}`}
          aria-hidden
        >
          {done && <Check size={28} strokeWidth={3} />}
        </span>
        <span className="min-w-0 flex-1">
          <span className={`block text-xl ${done ? "line-through" : ""}`}>{line.name}</span>
          <span className="quiet block text-sm">
            {measure && `${measure} · `}
            {line.range
              ? `by degrees: ${formatMass(line.range.leastG)} to ${formatMass(line.range.mostG)}`
              : `scale shows ${formatScale(scaleShowsG)}`}
          </span>
        </span>
        <span className="figure text-4xl whitespace-nowrap">{formatScale(line.massG)}</span>
      </button>
    </li>
  );
}

function WeighSide({ day }: { readonly day: DayBatch }) {
  const { formula, steps, batch } = day;
  const date = useBench((state) => state.date);
  const { weighing, setWeighing } = useWeighing(formula.id);
  const ticked = steps.filter(({ line }) => weighing.tickedLineIds.includes(line.lineId));
  const inBowlG = ticked.reduce((sum, { line }) => sum + line.massG, 0);
  return (
    <>
      <p>
        <span className="quiet block">in the bowl</span>
        <span className="figure text-5xl" data-testid="in-bowl">
          {formatScale(inBowlG)}
        </span>
        <span className="quiet block">of {formatScale(batch?.weighedG ?? 0)}</span>
      </p>
      <LiquidByDegrees day={day} />
      {formula.steps.length > 0 && (
        <ol className="flex list-decimal flex-col gap-1 border-t border-base-300 pt-2.5 pl-5">
          {formula.steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      )}
      <div className="mt-auto flex flex-col gap-2">
        <button
          type="button"
          className="btn touch"
          disabled={weighing.tickedLineIds.length === 0}
          onClick={() => setWeighing({ tickedLineIds: [] })}
        >
          Begin again
        </button>
        <Link href={`/day/${date}/mix`} className="btn btn-primary touch">
          Back to Mix
        </Link>
      </div>
    </>
  );
}

/** Steps in which liquid is added, in the smaller unit of the house: g, or oz. */
const DEGREES = { gram: [5, 10, 25], ounce: [0.25, 0.5, 1] } as const;

const tellLots = ({ lots, isSeasonal }: LiquidAim): string =>
  lots === 0
    ? "As you have set it"
    : lots === 1
      ? "Last time"
      : `By ${formatCount(lots, "lot")}${isSeasonal ? ", those of this time of the year before all," : ""}`;

/** The liquid goes in by degrees; what it took is kept for next time. */
function LiquidByDegrees({ day: { formula, batch, liquidAim } }: { readonly day: DayBatch }) {
  const { weighing, setWeighing } = useWeighing(formula.id);
  const hasRun = useBench((state) => state.hasRun);
  const [addedG, setAddedG] = useState(weighing.took?.massG ?? 0);
  const [grams, degrees] = [findShownUnit("g"), DEGREES[readHouseMeasures().massUnit]];
  const liquid = findLiquidLine(formula);
  const line = batch?.lines.find(({ lineId }) => lineId === liquid?.id);
  if (!batch || !line?.range) return null;
  const { leastG, mostG } = line.range;
  const record = (massG: number) => setWeighing({ took: { massG, scale: batch.scale } });
  const outside = addedG > 0 && (addedG < leastG || addedG > mostG);
  return (
    <section aria-labelledby="liquid" className="flex flex-col gap-2 rounded-xl border-2 border-base-300 p-3">
      <h3 id="liquid" className="text-lg">
        {line.name}, by degrees
      </h3>
      <p className="text-sm">
        {liquidAim !== null
          ? `${tellLots(liquidAim)} it ${liquidAim.lots === 0 ? "takes" : "took"} ${formatMass(liquidAim.massG * batch.scale)}: aim there.`
          : formula.kind === "dough"
            ? `Aim at ${formatScale(line.massG)}: ${schoolNames[formula.liquidSchool]}.`
            : `Aim at ${formatScale(line.massG)}.`}
      </p>
      <div className="flex gap-2">
        {degrees.map((degree) => (
          <button
            key={degree}
            type="button"
            className="btn touch flex-1"
            onClick={() => setAddedG(Number((addedG + degree * grams.factor).toFixed(1)))}
          >
            + {degree} {grams.sign}
          </button>
        ))}
      </div>
      <TextField
        label={`It took, ${grams.sign}`}
        inputClassName="figure text-2xl"
        value={grams.write(Number(addedG.toFixed(1)))}
        check={(text) => {
          const amount = parseMass(text);
          return amount.ok
            ? describeLimitFault(amount.value, weighingLimits.tookG)
            : sayParseFailure(amount.failure);
        }}
        onCommit={(text) => {
          const amount = parseMass(text);
          if (amount.ok) setAddedG(amount.value);
        }}
      />
      {outside && (
        <p className="text-sm text-accent">
          {addedG < leastG
            ? `${formatMass(leastG - addedG)} below the formula's least.`
            : `${formatMass(addedG - mostG)} above its most: widen the range in the formula if this is right.`}
        </p>
      )}
      {hasRun ? (
        <ByTheRun label="It took" value={weighing.took ? formatMass(weighing.took.massG) : null} />
      ) : (
        <button
          type="button"
          className="btn btn-primary touch"
          disabled={addedG <= 0}
          onClick={() => record(addedG)}
        >
          {weighing.took ? `Kept: ${formatMass(weighing.took.massG)}. Keep again` : "Keep what it took"}
        </button>
      )}
    </section>
  );
}
