"use client";

import Link from "next/link";
import { useState, type ReactNode } from "react";
import {
  convertBake,
  findLargestLoad,
  fryLoad,
  LEAST_FRYING_C,
  ovenKindFacts,
  ovenKinds,
  type Baked,
  type OvenKind,
} from "@/core/heat";
import { toBaked, toFryLoad, toKnownBake, type DayBook, type Piece, type ShapedPiece } from "@/core/plan";
import { formatDuration, formatMass, formatNumber } from "@/core/units";
import { pieceLimits, type Limit } from "@/schemas/limits";
import { createBakeClient, createCoolingClient } from "@/workers/createHeatClient";
import { useBench } from "../bench/BenchProvider";
import { useLatest } from "../bench/useLatest";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { Fact } from "../controls/Fact";
import { StationLayout } from "../controls/StationLayout";
import { MissingPiece } from "../piece/MissingPiece";
import { CurveChart } from "./CurveChart";

const faces = [
  { id: "scale", title: "Another size or oven" },
  { id: "cool", title: "Cooling" },
  { id: "fry", title: "In oil" },
] as const;
type Face = (typeof faces)[number]["id"];

/** What heat does to a piece: another size or oven from the bake that is known, cooling, and oil. */
export function HeatPage({ pieceId }: { readonly pieceId: string }) {
  const { book, plan } = useBench((state) => state);
  const piece = book.pieces.find(({ id }) => id === pieceId);
  const shaped = plan.shaped[pieceId];
  const [face, setFace] = useState<Face>("scale");
  const baked = piece && shaped ? toBaked(piece, shaped, book, plan.analyses) : null;
  if (!piece || !shaped || !baked) return <MissingPiece />;
  const facts = { piece, shaped, baked, book };
  const tabs = <Choice legend={`Heat and ${piece.name}`} value={face} onChange={setFace} options={faces} />;
  if (face === "cool") return <CoolFace {...facts} tabs={tabs} />;
  if (face === "fry") return <FryFace {...facts} tabs={tabs} />;
  return <ScaleFace {...facts} tabs={tabs} />;
}

interface FaceProps {
  readonly piece: Piece;
  readonly shaped: ShapedPiece;
  readonly baked: Baked;
  readonly book: DayBook;
  readonly tabs: ReactNode;
}

const heightLimit: Limit = { label: "As high as", unit: "mm", min: 3, max: 150, step: 1 };
const startLimit: Limit = { label: "Goes in at", unit: "°C", min: -25, max: 60, step: 1 };

function ScaleFace({ piece, shaped, baked, book, tabs }: FaceProps) {
  const { date } = useBench((state) => state);
  const known = toKnownBake(piece, baked, book);
  const nowMm = shaped.formed.finished.heightMm;
  const [heightMm, setHeightMm] = useState(Math.round(nowMm));
  const [startC, setStartC] = useState(baked.startC);
  const [ovenC, setOvenC] = useState(piece.stages.at(-1)?.ovenC ?? 190);
  const [kind, setKind] = useState<OvenKind>("still");
  const { answer, isBusy, fault } = useLatest(
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
            {formatNumber(nowMm)} mm high,{" "}
            {known.air.map(({ airC, minutes }) => `${minutes} min at ${airC} °C`).join(", then ")}; done at{" "}
            {known.doneC} °C in its core
          </p>
          {(fault ?? (output && !output.ok)) && (
            <p role="alert" className="rounded-lg border-2 border-error p-3">
              {output && !output.ok ? output.failure.message : `${fault ?? ""} Reload the page.`}
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
                label={`Core of ${piece.name} ${heightMm} mm high: ${known.doneC} °C after ${formatNumber(scaled.minutes)} minutes`}
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
          <Dial limit={heightLimit} value={heightMm} sliderMax={80} onChange={setHeightMm} />
          <Dial limit={startLimit} value={startC} hint="−18 for frozen" onChange={setStartC} />
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

const roomLimit: Limit = { label: "In the room first", unit: "min", min: 0, max: 480, step: 5 };
const hotLimit: Limit = { label: "Comes out at", unit: "°C", min: 30, max: 100, step: 1 };
const COMES_OUT_C = 85;

function CoolFace({ piece, shaped, baked, book, tabs }: FaceProps) {
  const [roomMin, setRoomMin] = useState(piece.coolMin);
  const [startC, setStartC] = useState(COMES_OUT_C);
  const [heightMm, setHeightMm] = useState(Math.round(shaped.formed.finished.heightMm));
  const { roomC, fridgeC } = book.kitchen;
  const { answer, isBusy, fault } = useLatest(
    { ...baked, body: { kind: "slab" as const, thicknessMm: heightMm }, startC, roomC, fridgeC, roomMin },
    createCoolingClient,
  );
  const cooled = answer?.output;
  const write = (minutes: number | null) => (minutes === null ? "never" : formatDuration(minutes));
  return (
    <StationLayout
      label="Cooling"
      surface={
        <div className="flex flex-col gap-3" aria-busy={isBusy}>
          <h2 className="text-2xl">{piece.name}, out of the oven and into the cold</h2>
          {fault && (
            <p role="alert" className="text-error">
              {fault} Reload the page.
            </p>
          )}
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
              <p className="quiet text-sm">The usual two-stage rule; your local food code decides.</p>
            </>
          )}
        </div>
      }
      side={
        <>
          {tabs}
          <Dial limit={hotLimit} value={startC} onChange={setStartC} />
          <Dial limit={heightLimit} value={heightMm} sliderMax={80} onChange={setHeightMm} />
          <Dial limit={roomLimit} value={roomMin} sliderMax={180} onChange={setRoomMin} />
        </>
      }
    />
  );
}

const oilLimits = {
  oilKg: { label: "Oil", unit: "kg", min: 0.5, max: 30, step: 0.1 },
  heaterW: { label: "Heater", unit: "W", min: 300, max: 12_000, step: 100 },
  setC: { label: "Set to", unit: "°C", min: 150, max: 195, step: 1 },
  pieces: { label: "In at once", unit: "", min: 1, max: 100, step: 1 },
  minutes: { label: "Fry", unit: "min", min: 1, max: 20, step: 0.5 },
} satisfies Record<string, Limit>;
/** A table fryer, for a kit that has none, and what it fries. */
const FIRST_BATH = { oilKg: 5.4, heaterW: 3000 };
const FIRST_FRY = { setC: 180, pieces: 20, minutes: 5 };

function FryFace({ piece, shaped, baked, book, tabs }: FaceProps) {
  const [fryer] = book.fryers;
  const isFried = piece.heatBy === "oil";
  const [bath, setBath] = useState({
    oilKg: fryer?.oilKg ?? FIRST_BATH.oilKg,
    heaterW: fryer?.heaterW ?? FIRST_BATH.heaterW,
    setC: (isFried ? piece.stages[0]?.ovenC : null) ?? FIRST_FRY.setC,
  });
  const [fry, setFry] = useState({
    pieces: FIRST_FRY.pieces,
    minutes: isFried ? piece.stages.reduce((sum, { minutes }) => sum + minutes, 0) : FIRST_FRY.minutes,
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
              {fried.failure.message}
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
          {(["oilKg", "heaterW", "setC"] as const).map((name) => (
            <Dial
              key={name}
              limit={oilLimits[name]}
              value={bath[name]}
              onChange={(value) => setBath({ ...bath, [name]: value })}
            />
          ))}
          {(["pieces", "minutes"] as const).map((name) => (
            <Dial
              key={name}
              limit={oilLimits[name]}
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
