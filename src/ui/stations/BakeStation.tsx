"use client";

import { useSearchParams } from "next/navigation";
import { useCallback, useState, type ReactNode } from "react";
import { listLights, type DayPlan, type DayTask, type PiecePlan } from "@/core/plan";
import { findChillMin, findCoolMin, findHeatWay, withChill } from "@/core/way";
import { formatClock, formatCount, formatDuration, formatMass } from "@/core/units";
import { AheadPanel } from "../bake/AheadPanel";
import { DayAnswersPanel } from "../bake/DayAnswersPanel";
import { DaySearch } from "../bake/DaySearch";
import { FryFacts } from "../bake/FryFacts";
import { HeatDials } from "../bake/HeatDials";
import { SelectedTask } from "../bake/SelectedTask";
import { usePins } from "../bake/usePins";
import { useRestedPlan } from "../bake/useRestedPlan";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { CautionList } from "../controls/CautionList";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { tinNames } from "../piece/words";
import { EmptyDay } from "../controls/EmptyDay";
import { PieceTabs, useSelectedLine } from "../controls/PieceTabs";
import { ProblemList } from "../controls/ProblemList";
import { StationLayout } from "../controls/StationLayout";
import { StationSteps } from "../controls/StationSteps";
import { Why } from "../controls/Why";
import { DayClock } from "../clock/DayClock";
import { DayStrip } from "../clock/DayStrip";
import { JobList } from "../clock/JobList";
import { useClockWindow } from "../clock/useClockWindow";
import { useJobWords } from "../clock/useJobWords";
import { TrayDrawing } from "../drawings/TrayDrawing";
import { pieceLimits } from "@/schemas/limits";
import { StationHelp } from "./StationHelp";

/** The oven and the hands against the clock. */
export function BakeStation() {
  const line = useSelectedLine();
  const plan = useBench((state) => state.plan);
  if (!line || !plan.schedule) return <EmptyDay station="bake" />;
  return <Bake plan={plan} line={line} />;
}

/** So much is seen of what is before that which is looked at first, min. */
const LEAD_MIN = 20;

function Bake({ plan, line }: { readonly plan: DayPlan; readonly line: PiecePlan }) {
  const [selectedId, setSelectedId] = useState<string | null>(null);
  const [hoveredId, setHoveredId] = useState<string | null>(null);
  const ovenScale = useBench((state) => state.book.kitchen.ovenScale);
  const nowMin = useBench((state) => state.book.nowMin);
  const { pinnedIds, pin, shift, unpin, unpinAll } = usePins();
  const { drawnPlan, drawNext } = useRestedPlan(plan);
  const { nameOf, sayLoad } = useJobWords(drawnPlan, ovenScale);
  const view = useClockWindow(drawnPlan, (nowMin ?? listLights(plan)[0]?.lightMin ?? 0) - LEAD_MIN);
  const pinOnClock = useCallback(
    (task: DayTask, startMin: number) => {
      drawNext();
      pin(task, startMin);
    },
    [drawNext, pin],
  );
  const shiftOnClock = useCallback(
    (task: DayTask, byMin: number) => {
      drawNext();
      shift(task, byMin);
    },
    [drawNext, shift],
  );
  // The chosen job is asked why it stands where it stands: as dear as the drawing, and a part of it.
  const selected =
    drawnPlan.tasks.find(({ id }) => id === selectedId) ??
    drawnPlan.tasks.find(({ machineId }) => machineId !== null) ??
    null;
  const pointing = {
    plan: drawnPlan,
    nameOf,
    sayLoad,
    selectedId: selected?.id ?? null,
    hoveredId,
    onHover: setHoveredId,
  };
  const chooseInList = (taskId: string) => {
    setSelectedId(taskId);
    const task = drawnPlan.tasks.find(({ id }) => id === taskId);
    if (task) view?.show(task.placed.startMin, task.placed.endMin);
  };
  return (
    <StationLayout
      label="Bake and fry"
      help={<StationHelp station="bake" />}
      surface={
        <div className="flex flex-col gap-3">
          <ProblemList station="bake" />
          <div className="flex flex-wrap items-baseline gap-x-6">
            {listLights(plan).map(({ machineId, name, lightMin }) => (
              <p key={machineId}>
                light {name.toLowerCase()} at <span className="figure text-4xl">{formatClock(lightMin)}</span>
              </p>
            ))}
          </div>
          {view && (
            <>
              <DayStrip plan={drawnPlan} view={view} />
              <DayClock
                {...pointing}
                view={view}
                nowMin={nowMin}
                pinnedIds={pinnedIds}
                onSelect={setSelectedId}
                onPin={pinOnClock}
                onShift={shiftOnClock}
              />
            </>
          )}
          {selected && (
            <SelectedTask
              task={selected}
              plan={drawnPlan}
              isPinned={pinnedIds.has(selected.id)}
              onPin={pinOnClock}
              onShift={shiftOnClock}
              onUnpin={(taskId) => {
                drawNext();
                unpin(taskId);
              }}
            />
          )}
          {pinnedIds.size > 0 && (
            <button type="button" className="btn touch self-start" onClick={unpinAll}>
              Unpin {formatCount(pinnedIds.size, "job")}
            </button>
          )}
          <p className="quiet text-sm">
            Teal: the chain that decides the chosen job. Dots: could be so much earlier. Hatched: kept for
            “not yet”. Drag a bar or ← → to pin it, ↑ ↓ from job to job, + − to look closer; a bar of several
            jobs opens at a second touch.
          </p>
          <PieceTabs figureOf={sayLoads} />
          {findHeatWay(line.piece.way) === "oil" ? <FryFacts line={line} /> : <Trays line={line} />}
          <DaySearch />
          <DayAnswersPanel />
          <AheadPanel />
        </div>
      }
      side={
        <BakeSide line={line}>
          <JobList {...pointing} fromMin={view?.window.fromMin ?? 0} onSelect={chooseInList} />
        </BakeSide>
      }
    />
  );
}

