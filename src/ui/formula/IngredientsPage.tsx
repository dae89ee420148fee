"use client";

import { compareNames } from "@/core/compareNames";
import { useRef, useState } from "react";
import {
  allergens,
  ingredientGroups,
  measureStates,
  standardIngredients,
  type Allergen,
  type Ingredient,
  type IngredientGroup,
} from "@/core/formula";
import { findShownUnit, formatMass, formatNumber } from "@/core/units";
import { ingredientLimits, type Limit } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { createId } from "../bench/createId";
import { useKitchenRule } from "../bench/useKitchenRule";
import { checkName } from "../controls/checks";
import { Dial } from "../controls/Dial";
import { Select } from "../controls/Select";
import { StationLayout } from "../controls/StationLayout";
import { parseDial } from "../controls/parseDial";
import { TextField } from "../controls/TextField";

/** The ingredient book: what ships, and the baker's own corrections. */
export function IngredientsPage() {
  const { ingredients } = useKitchenRule();
  const edit = useBench((state) => state.edit);
  const own = useBench((state) => state.book.ingredients);
  const [wanted, setWanted] = useState("");
  const side = useRef<HTMLDivElement>(null);
  const [chosenId, setChosenId] = useState<string>("plain-flour");
  const needle = wanted.trim().toLowerCase();
  const shown = ingredients
    .filter(({ name, otherNames, group }) =>
      [name, group, ...otherNames].some((each) => each.toLowerCase().includes(needle)),
    )
    .toSorted((a, b) => compareNames(a.name, b.name));
  const chosen = ingredients.find(({ id }) => id === chosenId) ?? ingredients[0];
  const save = (ingredient: Ingredient) =>
    edit([{ kind: "ingredient", id: ingredient.id, record: ingredient }]);
  const add = () => {
    const id = createId("ingredient");
    save({
      id,
      name: wanted.trim() || "New ingredient",
      otherNames: [],
      group: "other",
      densities: [],
      pieceG: null,
      waterShare: 0,
      fatShare: 0,
      sugarShare: 0,
      starchShare: 0,
      allergens: null,
      pack: null,
      source: "my own",
    });
    setChosenId(id);
    setWanted("");
  };
  const isOwn = own.some(({ id }) => id === chosen?.id);
  const isStandard = standardIngredients.some(({ id }) => id === chosen?.id);
  return (
    <StationLayout
      label="Ingredient book"
      surface={
        <div className="flex flex-col gap-3">
          <div className="flex flex-wrap items-end gap-3">
            <label className="flex min-w-48 flex-1 flex-col gap-0.5">
              Find among {ingredients.length}
              <input
                className="input w-full"
                value={wanted}
                onChange={(event) => setWanted(event.target.value)}
              />
            </label>
            <button type="button" className="btn btn-primary touch" onClick={add}>
              Add {wanted.trim() === "" ? "one" : `“${wanted.trim().slice(0, 24)}”`}
            </button>
          </div>
          {shown.length === 0 && <p className="quiet">Nothing by that name: add it.</p>}
          <ul className="grid gap-x-4 sm:grid-cols-2 xl:grid-cols-3">
            {shown.map((ingredient) => (
              <li key={ingredient.id}>
                <button
                  type="button"
                  aria-pressed={ingredient.id === chosen?.id}
                  className="touch flex w-full cursor-pointer items-baseline gap-2 border-b border-base-300 px-2 py-2 text-left aria-pressed:bg-base-200 aria-pressed:font-bold"
                  onClick={() => {
                    setChosenId(ingredient.id);
                    // In the hand its figures stand below the whole list: go there.
                    side.current?.scrollIntoView({ block: "nearest" });
                  }}
                >
                  <span>{ingredient.name}</span>
                  <span className="quiet ml-auto text-right text-sm">{describe(ingredient)}</span>
                </button>
              </li>
            ))}
          </ul>
        </div>
      }
      side={
        chosen && (
          <div ref={side} className="flex flex-col gap-2.5">
            <IngredientDials
              key={chosen.id}
              ingredient={chosen}
              save={save}
              onReset={isOwn ? () => edit([{ kind: "ingredient", id: chosen.id, record: null }]) : null}
              resetText={isStandard ? "Back to the book's figures" : "Take it out of the book"}
            />
          </div>
        )
      }
    />
  );
}

function describe({ densities, pieceG }: Ingredient): string {
  const [density] = densities;
  if (density) return `${density.gPerMl} g/ml${density.state === "plain" ? "" : ` ${density.state}`}`;
  return pieceG === null ? "by mass" : `${formatMass(pieceG)} each`;
}

const SHARES = [
  ["waterShare", "Water"],
  ["fatShare", "Fat"],
  ["sugarShare", "Sugar"],
  ["starchShare", "Starch"],
] as const;

interface DialsProps {
  readonly ingredient: Ingredient;
  readonly save: (ingredient: Ingredient) => void;
  readonly onReset: (() => void) | null;
  readonly resetText: string;
}

