"use client";

import { ovenKindFacts, ovenKinds } from "@/core/heat";
import { createOven, SHARED_HEAT_C, type Oven } from "@/core/plan";
import { ovenLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { checkName } from "../controls/checks";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { TextField } from "../controls/TextField";
import { createId } from "../bench/createId";

/** Another oven, of the trays of the first: its loads may then go into either. */
export function AddOven({ ovens }: { readonly ovens: readonly Oven[] }) {
  const edit = useBench((state) => state.edit);
  const [first] = ovens;
  const add = () => {
    const record = createOven(createId("oven"), first ?? null);
    edit([{ kind: "oven", id: record.id, record }]);
  };
  return (
    <button type="button" className="btn touch" onClick={add}>
      Another oven
    </button>
  );
}

export function OvenCard({ oven, canRemove }: { readonly oven: Oven; readonly canRemove: boolean }) {
  const edit = useBench((state) => state.edit);
  const save = (fields: Partial<Oven>) =>
    edit([{ kind: "oven", id: oven.id, record: { ...oven, ...fields } }]);
  return (
    <section aria-labelledby={`oven-${oven.id}`} className="flex flex-col gap-3">
      <h2 id={`oven-${oven.id}`} className="text-2xl">
        {oven.name}
      </h2>
      <TextField label="Name" value={oven.name} check={checkName} onCommit={(name) => save({ name })} />
      <Dial
        limit={ovenLimits.traysAtOnce}
        value={oven.traysAtOnce}
        sliderMax={12}
        hint={`over all decks or shelves; loads within ${SHARED_HEAT_C} °C of each other bake together`}
        onChange={(traysAtOnce) => save({ traysAtOnce })}
      />
      <Dial
        limit={ovenLimits.trayWidthMm}
        value={oven.trayWidthMm}
        sliderMax={800}
        onChange={(trayWidthMm) => save({ trayWidthMm })}
      />
      <Dial
        limit={ovenLimits.trayDepthMm}
        value={oven.trayDepthMm}
        sliderMax={800}
        onChange={(trayDepthMm) => save({ trayDepthMm })}
      />
      <Dial
        limit={ovenLimits.heatUpCPerMin}
        value={oven.heatUpCPerMin}
        sliderMax={30}
        onChange={(heatUpCPerMin) => save({ heatUpCPerMin })}
      />
      <Dial
        limit={ovenLimits.coolDownCPerMin}
        value={oven.coolDownCPerMin}
        sliderMax={15}
        onChange={(coolDownCPerMin) => save({ coolDownCPerMin })}
      />
      <Dial
        limit={ovenLimits.powerKw}
        value={oven.powerKw}
        sliderMax={12}
        hint={oven.powerKw === 0 ? "not told: what a piece’s heat takes is left out" : "what its plate says"}
        onChange={(powerKw) => save({ powerKw })}
      />
      <Dial limit={ovenLimits.maxC} value={oven.maxC} onChange={(maxC) => save({ maxC })} />
      <Choice
        legend={`${oven.name} is`}
        value={oven.kind}
        onChange={(kind) => save({ kind })}
        options={ovenKinds.map((id) => ({ id, title: ovenKindFacts[id].name }))}
      />
      <DeckDials oven={oven} onChange={(deckOffsetsC) => save({ deckOffsetsC })} />
      {canRemove && (
        <button
          type="button"
          className="btn touch text-error"
          onClick={() => edit([{ kind: "oven", id: oven.id, record: null }])}
        >
          Take {oven.name} out
        </button>
      )}
    </section>
  );
}

interface DeckProps {
  readonly oven: Oven;
  readonly onChange: (deckOffsetsC: readonly number[]) => void;
}

/** How far each deck is off: the setting is corrected by their mean, the minutes by what is left. */
function DeckDials({ oven, onChange }: DeckProps) {
  const { deckOffsetsC } = oven;
  const resize = (decks: number) =>
    onChange(Array.from({ length: decks }, (_, i) => deckOffsetsC[i] ?? deckOffsetsC.at(-1) ?? 0));
  return (
    <>
      <Dial limit={ovenLimits.decks} value={deckOffsetsC.length} onChange={resize} />
      {deckOffsetsC.map((offsetC, i) => (
        <Dial
          key={i}
          limit={{
            ...ovenLimits.offsetC,
            label: deckOffsetsC.length > 1 ? `Deck ${i + 1} hotter than set by` : ovenLimits.offsetC.label,
          }}
          value={offsetC}
          sliderMin={-30}
          sliderMax={30}
          hint={i === 0 ? "a probe on the middle of its tray says; below 0 it is cooler" : undefined}
          onChange={(changed) => onChange(deckOffsetsC.map((each, j) => (j === i ? changed : each)))}
        />
      ))}
    </>
  );
}
