"use client";

import { Trash2 } from "lucide-react";
import { useMemo, useState, type FormEvent } from "react";
import {
  analyseFormula,
  computeTargetG,
  computeTotalG,
  weighAmount,
  type Formula,
  type FormulaAnalysis,
  type KitchenRule,
} from "@/core/formula";
import { formatMass, formatNumber } from "@/core/units";
import { fail } from "@/core/result";
import { sayFailure } from "@/core/words";
import { describeLimitFault } from "@/schemas/checkValue";
import { formulaLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { createId } from "../bench/createId";
import { useMoney } from "../bench/useMoney";
import { useKitchenRule } from "../bench/useKitchenRule";
import { checkName } from "../controls/checks";
import { TextField } from "../controls/TextField";

type Line = Formula["lines"][number];

export interface FormulaEditProps {
  readonly formula: Formula;
  readonly save: (formula: Formula) => void;
}

/** What a line weighs, or why that cannot be known. */
function weigh(amountText: string, name: string, ingredientId: string | null, rule: KitchenRule) {
  const weighed = weighAmount(amountText, name, ingredientId, rule);
  if (!weighed.ok) return fail(sayFailure(weighed.failure));
  const { massG, mostG } = weighed.value;
  const fault = describeLimitFault(mostG ?? massG, formulaLimits.lineMassG);
  return fault ? fail(fault) : weighed;
}

const COLUMNS =
  "grid-cols-[6.5rem_minmax(0,1fr)_4.6rem_auto] sm:grid-cols-[8.5rem_minmax(0,1fr)_6.5rem_4rem_auto]";

/** The lines of a formula as they were written, with their grams and baker's percentages. */
export function FormulaLines({ formula, save }: FormulaEditProps) {
  const rule = useKitchenRule();
  // Of the formula as it stands now: the plan of a day that is over knows the one of then.
  const aim = useBench((state) => state.plan.liquidAims[formula.id]) ?? null;
  const aimG = aim?.massG ?? null;
  const analysis = useMemo(() => analyseFormula(formula, rule.ingredients, aimG), [formula, rule, aimG]);
  const { lines } = formula;
  const setLine = (line: Line) =>
    save({ ...formula, lines: lines.map((each) => (each.id === line.id ? line : each)) });
  return (
    <div className="mx-auto flex w-full max-w-4xl flex-col gap-3">
      <h2 className="flex items-baseline gap-3 text-2xl">
        {formula.name}
        <span className="figure ml-auto text-3xl">{formatMass(computeTotalG(formula, aimG))}</span>
      </h2>
      {lines.length === 0 && (
        <p className="quiet">
          What goes in? Write each ingredient as you have it: 500 g, 1½ cups, 8 oz, 2 eggs, 6–8 tbsp.
        </p>
      )}
      <ul className="flex flex-col gap-1.5">
        {lines.map((line) => (
          <li key={line.id} className={`grid items-start gap-2 ${COLUMNS}`}>
            <TextField
              hideLabel
              label={`Amount of ${line.name}`}
              className="figure"
              value={line.amountText}
              check={(text) => {
                const weighed = weigh(text, line.name, line.ingredientId, rule);
                return weighed.ok ? null : weighed.failure;
              }}
              onCommit={(amountText) => {
                const weighed = weigh(amountText, line.name, line.ingredientId, rule);
                if (weighed.ok) setLine({ ...line, amountText, ...weighed.value });
              }}
            />
            <TextField
              hideLabel
              label={`Name of ${line.name}`}
              value={line.name}
              check={checkName}
              onCommit={(name) => {
                const weighed = weigh(line.amountText, name, null, rule);
                // A name the book does not know keeps the grams it had.
                setLine(
                  weighed.ok ? { ...line, name, ...weighed.value } : { ...line, name, ingredientId: null },
                );
              }}
            />
            <span className="figure pt-2 text-right">
              {formatMass(computeTargetG(formula, line, aimG))}
              {line.mostG !== null && (
                <span className="quiet block text-xs">
                  {aim === null
                    ? `${formatNumber(line.massG)}–${formatMass(line.mostG)}`
                    : aim.lots === 1
                      ? "as last time"
                      : aim.lots === 0
                        ? "as you set it"
                        : `as ${aim.lots} lots took`}
                </span>
              )}
            </span>
            <span className="figure quiet hidden pt-2 text-right sm:block">
              {analysis.bakersPercent ? `${formatNumber(analysis.bakersPercent[line.id] ?? 0, 1)} %` : ""}
            </span>
            <button
              type="button"
              className="btn btn-ghost touch px-2"
              aria-label={`Remove ${line.name}`}
              onClick={() => save({ ...formula, lines: lines.filter(({ id }) => id !== line.id) })}
            >
              <Trash2 size={20} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <NewLine rule={rule} onAdd={(line) => save({ ...formula, lines: [...lines, line] })} />
      {lines.length > 0 && <Facts analysis={analysis} />}
    </div>
  );
}

function NewLine({ rule, onAdd }: { readonly rule: KitchenRule; readonly onAdd: (line: Line) => void }) {
  const [amount, setAmount] = useState("");
  const [name, setName] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const add = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const problem = amount.trim() === "" ? "Enter an amount." : checkName(name);
    const weighed = weigh(amount, name, null, rule);
    setFault(problem ?? (weighed.ok ? null : weighed.failure));
    if (problem || !weighed.ok) return;
    onAdd({ id: createId("line"), name: name.trim(), amountText: amount.trim(), ...weighed.value });
    setAmount("");
    setName("");
    event.currentTarget.querySelector("input")?.focus();
  };
  return (
    <form onSubmit={add} className="flex flex-col gap-1">
      <div className="grid grid-cols-[6.5rem_minmax(0,1fr)_auto] gap-2 sm:grid-cols-[8.5rem_minmax(0,1fr)_auto]">
        <input
          className="input figure w-full"
          aria-label="Amount of the new ingredient"
          placeholder="1½ cups"
          value={amount}
          onChange={(event) => setAmount(event.target.value)}
        />
        <input
          className="input w-full"
          aria-label="Name of the new ingredient"
          placeholder="plain flour"
          list="ingredient-names"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <button className="btn btn-primary touch">Add</button>
      </div>
      <datalist id="ingredient-names">
        {rule.ingredients.map((ingredient) => (
          <option key={ingredient.id} value={ingredient.name} />
        ))}
      </datalist>
      {fault && (
        <p className="text-sm text-error" role="alert">
          {fault}
        </p>
      )}
    </form>
  );
}

/** Allergens, cost and what the book could not answer for. */
function Facts({ analysis }: { readonly analysis: FormulaAnalysis }) {
  const { allergens, costMinor, unknownAllergens, unpricedLines, composition } = analysis;
  const money = useMoney();
  const percent = (share: number) => `${formatNumber(share * 100)} %`;
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 border-t border-base-300 pt-3">
      <dt className="quiet">Allergens</dt>
      <dd>
        <strong>
          {allergens.join(", ") || (unknownAllergens.length > 0 ? "" : "none of those that must be named")}
        </strong>
        {unknownAllergens.length > 0 && (
          <span className="text-error">
            {allergens.length > 0 && " · "}
            not known of {unknownAllergens.join(", ")}: name it in the ingredient book
          </span>
        )}
        <span className="quiet"> · shared oil, brushes and benches carry more; your local law decides</span>
      </dd>
      <dt className="quiet">Cost</dt>
      <dd>
        <strong className="figure">{money(costMinor)}</strong> as written
        {unpricedLines.length > 0 && (
          <span className="quiet"> · no price for {unpricedLines.join(", ")}</span>
        )}
      </dd>
      <dt className="quiet">Made of</dt>
      <dd>
        water {percent(composition.waterShare)}, fat {percent(composition.fatShare)}, sugar{" "}
        {percent(composition.sugarShare)}, starch {percent(composition.starchShare)}
      </dd>
    </dl>
  );
}
