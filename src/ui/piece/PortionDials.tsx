"use client";

import { parsePortion } from "@/core/filling";
import { isFilledLevel } from "@/core/forming";
import type { Piece } from "@/core/plan";
import { formatKept, formatMass, formatNumber, formatScale } from "@/core/units";
import { sayFailure } from "@/core/words";
import { describeLimitFault } from "@/schemas/checkValue";
import { pieceLimits } from "@/schemas/limits";
import { usePicked } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { TextField } from "../controls/TextField";

/** A small portion, to show how one is written, g. */
const EXAMPLE_G = 25;

/** How much goes in each: as full as it is set, or so much by weight or measure. */
export function PortionDials(props: { readonly piece: Piece }) {
  const { book, plan } = usePicked("book", "plan");
  const { piece, editPiece } = usePieceEdit(props.piece);
  const shaped = plan.shaped[piece.id];
  const { form, portionG } = piece;
  const gPerMl = book.formulas.find(({ id }) => id === piece.fillingId)?.densityGPerMl ?? 1;
  const read = (text: string) => {
    const parsed = parsePortion(text, gPerMl, book.kitchen.system);
    if (!parsed.ok) return { fault: sayFailure(parsed.failure) };
    const massG = Number(parsed.value.toFixed(1));
    const fault = describeLimitFault(massG, pieceLimits.portionG);
    return fault ? { fault } : { massG };
  };
  const fullness = isFilledLevel(form.kind)
    ? { ...pieceLimits.plumpness, label: "Filled to, of the depth" }
    : pieceLimits.plumpness;
  return (
    <>
      <Choice
        legend="Filled"
        value={portionG === null ? "full" : "weight"}
        onChange={(way) =>
          editPiece({
            portionG: way === "full" ? null : Math.max(Math.round(shaped?.portion.massG ?? 0), 1),
          })
        }
        options={[
          { id: "full", title: "as full as set" },
          { id: "weight", title: "by weight or measure" },
        ]}
      />
      {portionG !== null ? (
        <TextField
          label={`Each gets, as ${formatScale(EXAMPLE_G)}, 2 tbsp or scoop 40`}
          value={formatKept(Number(portionG.toFixed(1)), "g")}
          inputClassName="figure text-xl"
          check={(text) => read(text).fault ?? null}
          onCommit={(text) => {
            const { massG } = read(text);
            if (massG !== undefined) editPiece({ portionG: massG });
          }}
        />
      ) : form.kind === "largeFold" ? (
        <Dial
          limit={pieceLimits.spreadMm}
          value={form.spreadMm}
          sliderMax={40}
          onChange={(spreadMm) => editPiece({ form: { ...form, spreadMm } })}
        />
      ) : (
        <Dial limit={fullness} value={piece.plumpness} onChange={(plumpness) => editPiece({ plumpness })} />
      )}
      {portionG !== null && shaped && (
        <p className={shaped.overMl > 0 ? "text-sm text-error" : "quiet text-sm"}>
          {shaped.overMl > 0
            ? `${formatNumber(shaped.overMl, 1)} ml more than it has room for: room is for ${formatMass(
                (shaped.portion.volumeMl - shaped.overMl) * gPerMl,
              )}.`
            : form.kind === "largeFold"
              ? `spread to ${formatNumber(shaped.formed.capacityMl)} ml`
              : `fills it to ${formatNumber(shaped.plumpness * 100)} %`}
        </p>
      )}
    </>
  );
}
