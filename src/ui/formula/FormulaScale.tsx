"use client";

import { useState } from "react";
import { computeTotalG, computeYieldShare, isEgg, scaleBy, type Formula, type ScaleBy } from "@/core/formula";
import { formatCount, formatMass, formatNumber, formatScale, parseMass, parseNumber } from "@/core/units";
import { sayFailure } from "@/core/words";
import { useBench } from "../bench/BenchProvider";
import { useKitchenRule } from "../bench/useKitchenRule";
import { useWeighing } from "../mix/useWeighing";

type By = ScaleBy["by"];
const titles: Record<By, string> = {
  mass: "Mass wanted",
  pieces: "Pieces",
  ingredient: "What I have of one thing",
  wholeEggs: "Whole eggs",
};

/** The formula scaled by what matters today. */
export function FormulaScale({ formula }: { readonly formula: Formula }) {
  const pieces = useBench((state) => state.book.pieces);
  const shaped = useBench((state) => state.plan.shaped);
  const date = useBench((state) => state.date);
  const { eggSize } = useKitchenRule();
  const { weighing, setWeighing } = useWeighing(formula.id);
  const [by, setBy] = useState<By>("mass");
  const [lineId, setLineId] = useState(formula.lines[0]?.id ?? "");
  const user = pieces.find(({ doughId, fillingId }) => doughId === formula.id || fillingId === formula.id);
  const perPieceG = user
    ? formula.kind === "dough"
      ? (shaped[user.id]?.masses.blankG ?? 0)
      : (shaped[user.id]?.portion.massG ?? 0)
    : 0;
  const aimG = useBench((state) => state.plan.liquidAims[formula.id]?.massG ?? null);
  const writtenG = computeTotalG(formula, aimG) * computeYieldShare(formula);
  const [typed, setTyped] = useState<Record<By, string>>({
    mass: formatScale(writtenG),
    pieces: "24",
    ingredient: formatScale(EXAMPLE_G),
    wholeEggs: formatScale(writtenG),
  });
  const target = readTarget(by, typed[by], lineId, perPieceG);
  const scaled = "fault" in target ? null : scaleBy(formula, target.by, eggSize, aimG);
  const fault = "fault" in target ? target.fault : scaled?.ok === false ? sayFailure(scaled.failure) : null;
  const hasEggs = formula.lines.some(({ ingredientId }) => isEgg(ingredientId));
  const choices = (Object.keys(titles) as By[]).filter(
    (each) => (each !== "wholeEggs" || hasEggs) && (each !== "pieces" || perPieceG > 0),
  );
  return (
    <div className="mx-auto flex w-full max-w-4xl flex-col gap-3">
      <h2 className="text-2xl">{formula.name}, scaled by</h2>
      <div role="group" aria-label="Scaled by" className="flex flex-wrap gap-1.5">
        {choices.map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={each === by}
            className="touch cursor-pointer rounded-lg border-2 border-base-300 px-3 aria-pressed:border-primary aria-pressed:font-bold"
            onClick={() => setBy(each)}
          >
            {titles[each]}
          </button>
        ))}
      </div>
      <div className="flex flex-wrap items-end gap-3">
        {by === "ingredient" && (
          <label className="flex flex-col gap-0.5">
            Of
            <select className="select" value={lineId} onChange={(event) => setLineId(event.target.value)}>
              {formula.lines.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        <label className="flex flex-col gap-0.5">
          {by === "pieces" ? `Pieces of ${user?.name ?? ""}, ${formatMass(perPieceG)} each` : "Amount"}
          <input
            className="input figure w-40 text-xl"
            value={typed[by]}
            onChange={(event) => setTyped({ ...typed, [by]: event.target.value })}
          />
        </label>
      </div>
      {fault && (
        <p className="text-error" role="alert">
          {fault}
        </p>
      )}
      {scaled?.ok && (
        <>
          {scaled.value.change && <p className="font-bold">{scaled.value.change}</p>}
          <p className="quiet">
            {formatNumber(scaled.value.batch.scale, 3)} × the formula · weighs{" "}
            {formatMass(scaled.value.batch.weighedG)}
            {scaled.value.batch.weighedG - scaled.value.batch.usableG > 0.5 &&
              `, gives ${formatMass(scaled.value.batch.usableG)}`}
            {perPieceG > 0 &&
              ` · enough for ${formatCount(Math.floor(scaled.value.batch.usableG / perPieceG + 1e-9), "piece")} of ${user?.name ?? ""}, trim not counted`}
          </p>
          <table>
            <caption className="sr-only">Scaled lines</caption>
            <tbody>
              {scaled.value.batch.lines.map(({ lineId: id, name, massG, range }) => (
                <tr key={id} className="border-t border-base-300">
                  <th scope="row" className="py-1.5 text-left font-normal">
                    {name}
                  </th>
                  <td className="quiet text-right text-sm">
                    {range && `${formatMass(range.leastG)} to ${formatMass(range.mostG)}`}
                  </td>
                  <td className="figure text-right text-xl">{formatMass(massG)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <div className="flex flex-wrap gap-2">
            <button
              type="button"
              className="btn btn-primary touch"
              onClick={() => setWeighing({ mixG: Number(scaled.value.batch.usableG.toFixed(1)) })}
            >
              Mix this much on {date}
            </button>
            {weighing.mixG !== null && (
              <button type="button" className="btn touch" onClick={() => setWeighing({ mixG: null })}>
                Follow the plan again, not {formatMass(weighing.mixG)}
              </button>
            )}
          </div>
        </>
      )}
    </div>
  );
}

/** What a formula is scaled to, g: a spoonful for a test, and what no mixer of a small bakery holds. */
const LEAST_G = 1;
const MOST_G = 1_000_000;
/** A bag that is begun, to begin with, g. */
const EXAMPLE_G = 500;

function readTarget(
  by: By,
  text: string,
  lineId: string,
  perPieceG: number,
): { readonly by: ScaleBy } | { readonly fault: string } {
  if (by === "pieces") {
    const pieces = parseNumber(text);
    if (!pieces.ok) return { fault: sayFailure(pieces.failure) };
    if (!Number.isInteger(pieces.value) || pieces.value < 1 || pieces.value > 10_000)
      return { fault: `“${text}” pieces cannot be made: use a whole number from 1 to 10000.` };
    return { by: { by, pieces: pieces.value, perPieceG } };
  }
  const amount = parseMass(text);
  if (!amount.ok) return { fault: sayFailure(amount.failure) };
  const massG = amount.value;
  if (!(massG >= LEAST_G && massG <= MOST_G))
    return { fault: `Use ${formatMass(LEAST_G)} to ${formatMass(MOST_G)}.` };
  return by === "ingredient" ? { by: { by, lineId, massG } } : { by: { by, usableG: massG } };
}
