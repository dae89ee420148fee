"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import type { FormKind } from "@/core/forming";
import type { Piece } from "@/core/plan";
import { computeBox, describeOutline, type Outline } from "@/core/shape";
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
import { PlanDrawing } from "../drawings/PlanDrawing";
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
            <Fact
              label="dough"
              value={formatMass(shaped.blankG)}
              note={shaped.formed.blanks
                .map(({ role, cut }) => (cut.kind === "ring" ? "" : `${role} `) + describeOutline(cut))
                .join(", ")}
            />
            <Fact
              label="baked"
              value={formatMass(shaped.bakedPieceG)}
              note={`${formatMass(shaped.rawPieceG)} raw`}
            />
            {shaped.seal && (
              <Fact
                label={shaped.seal.crimp.markName}
                value={String(shaped.seal.marks)}
                note={`${Math.round(shaped.seal.seamMm)} mm of seam`}
              />
            )}
          </div>
          <div className="grid min-h-0 flex-1 gap-4 md:grid-cols-2">
            <div className="min-h-[220px]">
              <SectionDrawing formed={shaped.formed} name={piece.name} />
            </div>
            <div className="min-h-[220px]">
              <PlanDrawing formed={shaped.formed} seal={shaped.seal} name={piece.name} />
            </div>
          </div>
        </>
      )}
    </div>
  );
}

const forms: readonly { readonly id: FormKind; readonly title: string }[] = [
  { id: "halfMoon", title: "half-moon" },
  { id: "triangle", title: "triangle" },
  { id: "rectangle", title: "rectangle" },
  { id: "lidded", title: "base and top" },
  { id: "case", title: "puff case" },
  { id: "rosette", title: "rosette" },
];

/** A form with its craft's usual figures, and the outline it is made from, keeping the size as far as it goes. */
function toForm(kind: FormKind, cut: Outline): Pick<Piece, "form" | "cut"> {
  const { widthMm, heightMm } = computeBox(cut);
  const acrossMm = Math.max(widthMm, heightMm);
  const disc: Outline = { kind: "disc", diameterMm: acrossMm };
  switch (kind) {
    case "lidded":
      return { form: { kind, topOversizeMm: null }, cut: cut.kind === "oval" ? cut : disc };
    case "case":
      return { form: { kind, holeMm: Math.round(acrossMm * 0.6) }, cut: disc };
    case "rosette":
      return {
        form: { kind, sliceMm: 40, sliceThicknessMm: 2, overlapShare: 0.5, cavityMm: 70 },
        cut: { kind: "rectangle", widthMm: 280, heightMm: 55 },
      };
    case "halfMoon":
      return { form: { kind }, cut: disc };
    case "triangle":
      return { form: { kind }, cut: { kind: "square", sideMm: acrossMm } };
    default:
      return { form: { kind }, cut: { kind: "rectangle", widthMm, heightMm } };
  }
}

/** What a form alone needs to know. */
function FormDials({ piece }: { readonly piece: Piece }) {
  const { editPiece } = usePieceEdit(piece);
  const { form, cut } = piece;
  if (form.kind === "lidded") {
    return (
      <>
        <Choice
          legend="Base and top are"
          value={cut.kind === "oval" ? "oval" : "disc"}
          onChange={(kind) => {
            const { widthMm, heightMm } = computeBox(cut);
            const oval: Outline = { kind: "oval", widthMm, heightMm: Math.round(heightMm * 0.65) };
            editPiece({ cut: kind === "oval" ? oval : { kind: "disc", diameterMm: widthMm } });
          }}
          options={[
            { id: "disc", title: "round" },
            { id: "oval", title: "oval" },
          ]}
        />
        <Choice
          legend="Size of the top"
          value={form.topOversizeMm === null ? "computed" : "own"}
          onChange={(way) =>
            editPiece({ form: { kind: "lidded", topOversizeMm: way === "computed" ? null : 10 } })
          }
          options={[
            { id: "computed", title: "from the filling’s height" },
            { id: "own", title: "my cutter" },
          ]}
        />
        {form.topOversizeMm !== null && (
          <Dial
            limit={pieceLimits.topOversizeMm}
            value={form.topOversizeMm}
            sliderMax={40}
            onChange={(topOversizeMm) => editPiece({ form: { kind: "lidded", topOversizeMm } })}
          />
        )}
      </>
    );
  }
  if (form.kind === "case") {
    return (
      <Dial
        limit={pieceLimits.holeMm}
        value={form.holeMm}
        sliderMax={120}
        hint="what the ring’s cutter takes out is the lid"
        onChange={(holeMm) => editPiece({ form: { kind: "case", holeMm } })}
      />
    );
  }
  if (form.kind !== "rosette") return null;
  return (["sliceMm", "sliceThicknessMm", "overlapShare", "cavityMm"] as const).map((name) => (
    <Dial
      key={name}
      limit={pieceLimits[name]}
      value={form[name]}
      onChange={(value) => editPiece({ form: { ...form, [name]: value } })}
    />
  ));
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
        legend="Form"
        value={piece.form.kind}
        onChange={(kind) => editPiece(toForm(kind, piece.cut))}
        options={forms}
      />
      <FormDials piece={piece} />
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
