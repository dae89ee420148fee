"use client";

import type { Dough, Filling, LiquidSchool } from "@/core/formula";
import { formulaLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { Section } from "../controls/Section";
import { Select, toOptions } from "../controls/Select";
import {
  familyNames,
  measureNames,
  methodNames,
  particleNames,
  restNames,
  schoolNames,
  schoolReasons,
  shapeNames,
  wetnessNames,
} from "./words";
import { FillingBody } from "./FillingBody";
import { FruitDials } from "./FruitDials";

interface DoughProps {
  readonly dough: Dough;
  readonly save: (dough: Dough) => void;
}

/** How a dough is made, rested and rolled. */
export function DoughDials({ dough, save }: DoughProps) {
  const set = (fields: Partial<Dough>) => save({ ...dough, ...fields });
  const dial = (
    field:
      | "restMin"
      | "springBackShare"
      | "rerollLimit"
      | "rerollLossShare"
      | "rerollShrinkShare"
      | "rerollRestMin"
      | "benchLimitMin"
      | "mixMin"
      | "keepsDays",
    sliderMax?: number,
  ) => (
    <Dial
      limit={formulaLimits[field]}
      value={dough[field]}
      sliderMax={sliderMax}
      onChange={(value) => set({ [field]: value })}
    />
  );
  return (
    <>
      <Select
        label="Made as"
        value={dough.method}
        options={toOptions(methodNames)}
        onChange={(method) =>
          set({
            method,
            boughtSheet:
              method === "bought"
                ? (dough.boughtSheet ?? { widthMm: 400, heightMm: 230, thicknessMm: 3 })
                : null,
          })
        }
      />
      {dough.boughtSheet ? (
        <BoughtSheetDials dough={dough} save={save} />
      ) : (
        <>
          <Choice<LiquidSchool>
            legend="Liquid, where it is a range"
            value={dough.liquidSchool}
            onChange={(liquidSchool) => set({ liquidSchool })}
            options={toOptions(schoolNames).map(({ id, name }) => ({ id, title: name }))}
          />
          <p className="quiet -mt-1 text-sm">{schoolReasons[dough.liquidSchool]}</p>
          <Select
            label="Stop working the fat in at"
            value={dough.fatParticle}
            options={toOptions(particleNames)}
            onChange={(fatParticle) => set({ fatParticle })}
          />
        </>
      )}
      {!dough.boughtSheet && <DivisionDials dough={dough} set={set} />}
      <Select
        label="Rest taken from"
        value={dough.restWay}
        options={toOptions(restNames)}
        onChange={(restWay) => set({ restWay })}
      />
      {dial("restMin", 240)}
      <Dial
        limit={{
          ...formulaLimits.windowLowC,
          max: Math.min(formulaLimits.windowLowC.max, dough.window.highC - 1),
        }}
        value={dough.window.lowC}
        onChange={(lowC) => set({ window: { ...dough.window, lowC } })}
      />
      <Dial
        limit={{
          ...formulaLimits.windowHighC,
          min: Math.max(formulaLimits.windowHighC.min, dough.window.lowC + 1),
        }}
        value={dough.window.highC}
        onChange={(highC) => set({ window: { ...dough.window, highC } })}
      />
      {dial("springBackShare", 0.15)}
      {dial("rerollLimit")}
      {dial("rerollLossShare", 0.15)}
      {dial("rerollShrinkShare")}
      <TrimEnd dough={dough} set={set} />
      {dial("rerollRestMin", 120)}
      {dial("benchLimitMin", 180)}
      {dial("mixMin", 60)}
      {dial("keepsDays", 14)}
    </>
  );
}

/** What becomes of the last of the trim, and with which cutter. */
function TrimEnd({ dough, set }: { readonly dough: Dough; readonly set: (fields: Partial<Dough>) => void }) {
  const cutters = useBench((state) => state.book.cutters);
  return (
    <>
      <Select<Dough["trimEnd"]>
        label="The last of the trim"
        value={dough.trimEnd}
        options={toOptions({
          larder: "kept in the larder",
          decorations: "cut into decorations",
          waste: "thrown out",
        })}
        onChange={(trimEnd) => set({ trimEnd })}
      />
      {dough.trimEnd === "decorations" && (
        <Select
          label="Decorations are cut with"
          value={dough.decorationCutterId ?? ""}
          options={[{ id: "", name: "choose a cutter" }, ...cutters.map(({ id, name }) => ({ id, name }))]}
          onChange={(id) => set({ decorationCutterId: id === "" ? null : id })}
        />
      )}
    </>
  );
}

function BoughtSheetDials({ dough, save }: DoughProps) {
  const sheet = dough.boughtSheet;
  if (!sheet) return null;
  const set = (fields: Partial<typeof sheet>) => save({ ...dough, boughtSheet: { ...sheet, ...fields } });
  return (
    <>
      <Dial
        limit={formulaLimits.sheetWidthMm}
        value={sheet.widthMm}
        sliderMax={800}
        onChange={(widthMm) => set({ widthMm })}
      />
      <Dial
        limit={formulaLimits.sheetHeightMm}
        value={sheet.heightMm}
        sliderMax={600}
        onChange={(heightMm) => set({ heightMm })}
      />
      <Dial
        limit={formulaLimits.sheetThicknessMm}
        value={sheet.thicknessMm}
        sliderMax={8}
        onChange={(thicknessMm) => set({ thicknessMm })}
      />
    </>
  );
}

interface FillingProps {
  readonly filling: Filling;
  readonly save: (filling: Filling) => void;
}

/** How a filling, custard, wash, syrup or glaze is made. */
export function FillingDials({ filling, save }: FillingProps) {
  return (
    <>
      <Select
        label="It is a"
        value={filling.family}
        options={toOptions(familyNames)}
        onChange={(family) => save({ ...filling, family })}
      />
      <Dial
        limit={formulaLimits.makingLossShare}
        value={filling.makingLossShare}
        sliderMax={0.5}
        hint="boils away or stays in the pan"
        onChange={(makingLossShare) => save({ ...filling, makingLossShare })}
      />
      <Dial
        limit={formulaLimits.keepsDays}
        value={filling.keepsDays}
        sliderMax={14}
        onChange={(keepsDays) => save({ ...filling, keepsDays })}
      />
      <Select
        label="In the oven it is"
        value={filling.wetness}
        options={toOptions(wetnessNames)}
        onChange={(wetness) => save({ ...filling, wetness })}
      />
      <Dial
        limit={formulaLimits.shrinkShare}
        value={filling.shrinkShare}
        hint="of its volume: raw fruit by a third"
        onChange={(shrinkShare) => save({ ...filling, shrinkShare })}
      />
      <Select
        label="Portioned with"
        value={filling.measure}
        options={toOptions(measureNames)}
        onChange={(measure) => save({ ...filling, measure })}
      />
      <Section title="Body and thickening" note="starch in its water">
        <FillingBody filling={filling} />
      </Section>
      <Section title="Fruit" note={filling.fruit ? "raw, sugared late" : "none raw"}>
        <FruitDials filling={filling} save={save} />
      </Section>
      {filling.family === "custard" && (
        <p className="rounded-lg border border-base-300 p-3 text-sm">
          Caution: cook an egg custard through; 72–74 °C at the core is a usual rule, then cool it fast. Your
          local food code decides.
        </p>
      )}
      {filling.family === "syrup" && (
        <p className="rounded-lg border border-base-300 p-3 text-sm">
          Caution: boiling syrup burns deep. Pour around and away from you.
        </p>
      )}
    </>
  );
}

/** Parts to begin with, where the baker divides a dough. */
const FIRST_PARTS = 2;

/** How a dough is divided before it rests. */
function DivisionDials({
  dough,
  set,
}: {
  readonly dough: Dough;
  readonly set: (fields: Partial<Dough>) => void;
}) {
  return (
    <>
      <Select
        label="Divided into"
        value={dough.dividedInto}
        options={toOptions(shapeNames)}
        onChange={(dividedInto) => set({ dividedInto })}
      />
      <Choice
        legend="How many of them"
        value={dough.dividedCount === null ? "sheets" : "parts"}
        onChange={(way) => set({ dividedCount: way === "sheets" ? null : FIRST_PARTS })}
        options={[
          { id: "sheets", title: "one for each sheet" },
          { id: "parts", title: "equal parts" },
        ]}
      />
      {dough.dividedCount !== null && (
        <Dial
          limit={formulaLimits.dividedCount}
          value={dough.dividedCount}
          sliderMax={12}
          onChange={(dividedCount) => set({ dividedCount })}
        />
      )}
    </>
  );
}
