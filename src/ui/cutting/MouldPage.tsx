"use client";

import { useState } from "react";
import { computeMouldBlank, listCutterFits, type CutterFit, type Mould } from "@/core/forming";
import type { Dough } from "@/core/formula";
import { formatLength, formatMass, formatSide, lengthSign } from "@/core/units";
import { mouldLimits, pieceLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { Fact } from "../controls/Fact";
import { Select } from "../controls/Select";
import { StationLayout } from "../controls/StationLayout";
import { MouldDrawing } from "../drawings/MouldDrawing";

const kinds = [
  { id: "round", title: "round" },
  { id: "fluted", title: "fluted" },
  { id: "muffin", title: "muffin" },
  { id: "oval", title: "oval" },
] as const;

/** Density where the book holds no dough yet, g/ml. */
const USUAL_DENSITY = 1.2;

/** Which cutter lines this mould, and what the ones in the drawer do in it. */
export function MouldPage() {
  const { cutters, formulas } = useBench((state) => state.book);
  const doughs = formulas.filter((formula): formula is Dough => formula.kind === "dough");
  const [doughId, setDoughId] = useState(doughs[0]?.id ?? "");
  const dough = doughs.find(({ id }) => id === doughId);
  const [kind, setKind] = useState<Mould["kind"]>("round");
  const [baseMm, setBaseMm] = useState(60);
  const [rimMm, setRimMm] = useState(80);
  const [narrowMm, setNarrowMm] = useState(55);
  const [depthMm, setDepthMm] = useState(22);
  const [fluteMm, setFluteMm] = useState(4);
  const [thicknessMm, setThicknessMm] = useState(3);
  const [trimMm, setTrimMm] = useState(5);
  const outMm = rimMm - baseMm;
  const long = { baseMm, rimMm };
  const mould: Mould = {
    kind,
    axes:
      kind === "oval"
        ? [long, { baseMm: Math.max(narrowMm - outMm, 10), rimMm: Math.max(narrowMm, 10 + outMm) }]
        : [long],
    depthMm,
    fluteMm: kind === "fluted" ? fluteMm : 0,
  };
  const lining = { thicknessMm, trimMm };
  const density = dough?.densityGPerMl ?? USUAL_DENSITY;
  const blank = computeMouldBlank(mould, lining, density);
  const [acrossMm = 0] = blank.acrossMm;
  const nearest = listCutterFits(mould, lining, density, cutters);
  return (
    <StationLayout
      label="Cutter for a mould"
      surface={
        <div className="flex flex-col gap-3">
          <h2 className="text-2xl">Cutter for a mould</h2>
          <div className="flex flex-wrap gap-x-8 gap-y-1">
            <Fact
              label="the blank"
              value={blank.acrossMm.map((each) => formatSide(each, 0)).join(" × ")}
              note={`${lengthSign()} across`}
            />
            <Fact label="one weighs" value={formatMass(blank.massG)} note="dough" />
            <Fact
              label="in the mould"
              value={formatLength(Number(blank.linedThicknessMm.toFixed(1)))}
              note="thick, all dough kept"
            />
          </div>
          <div className="h-72">
            <MouldDrawing
              mould={mould}
              lining={lining}
              linedThicknessMm={blank.linedThicknessMm}
              acrossMm={acrossMm}
            />
          </div>
          {kind === "oval" ? (
            <p className="quiet">An oval blank of these axes: no round cutter serves an oval mould.</p>
          ) : nearest.length === 0 ? (
            <p className="quiet">
              There is no round cutter in the drawer: add one of {formatLength(acrossMm, 0)} in Kit.
            </p>
          ) : (
            <ul aria-label="Cutters in the drawer" className="flex flex-col">
              {nearest.map(({ cutter, fit }) => (
                <li
                  key={cutter.id}
                  className="flex flex-wrap items-baseline gap-x-3 border-t border-base-300 py-1.5"
                >
                  <strong className="w-32">{cutter.name}</strong>
                  <span>{describeFit(fit, trimMm)}</span>
                  <span className="quiet ml-auto text-sm">
                    {fit.linesToMm === null
                      ? "does not reach a wall here"
                      : `would line this base and slope ${formatLength(Number(fit.linesToMm.toFixed(1)))} deep`}
                  </span>
                </li>
              ))}
            </ul>
          )}
        </div>
      }
      side={
        <>
          <Choice<Mould["kind"]> legend="The mould is" value={kind} onChange={setKind} options={kinds} />
          <Dial
            limit={{ ...mouldLimits.baseMm, max: rimMm }}
            value={baseMm}
            sliderMax={Math.min(rimMm, 200)}
            onChange={setBaseMm}
          />
          <Dial
            limit={{ ...mouldLimits.rimMm, min: baseMm }}
            value={rimMm}
            sliderMax={250}
            onChange={setRimMm}
          />
          {kind === "oval" && (
            <Dial
              limit={{ ...mouldLimits.narrowMm, min: outMm + 10, max: rimMm }}
              value={Math.min(Math.max(narrowMm, outMm + 10), rimMm)}
              onChange={setNarrowMm}
            />
          )}
          <Dial limit={mouldLimits.depthMm} value={depthMm} sliderMax={80} onChange={setDepthMm} />
          {kind === "fluted" && (
            <Dial
              limit={{ ...mouldLimits.fluteMm, max: Math.min(mouldLimits.fluteMm.max, baseMm / 2) }}
              value={fluteMm}
              onChange={setFluteMm}
            />
          )}
          <Dial limit={pieceLimits.thicknessMm} value={thicknessMm} sliderMax={8} onChange={setThicknessMm} />
          <Dial limit={mouldLimits.trimMm} value={trimMm} onChange={setTrimMm} />
          {doughs.length > 0 && (
            <Select
              label="Dough"
              value={dough?.id ?? ""}
              options={doughs.map(({ id, name }) => ({ id, name }))}
              onChange={setDoughId}
            />
          )}
        </>
      }
    />
  );
}

/** Less than this is cut by eye, mm and g. */
const EVEN = 0.5;

function describeFit({ shortOnWallMm, trimMm, moreG }: CutterFit, wantedTrimMm: number): string {
  if (shortOnWallMm >= EVEN) return `short by ${formatLength(Number(shortOnWallMm.toFixed(1)))} on the wall`;
  if (trimMm < wantedTrimMm - EVEN)
    return `reaches the rim with ${formatLength(Number(trimMm.toFixed(1)))} to trim, ${formatLength(Number((wantedTrimMm - trimMm).toFixed(1)))} less than wanted`;
  return moreG >= EVEN ? `${formatMass(moreG)} more trim than needed` : "just right";
}
