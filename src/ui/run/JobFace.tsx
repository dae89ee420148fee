"use client";

import { Check, Volume1 } from "lucide-react";
import type { WeighStep } from "@/core/formula";
import {
  findTrouble,
  readLotFigures,
  type JobFigure,
  type JobSheet,
  type Retimed,
  type RunJob,
  type RunSheet,
  type TaskRun,
} from "@/core/run";
import { formatClock, formatDuration, formatNumber, formatScale } from "@/core/units";
import { CauseList } from "../remedy/CauseList";
import { CutCounts } from "./CutCounts";
import { JobPicture } from "./JobPicture";
import { JobReadings } from "./JobReadings";
import { MeasureByHand, type Measured } from "./MeasureByHand";
import { canSpeak, speak } from "./sound";
import type { Remedy } from "./runStore";
import type { Readings } from "./useReadings";

interface Props {
  readonly job: RunJob;
  readonly told: JobSheet;
  readonly sheet: RunSheet;
  readonly readings: Readings;
  readonly run: TaskRun | null;
  /** Of all jobs: what stands on record of its lot. */
  readonly tasks: Readonly<Record<string, TaskRun>>;
  readonly breaches: Retimed["breached"];
  /** It is looked at ahead of its turn. */
  readonly isLater: boolean;
  readonly onBack: () => void;
  readonly onPart: (part: string) => void;
  /** The piece is made otherwise from now on. */
  readonly onTake: (remedy: Remedy & { readonly text: string }) => void;
  /** So much liquid went into a line of the weigh-out, g. */
  readonly onPoured: (part: string, massG: number) => void;
  /** Read off a scale, a ruler or a thermometer. */
  readonly onMeasured: (measured: Measured) => void;
  /** So many were really cut; of a sheet with several outlines, of which. */
  readonly onCount: (count: number, demandId: string | null) => void;
  readonly onBegin: (() => void) | null;
  readonly onHandOver: (() => void) | null;
}

/** Causes of what went wrong that are named on the face; all of them stand in the record. */
const CAUSES_SHOWN = 2;
/** Remedies that are offered at once. */
const REMEDIES_SHOWN = 2;

