"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import type { FoldForm } from "@/core/forming";
import type { Piece } from "@/core/plan";
import { computeBox, type Outline } from "@/core/shape";
import { crimps } from "@/core/sealing";
import { formatMass } from "@/core/units";
import { pieceLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { createId } from "../bench/createId";
import { usePieceEdit } from "../bench/usePieceEdit";
import { checkName } from "../controls/checks";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { Fact } from "../controls/Fact";
import { StationLayout } from "../controls/StationLayout";
import { TextField } from "../controls/TextField";
import { FoldPlanDrawing } from "../drawings/FoldPlanDrawing";
import { SectionDrawing } from "../drawings/SectionDrawing";
import { CutSizeDials } from "../stations/CutSizeDials";

/** One piece, described beside its own drawing. */
export function PiecePage({ pieceId }: { readonly pieceId: string }) {
  const piece = useBench((state) => state.book.pieces.find(({ id }) => id === pieceId));
  const date = useBench((state) => state.date);
  if (!piece) {
    return (
      <p className="p-6">
        This piece is not in the book any more.{" "}
        <Link className="why-link" href={`/day/${date}/book`}>
          Back to the book
        </Link>
      </p>
    );
  }
  return (
    <StationLayout
      label={piece.name}
      surface={<PieceSurface piece={piece} />}
      side={<PieceDials piece={piece} />}
    />
  );
}

function PieceSurface({ piece }: { readonly piece: Piece }) {
  const shaped = useBench((state) => state.plan.shaped[piece.id]);
  const problems = useBench((state) => state.plan.problems);
  const faults = problems.filter(({ pieceId }) => pieceId === piece.id);
  return (
    <div className="flex h-full flex-col gap-3">
      {faults.map(({ message }) => (
        <p key={message} className="rounded-lg border-2 border-error bg-base-100 p-3" role="alert">
          {message}
        </p>
      ))}
      {shaped && (
        <>
          <div className="flex flex-wrap items-baseline gap-x-8 gap-y-1">
            <Fact label="filling" value={formatMass(shaped.portion.massG)} note={shaped.portion.spoons} />
            <Fact label="dough" value={formatMass(shaped.blankG)} note="one blank" />
            <Fact
              label="baked"
              value={formatMass(shaped.bakedPieceG)}
              note={`${formatMass(shaped.rawPieceG)} raw`}
            />
            <Fact
              label={shaped.seal.crimp.markName}
              value={String(shaped.seal.marks)}
              note={`${Math.round(shaped.seal.seamMm)} mm of seam`}
            />
          </div>
          <div className="grid min-h-0 flex-1 gap-4 md:grid-cols-2">
            <div className="min-h-[220px]">
              <SectionDrawing fold={shaped.fold} name={piece.name} />
            </div>
            <div className="min-h-[220px]">
              <FoldPlanDrawing fold={shaped.fold} seal={shaped.seal} name={piece.name} />
            </div>
          </div>
        </>
      )}
    </div>
  );
}

const forms: readonly { readonly id: FoldForm; readonly title: string }[] = [
  { id: "halfMoon", title: "half-moon" },
  { id: "triangle", title: "triangle" },
  { id: "rectangle", title: "rectangle" },
];

/** The outline a form is folded from, keeping the size as far as it goes. */
function toOutline(form: FoldForm, cut: Outline): Outline {
  const { widthMm, heightMm } = computeBox(cut);
  if (form === "halfMoon") return { kind: "disc", diameterMm: Math.max(widthMm, heightMm) };
  if (form === "triangle") return { kind: "square", sideMm: Math.max(widthMm, heightMm) };
  return { kind: "rectangle", widthMm, heightMm };
}

function PieceDials({ piece }: { readonly piece: Piece }) {
  const { book, date, edit } = useBench((state) => state);
  const { editPiece } = usePieceEdit(piece);
  const router = useRouter();
  const ordered = book.orders.filter(({ pieceId }) => pieceId === piece.id);

  const duplicate = () => {
    const copy: Piece = { ...piece, id: createId("piece"), name: `${piece.name}, another` };
    edit([{ kind: "piece", id: copy.id, record: copy }]);
    router.push(`/day/${date}/piece/${copy.id}`);
  };
  const remove = () => {
    edit([
      ...ordered.map(({ id }) => ({ kind: "order" as const, id, record: null })),
      { kind: "piece", id: piece.id, record: null },
    ]);
    router.push(`/day/${date}/book`);
  };
  const formulaSelect = (kind: "dough" | "filling", value: string, choose: (id: string) => void) => (
    <div className="flex flex-col gap-0.5">
      <div className="flex justify-between">
        <label htmlFor={`piece-${kind}`}>{kind === "dough" ? "Dough" : "Filling"}</label>
        <Link className="why-link text-sm" href={`/day/${date}/formula/${value}`}>
          open its formula
        </Link>
      </div>
      <select
        id={`piece-${kind}`}
        className="select w-full"
        value={value}
        onChange={(event) => choose(event.target.value)}
      >
        {book.formulas
          .filter((formula) => formula.kind === kind)
          .map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
      </select>
    </div>
  );
  return (
    <>
      <TextField label="Name" value={piece.name} check={checkName} onCommit={(name) => editPiece({ name })} />
      <Choice
        legend="Folded to a"
        value={piece.form}
        onChange={(form) => editPiece({ form, cut: toOutline(form, piece.cut) })}
        options={forms}
      />
      <CutSizeDials piece={piece} />
      <Dial
        limit={pieceLimits.thicknessMm}
        value={piece.thicknessMm}
        sliderMax={8}
        onChange={(thicknessMm) => editPiece({ thicknessMm })}
      />
      <Dial
        limit={pieceLimits.marginMm}
        value={piece.marginMm}
        sliderMax={30}
        onChange={(marginMm) => editPiece({ marginMm })}
      />
      <Dial
        limit={pieceLimits.plumpness}
        value={piece.plumpness}
        onChange={(plumpness) => editPiece({ plumpness })}
      />
      {formulaSelect("dough", piece.doughId, (doughId) => editPiece({ doughId }))}
      {formulaSelect("filling", piece.fillingId, (fillingId) => editPiece({ fillingId }))}
      <Choice
        legend="Crimp"
        value={piece.crimp}
        onChange={(crimp) => editPiece({ crimp })}
        options={crimps.map(({ id, name }) => ({ id, title: name }))}
      />
      <Dial limit={pieceLimits.ovenC} value={piece.ovenC} onChange={(ovenC) => editPiece({ ovenC })} />
      <Dial
        limit={pieceLimits.bakeMin}
        value={piece.bakeMin}
        sliderMax={60}
        onChange={(bakeMin) => editPiece({ bakeMin })}
      />
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn touch" onClick={duplicate}>
          Make another like it
        </button>
        <button type="button" className="btn touch text-error" onClick={remove}>
          Remove{ordered.length > 0 ? `, with its ${ordered.length} orders today` : ""}
        </button>
      </div>
    </>
  );
}