const sayLoads = ({ loading }: PiecePlan): string => formatCount(loading.loads.length, "load");

/** The jobs by the clock, or the heat of a piece: of the one that the address names, where it names one. */
function BakeSide({ line, children }: { readonly line: PiecePlan; readonly children: ReactNode }) {
  const isAsked = useSearchParams().get("piece") !== null;
  const [chosen, setChosen] = useState<"jobs" | "heat" | null>(null);
  // Whoever picks a piece wants its dials.
  const [wasAsked, setWasAsked] = useState(line.piece.id);
  if (wasAsked !== line.piece.id) {
    setWasAsked(line.piece.id);
    setChosen("heat");
  }
  const face = chosen ?? (isAsked ? "heat" : "jobs");
  return (
    <>
      <Choice
        legend="Beside the clock"
        value={face}
        onChange={setChosen}
        options={[
          { id: "jobs", title: "Jobs" },
          { id: "heat", title: "Heat and trays" },
        ]}
      />
      {face === "jobs" ? children : <BakeDials line={line} />}
      <CautionList station="bake" pieceId={line.piece.id} />
    </>
  );
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
                  formed={line.shaped.formed}
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
  const { piece, editPiece } = usePieceEdit(line.piece);
  return (
    <>
      <header>
        <h2 className="text-xl">{piece.name}</h2>
        <p className="quiet text-sm">
          {formatCount(line.loading.loads.length, "load")} · {line.loading.perTray} to a tray ·{" "}
          {formatMass(line.shaped.masses.rawPieceG - line.shaped.masses.bakedPieceG)} water out of each
        </p>
      </header>
      <HeatDials piece={piece} />
      <Dial
        limit={pieceLimits.spacingMm}
        value={piece.spacingMm}
        sliderMax={60}
        hint="crowded pieces steam instead of baking"
        onChange={(spacingMm) => editPiece({ spacingMm })}
      />
      <Dial
        limit={pieceLimits.chillMin}
        value={findChillMin(piece.way)}
        sliderMax={120}
        onChange={(chillMin) => editPiece({ way: withChill(piece.way, chillMin) })}
      />
      <p className="text-sm">
        Let them stand {formatDuration(findCoolMin(piece.way))} before handling. Tin: {tinNames[piece.tin]}.
      </p>
      <StationSteps line={line} station="bake" />
      <Why steps={line.why.load} label="why so many loads?" />
    </>
  );
}
