"use client";

import { useEffect, useRef } from "react";
import { fitCooling, type DeviceUse, type PlacedReading } from "@/core/readings";
import type { WeighStep } from "@/core/formula";
import { SAMPLE_EVERY, samplePortions, type JobSheet, type RunSheet, type TaskRun } from "@/core/run";
import { findShownUnit, formatDuration, formatNumber, formatScale } from "@/core/units";
import type { Readings } from "./useReadings";

interface Props {
  readonly told: JobSheet;
  readonly sheet: Pick<RunSheet, "roomC" | "fridgeC">;
  readonly run: TaskRun | null;
  readonly readings: Readings;
  /** The line that is weighed out just now. */
  readonly inHand: WeighStep | undefined;
  /** Grams on the scale before it. */
  readonly onSample: (massG: number) => void;
  readonly onWeighed: (lineId: string) => void;
  /** So much of the liquid went in. */
  readonly onPoured: (lineId: string, massG: number) => void;
}

/** What the devices say of the job in hand. Where nothing is heard nothing is asked. */
export function JobReadings(props: Props) {
  const { told, readings, inHand } = props;
  const of = (use: DeviceUse) => readings.placed.filter(({ device }) => device.use === use);
  const { machineId, heatC, portionG, window, custardC } = told.targets;
  return (
    <>
      {inHand &&
        of("scale").map((scale) => (
          <OnScale key={scale.device.id} {...props} inHand={inHand} scale={scale} />
        ))}
      {custardC &&
        of("custard").map((probe) => <Custard key={probe.device.id} mark={custardC} probe={probe} />)}
      {portionG !== null && <Portions {...props} portionG={portionG} scale={of("scale")[0]} />}
      {window &&
        of("dough").map((probe) => <Core key={probe.device.id} {...props} window={window} probe={probe} />)}
      {machineId !== null &&
        heatC !== null &&
        [...of("oven"), ...of("fryer")]
          .filter(({ device }) => device.machineId === machineId)
          .map((reading) => <Heat key={reading.device.id} reading={reading} heatC={heatC} />)}
    </>
  );
}

/** Where a device has nothing usable to say it is said. */
function Unused({ reading }: { readonly reading: Exclude<PlacedReading, { state: "fresh" }> }) {
  const { device } = reading;
  return (
    <p className="quiet text-base">
      {reading.state === "wrong"
        ? reading.said
        : reading.state === "stale"
          ? `${device.source} was last heard ${formatDuration(reading.ageS / 60)} ago.`
          : `${device.source} is silent.`}
    </p>
  );
}

/** As near as this it is right, g and as a share of the line. */
const RIGHT_G = 2;
const RIGHT_SHARE = 0.01;

/** A mass that has stood so long is meant, ms. */
const STOOD_MS = 2500;

function OnScale({
  inHand,
  scale,
  onWeighed,
  onPoured,
}: Props & { readonly inHand: WeighStep; readonly scale: PlacedReading }) {
  const { line, scaleShowsG } = inHand;
  const toGoG = scale.state === "fresh" ? scaleShowsG - scale.value : Infinity;
  const isRight = Math.abs(toGoG) <= Math.max(RIGHT_G, line.massG * RIGHT_SHARE);
  const weighed = useRef(onWeighed);
  useEffect(() => {
    weighed.current = onWeighed;
  });
  useEffect(() => {
    // What goes in by degrees is right when the dough is, not when the scale says so.
    if (!isRight || line.range) return;
    const timer = setTimeout(() => weighed.current(line.lineId), STOOD_MS);
    return () => clearTimeout(timer);
  }, [isRight, line]);
  if (scale.state !== "fresh") return <Unused reading={scale} />;
  const share = Math.min(Math.max(1 - toGoG / Math.max(line.massG, 1), 0), 1);
  const tookG = Math.max(line.massG - toGoG, 0);
  return (
    <section aria-label="On the scale" className="flex flex-col gap-1.5">
      <p className="text-xl">
        <span className="figure text-5xl" data-testid="to-go">
          {isRight ? "right" : formatScale(Math.abs(toGoG))}
        </span>{" "}
        {isRight ? `${formatScale(scale.value)} on the scale` : toGoG > 0 ? "to go" : "too much"}
      </p>
      <div
        role="meter"
        aria-label={`${line.name} on the scale`}
        aria-valuemin={0}
        aria-valuemax={Math.round(line.massG)}
        aria-valuenow={Math.round(share * line.massG)}
        className="h-6 overflow-hidden rounded-full bg-base-300"
      >
        <div
          className={`h-full ${isRight ? "bg-primary" : toGoG < 0 ? "bg-error" : "bg-(--heat)"}`}
          style={{ width: `${share * 100}%` }}
        />
      </div>
      {line.range && tookG > 0 && (
        <button
          type="button"
          className="btn btn-primary h-14 text-lg"
          onClick={() => onPoured(line.lineId, tookG)}
        >
          It took {formatScale(tookG)}
        </button>
      )}
      {isRight && !line.range && (
        <button type="button" className="btn btn-primary h-14 text-lg" onClick={() => onWeighed(line.lineId)}>
          Next line
        </button>
      )}
    </section>
  );
}

