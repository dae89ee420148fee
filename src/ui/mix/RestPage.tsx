"use client";

import { useState } from "react";
import { shapeDoughPiece, type DividedShape, type Dough } from "@/core/formula";
import { findShortCut, type Readiness } from "@/core/heat";
import { toReadinessRequest, type Kitchen } from "@/core/plan";
import { formatDuration, formatMass } from "@/core/units";
import { formulaLimits, kitchenLimits, weighingLimits, pieceLimits } from "@/schemas/limits";
import { pickRecords } from "@/schemas/recordTable";
import { createHeatClient } from "@/workers/createHeatClient";
import { usePicked } from "../bench/BenchProvider";
import { useLatest } from "../bench/useLatest";
import { WorkerFault } from "../controls/WorkerFault";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { Link } from "../controls/Link";
import { StationLayout } from "../controls/StationLayout";
import { restNames, shapeNames } from "../formula/words";
import { toOptions } from "../controls/Select";
import { TemperatureChart } from "./TemperatureChart";

/** Mass looked at where the day divides nothing of this dough, g. */
const USUAL_PIECE_G = 600;

/** When a dough can be rolled and for how long: its curve in fridge, freezer and on the bench. */
export function RestPage({ formulaId }: { readonly formulaId: string }) {
  const { records, date } = usePicked("records", "date");
  const formula = pickRecords(records, "formula").find(({ id }) => id === formulaId);
  if (formula?.kind !== "dough") {
    return (
      <p className="p-6">
        This dough is not in the book any more.{" "}
        <Link className="why-link" href={`/day/${date}/book`}>
          Back to the book
        </Link>
      </p>
    );
  }
  return <DoughRest dough={formula} />;
}

type Where = "fridge" | "freezer" | "bench";

function DoughRest({ dough }: { readonly dough: Dough }) {
  const { plan, book, date, edit } = usePicked("plan", "book", "date", "edit");
  const day = plan.doughs.find(({ formula }) => formula.id === dough.id);
  const user = book.pieces.find(({ doughId }) => doughId === dough.id);
  const [massG, setMassG] = useState(Math.round(day?.divided[0]?.massG ?? USUAL_PIECE_G));
  const [shape, setShape] = useState<DividedShape>(dough.dividedInto);
  const [sheetMm, setSheetMm] = useState(user?.thicknessMm ?? 3);
  const [where, setWhere] = useState<Where>(dough.restWay === "freezer" ? "freezer" : "fridge");
  const composition = plan.analyses[dough.id]?.composition;
  const body = shapeDoughPiece(shape, massG, dough.densityGPerMl);
  const request = composition
    ? toReadinessRequest(dough, body, composition, book.kitchen, sheetMm, book.past)
    : null;
  const { answer, isBusy, fault, askAgain } = useLatest(request, createHeatClient);
  const readiness = answer?.output;
  const saveKitchen = (fields: Partial<Kitchen>) =>
    edit([{ kind: "kitchen", id: book.kitchen.id, record: { ...book.kitchen, ...fields } }]);
  const saveDough = (fields: Partial<Dough>) =>
    edit([{ kind: "formula", id: dough.id, record: { ...dough, ...fields } }]);
  return (
    <StationLayout
      label="Rest and temper"
      surface={
        <div className="flex flex-col gap-3">
          <h2 className="flex flex-wrap items-baseline gap-x-3 text-2xl">
            {dough.name}
            <span className="quiet text-base">
              {shapeNames[shape]} of {formatMass(massG)}, wrapped
            </span>
            <span className="quiet ml-auto text-base" role="status">
              {isBusy ? "reckoning…" : ""}
            </span>
          </h2>
          <WorkerFault fault={fault} onRetry={askAgain} />
          {readiness && (
            <>
              <Figures readiness={readiness} where={where} setWhere={setWhere} />
              <Curve readiness={readiness} where={where} dough={dough} />
              <Advice readiness={readiness} dough={dough} />
            </>
          )}
        </div>
      }
      side={
        <>
          <Choice<DividedShape>
            legend="Shaped as"
            value={shape}
            onChange={setShape}
            options={toOptions(shapeNames).map(({ id, name }) => ({ id, title: name }))}
          />
          <Dial
            limit={{ ...weighingLimits.mixG, label: "One piece" }}
            value={massG}
            sliderMax={1500}
            onChange={setMassG}
          />
          <Dial limit={pieceLimits.thicknessMm} value={sheetMm} sliderMax={8} onChange={setSheetMm} />
          <Dial
            limit={kitchenLimits.mixedC}
            value={book.kitchen.mixedC}
            onChange={(mixedC) => saveKitchen({ mixedC })}
          />
          <Dial
            limit={kitchenLimits.roomC}
            value={book.kitchen.roomC}
            sliderMax={35}
            onChange={(roomC) => saveKitchen({ roomC })}
          />
          <Dial
            limit={kitchenLimits.fridgeC}
            value={book.kitchen.fridgeC}
            onChange={(fridgeC) => saveKitchen({ fridgeC })}
          />
          <Dial
            limit={{ ...formulaLimits.windowHighC, min: dough.window.lowC + 1 }}
            value={dough.window.highC}
            onChange={(highC) => saveDough({ window: { ...dough.window, highC } })}
          />
          <p className="quiet text-sm">
            The plan takes the rest of this dough from: <strong>{restNames[dough.restWay]}</strong>, now{" "}
            {formatDuration(day?.rest?.minutes ?? dough.restMin)}.{" "}
            <Link className="why-link" href={`/day/${date}/formula/${dough.id}`}>
              Change it
            </Link>
          </p>
        </>
      }
    />
  );
}

