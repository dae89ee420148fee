"use client";

import { ArrowDown, ArrowUp, ShieldAlert, Trash2 } from "lucide-react";
import { tellStep, type Piece, type PiecePlan } from "@/core/plan";
import { formatNumber } from "@/core/units";
import { factsOf, isFilling, isHeat, setStep, type StepThing, type WayStep } from "@/core/way";
import { MAX_NOTE_CHARACTERS, pieceLimits, stepLimits } from "@/schemas/limits";
import { useBench, usePicked } from "../bench/BenchProvider";
import { Link } from "../controls/Link";
import { checkName } from "../controls/checks";
import { Dial } from "../controls/Dial";
import { Select } from "../controls/Select";
import { TextField } from "../controls/TextField";
import { HeatDial } from "../piece/HeatDial";

interface Props {
  readonly step: WayStep;
  readonly piece: Piece;
  readonly line: PiecePlan | null;
  /** Its place among the steps, from 0. */
  readonly at: number;
  /** Takes a change; false if it cannot be. */
  readonly onTake: (fields: Partial<Piece>) => boolean;
  readonly onMove: (to: number) => void;
  readonly onRemove: () => void;
}

/** One step with everything that can be said of it. */
export function StepPanel({ step, piece, line, at, onTake, onMove, onRemove }: Props) {
  const { book, date } = usePicked("book", "date");
  const shaped = useBench((state) => state.plan.shaped[piece.id]) ?? null;
  const told = tellStep(step, piece, line?.shaped ?? shaped, line, book);
  const { pass, per, lookFor } = factsOf(step.kind);
  const set = (figures: Partial<Omit<WayStep, "id">>) =>
    onTake({ way: setStep(piece.way, step.id, figures) });
  const isHands = pass === "hands" || pass === "door" || pass === "side";
  const hasMinutes = pass !== "hands" || step.kind === "glaze";
  return (
    <>
      <header>
        <h2 className="text-2xl">{told.name}</h2>
        <p className="quiet">
          step {at + 1} of {piece.way.length}
          {isHands && `, once ${per === "load" ? "a load" : "a piece"}`}
        </p>
        {told.detail && <p className="figure text-lg">{told.detail}</p>}
      </header>
      {isFilling(step) && piece.extras.length > 0 && (
        <FillingChoice step={step} piece={piece} onChange={set} />
      )}
      {(isHeat(step) || step.kind === "warmUp") && (
        <HeatDial
          label={step.kind === "fry" ? "Oil" : pieceLimits.ovenC.label}
          ovenC={step.heatC ?? pieceLimits.ovenC.min}
          hint={undefined}
          onChange={(heatC) => set({ heatC })}
        />
      )}
      {hasMinutes &&
        pass !== "door" &&
        step.kind !== "roll" &&
        step.kind !== "cut" &&
        step.kind !== "portion" && (
          <Dial
            limit={
              isHeat(step)
                ? pieceLimits.bakeMin
                : step.kind === "glaze"
                  ? pieceLimits.glazeDryMin
                  : stepLimits.minutes
            }
            value={step.minutes}
            sliderMax={step.kind === "keep" ? 5760 : 90}
            onChange={(minutes) => set({ minutes })}
          />
        )}
      {isHands && <HandsDial step={step} line={line} onChange={(handsS) => set({ handsS })} />}
      {factsOf(step.kind).takes === "thing" && (
        <ThingFields step={step} onChange={(thing) => set({ thing })} />
      )}
      {(step.kind === "prepare" || step.kind === "laySlices") && (
        <TextField
          label="Called, to be bought"
          value={step.thing?.name ?? ""}
          check={checkName}
          onCommit={(name) => set({ thing: { name, count: 1, eachG: 1 } })}
        />
      )}
      {(pass === "hands" || pass === "heat") && (
        <WaitDial step={step} onChange={(mostWaitMin) => set({ mostWaitMin })} />
      )}
      <TextField
        label="Look for"
        value={step.note || lookFor}
        check={(text) =>
          text.length > MAX_NOTE_CHARACTERS
            ? `${text.length - MAX_NOTE_CHARACTERS} characters too long. Shorten it.`
            : null
        }
        onCommit={(note) => set({ note: note === lookFor ? "" : note })}
      />
      {told.caution && (
        <p className="flex gap-2 rounded-lg border border-base-300 border-l-4 border-l-accent p-2.5 text-sm">
          <ShieldAlert size={18} className="mt-0.5 shrink-0 text-accent" aria-hidden />
          {told.caution}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn touch" disabled={at === 0} onClick={() => onMove(at - 1)}>
          <ArrowUp size={18} aria-hidden /> Earlier
        </button>
        <button
          type="button"
          className="btn touch"
          disabled={at === piece.way.length - 1}
          onClick={() => onMove(at + 1)}
        >
          <ArrowDown size={18} aria-hidden /> Later
        </button>
        <button type="button" className="btn touch text-error" onClick={onRemove}>
          <Trash2 size={18} aria-hidden /> Remove
        </button>
      </div>
      <Link href={`/day/${date}/piece/${piece.id}`} className="why-link">
        ‹ {piece.name}
      </Link>
    </>
  );
}

/** All that nothing else takes. */
const REST = "the rest";

/** Which of the piece's fillings this step takes. */
function FillingChoice({
  step,
  piece,
  onChange,
}: {
  readonly step: WayStep;
  readonly piece: Piece;
  readonly onChange: (figures: Partial<WayStep>) => void;
}) {
  const formulas = useBench((state) => state.book.formulas);
  const ids = [
    piece.fillingId,
    ...piece.extras.flatMap((extra) =>
      "fillingId" in extra && extra.kind !== "sauce" ? [extra.fillingId] : [],
    ),
  ];
  return (
    <Select
      label="Takes"
      value={step.fillingId ?? REST}
      options={[
        { id: REST, name: "everything no other step takes" },
        ...[...new Set(ids)].map((id) => ({ id, name: formulas.find((each) => each.id === id)?.name ?? id })),
      ]}
      onChange={(id) => onChange({ fillingId: id === REST ? null : id })}
    />
  );
}

function HandsDial({
  step,
  line,
  onChange,
}: {
  readonly step: WayStep;
  readonly line: PiecePlan | null;
  readonly onChange: (handsS: number | null) => void;
}) {
  const shown =
    step.handsS ?? Math.round((line?.shaped.works.stepS[step.id] ?? factsOf(step.kind).handsS) * 10) / 10;
  return (
    <div>
      <Dial
        limit={{
          ...stepLimits.handsS,
          label: factsOf(step.kind).per === "load" ? "Hands, a load" : "Hands, each",
        }}
        value={shown}
        sliderMax={120}
        hint={
          step.handsS === null ? `${formatNumber(shown, 1)} s as the craft and your log reckon it` : undefined
        }
        onChange={onChange}
      />
      {step.handsS !== null && (
        <button type="button" className="why-link" onClick={() => onChange(null)}>
          let it be reckoned again
        </button>
      )}
    </div>
  );
}

/** Bakers say "at once" and mean some minutes, min. */
const AT_ONCE_MIN = 4;

function WaitDial({
  step,
  onChange,
}: {
  readonly step: WayStep;
  readonly onChange: (most: number | null) => void;
}) {
  return (
    <>
      <label className="touch flex items-center gap-2">
        <input
          type="checkbox"
          className="checkbox"
          checked={step.mostWaitMin !== null}
          onChange={(event) => onChange(event.target.checked ? AT_ONCE_MIN : null)}
        />
        May not wait after the step before
      </label>
      {step.mostWaitMin !== null && (
        <Dial limit={stepLimits.mostWaitMin} value={step.mostWaitMin} sliderMax={60} onChange={onChange} />
      )}
    </>
  );
}

const FIRST_THING: StepThing = { name: "nuts", count: 3, eachG: 1 };

/** Something whole that goes in or on: its name, how many, what one weighs. */
function ThingFields({
  step,
  onChange,
}: {
  readonly step: WayStep;
  readonly onChange: (thing: StepThing | null) => void;
}) {
  const { thing } = step;
  if (!thing)
    return (
      <button type="button" className="btn touch self-start" onClick={() => onChange(FIRST_THING)}>
        + something whole
      </button>
    );
  return (
    <>
      <TextField
        label="What"
        value={thing.name}
        check={checkName}
        onCommit={(name) => onChange({ ...thing, name })}
      />
      <Dial
        limit={stepLimits.count}
        value={thing.count}
        sliderMax={20}
        onChange={(count) => onChange({ ...thing, count })}
      />
      <Dial
        limit={stepLimits.eachG}
        value={thing.eachG}
        sliderMax={30}
        onChange={(eachG) => onChange({ ...thing, eachG })}
      />
    </>
  );
}