/** One job with the figures it is done with, its drawing, what to look for, and what hurts. */
export function JobFace(props: Props) {
  const {
    job,
    told,
    sheet,
    readings,
    run,
    tasks,
    breaches,
    isLater,
    onBack,
    onPart,
    onTake,
    onPoured,
    onMeasured,
    onCount,
    onBegin,
    onHandOver,
  } = props;
  const { title, about, figures, looks, cautions, drawing, weighing, steps } = told;
  const done = run?.parts ?? [];
  const piece = sheet.pieces.find(({ id }) => id === told.pieceId);
  const hold = piece?.hold ?? null;
  const last = run?.mishaps.at(-1);
  const trouble = last ? findTrouble(last.mishap, told) : null;
  const leaks = (run?.mishaps ?? []).some(({ mishap }) => mishap === "leaked" || mishap === "burst");
  const remedies = leaks && hold ? hold.remedies.slice(0, REMEDIES_SHOWN) : [];
  const leakShare = hold?.leakShare ?? 0;
  const inHand = weighing.find(({ line }) => !done.includes(line.lineId));
  return (
    <>
      {isLater && (
        <p className="flex flex-wrap items-center gap-3 rounded-lg bg-base-200 px-4 py-2">
          <span className="flex-1">
            {job.hasBegun ? "It runs already." : `Planned for ${formatClock(job.startMin)}.`}
          </span>
          {onBegin && (
            <button type="button" className="btn touch" onClick={onBegin}>
              Begin it now
            </button>
          )}
          {onHandOver && (
            <button type="button" className="btn touch" onClick={onHandOver}>
              Hand it over
            </button>
          )}
          <button type="button" className="btn btn-ghost touch" onClick={onBack}>
            Back to now
          </button>
        </p>
      )}
      <header className="flex items-start gap-3">
        <div className="min-w-0 flex-1" aria-live="polite">
          <h1 className="text-3xl leading-tight sm:text-[2.6rem]">{title}</h1>
          {about && <p className="quiet mt-1 text-xl sm:text-2xl">{about}</p>}
        </div>
        {canSpeak() && (
          <button
            type="button"
            className="btn btn-ghost touch px-2"
            aria-label="Say it aloud"
            onClick={() => speak(toSpeech(told))}
          >
            <Volume1 size={26} aria-hidden />
          </button>
        )}
      </header>
      {/* What went wrong wants an answer before anything else is done. */}
      {(run?.mishaps ?? []).map(({ mishap, count, word, isLost }, i) => (
        <p key={i} className="text-lg">
          <strong>
            {count} {mishap}
          </strong>
          {isLost && " and lost"}
          {word && `: ${word}`}
        </p>
      ))}
      {run !== null && run.ranOutAt !== null && (
        <p className="text-lg">
          <strong>The filling ran out</strong> at {run.ranOutAt}.
        </p>
      )}
      {trouble && (
        <CauseList
          trouble={trouble}
          figures={readLotFigures(sheet, { tasks }, told.taskId)}
          now={piece?.now ?? null}
          most={CAUSES_SHOWN}
          onTake={(change, text) => onTake({ change, text })}
        />
      )}
      {remedies.length > 0 && (
        <section aria-label="For the next load" className="flex flex-wrap gap-2">
          {remedies.map((remedy) => (
            <button
              key={remedy.text}
              type="button"
              className="btn h-auto min-h-14 py-1 text-lg"
              onClick={() => onTake(remedy)}
            >
              From now on {remedy.text}:{" "}
              <span className="figure">{formatNumber(remedy.leakShare * 100, 1)} %</span> may leak, not{" "}
              {formatNumber(leakShare * 100, 1)}
            </button>
          ))}
        </section>
      )}
      <div className="grid min-h-0 flex-1 gap-x-8 gap-y-5 lg:grid-cols-2 lg:grid-rows-[auto_minmax(min-content,1fr)]">
        <Figures figures={inHand ? tellLine(inHand, figures) : figures} isWide={inHand === undefined} />
        {weighing.length > 0 && (
          <div className="lg:row-span-2">
            <WeighLines told={told} inHand={inHand} done={done} onPart={onPart} />
          </div>
        )}
        <div className="flex flex-col justify-end gap-3">
          {/* First: with a bell above, what stands last is below the edge. */}
          {cautions.map((text) => (
            <Caution key={text}>{text}</Caution>
          ))}
          {weighing.length === 0 && steps.length > 1 && (
            <Steps steps={steps} startMin={job.startMin} done={done} onPart={onPart} />
          )}
          <JobReadings
            told={told}
            sheet={sheet}
            run={run}
            readings={readings}
            inHand={inHand}
            onSample={(value) => onMeasured({ measure: "massG", value })}
            onWeighed={onPart}
            onPoured={onPoured}
          />
          {drawing?.kind === "sheet" && (
            <CutCounts drawing={drawing} measured={run?.measured ?? []} onCount={onCount} />
          )}
          <MeasureByHand job={told} onMeasured={onMeasured} />
          {looks.lookFor.length > 0 && (
            <section aria-label="Look for">
              <h2 className="quiet text-base font-bold">Look for</h2>
              <ul className="text-xl">
                {looks.lookFor.map((sign) => (
                  <li key={sign} className="flex gap-2.5 py-0.5">
                    <span aria-hidden className="mt-1 size-5 shrink-0 rounded-full border-2 border-primary" />
                    {sign}
                  </li>
                ))}
              </ul>
            </section>
          )}
          {breaches.map(({ afterTaskId, kind, byMin }) => (
            <Caution key={`${afterTaskId} ${kind}`}>
              {kind === "tooSoon"
                ? `Begun ${formatDuration(byMin)} before what it waits for was over.`
                : `Begun ${formatDuration(byMin)} later than it may be after what came before it.`}
            </Caution>
          ))}
        </div>
        {drawing && weighing.length === 0 && (
          <div className="relative hidden min-h-52 sm:block">
            <div className="absolute inset-0 flex items-end justify-center">
              <JobPicture drawing={drawing} pieces={sheet.pieces} />
            </div>
          </div>
        )}
      </div>
    </>
  );
}

const Caution = ({ children }: { readonly children: React.ReactNode }) => (
  <p className="border-l-8 border-warning bg-warning/15 px-4 py-2 text-lg">{children}</p>
);

