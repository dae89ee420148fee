"use client";

import { useState } from "react";
import { findBath, timeBath, TWO_TIMES_C } from "@/core/heat";
import type { Fryer } from "@/core/plan";
import { formatNumber } from "@/core/units";
import { sayFailure } from "@/core/words";
import { fryerLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { Dial } from "../controls/Dial";

/** Times to start from where the heater, as it is entered, never gets the oil so far. */
const FIRST_TIMES = { warmMin: 7, coolMin: 5 };
/** A clock's, min. */
const toClock = (minutes: number) => Number(minutes.toFixed(1));

interface Props {
  readonly fryer: Fryer;
  readonly onFound: (found: Pick<Fryer, "oilJPerKgK" | "lossWPerK">) => void;
}

/** What a fryer holds and loses, found with a clock: two times tell both. */
export function FryerClock({ fryer, onFound }: Props) {
  const roomC = useBench((state) => state.book.kitchen.roomC);
  // Those that the fryer's own figures come to: what is found is what is entered, until a time is another.
  const [times, setTimes] = useState(() => {
    const own = timeBath({ ...fryer, setC: fryer.maxC, roomC });
    return own ? { warmMin: toClock(own.warmMin), coolMin: toClock(own.coolMin) } : FIRST_TIMES;
  });
  const found = findBath({ ...fryer, roomC }, times.warmMin, times.coolMin);
  return (
    <details className="rounded-lg border border-base-300 p-3">
      <summary className="touch cursor-pointer content-center">Find both with a clock</summary>
      <div className="flex flex-col gap-3 pt-2">
        <p className="text-sm">
          Nothing in the oil, lid off, the room at {formatNumber(roomC, 1)} °C: so long from{" "}
          {TWO_TIMES_C.from} to {TWO_TIMES_C.to} °C, then the heater off, so long back to {TWO_TIMES_C.backTo}
          . Stay beside it.
        </p>
        {(["warmMin", "coolMin"] as const).map((key) => (
          <Dial
            key={key}
            limit={fryerLimits[key]}
            value={times[key]}
            sliderMax={30}
            onChange={(value) => setTimes({ ...times, [key]: value })}
          />
        ))}
        {found.ok ? (
          <>
            <p role="status">
              It warms with <strong>{formatNumber(found.value.oilJPerKgK)} J/kg K</strong> and loses{" "}
              <strong>{formatNumber(found.value.lossWPerK, 2)} W/K</strong>.
            </p>
            <button
              type="button"
              className="btn touch self-start"
              onClick={() => onFound(round(found.value))}
            >
              Use these
            </button>
          </>
        ) : (
          <p role="alert" className="rounded-lg border-2 border-error p-3">
            {sayFailure(found.failure)}
          </p>
        )}
      </div>
    </details>
  );
}

/** As the dials show them. */
const round = ({ oilJPerKgK, lossWPerK }: Pick<Fryer, "oilJPerKgK" | "lossWPerK">) => ({
  oilJPerKgK: Math.round(oilJPerKgK),
  lossWPerK: Number(lossWPerK.toFixed(2)),
});
