"use client";

import { Trash2 } from "lucide-react";
import type { PieceExtra } from "@/core/filling";
import type { Filling } from "@/core/formula";
import type { Piece } from "@/core/plan";
import { extraLimits, MAX_EXTRAS } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { checkName } from "../controls/checks";
import { Dial } from "../controls/Dial";
import { Select } from "../controls/Select";
import { TextField } from "../controls/TextField";

const titles: Record<PieceExtra["kind"], string> = {
  layer: "Layer under it",
  share: "Beside it",
  alternate: "Another filling for some of the pieces",
  sauce: "Syrup or sauce around it",
  inclusion: "Whole nuts, berries",
};

/** What else a piece holds: layers, a second component, nuts, syrup, or another filling for part of the order. */
export function ExtrasEditor(props: { readonly piece: Piece }) {
  const { piece, editPiece } = usePieceEdit(props.piece);
  const formulas = useBench((state) => state.book.formulas);
  const fillings = formulas.filter((formula): formula is Filling => formula.kind === "filling");
  const set = (extras: readonly PieceExtra[]) => editPiece({ extras });
  const replace = (index: number, extra: PieceExtra | null) =>
    set(piece.extras.flatMap((each, i) => (i === index ? (extra ? [extra] : []) : [each])));
  const other = fillings.find(({ id }) => id !== piece.fillingId)?.id ?? piece.fillingId;
  // Layers lie level only where there is a mould to hold them.
  const kinds = (Object.keys(titles) as PieceExtra["kind"][]).filter(
    (kind) => kind !== "layer" || piece.form.kind === "lined" || piece.form.kind === "puck",
  );
  return (
    <>
      {piece.extras.map((extra, i) => (
        <fieldset key={i} className="flex flex-col gap-1.5 rounded-lg border border-base-300 p-2.5">
          <legend className="px-1">{titles[extra.kind]}</legend>
          <ExtraDials extra={extra} fillings={fillings} onChange={(next) => replace(i, next)} />
          <button type="button" className="btn touch" onClick={() => replace(i, null)}>
            <Trash2 size={18} aria-hidden /> Leave it out
          </button>
        </fieldset>
      ))}
      {piece.extras.length < MAX_EXTRAS && (
        <div role="group" aria-label="Add to the piece" className="flex flex-wrap gap-1.5">
          {kinds.map((kind) => (
            <button
              key={kind}
              type="button"
              className="btn touch"
              onClick={() => set([...piece.extras, newExtra(kind, other)])}
            >
              + {titles[kind]}
            </button>
          ))}
        </div>
      )}
    </>
  );
}

/** The craft's usual figures to begin with. */
function newExtra(kind: PieceExtra["kind"], fillingId: string): PieceExtra {
  switch (kind) {
    case "layer":
      return { kind, fillingId, heightMm: 3 };
    case "share":
      return { kind, fillingId, share: 0.3 };
    case "alternate":
      return { kind, fillingId, share: 0.5 };
    case "sauce":
      return { kind, fillingId, eachG: 30, perPan: 6 };
    case "inclusion":
      return { kind, name: "nuts", count: 3, eachG: 1, gPerMl: 0.95 };
  }
}

function ExtraDials({
  extra,
  fillings,
  onChange,
}: {
  readonly extra: PieceExtra;
  readonly fillings: readonly Filling[];
  readonly onChange: (extra: PieceExtra) => void;
}) {
  if (extra.kind === "inclusion") {
    return (
      <>
        <TextField
          label="What"
          value={extra.name}
          check={checkName}
          onCommit={(name) => onChange({ ...extra, name })}
        />
        <Dial
          limit={extraLimits.count}
          value={extra.count}
          sliderMax={12}
          onChange={(count) => onChange({ ...extra, count })}
        />
        <Dial
          limit={extraLimits.eachG}
          value={extra.eachG}
          sliderMax={10}
          onChange={(eachG) => onChange({ ...extra, eachG })}
        />
        <Dial
          limit={extraLimits.gPerMl}
          value={extra.gPerMl}
          hint="they take their room from the filling"
          onChange={(gPerMl) => onChange({ ...extra, gPerMl })}
        />
      </>
    );
  }
  return (
    <>
      <Select
        label="Filling"
        value={extra.fillingId}
        options={fillings.map(({ id, name }) => ({ id, name }))}
        onChange={(fillingId) => onChange({ ...extra, fillingId })}
      />
      {extra.kind === "layer" && (
        <Dial
          limit={extraLimits.heightMm}
          value={extra.heightMm}
          sliderMax={20}
          onChange={(heightMm) => onChange({ ...extra, heightMm })}
        />
      )}
      {(extra.kind === "share" || extra.kind === "alternate") && (
        <Dial
          limit={extraLimits.share}
          value={extra.share}
          hint={extra.kind === "share" ? "of the room in each piece" : "of the pieces"}
          onChange={(share) => onChange({ ...extra, share })}
        />
      )}
      {extra.kind === "sauce" && (
        <>
          <Dial
            limit={extraLimits.sauceG}
            value={extra.eachG}
            sliderMax={100}
            onChange={(eachG) => onChange({ ...extra, eachG })}
          />
          <Dial
            limit={extraLimits.perPan}
            value={extra.perPan}
            sliderMax={20}
            onChange={(perPan) => onChange({ ...extra, perPan })}
          />
        </>
      )}
    </>
  );
}
