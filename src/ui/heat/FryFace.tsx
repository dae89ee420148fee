"use client";

import { findHeatWay, listHeats } from "@/core/way";
import { useState } from "react";
import {
  findLargestLoad,
  findUsualLossWPerK,
  fryLoad,
  LEAST_FRYING_C,
  USUAL_OIL_J_PER_KG_K,
} from "@/core/heat";
import { toFryLoad } from "@/core/plan";
import { formatDuration, formatMass, formatNumber } from "@/core/units";
import { sayFailure } from "@/core/words";
import { fryerLimits, fryLimits } from "@/schemas/limits";
import { Dial } from "../controls/Dial";
import { Fact } from "../controls/Fact";
import { StationLayout } from "../controls/StationLayout";
import { CurveChart } from "./CurveChart";
import type { FaceProps } from "./face";

/** What is asked of the bath, with the sliders' ends. */
const bathDials = [
  { name: "oilKg", limit: fryerLimits.oilKg, sliderMax: 30 },
  { name: "heaterW", limit: fryerLimits.heaterW, sliderMax: 12_000 },
  { name: "setC", limit: fryLimits.setC, sliderMax: fryLimits.setC.max },
] as const;
/** A table fryer, for a kit that has none, and what it fries. */
const FIRST_BATH = {
  oilKg: 5.4,
  oilJPerKgK: USUAL_OIL_J_PER_KG_K,
  lossWPerK: findUsualLossWPerK(5.4),
  heaterW: 3000,
};
const FIRST_FRY = { setC: 180, pieces: 20, minutes: 5 };

/** One load in oil: what it does to the oil, and how many are too many. */
export function FryFace({ piece, shaped, baked, book, tabs }: FaceProps) {
  const [fryer] = book.fryers;
  const isFried = findHeatWay(piece.way) === "oil";
  const [bath, setBath] = useState({
    ...(fryer ?? FIRST_BATH),
    setC: (isFried ? listHeats(piece.way)[0]?.ovenC : null) ?? FIRST_FRY.setC,
  });
  const [fry, setFry] = useState({
    pieces: FIRST_FRY.pieces,
    minutes: isFried
      ? listHeats(piece.way).reduce((sum, { minutes }) => sum + minutes, 0)
      : FIRST_FRY.minutes,
  });
  const oil = { ...bath, roomC: book.kitchen.roomC };
  const load = toFryLoad(shaped, baked, fry.pieces, fry.minutes);
  const fried = fryLoad(oil, load);
  const largest = findLargestLoad(oil, load);
  return (
    <StationLayout
      label="In oil"
      surface={
        <div className="flex flex-col gap-3">
          <h2 className="text-2xl">{piece.name}, fried</h2>
          {fried.ok ? (
            <>
              <div className="flex flex-wrap gap-x-8 gap-y-1">
                <Fact
                  label="largest load"
                  value={String(largest)}
                  note={`keeps the oil above ${LEAST_FRYING_C} °C`}
                />
                <Fact
                  label="the oil dips to"
                  value={`${formatNumber(fried.value.lowestC)} °C`}
                  note={`${fry.pieces} pieces, ${formatNumber(fry.minutes, 1)} min`}
                />
                <Fact
                  label="next load after"
                  value={
                    fried.value.recoveryMin > 0
                      ? formatDuration(Math.ceil(fried.value.recoveryMin))
                      : "at once"
                  }
                  note="back at its heat"
                />
                <Fact label="water out of each" value={formatMass(fried.value.waterG)} note="boiled off" />
              </div>
              {fried.value.lowestC < LEAST_FRYING_C && (
                <p role="alert" className="rounded-lg border-2 border-error p-3">
                  {fry.pieces} at once cool the oil to {formatNumber(fried.value.lowestC)} °C,{" "}
                  {formatNumber(LEAST_FRYING_C - fried.value.lowestC)} too cold: the crust turns greasy. Fry
                  at most {largest} at once.
                </p>
              )}
              <CurveChart
                label={`The oil with ${fry.pieces} pieces in it: down to ${formatNumber(fried.value.lowestC)} °C, back after ${formatNumber(fried.value.recoveryMin, 1)} minutes`}
                points={fried.value.moments.map(({ atMin, oilC }) => ({ atMin, valueC: oilC }))}
                levels={[
                  { valueC: bath.setC, label: `set, ${bath.setC} °C` },
                  { valueC: LEAST_FRYING_C, label: "greasy below" },
                ]}
                labelsAt="right"
              />
            </>
          ) : (
            <p role="alert" className="rounded-lg border-2 border-error p-3">
              {sayFailure(fried.failure)}
            </p>
          )}
          <ul className="list-disc rounded-lg border border-base-300 p-3 pl-7 text-sm">
            <li>
              Never over half full, or the maker’s mark, with the food in it. Dry pieces only; lower them away
              from you.
            </li>
            <li>Never leave hot oil. Lid and fire blanket at hand; never water on burning oil.</li>
            <li>Oil is shared: what was fried before leaves its allergens in it. Your local code decides.</li>
          </ul>
        </div>
      }
      side={
        <>
          {tabs}
          {bathDials.map(({ name, limit, sliderMax }) => (
            <Dial
              key={name}
              limit={limit}
              value={bath[name]}
              sliderMax={sliderMax}
              onChange={(value) => setBath({ ...bath, [name]: value })}
            />
          ))}
          {(["pieces", "minutes"] as const).map((name) => (
            <Dial
              key={name}
              limit={fryLimits[name]}
              value={fry[name]}
              sliderMax={name === "pieces" ? 30 : 12}
              onChange={(value) => setFry({ ...fry, [name]: value })}
            />
          ))}
        </>
      }
    />
  );
}
