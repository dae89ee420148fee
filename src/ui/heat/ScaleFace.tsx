"use client";

import { listHeats } from "@/core/way";
import { useState } from "react";
import { convertBake, ovenKindFacts, ovenKinds, type OvenKind } from "@/core/heat";
import { toKnownBake } from "@/core/plan";
import { formatDuration, formatLength, formatNumber } from "@/core/units";
import { sayFailure } from "@/core/words";
import { heatLimits, pieceLimits } from "@/schemas/limits";
import { createBakeClient } from "@/workers/createHeatClient";
import { usePicked } from "../bench/BenchProvider";
import { useLatest } from "../bench/useLatest";
import { WorkerFault } from "../controls/WorkerFault";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { Fact } from "../controls/Fact";
import { Link } from "../controls/Link";
import { StationLayout } from "../controls/StationLayout";
import { CurveChart } from "./CurveChart";
import type { FaceProps } from "./face";

/** Another size or oven, from the bake that is known. */
export function ScaleFace({ piece, shaped, baked, book, tabs }: FaceProps) {
  const { date } = usePicked("date");
  const known = toKnownBake(piece, baked, book);
  const nowMm = shaped.formed.finished.heightMm;
  const [heightMm, setHeightMm] = useState(Math.round(nowMm));
  const [startC, setStartC] = useState(baked.startC);
  const [ovenC, setOvenC] = useState(listHeats(piece.way).at(-1)?.ovenC ?? 190);
  const [kind, setKind] = useState<OvenKind>("still");
  const { answer, isBusy, fault, askAgain } = useLatest(
    {
      known,
      other: {
        ...known,
        startC,
        body: { kind: "slab" as const, thicknessMm: heightMm },
        air: [...known.air.slice(0, -1), { airC: ovenC, minutes: known.air.at(-1)?.minutes ?? 1 }],
      },
    },
    createBakeClient,
  );
  const output = answer?.output;
  const scaled = output?.ok ? output.value : null;
  const converted = scaled && convertBake({ ovenC, minutes: scaled.minutes }, "still", kind);
  return (
    <StationLayout
      label="Another size or oven"
      surface={
        <div className="flex flex-col gap-3" aria-busy={isBusy}>
          <h2 className="text-2xl">{piece.name}, from the bake that is known</h2>
          <p className="quiet">
            {formatLength(nowMm, 0)} high,{" "}
            {known.air.map(({ airC, minutes }) => `${minutes} min at ${airC} °C`).join(", then ")}; done at{" "}
            {known.doneC} °C in its core
          </p>
          <WorkerFault fault={fault} onRetry={askAgain} />
          {output && !output.ok && (
            <p role="alert" className="rounded-lg border-2 border-error p-3">
              {sayFailure(output.failure)}
            </p>
          )}
          {scaled && converted && (
            <>
              <div className="flex flex-wrap gap-x-8 gap-y-1">
                <Fact
                  label="bake it"
                  value={formatDuration(converted.minutes)}
                  note={`likely ${formatNumber(scaled.lowMin)} to ${formatNumber(scaled.highMin)} min`}
                />
                <Fact
                  label={`set ${ovenKindFacts[kind].name} to`}
                  value={`${converted.ovenC} °C`}
                  note="written for still air"
                />
                <Fact
                  label="surface"
                  value={`${formatNumber(scaled.surfaceWPerM2K)} W/m² K`}
                  note="fitted to your bake: air, radiation, tray, drying"
                />
              </div>
              <CurveChart
                label={`Core of ${piece.name} ${formatLength(heightMm, 2)} high: ${known.doneC} °C after ${formatNumber(scaled.minutes)} minutes`}
                points={scaled.moments.map(({ atMin, coreC }) => ({ atMin, valueC: coreC }))}
                levels={[{ valueC: known.doneC, label: `done, ${known.doneC} °C` }]}
                labelsAt="left"
              />
              <p className="quiet text-sm">
                Look for its sign and not at the clock alone. For custards and fillings that must be cooked
                through, your local food code decides.
              </p>
            </>
          )}
        </div>
      }
      side={
        <>
          <Link className="why-link" href={`/day/${date}/piece/${piece.id}`}>
            ‹ {piece.name}
          </Link>
          {tabs}
          <Dial limit={heatLimits.bodyMm} value={heightMm} sliderMax={80} onChange={setHeightMm} />
          <Dial
            limit={heatLimits.startC}
            value={startC}
            sliderMax={60}
            hint="−18 for frozen"
            onChange={setStartC}
          />
          <Dial limit={pieceLimits.ovenC} value={ovenC} onChange={setOvenC} />
          <Choice
            legend="In an oven of"
            value={kind}
            onChange={setKind}
            options={ovenKinds.map((id) => ({ id, title: ovenKindFacts[id].name }))}
          />
        </>
      }
    />
  );
}
