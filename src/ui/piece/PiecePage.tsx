"use client";

import { useRouter } from "next/navigation";
import type { Dough } from "@/core/formula";
import type { Piece } from "@/core/plan";
import { describeVents } from "@/core/sealing";
import { formatLength, formatMass, formatNumber } from "@/core/units";
import { pieceLimits } from "@/schemas/limits";
import { useBench, usePicked } from "../bench/BenchProvider";
import { createId } from "../bench/createId";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Link } from "../controls/Link";
import { checkName } from "../controls/checks";
import { Dial } from "../controls/Dial";
import { ProblemCards } from "../controls/ProblemList";
import { Fact } from "../controls/Fact";
import { Section } from "../controls/Section";
import { Select, toOptions } from "../controls/Select";
import { StationLayout } from "../controls/StationLayout";
import { TextField } from "../controls/TextField";
import { Why } from "../controls/Why";
import { PlanDrawing } from "../drawings/PlanDrawing";
import { SectionDrawing } from "../drawings/SectionDrawing";
import { CutSizeDials } from "../stations/CutSizeDials";
import { ClosingDials } from "./ClosingDials";
import { describeBlanks, describeFinished, describeStages, describeWash } from "./describePiece";
import { ExtrasEditor } from "./ExtrasEditor";
import { FormDials } from "./FormDials";
import { changeForm } from "./formerForms";
import { MissingPiece } from "./MissingPiece";
import { HeatDials } from "../bake/HeatDials";
import { PortionDials } from "./PortionDials";
import { WashDials } from "./WashDials";
import { formNames, tinNames } from "./words";

/** One piece, described beside its own drawing. */
export function PiecePage({ pieceId }: { readonly pieceId: string }) {
  const piece = useBench((state) => state.book.pieces.find(({ id }) => id === pieceId));
  if (!piece) return <MissingPiece />;
  return (
    <StationLayout
      label={piece.name}
      surface={<PieceSurface piece={piece} />}
      side={<PieceDials piece={piece} />}
    />
  );
}

function PieceSurface({ piece }: { readonly piece: Piece }) {
  const { shaped: all, problems } = useBench((state) => state.plan);
  const date = useBench((state) => state.date);
  const shaped = all[piece.id];
  // What comes late or waits too long is the day's trouble, not the piece's.
  const faults = problems.filter(
    ({ pieceId, stops, station, code }) =>
      pieceId === piece.id && (stops || (station !== "bake" && code !== "longWait")),
  );
  return (
    <div className="flex h-full flex-col gap-3">
      <nav aria-label="About this piece" className="flex flex-wrap gap-2">
        <Link className="btn btn-primary touch" href={`/day/${date}/piece/${piece.id}/way`}>
          The way it goes
        </Link>
        <Link className="btn touch" href={`/day/${date}/piece/${piece.id}/schools`}>
          Where bakers disagree
        </Link>
        <Link className="btn touch" href={`/day/${date}/piece/${piece.id}/compare`}>
          Compare variants
        </Link>
        <Link className="btn touch" href={`/day/${date}/piece/${piece.id}/heat`}>
          Another size, chilling, cooling, oil
        </Link>
      </nav>
      <ProblemCards problems={faults} isAlert />
      {shaped && (
        <>
          <div className="flex flex-wrap items-baseline gap-x-8 gap-y-1">
            <Fact label="filling" value={formatMass(shaped.portion.massG)} note={shaped.portion.spoons} />
            <Fact label="dough" value={formatMass(shaped.masses.blankG)} note={describeBlanks(shaped)} />
            <Fact
              label="baked"
              value={formatMass(shaped.masses.bakedPieceG)}
              note={`${formatMass(shaped.masses.rawPieceG)} raw, ${describeFinished(shaped)}`}
            />
            {shaped.seal && (
              <Fact
                label={shaped.seal.crimp.markName}
                value={String(shaped.seal.marks)}
                note={`${formatLength(shaped.seal.seamMm, 0)} of seam`}
              />
            )}
            {shaped.hold && (
              <Fact
                label="may leak"
                value={`${formatNumber(shaped.hold.leakShare * 100, 1)} %`}
                note="of the pieces"
              />
            )}
          </div>
          <div className="grid min-h-0 flex-1 gap-4 md:grid-cols-2">
            <div className="min-h-[220px]">
              <SectionDrawing formed={shaped.formed} name={piece.name} />
            </div>
            <div className="min-h-[220px]">
              <PlanDrawing formed={shaped.formed} seal={shaped.seal} vents={piece.vents} name={piece.name} />
            </div>
          </div>
          <Why steps={shaped.formed.steps} label="why these figures?" />
        </>
      )}
    </div>
  );
}

function PieceDials(props: { readonly piece: Piece }) {
  const { book, date, edit } = usePicked("book", "date", "edit");
  const { piece, editPiece } = usePieceEdit(props.piece);
  const router = useRouter();
  const shaped = useBench((state) => state.plan.shaped[piece.id]);
  const dough =
    book.formulas.find((each): each is Dough => each.kind === "dough" && each.id === piece.doughId) ?? null;
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
      <Select
        label="Form"
        value={piece.form.kind}
        options={toOptions(formNames)}
        onChange={(kind) => editPiece(changeForm(kind, piece, dough))}
      />
      <FormDials piece={piece} />
      <CutSizeDials piece={piece} />
      <Dial
        limit={pieceLimits.thicknessMm}
        value={piece.thicknessMm}
        sliderMax={8}
        onChange={(thicknessMm) => editPiece({ thicknessMm })}
      />
      <PortionDials piece={piece} />
      {formulaSelect("dough", piece.doughId, (doughId) => editPiece({ doughId }))}
      {formulaSelect("filling", piece.fillingId, (fillingId) => editPiece({ fillingId }))}
      <Section
        title="What else goes in"
        note={piece.extras.length > 0 ? `${piece.extras.length} more` : "nothing"}
        isOpen={piece.extras.length > 0}
      >
        <ExtrasEditor piece={piece} />
      </Section>
      <Section
        title="How it is closed"
        note={`${shaped?.seal?.crimp.name ?? "open"}, ${describeVents(piece.vents)}`}
      >
        <ClosingDials piece={piece} />
      </Section>
      <Section title="Wash and sugar" note={describeWash(piece)}>
        <WashDials piece={piece} />
      </Section>
      <Section title="Bake" note={describeStages(piece, book.kitchen.ovenScale)}>
        <Select
          label="The tin is"
          value={piece.tin}
          options={toOptions(tinNames)}
          onChange={(tin) => editPiece({ tin })}
        />
        <HeatDials piece={piece} />
      </Section>
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
