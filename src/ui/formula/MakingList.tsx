"use client";

import { ArrowDown, ArrowUp, Trash2 } from "lucide-react";
import { useState } from "react";
import {
  checkMaking,
  createMakingStep,
  factsOfMaking,
  makingKinds,
  MOST_MAKING_STEPS,
  nameMakingStep,
  readMaking,
  type Filling,
  type Making,
  type MakingKind,
  type MakingStep,
} from "@/core/formula";
import { formatDuration } from "@/core/units";
import { sayFailure } from "@/core/words";
import { formulaLimits, MAX_NAME_CHARACTERS } from "@/schemas/limits";
import { createId } from "../bench/createId";
import { Dial } from "../controls/Dial";
import { Select } from "../controls/Select";
import { TextField } from "../controls/TextField";

interface Props {
  readonly filling: Filling;
  readonly save: (filling: Filling) => void;
}

/** How a filling is made on the clock: each step a job of the day, or a wait; an order that cannot be is refused. */
export function MakingList({ filling, save }: Props) {
  const { making } = filling;
  const [fault, setFault] = useState<string | null>(null);
  const change = (next: Making) => {
    const [found] = checkMaking(next);
    setFault(found ? sayFailure(found) : null);
    if (!found) save({ ...filling, making: next });
  };
  const move = (from: number, to: number) => {
    const step = making[from];
    if (step && to >= 0 && to < making.length) change(making.toSpliced(from, 1).toSpliced(to, 0, step));
  };
  const isFull = making.length >= MOST_MAKING_STEPS;
  return (
    <section aria-label="On the clock" className="flex flex-col gap-2">
      <h3 className="text-lg">On the clock</h3>
      <p className="quiet">{describeTotal(making)}</p>
      {fault && (
        <p role="alert" className="rounded-lg border-2 border-error p-2.5">
          {fault}
        </p>
      )}
      <ol className="flex flex-col gap-2">
        {making.map((step, i) => (
          <MakingRow
            key={step.id}
            step={step}
            isFirst={i === 0}
            isLast={i === making.length - 1}
            onChange={(fields) => change(making.with(i, { ...step, ...fields }))}
            onMove={(by) => move(i, i + by)}
            onRemove={() => change(making.toSpliced(i, 1))}
          />
        ))}
      </ol>
      {!isFull && (
        <Select
          label="Another step"
          value=""
          options={[
            { id: "", name: "choose what is done" },
            ...makingKinds
              .filter((kind) => kind !== "make")
              .map((kind) => ({ id: kind, name: factsOfMaking(kind).name })),
          ]}
          onChange={(kind) => kind !== "" && change(insertStep(making, kind))}
        />
      )}
    </section>
  );
}

interface RowProps {
  readonly step: MakingStep;
  readonly isFirst: boolean;
  readonly isLast: boolean;
  readonly onChange: (fields: Partial<MakingStep>) => void;
  readonly onMove: (by: -1 | 1) => void;
  readonly onRemove: () => void;
}

function MakingRow({ step, isFirst, isLast, onChange, onMove, onRemove }: RowProps) {
  const { hasHands, lookFor, stage } = factsOfMaking(step.kind);
  const named = nameMakingStep(step);
  return (
    <li className="rounded-xl border border-base-300 bg-base-100 p-3" aria-label={named}>
      <div className="flex items-start gap-2">
        <div className="min-w-0 flex-1">
          <p className="figure text-xl">{named}</p>
          <p className="quiet text-sm">
            {stage === "use" ? "for each lot, just before it goes in; " : ""}
            {lookFor}
          </p>
        </div>
        <button
          type="button"
          className="btn btn-ghost touch px-2"
          aria-label={`${named} earlier`}
          disabled={isFirst}
          onClick={() => onMove(-1)}
        >
          <ArrowUp size={20} aria-hidden />
        </button>
        <button
          type="button"
          className="btn btn-ghost touch px-2"
          aria-label={`${named} later`}
          disabled={isLast}
          onClick={() => onMove(1)}
        >
          <ArrowDown size={20} aria-hidden />
        </button>
        <button
          type="button"
          className="btn btn-ghost touch px-2"
          aria-label={`Remove ${named.toLowerCase()}`}
          disabled={step.kind === "make"}
          onClick={onRemove}
        >
          <Trash2 size={20} aria-hidden />
        </button>
      </div>
      <div className="mt-1 grid gap-x-4 sm:grid-cols-2">
        {step.kind === "cookPart" && (
          <TextField
            label="What"
            value={step.name}
            check={checkPartName}
            onCommit={(name) => onChange({ name })}
          />
        )}
        {hasHands && (
          <Dial
            limit={formulaLimits.makingHandsMin}
            value={step.handsMin}
            sliderMax={45}
            onChange={(handsMin) => onChange({ handsMin })}
          />
        )}
        {(!hasHands || step.kind === "cookPart" || step.kind === "cook" || step.kind === "warm") && (
          <Dial
            limit={{
              ...formulaLimits.makingMin,
              label: stage === "hot" ? "Stays hot at most" : formulaLimits.makingMin.label,
            }}
            value={step.minutes}
            sliderMax={120}
            onChange={(minutes) => onChange({ minutes })}
          />
        )}
      </div>
    </li>
  );
}

const checkPartName = (text: string): string | null => {
  const over = text.trim().length - MAX_NAME_CHARACTERS;
  return over > 0 ? `${over} characters too long.` : null;
};

/** Where a step of its kind usually stands: parts first, what is done for each lot last, all else after what there is. */
function insertStep(making: Making, kind: MakingKind): Making {
  const step = createMakingStep(createId("m"), kind);
  const { stage } = factsOfMaking(kind);
  const isUse = (each: MakingStep) => factsOfMaking(each.kind).stage === "use";
  const firstUse = making.findIndex(isUse);
  const at =
    stage === "apart" ? making.findIndex((each) => each.kind === "make") : stage === "use" ? -1 : firstUse;
  return at < 0 ? [...making, step] : making.toSpliced(at, 0, step);
}

/** `18 min of hands; ready 45 min after; 4 min more for each lot`. */
function describeTotal(making: Making): string {
  const { jobs, readyMin, use } = readMaking(making);
  const sum = (steps: readonly MakingStep[]) => steps.reduce((total, { handsMin }) => total + handsMin, 0);
  const hands = jobs.reduce((total, { handsMin }) => total + handsMin, 0);
  return [
    `${formatDuration(hands)} of hands`,
    readyMin > 0 ? `ready ${formatDuration(readyMin)} after the last of them` : "",
    use.length > 0 ? `${formatDuration(sum(use))} more for each lot` : "",
  ]
    .filter(Boolean)
    .join("; ");
}
