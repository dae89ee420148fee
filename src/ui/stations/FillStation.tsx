"use client";

import Link from "next/link";
import type { PiecePlan } from "@/core/plan";
import { formatLength, formatMass, formatNumber } from "@/core/units";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Dial } from "../controls/Dial";
import { EmptyDay } from "../controls/EmptyDay";
import { PieceTabs, useSelectedLine } from "../controls/PieceTabs";
import { ProblemList } from "../controls/ProblemList";
import { StationLayout } from "../controls/StationLayout";
import { Why } from "../controls/Why";
import { SectionDrawing } from "../drawings/SectionDrawing";
import { pieceLimits } from "@/schemas/limits";

/** How much goes in each. */
export function FillStation() {
  const line = useSelectedLine();
  if (!line) return <EmptyDay station="fill" />;
  return <StationLayout label="Fill" surface={<Surface line={line} />} side={<FillDials line={line} />} />;
}

function Surface({ line }: { readonly line: PiecePlan }) {
  const filling = useBench((state) => state.book.formulas.find(({ id }) => id === line.piece.fillingId));
  const shareOfMost = line.portion.volumeMl / line.formed.mostMl;
  return (
    <div className="flex h-full flex-col gap-2">
      <PieceTabs />
      <ProblemList station="fill" />
      <div className="grid min-h-0 flex-1 gap-4 md:grid-cols-[minmax(0,1fr)_240px]">
        <div className="max-h-[58dvh] min-h-[240px] lg:max-h-none">
          <SectionDrawing formed={line.formed} name={line.piece.name} />
        </div>
        <div className="flex flex-col justify-center gap-2">
          <p className="quiet">{filling?.name}, each</p>
          <p className="figure text-6xl" data-testid="portion">
            {formatMass(line.portion.massG)}
          </p>
          <p className="figure text-2xl text-primary">{line.portion.spoons}</p>
          <dl className="grid grid-cols-[1fr_auto] gap-x-3">
            <dt>room inside</dt>
            <dd className="figure text-right">{formatNumber(line.portion.volumeMl, 1)} ml</dd>
            <dt>of the most it could hold</dt>
            <dd className="figure text-right">{formatNumber(shareOfMost * 100)} %</dd>
            <dt>for {line.made} pieces</dt>
            <dd className="figure text-right">{formatMass(line.fillingG)}</dd>
            <dt>dough after relaxing</dt>
            <dd className="figure text-right">{formatLength(line.formed.settledThicknessMm)}</dd>
          </dl>
          <Why steps={line.why.portion} label="why this portion?" />
        </div>
      </div>
    </div>
  );
}

/** Up to here a piece is lean, from there plump: names for the two schools of filling. */
const LEAN_TO = 0.35;
const PLUMP_FROM = 0.65;

function FillDials({ line }: { readonly line: PiecePlan }) {
  const { piece } = line;
  const date = useBench((state) => state.date);
  const { editPiece } = usePieceEdit(piece);
  const school =
    piece.plumpness <= LEAN_TO
      ? "lean: safe for wet, boiling fillings"
      : piece.plumpness >= PLUMP_FROM
        ? "plump: for raw fruit that shrinks"
        : "between lean and plump";
  return (
    <>
      <header>
        <h2 className="text-xl">{piece.name}</h2>
        <p className="quiet text-sm">
          {formatMass(line.rawPieceG)} raw · {formatMass(line.bakedPieceG)} baked
        </p>
      </header>
      <Dial
        limit={pieceLimits.plumpness}
        value={piece.plumpness}
        hint={school}
        onChange={(plumpness) => editPiece({ plumpness })}
      />
      <Dial
        limit={pieceLimits.marginMm}
        value={piece.marginMm}
        sliderMax={30}
        hint="kept clean of filling and flour"
        onChange={(marginMm) => editPiece({ marginMm })}
      />
      <Dial
        limit={pieceLimits.bakeLossShare}
        value={piece.bakeLossShare}
        sliderMax={0.25}
        onChange={(bakeLossShare) => editPiece({ bakeLossShare })}
      />
      <p className="rounded-lg border border-base-300 p-3 text-sm">
        Close from the filling outwards and press the air out. Flour or juice on the rim keeps it from
        sticking.
      </p>
      <Link href={`/day/${date}/piece/${piece.id}`} className="btn touch">
        The whole piece
      </Link>
    </>
  );
}
