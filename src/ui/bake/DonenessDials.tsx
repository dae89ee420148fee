"use client";

import { signNames, type Doneness, type Piece } from "@/core/plan";
import { formatDuration } from "@/core/units";
import { pieceLimits } from "@/schemas/limits";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Dial } from "../controls/Dial";
import { Select, toOptions } from "../controls/Select";

/** How a piece is known to be done, and what the plan keeps for "not yet". */
export function DonenessDials(props: { readonly piece: Piece }) {
  const { piece, editPiece } = usePieceEdit(props.piece);
  const { doneness } = piece;
  const set = (fields: Partial<Doneness>) => editPiece({ doneness: { ...doneness, ...fields } });
  return (
    <>
      <Select
        label="Done when"
        value={doneness.sign}
        options={toOptions(signNames)}
        onChange={(sign) => set({ sign })}
      />
      <Dial
        limit={pieceLimits.moreMin}
        value={doneness.moreMin}
        sliderMax={10}
        onChange={(moreMin) => set({ moreMin })}
      />
      <Dial
        limit={pieceLimits.atMost}
        value={doneness.atMost}
        hint={
          doneness.atMost > 0
            ? `the oven is kept ${formatDuration(doneness.moreMin * doneness.atMost)} longer for it`
            : "nothing is kept for it"
        }
        onChange={(atMost) => set({ atMost })}
      />
    </>
  );
}