/** While a batch is weighed out the figure is that of the line in hand. */
const tellLine = ({ line }: WeighStep, figures: readonly JobFigure[]): JobFigure[] => [
  { value: formatScale(line.massG), what: line.name },
  ...figures,
];

/** Letters that a metre away can read: the first figure is the largest. */
function Figures({ figures, isWide }: { readonly figures: readonly JobFigure[]; readonly isWide: boolean }) {
  return (
    <dl className={`flex flex-wrap items-end gap-x-8 gap-y-3 self-start ${isWide ? "lg:col-span-2" : ""}`}>
      {figures.map(({ value, what }, i) => (
        <div key={what} className="flex flex-col-reverse">
          <dt className="quiet text-lg sm:text-xl">{what}</dt>
          <dd
            className={`figure leading-none whitespace-nowrap ${i === 0 ? "text-6xl sm:text-7xl xl:text-8xl" : "text-5xl sm:text-6xl"}`}
          >
            {value}
          </dd>
        </div>
      ))}
    </dl>
  );
}

interface PartProps {
  readonly text: string;
  readonly detail: string;
  readonly figure: string;
  readonly isDone: boolean;
  readonly isNext: boolean;
  readonly onPress: () => void;
}

/** Something within a job, ticked off with a knuckle. */
function PartRow({ text, detail, figure, isDone, isNext, onPress }: PartProps) {
  return (
    <li>
      <button
        type="button"
        disabled={isDone}
        className={`flex min-h-14 w-full cursor-pointer items-center gap-3 rounded-xl border-2 bg-base-100 px-3 py-1 text-left disabled:cursor-default disabled:opacity-60 ${isNext ? "border-primary" : "border-base-300"}`}
        onClick={onPress}
      >
        <span
          aria-hidden
          className={`flex size-8 shrink-0 items-center justify-center rounded-lg border-2 ${isDone ? "border-primary bg-primary text-primary-content" : "border-base-content"}`}
        >
          {isDone && <Check size={24} strokeWidth={3} />}
        </span>
        <span className="min-w-0 flex-1">
          <span className={`block text-xl ${isDone ? "line-through" : ""}`}>{text}</span>
          {detail && <span className="quiet block text-sm">{detail}</span>}
        </span>
        {figure && <span className="figure text-3xl whitespace-nowrap">{figure}</span>}
      </button>
    </li>
  );
}

function WeighLines({
  told: { weighing },
  inHand,
  done,
  onPart,
}: {
  readonly told: JobSheet;
  readonly inHand: WeighStep | undefined;
  readonly done: readonly string[];
  readonly onPart: (part: string) => void;
}) {
  return (
    <ol className="flex flex-col gap-1.5" aria-label="Weigh out">
      {weighing.map(({ line, measure, scaleShowsG }) => (
        <PartRow
          key={line.lineId}
          text={line.name}
          detail={[
            measure,
            line.range
              ? `by degrees, ${formatScale(line.range.leastG)} to ${formatScale(line.range.mostG)}`
              : `scale shows ${formatScale(scaleShowsG)}`,
          ]
            .filter(Boolean)
            .join(" · ")}
          figure={formatScale(line.massG)}
          isDone={done.includes(line.lineId)}
          isNext={inHand?.line.lineId === line.lineId}
          onPress={() => onPart(line.lineId)}
        />
      ))}
    </ol>
  );
}

function Steps({
  steps,
  startMin,
  done,
  onPart,
}: {
  readonly steps: JobSheet["steps"];
  readonly startMin: number;
  readonly done: readonly string[];
  readonly onPart: (part: string) => void;
}) {
  const next = steps.find(({ id }) => !done.includes(id));
  return (
    <ol className="flex flex-col gap-1.5" aria-label="Step by step">
      {steps.map(({ id, text, afterMin }) => (
        <PartRow
          key={id}
          text={text}
          detail=""
          figure={afterMin === null || afterMin === 0 ? "" : formatClock(startMin + afterMin)}
          isDone={done.includes(id)}
          isNext={next?.id === id}
          onPress={() => onPart(id)}
        />
      ))}
    </ol>
  );
}

const toSpeech = ({ title, about, figures, looks }: JobSheet): string =>
  [title, about, ...figures.map(({ value, what }) => `${value} ${what}`), ...looks.lookFor].join(". ");
