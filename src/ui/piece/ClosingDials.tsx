"use client";

import { listCrimps, findCrimpId, type Piece } from "@/core/plan";
import {
  adviseVentKind,
  adviseVents,
  describeVents,
  findCrimp,
  glueIds,
  ventKinds,
  type VentKind,
} from "@/core/sealing";
import { pieceLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { glueNames, ventNames } from "./words";
import { formatLength } from "@/core/units";

/** How a piece is closed and vented. */
export function ClosingDials(props: { readonly piece: Piece }) {
  const { piece, editPiece } = usePieceEdit(props.piece);
  const { shaped } = useBench((state) => state.plan);
  const formulas = useBench((state) => state.book.formulas);
  const filling = formulas.find(({ id }) => id === piece.fillingId);
  const formed = shaped[piece.id]?.formed;
  const crimp = findCrimp(findCrimpId(piece));
  const choices = listCrimps(piece.form.kind);
  const wetness = filling?.kind === "filling" ? filling.wetness : "moist";
  const advised = (kind: VentKind) => adviseVents(kind, formed?.washMm2 ?? 0, wetness);
  const { vents } = piece;
  return (
    <>
      {choices.length > 0 && (
        <Choice
          legend="Crimp"
          value={crimp.id}
          onChange={(id) => editPiece({ crimp: id })}
          options={choices.map((id) => ({ id, title: findCrimp(id).name }))}
        />
      )}
      {formed && formed.seamMm > 0 && (
        <Dial
          limit={pieceLimits.marginMm}
          value={piece.marginMm}
          sliderMax={30}
          hint={`${crimp.name.toLowerCase()} needs ${formatLength(crimp.needsMarginMm, 2)}`}
          onChange={(marginMm) => editPiece({ marginMm })}
        />
      )}
      {formed && formed.seamMm > 0 && (
        <Choice
          legend="Glued with"
          value={piece.glue}
          onChange={(glue) => editPiece({ glue })}
          options={glueIds.map((id) => ({ id, title: glueNames[id] }))}
        />
      )}
      <Choice
        legend="Vents"
        value={vents.kind}
        onChange={(kind) => editPiece({ vents: { kind, count: advised(kind) } })}
        options={ventKinds.map((id) => ({ id, title: ventNames[id] }))}
      />
      {vents.kind === "none" && formed && formed.seamMm > 0 && (
        <p className="quiet -mt-1 text-sm leading-4">
          advised for this top over a {wetness} filling:{" "}
          {describeVents(adviseVentKind(formed.washMm2, wetness))}
        </p>
      )}
      {vents.kind !== "none" && (
        <Dial
          limit={pieceLimits.ventCount}
          value={vents.count}
          sliderMax={12}
          hint={`${advised(vents.kind)} advised for this top over a ${wetness} filling; right through the dough`}
          onChange={(count) => editPiece({ vents: { ...vents, count } })}
        />
      )}
    </>
  );
}