function IngredientDials({ ingredient, save, onReset, resetText }: DialsProps) {
  const set = (fields: Partial<Ingredient>) => save({ ...ingredient, ...fields, source: "my own" });
  const held = ingredient.allergens ?? [];
  const toggle = (allergen: Allergen) =>
    set({
      allergens: held.includes(allergen) ? held.filter((each) => each !== allergen) : [...held, allergen],
    });
  return (
    <>
      <TextField label="Name" value={ingredient.name} check={checkName} onCommit={(name) => set({ name })} />
      <TextField
        label="Other names, with commas"
        value={ingredient.otherNames.join(", ")}
        check={(text) => (text.length > 400 ? "Too many names: 400 characters at most." : null)}
        onCommit={(text) =>
          set({
            otherNames: text
              .split(",")
              .map((each) => each.trim())
              .filter(Boolean),
          })
        }
      />
      <Select<IngredientGroup>
        label="Kind"
        value={ingredient.group}
        options={ingredientGroups.map((id) => ({ id, name: id === "meat" ? "meat or fish" : id }))}
        onChange={(group) => set({ group })}
      />
      <fieldset>
        <legend className="mb-1">A millilitre weighs, g</legend>
        <div className="grid grid-cols-2 gap-x-3">
          {measureStates.map((state) => (
            <FigureField
              key={state}
              label={state}
              limit={{ ...ingredientLimits.gPerMl, unit: "" }}
              value={ingredient.densities.find((each) => each.state === state)?.gPerMl ?? null}
              onChange={(gPerMl) =>
                set({
                  densities: measureStates.flatMap((each) => {
                    const value =
                      each === state
                        ? gPerMl
                        : (ingredient.densities.find((density) => density.state === each)?.gPerMl ?? null);
                    return value === null ? [] : [{ state: each, gPerMl: value }];
                  }),
                })
              }
            />
          ))}
        </div>
      </fieldset>
      <FigureField
        label="One piece"
        limit={ingredientLimits.pieceG}
        value={ingredient.pieceG}
        onChange={(pieceG) => set({ pieceG })}
      />
      <div className="grid grid-cols-2 gap-x-3">
        <FigureField
          label="Pack"
          limit={ingredientLimits.packG}
          value={ingredient.pack?.massG ?? null}
          onChange={(massG) =>
            set({ pack: massG === null ? null : { massG, priceMinor: ingredient.pack?.priceMinor ?? 0 } })
          }
        />
        <FigureField
          label="Its price"
          limit={{ ...ingredientLimits.packPriceMinor, max: ingredientLimits.packPriceMinor.max / 100 }}
          value={ingredient.pack ? ingredient.pack.priceMinor / 100 : null}
          onChange={(price) =>
            ingredient.pack &&
            set({ pack: { ...ingredient.pack, priceMinor: Math.round((price ?? 0) * 100) } })
          }
        />
      </div>
      {SHARES.map(([field, label]) => {
        const others = SHARES.reduce((sum, [each]) => sum + (each === field ? 0 : ingredient[each]), 0);
        return (
          <Dial
            key={field}
            limit={{ ...ingredientLimits.share, label, max: Number((1 - others).toFixed(4)) }}
            value={ingredient[field]}
            onChange={(share) => set({ [field]: share })}
          />
        );
      })}
      <fieldset>
        <legend className="mb-1">Allergens</legend>
        {ingredient.allergens === null && (
          <p role="alert" className="mb-1 rounded bg-warning px-2 py-1 text-warning-content">
            Not known: labels say so. Tick what it holds, or tick “none of these”.
          </p>
        )}
        <div className="flex flex-wrap gap-1.5">
          <label className="touch flex cursor-pointer items-center gap-1.5 pr-2">
            <input
              type="checkbox"
              className="checkbox"
              checked={ingredient.allergens?.length === 0}
              onChange={(event) => set({ allergens: event.target.checked ? [] : null })}
            />
            none of these
          </label>
          {allergens.map((allergen) => (
            <label key={allergen} className="touch flex cursor-pointer items-center gap-1.5 pr-2">
              <input
                type="checkbox"
                className="checkbox"
                checked={held.includes(allergen)}
                onChange={() => toggle(allergen)}
              />
              {allergen}
            </label>
          ))}
        </div>
      </fieldset>
      <p className="quiet text-sm">Source: {ingredient.source || "not given"}</p>
      {onReset && (
        <button type="button" className="btn touch" onClick={onReset}>
          {resetText}
        </button>
      )}
    </>
  );
}

/** A figure that may be left empty. */
function FigureField({
  label,
  limit,
  value,
  onChange,
}: {
  readonly label: string;
  readonly limit: Limit;
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
}) {
  const { sign, factor, write } = findShownUnit(limit.unit);
  return (
    <TextField
      label={sign === "" ? label : `${label}, ${sign}`}
      inputClassName="figure"
      value={value === null ? "" : factor === 1 ? formatNumber(value, 3) : write(value)}
      check={(text) => {
        const parsed = text.trim() === "" ? { value: null } : parseDial(text, limit);
        return "fault" in parsed ? parsed.fault : null;
      }}
      onCommit={(text) => {
        const parsed = parseDial(text, limit);
        onChange("value" in parsed ? parsed.value : null);
      }}
    />
  );
}
