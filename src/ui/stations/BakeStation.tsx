"use client";

import { useCallback, useState } from "react";
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
import { Dial } from "../controls/Dial";
import { tinNames } from "../piece/words";
import { EmptyDay } from "../controls/EmptyDay";
import { PieceTabs, useSelectedLine } from "../controls/PieceTabs";
import { ProblemList } from "../controls/ProblemList";
import { StationLayout } from "../controls/StationLayout";
import { StationSteps } from "../controls/StationSteps";
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
  const ovenScale = useBench((state) => state.book.kitchen.ovenScale);
  const { pinnedIds, pin, unpin, unpinAll } = usePins();
  const { drawnPlan, drawNext } = useRestedPlan(plan);
  const pinOnClock = useCallback(
    (task: DayTask, startMin: number) => {
      drawNext();
      pin(task, startMin);
    },
    [drawNext, pin],
  );
  // The chosen job is asked why it stands where it stands: as dear as the drawing, and a part of it.
  const selected =
    drawnPlan.tasks.find(({ id }) => id === selectedId) ??
    drawnPlan.tasks.find(({ machineId }) => machineId !== null) ??
    null;
  return (
    <div className="flex flex-col gap-3">
      <ProblemList station="bake" />
      <div className="flex flex-wrap items-baseline gap-x-6">
        {listLights(plan).map(({ machineId, name, lightMin }) => (
          <p key={machineId}>
            light {name.toLowerCase()} at <span className="figure text-4xl">{formatClock(lightMin)}</span>
          </p>
        ))}
      </div>
      {selected && (
        <SelectedTask
          task={selected}
          plan={drawnPlan}
          isPinned={pinnedIds.has(selected.id)}
          onPin={pinOnClock}
          onUnpin={(taskId) => {
            drawNext();
            unpin(taskId);
          }}
        />
      )}
      <DayClock
        plan={drawnPlan}
        ovenScale={ovenScale}
        pinnedIds={pinnedIds}
        selectedId={selected?.id ?? null}
        onSelect={setSelectedId}
        onPin={pinOnClock}
      />
      {pinnedIds.size > 0 && (
        <button type="button" className="btn touch self-start" onClick={unpinAll}>
          Unpin {formatCount(pinnedIds.size, "job")}
        </button>
      )}
      <PieceTabs />
      {findHeatWay(line.piece.way) === "oil" ? <FryFacts line={line} /> : <Trays line={line} />}
      <DaySearch />
      <DayAnswersPanel />
      <AheadPanel />
    </div>
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
      <CautionList station="bake" pieceId={piece.id} />
      <Why steps={line.why.load} label="why so many loads?" />
    </>
  );
}