/** A custard's core against its mark: below it runs, above it curdles. */
function Custard({
  mark: { lowC, highC },
  probe,
}: {
  readonly mark: { readonly lowC: number; readonly highC: number };
  readonly probe: PlacedReading;
}) {
  if (probe.state !== "fresh") return <Unused reading={probe} />;
  const { value } = probe;
  const isSet = value >= lowC && value <= highC;
  return (
    <p className="text-xl">
      <span className={`figure text-5xl ${isSet ? "" : "text-error"}`}>{formatNumber(value, 1)} °C</span> at
      the core:{" "}
      {isSet
        ? "set"
        : value < lowC
          ? `${formatNumber(lowC - value, 1)} to go`
          : `${formatNumber(value - highC, 1)} too hot, out of the heat`}
    </p>
  );
}

function Portions({
  told,
  run,
  portionG,
  scale,
  onSample,
}: Props & { readonly portionG: number; readonly scale: PlacedReading | undefined }) {
  const weighed = (run?.measured ?? []).flatMap(({ measure, value }) => (measure === "massG" ? [value] : []));
  const sample = samplePortions(weighed, portionG);
  const wanted = Math.ceil(told.pieces / SAMPLE_EVERY);
  const grams = findShownUnit("g");
  const toGrams = (massG: number) => grams.write(Number(massG.toFixed(1)));
  return (
    <section aria-label="Portions on the scale" className="flex flex-col gap-1.5">
      {sample ? (
        <p className="text-lg">
          <span className={`figure text-4xl ${sample.isLastOff ? "text-error" : ""}`}>
            {toGrams(sample.meanG)} {grams.sign}
          </span>{" "}
          on average of {sample.count} of {wanted}, ± {toGrams(sample.spreadG)}; between{" "}
          {toGrams(sample.lowG)} and {toGrams(sample.highG)} is right
        </p>
      ) : (
        scale && <p className="quiet text-base">Every tenth on the scale: {wanted} of these.</p>
      )}
      {scale &&
        (scale.state === "fresh" ? (
          <button type="button" className="btn h-14 text-lg" onClick={() => onSample(scale.value)}>
            Weigh this one: <span className="figure">{formatScale(scale.value)}</span>
          </button>
        ) : (
          <Unused reading={scale} />
        ))}
    </section>
  );
}

function Core({
  sheet: { roomC, fridgeC },
  readings,
  window: { lowC, highC },
  probe,
}: Props & {
  readonly window: { readonly lowC: number; readonly highC: number };
  readonly probe: PlacedReading;
}) {
  if (probe.state !== "fresh") return <Unused reading={probe} />;
  const { value, device } = probe;
  const isIn = value >= lowC && value <= highC;
  const past = readings.past.get(device.source) ?? [];
  const target = value > highC ? highC : lowC;
  const untilMin = isIn ? null : fitCooling(past, value > highC ? fridgeC : roomC)?.untilMin(target);
  return (
    <p className="text-xl">
      <span className={`figure text-5xl ${isIn ? "" : "text-error"}`}>{formatNumber(value, 1)} °C</span>{" "}
      {isIn
        ? "at the core: it rolls"
        : `at the core, ${formatNumber(Math.abs(value - target), 1)} ${value > highC ? "too warm" : "too cold"}`}
      {untilMin !== null && untilMin !== undefined && `: about ${formatDuration(untilMin)} to go`}
    </p>
  );
}

/** Within this of its setting it is hot, °C. */
const HOT_WITHIN_C = 5;

function Heat({ reading, heatC }: { readonly reading: PlacedReading; readonly heatC: number }) {
  if (reading.state !== "fresh") return <Unused reading={reading} />;
  const { device, value } = reading;
  const isHot = value >= heatC - HOT_WITHIN_C;
  const where = device.use === "fryer" ? "oil" : device.deck === null ? "oven" : `deck ${device.deck}`;
  return (
    <p className="text-xl">
      <span className={`figure text-4xl ${isHot ? "" : "text-error"}`}>{formatNumber(value)} °C</span> {where}
      : {isHot ? "hot" : `${formatNumber(heatC - value)} to go`}
    </p>
  );
}
