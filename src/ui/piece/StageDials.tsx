"use client";

import { Plus, Trash2 } from "lucide-react";
import { convertBake } from "@/core/heat";
import { findGasMark, formatHeat, toCelsius, toFahrenheit, type OvenScale } from "@/core/units";
import { stageActs, type BakeStage, type Piece } from "@/core/plan";
import { MAX_STAGES, pieceLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Dial } from "../controls/Dial";
import { Select, toOptions } from "../controls/Select";
import { actNames } from "./words";

/** The same bake in other marks and other ovens: `390 °F, gas 6 · fan 180 °C · hot air 175 °C, 21 min`. */
function describeSettings(stage: BakeStage, scale: OvenScale): string {
  const [fan, hotAir] = [convertBake(stage, "still", "fan"), convertBake(stage, "still", "hotAir")];
  const gas = findGasMark(stage.ovenC);
  const other = formatHeat(stage.ovenC, scale === "fahrenheit" ? "celsius" : "fahrenheit");
  return (
    `${other}${gas === null ? "" : `, gas ${gas}`} · fan ${formatHeat(fan.ovenC, scale)} · ` +
    `hot air ${formatHeat(hotAir.ovenC, scale)}, ${hotAir.minutes} min`
  );
}

interface HeatProps {
  readonly label: string;
  readonly ovenC: number;
  readonly hint: string | undefined;
  readonly onChange: (ovenC: number) => void;
}

/** A heat in the degrees this kitchen reads; gas marks are typed. */
function HeatDial({ label, ovenC, hint, onChange }: HeatProps) {
  const isFahrenheit = useBench((state) => state.book.kitchen.ovenScale) === "fahrenheit";
  const { min, max } = pieceLimits.ovenC;
  return isFahrenheit ? (
    <Dial
      limit={{ label, unit: "°F", min: toFahrenheit(min), max: toFahrenheit(max), step: 5 }}
      value={toFahrenheit(ovenC)}
      hint={hint}
      onChange={(ovenF) => onChange(toCelsius(ovenF))}
    />
  ) : (
    <Dial limit={{ ...pieceLimits.ovenC, label }} value={ovenC} hint={hint} onChange={onChange} />
  );
}

/** The bake, stage after stage: heat, minutes, and what is done at the end of each. */
export function StageDials({ piece }: { readonly piece: Piece }) {
  const { editPiece } = usePieceEdit(piece);
  const { stages } = piece;
  const isOil = piece.heatBy === "oil";
  const scale = useBench((state) => state.book.kitchen.ovenScale);
  const set = (index: number, fields: Partial<BakeStage>) =>
    editPiece({ stages: stages.map((stage, i) => (i === index ? { ...stage, ...fields } : stage)) });
  const last = stages.at(-1);
  return (
    <>
      {stages.map((stage, i) => {
        const name = stages.length > 1 ? ` ${i + 1}` : "";
        return (
          <div key={i} className="flex flex-col gap-1 border-t border-base-300 pt-2 first:border-0">
            <HeatDial
              label={`${isOil ? "Oil" : pieceLimits.ovenC.label}${name}`}
              ovenC={stage.ovenC}
              hint={isOil ? undefined : describeSettings(stage, scale)}
              onChange={(ovenC) => set(i, { ovenC })}
            />
            <Dial
              limit={{ ...pieceLimits.bakeMin, label: `${isOil ? "Fry" : pieceLimits.bakeMin.label}${name}` }}
              value={stage.minutes}
              sliderMax={60}
              onChange={(minutes) => set(i, { minutes })}
            />
            {i < stages.length - 1 && (
              <Select
                label={`Then${name}`}
                value={stage.act}
                options={toOptions(actNames).filter(({ id }) => stageActs.includes(id))}
                onChange={(act) => set(i, { act })}
              />
            )}
            {stages.length > 1 && (
              <button
                type="button"
                className="btn touch"
                onClick={() => editPiece({ stages: stages.filter((_, j) => j !== i) })}
              >
                <Trash2 size={18} aria-hidden /> Leave stage {i + 1} out
              </button>
            )}
          </div>
        );
      })}
      {stages.length < MAX_STAGES && last && (
        <button
          type="button"
          className="btn touch"
          onClick={() => editPiece({ stages: [...stages, { ...last, act: "none" }] })}
        >
          <Plus size={18} aria-hidden /> Another stage
        </button>
      )}
    </>
  );
}
