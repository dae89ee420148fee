"use client";

import { Scale, Snowflake } from "lucide-react";
import { nameMakingStep, readMaking, type Filling } from "@/core/formula";
import type { DayBatch } from "@/core/plan";
import { formatClock, formatCount, formatDuration, formatMass, formatNumber } from "@/core/units";
import { useBench, usePicked } from "../bench/BenchProvider";
import { EmptyDay } from "../controls/EmptyDay";
import { Link } from "../controls/Link";
import { ProblemList } from "../controls/ProblemList";
import { StationLayout } from "../controls/StationLayout";
import { Why } from "../controls/Why";
import { DividedDrawing } from "../drawings/DividedDrawing";
import { particleNames } from "../formula/words";
import { MixBalances } from "../mix/MixBalances";
import { describeBody } from "../mix/describeBody";
import { useWeighing } from "../mix/useWeighing";
import { formatShortDate } from "../shell/formatDayDate";
import { StationHelp } from "./StationHelp";

/** What to mix for the day, from where, into what pieces, and when it can be rolled. */
export function MixStation() {
  const plan = useBench((state) => state.plan);
  const batches = [...plan.doughs, ...plan.fillings];
  if (batches.length === 0) return <EmptyDay station="mix" />;
  return (
    <StationLayout
      label="Mix"
      help={<StationHelp station="mix" />}
      surface={
        <div className="flex flex-col gap-4">
          <ProblemList station="mix" />
          <div className="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
            {batches.map((batch) => (
              <BatchCard key={batch.formula.id} batch={batch} />
            ))}
          </div>
        </div>
      }
      side={<MixBalances />}
    />
  );
}

function BatchCard({ batch: day }: { readonly batch: DayBatch }) {
  const { formula, batch, rest, divided } = day;
  const { date, plan } = usePicked("date", "plan");
  const { weighing } = useWeighing(formula.id);
  const task = plan.tasks.find(
    ({ formulaId, kind }) => formulaId === formula.id && (kind === "mix" || kind === "make"),
  );
  const ticked = batch?.lines.filter(({ lineId }) => weighing.tickedLineIds.includes(lineId)).length ?? 0;
  return (
    <article className="flex flex-col rounded-xl border border-base-300 bg-base-100 p-4">
      <header className="flex items-baseline gap-2">
        <h2 className="text-lg leading-6">
          <Link
            href={`/day/${date}/formula/${formula.id}`}
            className="touch inline-flex items-center underline-offset-4 hover:underline"
          >
            {formula.name}
          </Link>
        </h2>
        <span className="figure ml-auto text-4xl whitespace-nowrap">{formatMass(batch?.weighedG ?? 0)}</span>
      </header>
      <p className="quiet text-sm">{describeMaking(day, task?.placed.startMin ?? null)}</p>
      {day.fromLarderG > 0 && (
        <p className="mt-1 flex items-center gap-1.5">
          <Snowflake size={18} aria-hidden className="shrink-0 text-primary" />
          <span>
            <strong className="figure">{formatMass(day.fromLarderG)}</strong> from the larder, made{" "}
            {day.uses.map(({ item }) => formatShortDate(item.madeOn)).join(", ")}: use it first
          </span>
        </p>
      )}
      {formula.kind === "dough" && divided.length > 0 && (
        <div className="mt-2">
          <DividedDrawing pieces={divided} name={formula.name} />
          <ul className="mt-1">
            {divided.map(({ count, massG, shape, body }) => (
              <li key={massG} className="flex items-baseline gap-2">
                <span className="figure text-xl whitespace-nowrap">
                  {count} × {formatMass(massG)}
                </span>
                <span className="quiet text-sm">
                  {count === 1 ? shape : `${shape}s`}, {describeBody(body)}
                </span>
              </li>
            ))}
          </ul>
          <ColdNote day={day} />
        </div>
      )}
      {rest && formula.kind === "dough" && (
        <div className="mt-1 flex flex-wrap items-baseline gap-x-3">
          <span>
            rest <strong className="figure text-xl">{formatDuration(rest.minutes)}</strong>
          </span>
          <Link className="why-link text-sm" href={`/day/${date}/rest/${formula.id}`}>
            its curve
          </Link>
          <Why steps={rest.why} />
        </div>
      )}
      <span className="flex-1" />
      {batch && (
        <Link href={`/day/${date}/weigh/${formula.id}`} className="btn btn-primary touch mt-3">
          <Scale size={20} aria-hidden />
          {ticked === 0
            ? "Weigh out"
            : ticked === batch.lines.length
              ? "Weighed"
              : `${ticked} of ${batch.lines.length} weighed`}
        </Link>
      )}
    </article>
  );
}

/** Which pieces wait in the cold, and for how long, by the schedule. */
function ColdNote({ day: { divided, formula } }: { readonly day: DayBatch }) {
  const { tasks, cuts } = useBench((state) => state.plan);
  const count = divided.reduce((sum, piece) => sum + piece.count, 0);
  const starts = tasks
    .filter(({ kind, cutId, index }) => {
      const cut = kind === "roll" ? cuts.find(({ id }) => id === cutId) : undefined;
      return cut?.dough.id === formula.id && (cut.plan.sheets[index - 1]?.pass ?? 0) === 0;
    })
    .map(({ placed }) => placed.startMin)
    .sort((a, b) => a - b);
  const [first] = starts;
  const last = starts.at(-1);
  if (count < 2 || first === undefined || last === undefined) return null;
  return (
    <p className="quiet text-sm">
      first rolled {formatClock(first)};{" "}
      {count === 2 ? "the other stays cold" : `the other ${count - 1} stay cold, the last`} until{" "}
      {formatClock(last)}
    </p>
  );
}

/** What passes from the last of its hands until it is used, and how long it then stays hot. */
function describeReady({ making }: Filling): string {
  const { readyMin, hotMin, use } = readMaking(making);
  const again = use.map(nameMakingStep).join(", ").toLowerCase();
  return [
    readyMin > 0 ? `ready ${formatDuration(readyMin)} after` : "",
    hotMin === null ? "" : `used within ${formatDuration(hotMin)}, hot`,
    again ? `${again} before use` : "",
  ]
    .filter(Boolean)
    .join(", ");
}

function describeMaking(
  { formula, batch, overG, aheadG, boughtSheets }: DayBatch,
  startMin: number | null,
): string {
  return [
    startMin === null
      ? ""
      : `${formula.kind === "filling" ? "make" : formula.boughtSheet ? "open" : "mix"} at ${formatClock(startMin)}`,
    batch
      ? boughtSheets === null
        ? `${formatNumber(batch.scale, 2)} × the formula`
        : ""
      : "nothing to mix: the larder has it",
    boughtSheets === null ? "" : formatCount(boughtSheets, "sheet"),
    formula.kind === "dough" && !formula.boughtSheet && formula.fatParticle !== "none"
      ? `fat to ${particleNames[formula.fatParticle]}`
      : "",
    formula.kind === "filling" ? describeReady(formula) : "",
    batch && batch.weighedG - batch.usableG > 0.5 ? `gives ${formatMass(batch.usableG)}` : "",
    aheadG > 0 ? `${formatMass(aheadG)} of it for another day` : "",
    overG > 0 ? `${formatMass(overG)} over` : overG < 0 ? `${formatMass(-overG)} short` : "",
  ]
    .filter(Boolean)
    .join(" · ");
}
