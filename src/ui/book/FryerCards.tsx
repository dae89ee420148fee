"use client";

import { countUnknownLoads, createFryer, FRESH_OIL, type Fryer, type Oil } from "@/core/plan";
import { formatCount } from "@/core/units";
import { fryerLimits } from "@/schemas/limits";
import { usePicked } from "../bench/BenchProvider";
import { checkName } from "../controls/checks";
import { Dial } from "../controls/Dial";
import { TextField } from "../controls/TextField";
import { FryerClock } from "./FryerClock";
import { createId } from "../bench/createId";

/** Figures of a fryer in the order in which they are asked for, with the slider's end. */
const dials = [
  ["oilKg", 15],
  ["heaterW", 9000],
  ["oilJPerKgK", 4000],
  ["lossWPerK", 20],
  ["maxC", 200],
  ["basketWidthMm", 500],
  ["basketDepthMm", 500],
  ["potDepthMm", 300],
  ["fillShare", 0.8],
  ["usedLoads", 80],
  ["changeAfterLoads", 120],
] as const satisfies readonly (readonly [keyof typeof fryerLimits, number])[];

/** Fryers and pans of oil. */
export function FryerCards() {
  const { book, edit } = usePicked("book", "edit");
  const save = (fryer: Fryer, fields: Partial<Fryer>) =>
    edit([{ kind: "fryer", id: fryer.id, record: { ...fryer, ...fields } }]);
  const add = () => {
    const record = createFryer(createId("fryer"));
    edit([{ kind: "fryer", id: record.id, record }]);
  };
  return (
    <>
      {book.fryers.map((fryer) => (
        <section key={fryer.id} aria-labelledby={`fryer-${fryer.id}`} className="flex flex-col gap-3">
          <h2 id={`fryer-${fryer.id}`} className="text-2xl">
            {fryer.name}
          </h2>
          <TextField
            label="Name"
            value={fryer.name}
            check={checkName}
            onCommit={(name) => save(fryer, { name })}
          />
          {dials.map(([key, sliderMax]) => (
            <Dial
              key={key}
              limit={fryerLimits[key]}
              value={fryer[key]}
              sliderMax={sliderMax}
              hint={key === "fillShare" ? "half the pot, or the maker’s mark" : undefined}
              onChange={(value) =>
                save(fryer, key === "usedLoads" && value === 0 ? FRESH_OIL : { [key]: value })
              }
            />
          ))}
          <OilHistory oil={fryer} />
          <FryerClock fryer={fryer} onFound={(found) => save(fryer, found)} />
          <div className="flex flex-wrap gap-2">
            <button type="button" className="btn touch" onClick={() => save(fryer, FRESH_OIL)}>
              The oil is new
            </button>
            <button
              type="button"
              className="btn touch text-error"
              onClick={() => edit([{ kind: "fryer", id: fryer.id, record: null }])}
            >
              Take {fryer.name} out
            </button>
          </div>
        </section>
      ))}
      <button type="button" className="btn touch" onClick={add}>
        {book.fryers.length > 0 ? "Another fryer or pan" : "A fryer or pan of oil"}
      </button>
    </>
  );
}

/** What the oil has fried since it was changed, and what that leaves in it. */
function OilHistory({ oil }: { readonly oil: Oil }) {
  if (oil.usedLoads === 0) return <p className="quiet">The oil is fresh: nothing was fried in it.</p>;
  const unknownLoads = countUnknownLoads(oil);
  const names = [...new Set(oil.fried.map(({ name }) => name))];
  return (
    <div>
      <p>Fried in this oil:</p>
      <ul className="list-disc pl-5">
        {names.map((name) => {
          const loads = oil.fried.filter((load) => load.name === name);
          const holds = [...new Set(loads.flatMap(({ allergens }) => allergens))];
          const unknown = [...new Set(loads.flatMap((load) => load.unknown))];
          return (
            <li key={name}>
              {name},{" "}
              {formatCount(
                loads.reduce((sum, { baskets }) => sum + baskets, 0),
                "load",
              )}
              {holds.length > 0 && `: ${holds.join(", ")}`}
              {unknown.length > 0 && `; allergens not known of ${unknown.join(", ")}`}
            </li>
          );
        })}
        {unknownLoads > 0 && (
          <li className="text-error">
            {formatCount(unknownLoads, "load")} that no run recorded: they may hold any allergen
          </li>
        )}
      </ul>
    </div>
  );
}
