"use client";

import { heatWays, type HeatWay, type Piece } from "@/core/plan";
import { usePieceEdit } from "../bench/usePieceEdit";
import { useBench } from "../bench/BenchProvider";
import { Choice } from "../controls/Choice";
import { Select } from "../controls/Select";
import { StageDials } from "../piece/StageDials";
import { DonenessDials } from "./DonenessDials";

const wayNames: Record<HeatWay, string> = { oven: "Baked", oil: "Fried" };
/** No id of a kit has a space in it. */
const NO_VESSEL = "on the tray";
/** Oil that most pieces can begin with, °C and minutes. */
const FIRST_OIL = { ovenC: 180, minutes: 5, act: "none" } as const;
/** Oil is never hotter than this. */
const OIL_MOST_C = 200;

/** Oven or oil, in what, how hot, how long, and how it is known to be done. */
export function HeatDials({ piece }: { readonly piece: Piece }) {
  const { editPiece } = usePieceEdit(piece);
  const vessels = useBench((state) => state.book.vessels).filter(({ kind }) => kind !== "tray");
  const change = (heatBy: HeatWay) =>
    editPiece({
      heatBy,
      // An oven's heats are no oil's.
      stages:
        heatBy === "oil" && piece.stages.some(({ ovenC }) => ovenC > OIL_MOST_C) ? [FIRST_OIL] : piece.stages,
    });
  return (
    <>
      <Choice
        legend="The heat"
        value={piece.heatBy}
        options={heatWays.map((id) => ({ id, title: wayNames[id] }))}
        onChange={change}
      />
      <StageDials piece={piece} />
      {piece.heatBy === "oven" && (
        <>
          <DonenessDials piece={piece} />
          <Select
            label="Baked in"
            value={piece.vesselId ?? NO_VESSEL}
            options={[
              { id: NO_VESSEL, name: "nothing: on the tray" },
              ...vessels.map(({ id, name, count, holds }) => ({
                id,
                name: `${name}, ${count * holds} pieces`,
              })),
            ]}
            hint={vessels.length === 0 ? "moulds and pans are entered in Kit" : undefined}
            onChange={(id) => editPiece({ vesselId: id === NO_VESSEL ? null : id })}
          />
        </>
      )}
    </>
  );
}
