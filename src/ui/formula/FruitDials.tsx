"use client";

import { Plus, Trash2 } from "lucide-react";
import { tartnesses, type Filling, type FruitFacts, type FruitVariety } from "@/core/formula";
import { computeBuyKg, computeSugarPerKgG, findSugarLeadMin } from "@/core/filling";
import { findShownUnit, formatMass, formatNumber } from "@/core/units";
import { formulaLimits, MAX_PARTS } from "@/schemas/limits";
import { checkName } from "../controls/checks";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { Select, toOptions } from "../controls/Select";
import { TextField } from "../controls/TextField";
import { tartnessNames } from "./words";

interface Props {
  readonly filling: Filling;
  readonly save: (filling: Filling) => void;
}

/** Two kinds of fruit to begin with: a tart one that keeps its shape, and a soft one. */
const firstFruit: FruitFacts = {
  trimLossShare: 0.25,
  varieties: [
    { name: "tart and firm", share: 2, tartness: "tart", isSoft: false },
    { name: "sweet and soft", share: 1, tartness: "sweet", isSoft: true },
  ],
};

/** Raw fruit: what is trimmed off, which kinds are mixed, how much sugar they want and how soon before filling. */
export function FruitDials({ filling, save }: Props) {
  const { fruit } = filling;
  const large = findShownUnit("kg");
  const largeName = large.sign === "kg" ? "kilogram" : "pound";
  const set = (fields: Partial<FruitFacts>) => fruit && save({ ...filling, fruit: { ...fruit, ...fields } });
  const setVariety = (index: number, fields: Partial<FruitVariety> | null) =>
    fruit &&
    set({
      varieties: fruit.varieties.flatMap((each, i) =>
        i !== index ? [each] : fields ? [{ ...each, ...fields }] : [],
      ),
    });
  return (
    <>
      <Choice
        legend="It is raw fruit"
        value={fruit ? "yes" : "no"}
        onChange={(answer) => save({ ...filling, fruit: answer === "yes" ? firstFruit : null })}
        options={[
          { id: "no", title: "no" },
          { id: "yes", title: "yes" },
        ]}
      />
      {fruit && (
        <>
          <p>
            It wants{" "}
            <strong className="figure">
              {formatMass(computeSugarPerKgG(fruit.varieties) * large.factor)}
            </strong>{" "}
            of sugar for each {largeName} prepared. Sugar it no more than{" "}
            <strong className="figure">{findSugarLeadMin(fruit.varieties)} min</strong> before filling: then
            juice runs.
          </p>
          <Dial
            limit={formulaLimits.trimLossShare}
            value={fruit.trimLossShare}
            hint={`for a ${largeName} prepared buy ${formatNumber(computeBuyKg(fruit), 2)} ${large.sign}`}
            onChange={(trimLossShare) => set({ trimLossShare })}
          />
          {fruit.varieties.map((variety, i) => (
            <fieldset key={i} className="flex flex-col gap-1.5 rounded-lg border border-base-300 p-2.5">
              <legend className="px-1">Kind {i + 1}</legend>
              <TextField
                label="Name"
                value={variety.name}
                check={checkName}
                onCommit={(name) => setVariety(i, { name })}
              />
              <Dial
                limit={formulaLimits.varietyShare}
                value={variety.share}
                sliderMax={5}
                onChange={(share) => setVariety(i, { share })}
              />
              <Select
                label="Taste"
                value={variety.tartness}
                options={toOptions(tartnessNames).filter(({ id }) => tartnesses.includes(id))}
                onChange={(tartness) => setVariety(i, { tartness })}
              />
              <Choice
                legend={`Flesh of kind ${i + 1}`}
                value={variety.isSoft ? "soft" : "firm"}
                onChange={(flesh) => setVariety(i, { isSoft: flesh === "soft" })}
                options={[
                  { id: "firm", title: "firm" },
                  { id: "soft", title: "soft" },
                ]}
              />
              {fruit.varieties.length > 1 && (
                <button type="button" className="btn touch" onClick={() => setVariety(i, null)}>
                  <Trash2 size={18} aria-hidden /> Leave it out
                </button>
              )}
            </fieldset>
          ))}
          {fruit.varieties.length < MAX_PARTS && (
            <button
              type="button"
              className="btn touch"
              onClick={() =>
                set({
                  varieties: [
                    ...fruit.varieties,
                    { name: "another", share: 1, tartness: "mild", isSoft: false },
                  ],
                })
              }
            >
              <Plus size={18} aria-hidden /> Another kind
            </button>
          )}
        </>
      )}
    </>
  );
}
