"use client";

import { findCoolMin } from "@/core/way";
import { useState } from "react";
import { toCooling } from "@/core/plan";
import { formatDuration, formatNumber } from "@/core/units";
import { heatLimits } from "@/schemas/limits";
import { createCoolingClient } from "@/workers/createHeatClient";
import { useLatest } from "../bench/useLatest";
import { WorkerFault } from "../controls/WorkerFault";
import { Dial } from "../controls/Dial";
import { Fact } from "../controls/Fact";
import { StationLayout } from "../controls/StationLayout";
import { CurveChart } from "./CurveChart";
import type { FaceProps } from "./face";

/** Out of the oven, through the room, into the cold. */
export function CoolFace({ piece, shaped, baked, book, tabs }: FaceProps) {
  const [roomMin, setRoomMin] = useState(findCoolMin(piece.way));
  const request = toCooling(baked, book);
  const [startC, setStartC] = useState(request.startC);
  const [heightMm, setHeightMm] = useState(Math.round(shaped.formed.finished.heightMm));
  const { answer, isBusy, fault, askAgain } = useLatest(
    { ...request, body: { kind: "slab" as const, thicknessMm: heightMm }, startC, roomMin },
    createCoolingClient,
  );
  const cooled = answer?.output;
  const bench = request.filmFactors?.bench ?? 1;
  const write = (minutes: number | null) => (minutes === null ? "never" : formatDuration(minutes));
  return (
    <StationLayout
      label="Cooling"
      surface={
        <div className="flex flex-col gap-3" aria-busy={isBusy}>
          <h2 className="text-2xl">{piece.name}, out of the oven and into the cold</h2>
          <WorkerFault fault={fault} onRetry={askAgain} />
          {cooled && (
            <>
              <div className="flex flex-wrap gap-x-8 gap-y-1">
                <Fact label="core at 60 °C after" value={write(cooled.to60Min)} note="out of the hot zone" />
                <Fact label="at 21 °C after" value={write(cooled.to21Min)} note="from 60 within 2 h" />
                <Fact label="at 5 °C after" value={write(cooled.to5Min)} note="within 4 h more" />
              </div>
              {cooled.faults.map((each) => (
                <p key={each} role="alert" className="rounded-lg border-2 border-error p-3">
                  {each}
                </p>
              ))}
              <CurveChart
                label={`Core of ${piece.name} cooling: 60 °C after ${write(cooled.to60Min)}, 21 after ${write(cooled.to21Min)}, 5 after ${write(cooled.to5Min)}`}
                points={cooled.moments.map(({ atMin, coreC }) => ({ atMin, valueC: coreC }))}
                levels={[
                  { valueC: 60, label: "60 °C" },
                  { valueC: 21, label: "21 °C" },
                  { valueC: 5, label: "5 °C" },
                ]}
                labelsAt="right"
              />
              <p className="quiet text-sm">
                The usual two-stage rule; your local food code decides.
                {bench !== 1 &&
                  ` Your bench cools ${formatNumber(bench, 2)} times as fast as reckoned, by cores read there.`}
              </p>
            </>
          )}
        </div>
      }
      side={
        <>
          {tabs}
          <Dial limit={{ ...heatLimits.startC, label: "Comes out at" }} value={startC} onChange={setStartC} />
          <Dial limit={heatLimits.bodyMm} value={heightMm} sliderMax={80} onChange={setHeightMm} />
          <Dial limit={heatLimits.roomMin} value={roomMin} sliderMax={180} onChange={setRoomMin} />
        </>
      }
    />
  );
}
