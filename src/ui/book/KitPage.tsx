"use client";

import type { Bench, Kitchen } from "@/core/plan";
import { benchLimits, kitchenLimits } from "@/schemas/limits";
import { useBench, usePicked } from "../bench/BenchProvider";
import { LeaveLink } from "../bench/LeaveLink";
import { Dial } from "../controls/Dial";
import { CurrencySelect } from "../costs/CurrencySelect";
import { Select, toOptions } from "../controls/Select";
import { CutterDrawer } from "./CutterDrawer";
import { DeviceList } from "./DeviceList";
import { FryerCards } from "./FryerCards";
import { AddOven, OvenCard } from "./OvenCard";
import { MeasureSelects } from "./MeasureSelects";
import { ShelfList } from "./ShelfList";
import { VesselList } from "./VesselList";

/** What the bakery has: bench, ovens, fryer, moulds and trays, shelves, cutters. */
export function KitPage() {
  const { book } = usePicked("book");
  return (
    <div className="h-full overflow-y-auto p-5">
      <div className="mx-auto grid max-w-6xl grid-cols-1 gap-8 md:grid-cols-2 lg:grid-cols-3">
        <div className="flex min-w-0 flex-col gap-8">
          <BenchCard bench={book.bench} />
          <KitchenCard kitchen={book.kitchen} />
          <DeviceList />
          <nav aria-label="The house" className="flex flex-col items-start gap-2">
            <LeaveLink href="/how" className="btn touch">
              How is Tezgah?
            </LeaveLink>
            <LeaveLink href="/access" className="btn touch">
              Who may come in
            </LeaveLink>
            <LeaveLink href="/copies" className="btn touch">
              Copies
            </LeaveLink>
          </nav>
        </div>
        <div className="flex min-w-0 flex-col gap-8">
          {book.ovens.map((oven) => (
            <OvenCard key={oven.id} oven={oven} canRemove={book.ovens.length > 1} />
          ))}
          <AddOven ovens={book.ovens} />
          <FryerCards />
        </div>
        <div className="flex min-w-0 flex-col gap-8">
          <VesselList />
          <ShelfList />
          <CutterDrawer />
        </div>
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
  const computersZone = useBench((state) => state.computersZone);
  const edit = useBench((state) => state.edit);
  const save = (fields: Partial<Kitchen>) =>
    edit([{ kind: "kitchen", id: kitchen.id, record: { ...kitchen, ...fields } }]);
  return (
    <section aria-labelledby="kitchen" className="flex flex-col gap-3">
      <h2 id="kitchen" className="text-2xl">
        Measures and cold
      </h2>
      <MeasureSelects kitchen={kitchen} />
      <Select<Kitchen["lengthUnit"]>
        label="Lengths are told in"
        value={kitchen.lengthUnit}
        options={toOptions({ mm: "mm", cm: "cm", inch: "inches, as 3 1/4" })}
        onChange={(lengthUnit) => save({ lengthUnit })}
      />
      <Select<Kitchen["massUnit"]>
        label="Masses are told in"
        value={kitchen.massUnit}
        options={toOptions({ gram: "g and kg", ounce: "oz and lb" })}
        hint="screens, sheets and labels follow; a field takes every unit, typed with it"
        onChange={(massUnit) => save({ massUnit })}
      />
      <Select<Kitchen["ovenScale"]>
        label="Ovens are marked in"
        value={kitchen.ovenScale}
        options={toOptions({ celsius: "°C", fahrenheit: "°F", gas: "gas marks" })}
        hint="a dial takes any of them, typed with its unit"
        onChange={(ovenScale) => save({ ovenScale })}
      />
      <CurrencySelect />
      <Select
        label="The clock on the wall goes by"
        value={kitchen.timeZone ?? ""}
        options={[
          { id: "", name: `this computer: ${computersZone}` },
          ...Intl.supportedValuesOf("timeZone").map((id) => ({ id, name: id.replaceAll("_", " ") })),
        ]}
        hint="every minute of a day is this clock's, also when clocks change"
        onChange={(timeZone) => save({ timeZone: timeZone === "" ? null : timeZone })}
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