const minutes = (value: number | null, never: string) => (value === null ? never : formatDuration(value));

function Figures({
  readiness,
  where,
  setWhere,
}: {
  readonly readiness: Readiness;
  readonly where: Where;
  readonly setWhere: (where: Where) => void;
}) {
  const cards: readonly { id: Where; title: string; figure: string; note: string }[] = [
    {
      id: "fridge",
      title: "in the fridge",
      figure: minutes(readiness.fridge.coreReadyMin, "never"),
      note: "until its core can be rolled",
    },
    {
      id: "freezer",
      title: "in the freezer, turned",
      figure: minutes(readiness.freezer.coreReadyMin, "never"),
      note: `outside too hard from ${minutes(readiness.freezer.outsideTooColdMin, "never")}`,
    },
    {
      id: "bench",
      title: "fridge-cold on the bench",
      figure: minutes(readiness.temperMin, "never"),
      note: `to temper; too warm after ${minutes(readiness.benchLimitMin, "never")}`,
    },
  ];
  return (
    <div role="group" aria-label="Place" className="grid gap-2 sm:grid-cols-3">
      {cards.map(({ id, title, figure, note }) => (
        <button
          key={id}
          type="button"
          aria-pressed={id === where}
          className="flex cursor-pointer flex-col rounded-xl border-2 border-base-300 bg-base-100 px-4 py-2 text-left aria-pressed:border-primary"
          onClick={() => setWhere(id)}
        >
          <span className="quiet text-sm">{title}</span>
          <span className="figure text-4xl">{figure}</span>
          <span className="quiet text-sm">{note}</span>
        </button>
      ))}
    </div>
  );
}

function Curve({
  readiness,
  where,
  dough,
}: {
  readonly readiness: Readiness;
  readonly where: Where;
  readonly dough: Dough;
}) {
  const moments = where === "bench" ? readiness.bench : readiness[where].moments;
  const markMin = where === "bench" ? readiness.temperMin : readiness[where].coreReadyMin;
  const mark =
    markMin !== null && markMin > 0
      ? {
          atMin: markMin,
          label: `${Math.round(markMin)} min: ${where === "bench" ? "ready to roll" : "core ready"}`,
        }
      : null;
  const label = `Temperature of core and outside ${where === "bench" ? "on the bench" : `in the ${where}`}, window ${dough.window.lowC} to ${dough.window.highC} °C${mark ? `, ${mark.label}` : ""}`;
  return <TemperatureChart moments={moments} window={dough.window} mark={mark} label={label} />;
}

function Advice({ readiness, dough }: { readonly readiness: Readiness; readonly dough: Dough }) {
  const { sheetLimitMin } = readiness;
  const shortCut = findShortCut(readiness);
  return (
    <ul className="flex list-disc flex-col gap-1 pl-5">
      <li>
        Rolled out from the middle of its window, a sheet is good for{" "}
        <strong className="figure">{minutes(sheetLimitMin, "as long as you like")}</strong>: roll, cut, and
        back to the cold.
      </li>
      {shortCut && (
        <li>
          Short-cut: {formatDuration(shortCut.minutes)} in the freezer, turned at{" "}
          {formatDuration(shortCut.turnAtMin)}
          {shortCut.evensOut
            ? "; the outside is then below the window, so leave it a few minutes to even out."
            : "."}
        </li>
      )}
      <li>
        Below {dough.window.lowC} °C it cracks: press it with the pin first. Above {dough.window.highC} °C it
        smears: back to the cold.
      </li>
    </ul>
  );
}
