"use client";

import type { Piece } from "@/core/plan";
import { findHeatWay, heatWays, withHeatWay, type Heat, type HeatWay } from "@/core/way";
import { usePieceEdit } from "../bench/usePieceEdit";
import { useBench } from "../bench/BenchProvider";
import { Choice } from "../controls/Choice";
import { Select } from "../controls/Select";
import { StageDials } from "../piece/StageDials";
import { DonenessDials } from "./DonenessDials";

const wayNames: Record<HeatWay, string> = { oven: "Baked", oil: "Fried" };
/** No id of a kit has a space in it. */
const NO_VESSEL = "on the tray";
/** What most pieces can begin with in oil and in an oven, °C and minutes. */
const FIRST_HEAT: Record<HeatWay, Heat> = {
  oil: { ovenC: 180, minutes: 5 },
  oven: { ovenC: 200, minutes: 22 },
};

/** Oven or oil, in what, how hot, how long, and how it is known to be done. */
export function HeatDials(props: { readonly piece: Piece }) {
  const { piece, editPiece } = usePieceEdit(props.piece);
  const vessels = useBench((state) => state.book.vessels).filter(({ kind }) => kind !== "tray");
  const heatBy = findHeatWay(piece.way);
  const change = (to: HeatWay) =>
    editPiece({
      way: withHeatWay(piece.way, to, FIRST_HEAT[to]),
      // Nothing is washed, sugared or pricked that goes into oil.
      ...(to === "oil"
        ? {
            wash: {
              kind: "none",
              coats: 1,
              sugar: piece.wash.sugar === "before" ? "after" : piece.wash.sugar,
            },
            vents: { kind: "none", count: 0 },
          }
        : {}),
    });
  return (
    <>
      <Choice
        legend="The heat"
        value={heatBy}
        options={heatWays.map((id) => ({ id, title: wayNames[id] }))}
        onChange={change}
      />
      <StageDials piece={piece} />
      {heatBy === "oven" && (
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
