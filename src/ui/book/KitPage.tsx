"use client";

import { Trash2 } from "lucide-react";
import { useState } from "react";
import { ovenKindFacts, ovenKinds } from "@/core/heat";
import type { Bench, Cutter, Kitchen, Oven } from "@/core/plan";
import { describeOutline, type Outline } from "@/core/shape";
import { computeEggG, formatMass } from "@/core/units";
import { benchLimits, kitchenLimits, ovenLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { checkName } from "../controls/checks";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { Select, toOptions } from "../controls/Select";
import { TextField } from "../controls/TextField";
import { OutlineEditor } from "../cutting/OutlineEditor";
import { firstOutline } from "../cutting/outlineKinds";
import { OutlineIcon } from "../drawings/OutlineShape";
import { newCutter, newOven } from "./newRecords";

/** What the bakery has: bench, oven with its trays, cutters. */
export function KitPage() {
  const { book } = useBench((state) => state);
  return (
    <div className="h-full overflow-y-auto p-5">
      <div className="mx-auto grid max-w-6xl gap-8 md:grid-cols-2 lg:grid-cols-3">
        <div className="flex flex-col gap-8">
          <BenchCard bench={book.bench} />
          <KitchenCard kitchen={book.kitchen} />
        </div>
        <div className="flex flex-col gap-8">
          {book.ovens.map((oven) => (
            <OvenCard key={oven.id} oven={oven} canRemove={book.ovens.length > 1} />
          ))}
          <AddOven ovens={book.ovens} />
        </div>
        <CutterDrawer />
      </div>
    </div>
  );
}

function BenchCard({ bench }: { readonly bench: Bench }) {
  const edit = useBench((state) => state.edit);
  // A sheet never outgrows the bench: a smaller bench takes the sheet down with it.
  const save = (fields: Partial<Bench>) => {
    const next = { ...bench, ...fields };
    const record = {
      ...next,
      sheetMaxWidthMm: Math.min(next.sheetMaxWidthMm, next.widthMm),
      sheetMaxDepthMm: Math.min(next.sheetMaxDepthMm, next.depthMm),
    };
    edit([{ kind: "bench", id: bench.id, record }]);
  };
  const sheetWidth = { ...benchLimits.sheetMaxWidthMm, max: bench.widthMm };
  const sheetDepth = { ...benchLimits.sheetMaxDepthMm, max: bench.depthMm };
  return (
    <section aria-labelledby="bench" className="flex flex-col gap-3">
      <h2 id="bench" className="text-2xl">
        Bench
      </h2>
      <Dial
        limit={benchLimits.widthMm}
        value={bench.widthMm}
        sliderMax={3000}
        onChange={(widthMm) => save({ widthMm })}
      />
      <Dial
        limit={benchLimits.depthMm}
        value={bench.depthMm}
        sliderMax={1200}
        onChange={(depthMm) => save({ depthMm })}
      />
      <Dial
        limit={sheetWidth}
        value={bench.sheetMaxWidthMm}
        hint="what you can roll evenly and still reach over"
        onChange={(sheetMaxWidthMm) => save({ sheetMaxWidthMm })}
      />
      <Dial
        limit={sheetDepth}
        value={bench.sheetMaxDepthMm}
        onChange={(sheetMaxDepthMm) => save({ sheetMaxDepthMm })}
      />
    </section>
  );
}

function KitchenCard({ kitchen }: { readonly kitchen: Kitchen }) {
  const edit = useBench((state) => state.edit);
  const save = (fields: Partial<Kitchen>) =>
    edit([{ kind: "kitchen", id: kitchen.id, record: { ...kitchen, ...fields } }]);
  return (
    <section aria-labelledby="kitchen" className="flex flex-col gap-3">
      <h2 id="kitchen" className="text-2xl">
        Measures and cold
      </h2>
      <Select<Kitchen["system"]>
        label="Cups and spoons"
        value={kitchen.system}
        options={toOptions({
          metric: "metric: cup 250 ml, tablespoon 15 ml",
          us: "United States: cup 237 ml, tablespoon 14.8 ml",
          imperial: "imperial: cup 284 ml, tablespoon 17.8 ml",
        })}
        onChange={(system) => save({ system })}
      />
      <Select<Kitchen["eggSize"]>
        label="Eggs at hand"
        value={kitchen.eggSize}
        options={(["small", "medium", "large", "extraLarge"] as const).map((id) => ({
          id,
          name: `${id === "extraLarge" ? "extra large" : id}, ${formatMass(computeEggG(id, "whole"))} without shell`,
        }))}
        onChange={(eggSize) => save({ eggSize })}
      />
      <Dial
        limit={kitchenLimits.roomC}
        value={kitchen.roomC}
        sliderMax={35}
        onChange={(roomC) => save({ roomC })}
      />
      <Dial limit={kitchenLimits.fridgeC} value={kitchen.fridgeC} onChange={(fridgeC) => save({ fridgeC })} />
      <Dial
        limit={kitchenLimits.freezerC}
        value={kitchen.freezerC}
        onChange={(freezerC) => save({ freezerC })}
      />
      <Dial limit={kitchenLimits.mixedC} value={kitchen.mixedC} onChange={(mixedC) => save({ mixedC })} />
    </section>
  );
}

/** Another oven, of the trays of the first: its loads may then go into either. */
function AddOven({ ovens }: { readonly ovens: readonly Oven[] }) {
  const edit = useBench((state) => state.edit);
  const [first] = ovens;
  const add = () => {
    const record = newOven(first ?? null);
    edit([{ kind: "oven", id: record.id, record }]);
  };
  return (
    <button type="button" className="btn touch" onClick={add}>
      Another oven
    </button>
  );
}

function OvenCard({ oven, canRemove }: { readonly oven: Oven; readonly canRemove: boolean }) {
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
        hint="over all decks or shelves"
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
      <Dial limit={ovenLimits.maxC} value={oven.maxC} onChange={(maxC) => save({ maxC })} />
      <Choice
        legend={`${oven.name} is`}
        value={oven.kind}
        onChange={(kind) => save({ kind })}
        options={ovenKinds.map((id) => ({ id, title: ovenKindFacts[id].name }))}
      />
      <Dial
        limit={ovenLimits.offsetC}
        value={oven.offsetC}
        sliderMin={-30}
        sliderMax={30}
        hint="its setting is corrected by so much"
        onChange={(offsetC) => save({ offsetC })}
      />
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

function CutterDrawer() {
  const { book, edit } = useBench((state) => state);
  const [outline, setOutline] = useState<Outline>(firstOutline("disc"));
  const add = () => {
    const cutter = newCutter(outline);
    edit([{ kind: "cutter", id: cutter.id, record: cutter }]);
  };
  const save = (cutter: Cutter, fields: Partial<Cutter>) =>
    edit([{ kind: "cutter", id: cutter.id, record: { ...cutter, ...fields } }]);
  return (
    <section aria-labelledby="cutters" className="flex flex-col gap-3">
      <h2 id="cutters" className="text-2xl">
        Cutter drawer
      </h2>
      <ul className="flex flex-col gap-1.5">
        {book.cutters.map((cutter) => (
          <li key={cutter.id} className="flex items-center gap-2 border-b border-base-300">
            <OutlineIcon outline={cutter.outline} sizePx={38} />
            <span className="min-w-0">
              <span className="block truncate">{cutter.name}</span>
              <span className="quiet block text-sm">{describeOutline(cutter.outline)}</span>
            </span>
            <span
              className="ml-auto flex items-center"
              role="group"
              aria-label={`How many of ${cutter.name}`}
            >
              <button
                type="button"
                className="btn btn-ghost touch px-2"
                aria-label={`One fewer of ${cutter.name}`}
                disabled={cutter.count <= 1}
                onClick={() => save(cutter, { count: cutter.count - 1 })}
              >
                −
              </button>
              <span className="figure w-6 text-center">{cutter.count}</span>
              <button
                type="button"
                className="btn btn-ghost touch px-2"
                aria-label={`One more of ${cutter.name}`}
                onClick={() => save(cutter, { count: cutter.count + 1 })}
              >
                +
              </button>
            </span>
            <button
              type="button"
              className="btn btn-ghost touch px-2"
              aria-label={`Take ${cutter.name} out of the drawer`}
              onClick={() => edit([{ kind: "cutter", id: cutter.id, record: null }])}
            >
              <Trash2 size={20} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <div className="flex flex-col gap-2 rounded-xl border border-base-300 p-3">
        <OutlineEditor outline={outline} onChange={setOutline} />
        <button type="button" className="btn btn-primary touch" onClick={add}>
          Put it in the drawer
        </button>
      </div>
    </section>
  );
}
