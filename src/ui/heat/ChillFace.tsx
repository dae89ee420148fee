"use client";

import { findChillMin, withChill } from "@/core/way";
import { useState } from "react";
import { toChillPiece } from "@/core/plan";
import { formatDuration, formatNumber } from "@/core/units";
import { createChillClient } from "@/workers/createHeatClient";
import { heatLimits } from "@/schemas/limits";
import { useLatest } from "../bench/useLatest";
import { WorkerFault } from "../controls/WorkerFault";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { Fact } from "../controls/Fact";
import { StationLayout } from "../controls/StationLayout";
import { CurveChart } from "./CurveChart";
import type { FaceProps } from "./face";

const places = [
  { id: "fridge", title: "Fridge" },
  { id: "freezer", title: "Freezer" },
] as const;
type Place = (typeof places)[number]["id"];

/** The plan's minutes go by fives. */
const STEP_MIN = 5;

/** The finished piece in the cold, until its fat is hard and flakes in the heat. */
export function ChillFace({ piece, shaped, baked, book, tabs }: FaceProps) {
  const { editPiece } = usePieceEdit(piece);
  const chillMin = findChillMin(piece.way);
  const [place, setPlace] = useState<Place>("fridge");
  const [heightMm, setHeightMm] = useState(Math.round(shaped.formed.finished.heightMm));
  const request = toChillPiece(piece, baked, book, place);
  const [startC, setStartC] = useState(request?.startC ?? book.kitchen.roomC);
  const { answer, isBusy, fault, askAgain } = useLatest(
    request && { ...request, startC, body: { kind: "slab" as const, thicknessMm: heightMm } },
    createChillClient,
  );
  const chilled = answer?.output;
  const hardMin = chilled?.hardMin ?? null;
  const plannedMin = hardMin === null ? null : Math.ceil(hardMin / STEP_MIN) * STEP_MIN;
  return (
    <StationLayout
      label="Chill before the heat"
      surface={
        <div className="flex flex-col gap-3" aria-busy={isBusy}>
          <h2 className="text-2xl">{piece.name}, chilled until its fat is hard</h2>
          <WorkerFault fault={fault} onRetry={askAgain} />
          {chilled && request && (
            <>
              <div className="flex flex-wrap gap-x-8 gap-y-1">
                <Fact
                  label={`in the ${place}`}
                  value={hardMin === null ? "never" : formatDuration(Math.ceil(hardMin))}
                  note={`until it is at ${request.hardC} °C in the mean, its crust colder`}
                />
                <Fact
                  label="the plan chills it"
                  value={formatDuration(chillMin)}
                  note={
                    hardMin === null
                      ? "that place is too warm"
                      : chillMin >= hardMin
                        ? "enough"
                        : `${formatNumber(Math.ceil(hardMin - chillMin))} min too short`
                  }
                />
              </div>
              {plannedMin !== null && plannedMin !== chillMin && (
                <button
                  type="button"
                  className="btn btn-primary touch self-start"
                  onClick={() => editPiece({ way: withChill(piece.way, plannedMin) })}
                >
                  Plan with {formatDuration(plannedMin)}
                </button>
              )}
              <CurveChart
                label={`Mean of ${piece.name} in the ${place}: ${request.hardC} °C ${hardMin === null ? "never" : `after ${formatNumber(hardMin)} minutes`}`}
                points={chilled.moments.map(({ atMin, meanC }) => ({ atMin, valueC: meanC }))}
                levels={[{ valueC: request.hardC, label: `fat hard, ${request.hardC} °C` }]}
                labelsAt="left"
              />
              <p className="quiet text-sm">
                Cold fat into a hot oven is what makes flake. Below its working window a dough’s fat is hard.
              </p>
            </>
          )}
        </div>
      }
      side={
        <>
          {tabs}
          <Choice legend="Where" value={place} onChange={setPlace} options={places} />
          <Dial
            limit={{ ...heatLimits.startC, label: "Closed at" }}
            value={startC}
            sliderMax={35}
            onChange={setStartC}
          />
          <Dial limit={heatLimits.bodyMm} value={heightMm} sliderMax={80} onChange={setHeightMm} />
        </>
      }
    />
  );
}
