"use client";

import type { Kitchen } from "@/core/plan";
import { computeEggG, eggSizes, formatMass, nameEggSize } from "@/core/units";
import { useBench } from "../bench/BenchProvider";
import { Select, toOptions } from "../controls/Select";

/** Whose cups and spoons are meant, and which eggs are at hand: what amounts are read by. */
export function MeasureSelects({ kitchen }: { readonly kitchen: Kitchen }) {
  const edit = useBench((state) => state.edit);
  const save = (fields: Partial<Kitchen>) =>
    edit([{ kind: "kitchen", id: kitchen.id, record: { ...kitchen, ...fields } }]);
  return (
    <>
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
        options={eggSizes.map((id) => ({
          id,
          name: `${nameEggSize(id)}, ${formatMass(computeEggG(id, "whole"))} without shell`,
        }))}
        onChange={(eggSize) => save({ eggSize })}
      />
    </>
  );
}
