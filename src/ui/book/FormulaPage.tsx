"use client";

import { Trash2 } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState, type FormEvent } from "react";
import { computeTotalG, type Dough, type Filling, type Formula } from "@/core/formula";
import { formatMass } from "@/core/units";
import { formulaLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { createId } from "../bench/createId";
import { checkName, parseGrams } from "../controls/checks";
import { Dial } from "../controls/Dial";
import { StationLayout } from "../controls/StationLayout";
import { TextField } from "../controls/TextField";

/** One dough or filling: its lines, and how it behaves. */
export function FormulaPage({ formulaId }: { readonly formulaId: string }) {
  const formula = useBench((state) => state.book.formulas.find(({ id }) => id === formulaId));
  const { edit, date, book } = useBench((state) => state);
  const router = useRouter();
  if (!formula) {
    return (
      <p className="p-6">
        This formula is not in the book any more.{" "}
        <Link className="why-link" href={`/day/${date}/book`}>
          Back to the book
        </Link>
      </p>
    );
  }
  const save = (next: Formula) => edit([{ kind: "formula", id: next.id, record: next }]);
  const users = book.pieces.filter(
    ({ doughId, fillingId }) => doughId === formula.id || fillingId === formula.id,
  );
  const remove = () => {
    edit([{ kind: "formula", id: formula.id, record: null }]);
    router.push(`/day/${date}/book`);
  };
  return (
    <StationLayout
      label={formula.name}
      surface={<Lines formula={formula} save={save} />}
      side={
        <>
          <TextField
            label="Name"
            value={formula.name}
            check={checkName}
            onCommit={(name) => save({ ...formula, name })}
          />
          <Dial
            limit={formulaLimits.densityGPerMl}
            value={formula.densityGPerMl}
            sliderMin={0.8}
            sliderMax={1.5}
            onChange={(densityGPerMl) => save({ ...formula, densityGPerMl })}
          />
          {formula.kind === "dough" ? (
            <DoughDials dough={formula} save={save} />
          ) : (
            <FillingDials filling={formula} save={save} />
          )}
          <button type="button" className="btn touch text-error" disabled={users.length > 0} onClick={remove}>
            Remove this formula
          </button>
          {users.length > 0 && (
            <p className="quiet text-sm">Used by {users.map(({ name }) => name).join(", ")}.</p>
          )}
        </>
      }
    />
  );
}

interface LinesProps {
  readonly formula: Formula;
  readonly save: (formula: Formula) => void;
}

function Lines({ formula, save }: LinesProps) {
  const { lines } = formula;
  const setLine = (id: string, fields: Partial<Formula["lines"][number]>) =>
    save({ ...formula, lines: lines.map((line) => (line.id === id ? { ...line, ...fields } : line)) });
  return (
    <div className="mx-auto flex max-w-3xl flex-col gap-3">
      <h2 className="flex items-baseline gap-3 text-2xl">
        {formula.name}
        <span className="figure ml-auto text-3xl">{formatMass(computeTotalG(formula))}</span>
      </h2>
      {lines.length === 0 && (
        <p className="quiet">
          What goes in? Write each ingredient with its weight: 500 g, 8 oz, 1½ lb, 0,25 kg.
        </p>
      )}
      <ul className="flex flex-col gap-1.5">
        {lines.map((line) => (
          <li key={line.id} className="grid grid-cols-[7.5rem_minmax(0,1fr)_5rem_auto] items-start gap-2">
            <TextField
              hideLabel
              label={`Amount of ${line.name}`}
              className="figure"
              value={line.amountText}
              check={checkAmount}
              onCommit={(amountText) => {
                const grams = parseGrams(amountText);
                if ("massG" in grams) setLine(line.id, { amountText, massG: grams.massG });
              }}
            />
            <TextField
              hideLabel
              label={`Name of ${line.name}`}
              value={line.name}
              check={checkName}
              onCommit={(name) => setLine(line.id, { name })}
            />
            <span className="figure quiet pt-2 text-right">{formatMass(line.massG)}</span>
            <button
              type="button"
              className="btn btn-ghost touch px-2"
              aria-label={`Take out ${line.name}`}
              onClick={() => save({ ...formula, lines: lines.filter(({ id }) => id !== line.id) })}
            >
              <Trash2 size={20} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <NewLine onAdd={(line) => save({ ...formula, lines: [...lines, line] })} />
    </div>
  );
}

function checkAmount(text: string): string | null {
  const grams = parseGrams(text);
  return "fault" in grams ? grams.fault : null;
}

function NewLine({ onAdd }: { readonly onAdd: (line: Formula["lines"][number]) => void }) {
  const [amount, setAmount] = useState("");
  const [name, setName] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const add = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const grams = parseGrams(amount);
    const problem = "fault" in grams ? grams.fault : checkName(name);
    setFault(problem);
    if (problem || "fault" in grams) return;
    onAdd({ id: createId("line"), name: name.trim(), amountText: amount.trim(), massG: grams.massG });
    setAmount("");
    setName("");
    event.currentTarget.querySelector("input")?.focus();
  };
  return (
    <form onSubmit={add} className="flex flex-col gap-1">
      <div className="grid grid-cols-[7.5rem_minmax(0,1fr)_auto] gap-2">
        <input
          className="input figure w-full"
          aria-label="Amount of the new ingredient"
          placeholder="250 g"
          value={amount}
          onChange={(event) => setAmount(event.target.value)}
        />
        <input
          className="input w-full"
          aria-label="Name of the new ingredient"
          placeholder="flour"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <button className="btn btn-primary touch">Add</button>
      </div>
      {fault && (
        <p className="text-sm text-error" role="alert">
          {fault}
        </p>
      )}
    </form>
  );
}

function DoughDials({ dough, save }: { readonly dough: Dough; readonly save: (formula: Formula) => void }) {
  return (
    <>
      <Dial
        limit={formulaLimits.restMin}
        value={dough.restMin}
        sliderMax={240}
        onChange={(restMin) => save({ ...dough, restMin })}
      />
      <Dial
        limit={formulaLimits.springBackShare}
        value={dough.springBackShare}
        sliderMax={0.15}
        hint="how much a blank shrinks after cutting"
        onChange={(springBackShare) => save({ ...dough, springBackShare })}
      />
      <Dial
        limit={formulaLimits.rerollLimit}
        value={dough.rerollLimit}
        onChange={(rerollLimit) => save({ ...dough, rerollLimit })}
      />
      <Dial
        limit={formulaLimits.rerollLossShare}
        value={dough.rerollLossShare}
        sliderMax={0.15}
        onChange={(rerollLossShare) => save({ ...dough, rerollLossShare })}
      />
      <Dial
        limit={formulaLimits.rerollRestMin}
        value={dough.rerollRestMin}
        sliderMax={120}
        onChange={(rerollRestMin) => save({ ...dough, rerollRestMin })}
      />
      <Dial
        limit={formulaLimits.benchLimitMin}
        value={dough.benchLimitMin}
        sliderMax={180}
        onChange={(benchLimitMin) => save({ ...dough, benchLimitMin })}
      />
      <Dial
        limit={formulaLimits.mixMin}
        value={dough.mixMin}
        sliderMax={60}
        onChange={(mixMin) => save({ ...dough, mixMin })}
      />
    </>
  );
}

function FillingDials({
  filling,
  save,
}: {
  readonly filling: Filling;
  readonly save: (formula: Formula) => void;
}) {
  return (
    <>
      <Dial
        limit={formulaLimits.makingLossShare}
        value={filling.makingLossShare}
        sliderMax={0.5}
        hint="boils away or stays in the pan"
        onChange={(makingLossShare) => save({ ...filling, makingLossShare })}
      />
      <Dial
        limit={formulaLimits.coolMin}
        value={filling.coolMin}
        sliderMax={240}
        hint="it meets the dough cold"
        onChange={(coolMin) => save({ ...filling, coolMin })}
      />
      <Dial
        limit={formulaLimits.mixMin}
        value={filling.mixMin}
        sliderMax={60}
        onChange={(mixMin) => save({ ...filling, mixMin })}
      />
    </>
  );
}
