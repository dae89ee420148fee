"use client";

import { Plus, Trash2 } from "lucide-react";
import { stageActs, type BakeStage, type Piece } from "@/core/plan";
import { MAX_STAGES, pieceLimits } from "@/schemas/limits";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Dial } from "../controls/Dial";
import { Select, toOptions } from "../controls/Select";
import { actNames } from "./words";

/** The bake, stage after stage: heat, minutes, and what is done at the end of each. */
export function StageDials({ piece }: { readonly piece: Piece }) {
  const { editPiece } = usePieceEdit(piece);
  const { stages } = piece;
  const set = (index: number, fields: Partial<BakeStage>) =>
    editPiece({ stages: stages.map((stage, i) => (i === index ? { ...stage, ...fields } : stage)) });
  const last = stages.at(-1);
  return (
    <>
      {stages.map((stage, i) => {
        const name = stages.length > 1 ? ` ${i + 1}` : "";
        return (
          <div key={i} className="flex flex-col gap-1 border-t border-base-300 pt-2 first:border-0">
            <Dial
              limit={{ ...pieceLimits.ovenC, label: `${pieceLimits.ovenC.label}${name}` }}
              value={stage.ovenC}
              onChange={(ovenC) => set(i, { ovenC })}
            />
            <Dial
              limit={{ ...pieceLimits.bakeMin, label: `${pieceLimits.bakeMin.label}${name}` }}
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
