"use client";

import { useState } from "react";
import { findLight, type DayPlan, type DayTask, type PiecePlan } from "@/core/plan";
import { explainStart } from "@/core/schedule";
import { formatClock, formatCount, formatDuration, formatMass } from "@/core/units";
import { DayAnswersPanel } from "../bake/DayAnswersPanel";
import { DaySearch } from "../bake/DaySearch";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { CautionList } from "../controls/CautionList";
import { Dial } from "../controls/Dial";
import { describeStages } from "../piece/describePiece";
import { StageDials } from "../piece/StageDials";
import { tinNames } from "../piece/words";
import { EmptyDay } from "../controls/EmptyDay";
import { PieceTabs, useSelectedLine } from "../controls/PieceTabs";
import { ProblemList } from "../controls/ProblemList";
import { StationLayout } from "../controls/StationLayout";
import { Why } from "../controls/Why";
import { DayClock } from "../drawings/DayClock";
import { TrayDrawing } from "../drawings/TrayDrawing";
import { pieceLimits } from "@/schemas/limits";

/** The oven and the hands against the clock. */
export function BakeStation() {
  const line = useSelectedLine();
  const plan = useBench((state) => state.plan);
  if (!line || !plan.schedule) return <EmptyDay station="bake" />;
  return (
    <StationLayout
      label="Bake and fry"
      surface={<Surface plan={plan} line={line} />}
      side={<BakeDials line={line} />}
    />
  );
}

function Surface({ plan, line }: { readonly plan: DayPlan; readonly line: PiecePlan }) {
  const [selectedId, setSelectedId] = useState<string | null>(null);
  const loads = plan.tasks.filter(({ kind }) => kind === "bake");
  const selected = plan.tasks.find(({ id }) => id === selectedId) ?? loads[0] ?? null;
  return (
    <div className="flex flex-col gap-3">
      <ProblemList station="bake" />
      <div className="flex flex-wrap items-baseline gap-x-6">
        {plan.ovens.map((oven) => {
          const light = findLight(plan, oven);
          return (
            light && (
              <p key={oven.id}>
                light {oven.name.toLowerCase()} at{" "}
                <span className="figure text-4xl">{formatClock(light.lightMin)}</span>
              </p>
            )
          );
        })}
        {selected && <SelectedTask task={selected} plan={plan} />}
      </div>
      <DayClock plan={plan} selectedId={selected?.id ?? null} onSelect={setSelectedId} />
      <PieceTabs />
      <Trays line={line} />
      <DaySearch />
      <DayAnswersPanel />
    </div>
  );
}

function SelectedTask({ task, plan }: { readonly task: DayTask; readonly plan: DayPlan }) {
  const line = plan.lines.find(({ piece }) => piece.id === task.pieceId);
  const ovenOf = plan.ovens.find(({ id }) => id === task.ovenId);
  const hold = describeHold(plan, task);
  return (
    <p className="min-w-0" aria-live="polite">
      <strong>{task.label}</strong>: {formatClock(task.placed.startMin)} to {formatClock(task.placed.endMin)}
      {task.kind === "bake" && line && (
        <>
          , {describeStages(line.piece)}, {formatCount(task.pieces, "piece")}
          {ovenOf && `, ${ovenOf.name.toLowerCase()} set to ${task.heat?.startC ?? 0} °C`}
        </>
      )}
      {hold && <span className="quiet block text-sm">{hold}</span>}
    </p>
  );
}

/** Why not earlier? What holds the task, with the minutes. */
function describeHold(plan: DayPlan, task: DayTask): string | null {
  const { problem, schedule } = plan;
  const reason = problem && schedule ? explainStart(problem, schedule, task.id) : null;
  if (!reason) return null;
  const { hold, freeMin } = reason;
  const other = plan.tasks.find(({ id }) => id === hold.taskId)?.label ?? "";
  const oven = plan.ovens.find(({ id }) => hold.resourceId?.endsWith(`:${id}`));
  const held =
    hold.kind === "opening"
      ? `nobody is there before ${formatClock(hold.notBeforeMin)}`
      : hold.kind === "wait"
        ? `it follows “${other}” and its wait`
        : `${oven ? `${oven.name.toLowerCase()} has` : "the hands have"} “${other}” before it`;
  return freeMin > 0
    ? `It could be ${formatDuration(freeMin)} earlier (then ${held}); it is as late as its promise allows.`
    : `Not earlier: ${held}.`;
}

function Trays({ line }: { readonly line: PiecePlan }) {
  const { loads } = line.loading;
  return (
    <div className="flex flex-wrap gap-4">
      {loads.map((load, i) => (
        <figure key={i} className="flex flex-col gap-1">
          <figcaption>
            Load {i + 1}: <span className="figure">{load.pieces}</span> on{" "}
            {formatCount(load.trays.length, "tray")}
          </figcaption>
          <div className="flex gap-2">
            {load.trays.map((count, tray) => (
              <div key={tray} className="w-[150px]">
                <TrayDrawing
                  loading={line.loading}
                  formed={line.formed}
                  count={count}
                  name={line.piece.name}
                />
              </div>
            ))}
          </div>
        </figure>
      ))}
    </div>
  );
}

function BakeDials({ line }: { readonly line: PiecePlan }) {
  const { piece } = line;
  const { editPiece } = usePieceEdit(piece);
  return (
    <>
      <header>
        <h2 className="text-xl">{piece.name}</h2>
        <p className="quiet text-sm">
          {formatCount(line.loading.loads.length, "load")} · {line.loading.perTray} to a tray ·{" "}
          {formatMass(line.rawPieceG - line.bakedPieceG)} water out of each
        </p>
      </header>
      <StageDials piece={piece} />
      <Dial
        limit={pieceLimits.spacingMm}
        value={piece.spacingMm}
        sliderMax={60}
        hint="crowded pieces steam instead of baking"
        onChange={(spacingMm) => editPiece({ spacingMm })}
      />
      <Dial
        limit={pieceLimits.chillMin}
        value={piece.chillMin}
        sliderMax={120}
        onChange={(chillMin) => editPiece({ chillMin })}
      />
      <p className="text-sm">
        Let them stand {formatDuration(piece.coolMin)} before handling. Tin: {tinNames[piece.tin]}.
      </p>
      <CautionList station="bake" pieceId={piece.id} />
      <Why steps={line.why.load} label="why so many loads?" />
    </>
  );
}
