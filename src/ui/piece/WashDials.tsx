"use client";

import type { Piece } from "@/core/plan";
import { washKinds, washSugars } from "@/core/sealing";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Choice } from "../controls/Choice";
import { Select, toOptions } from "../controls/Select";
import { sugarNames, washNames } from "./words";

/** What goes on the outside, how often and when. */
export function WashDials(props: { readonly piece: Piece }) {
  const { piece, editPiece } = usePieceEdit(props.piece);
  const { wash } = piece;
  return (
    <>
      <Select
        label="Washed with"
        value={wash.kind}
        options={toOptions(washNames).filter(({ id }) => washKinds.includes(id))}
        onChange={(kind) => editPiece({ wash: { ...wash, kind } })}
      />
      {wash.kind !== "none" && (
        <Choice
          legend="Coats"
          value={wash.coats > 1 ? "twice" : "once"}
          onChange={(times) => editPiece({ wash: { ...wash, coats: times === "twice" ? 2 : 1 } })}
          options={[
            { id: "once", title: "once", note: "before the oven" },
            { id: "twice", title: "twice", note: "again at half time" },
          ]}
        />
      )}
      <Choice
        legend="Sugar"
        value={wash.sugar}
        onChange={(sugar) => editPiece({ wash: { ...wash, sugar } })}
        options={washSugars.map((id) => ({ id, title: sugarNames[id] }))}
      />
    </>
  );
}
