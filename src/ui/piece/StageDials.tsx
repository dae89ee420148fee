"use client";

import { Plus, Trash2 } from "lucide-react";
import { convertBake } from "@/core/heat";
import { findGasMark, formatHeat, type OvenScale } from "@/core/units";
import type { Piece } from "@/core/plan";
import { factsOf, findHeatWay, insertStep, isHeat, removeHeat, setStep, type Heat } from "@/core/way";
import { MAX_STAGES, pieceLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Dial } from "../controls/Dial";
import { Link } from "../controls/Link";
import { HeatDial } from "./HeatDial";

/** The same bake in other marks and other ovens: `390 °F, gas 6 · fan 180 °C · hot air 175 °C, 21 min`. */
function describeSettings(stage: Heat, scale: OvenScale): string {
  const [fan, hotAir] = [convertBake(stage, "still", "fan"), convertBake(stage, "still", "hotAir")];
  const gas = findGasMark(stage.ovenC);
  const other = formatHeat(stage.ovenC, scale === "fahrenheit" ? "celsius" : "fahrenheit");
  return (
    `${other}${gas === null ? "" : `, gas ${gas}`} · fan ${formatHeat(fan.ovenC, scale)} · ` +
    `hot air ${formatHeat(hotAir.ovenC, scale)}, ${hotAir.minutes} min`
  );
}

/** Every heat of the way: how hot, how long, and what is done as it ends. */
export function StageDials(props: { readonly piece: Piece }) {
  const { piece, editPiece } = usePieceEdit(props.piece);
  const date = useBench((state) => state.date);
  const scale = useBench((state) => state.book.kitchen.ovenScale);
  const { way } = piece;
  const heats = way.flatMap((step, at) => (isHeat(step) ? [{ step, at }] : []));
  const isOil = findHeatWay(way) === "oil";
  const last = heats.at(-1);
  return (
    <>
      {heats.map(({ step, at }, i) => {
        const name = heats.length > 1 ? ` ${i + 1}` : "";
        const then = way.slice(at + 1, heats[i + 1]?.at ?? at + 1).map(({ kind }) => factsOf(kind).name);
        const heat = { ovenC: step.heatC ?? 0, minutes: step.minutes };
        return (
          <div key={step.id} className="flex flex-col gap-1 border-t border-base-300 pt-2 first:border-0">
            <HeatDial
              label={`${isOil ? "Oil" : pieceLimits.ovenC.label}${name}`}
              ovenC={heat.ovenC}
              hint={isOil ? undefined : describeSettings(heat, scale)}
              onChange={(heatC) => editPiece({ way: setStep(way, step.id, { heatC }) })}
            />
            <Dial
              limit={{ ...pieceLimits.bakeMin, label: `${isOil ? "Fry" : pieceLimits.bakeMin.label}${name}` }}
              value={step.minutes}
              sliderMax={60}
              onChange={(minutes) => editPiece({ way: setStep(way, step.id, { minutes }) })}
            />
            {then.length > 0 && <p className="quiet text-sm">then {then.join(", ").toLowerCase()}</p>}
            {heats.length > 1 && (
              <button
                type="button"
                className="btn touch"
                onClick={() => editPiece({ way: removeHeat(way, step.id) })}
              >
                <Trash2 size={18} aria-hidden /> Leave heat {i + 1} out
              </button>
            )}
          </div>
        );
      })}
      {!isOil && heats.length < MAX_STAGES && last && (
        <button
          type="button"
          className="btn touch"
          onClick={() =>
            editPiece({
              way: insertStep(
                way,
                "bake",
                { heatC: last.step.heatC, minutes: last.step.minutes },
                last.at + 1,
              ),
            })
          }
        >
          <Plus size={18} aria-hidden /> Another heat
        </button>
      )}
      <Link className="why-link" href={`/day/${date}/piece/${piece.id}/way`}>
        The way it goes, step by step
      </Link>
    </>
  );
}
