"use client";

import { useMoney } from "../bench/useMoney";
import { useState } from "react";
import { listCrimps, findCrimpId, type Piece, type VariantFigures } from "@/core/plan";
import { computeBox, scaleOutline } from "@/core/shape";
import { findCrimp } from "@/core/sealing";
import { formatMass, formatNumber } from "@/core/units";
import { orderLimits, pieceLimits, type Limit } from "@/schemas/limits";
import { createVariantsClient, type VariantsRequest } from "@/workers/createPlanClient";
import { useBench, usePicked } from "../bench/BenchProvider";
import { useLatest } from "../bench/useLatest";
import { WorkerFault } from "../controls/WorkerFault";
import { Dial } from "../controls/Dial";
import { Link } from "../controls/Link";
import { Select } from "../controls/Select";
import { SectionDrawing } from "../drawings/SectionDrawing";
import { MissingPiece } from "./MissingPiece";

/** Pieces that each variant is reckoned for: small enough for one sheet, large enough to share trim. */
const FIRST_COUNT = 24;
const MOST_VARIANTS = 3;

/** Two or three variants of a piece side by side. Nothing is changed until one is taken. */
export function ComparePage({ pieceId }: { readonly pieceId: string }) {
  const piece = useBench((state) => state.book.pieces.find(({ id }) => id === pieceId));
  return piece ? <Compare key={piece.id} piece={piece} /> : <MissingPiece />;
}

function Compare({ piece }: { readonly piece: Piece }) {
  const { book, date, edit } = usePicked("book", "date", "edit");
  const [count, setCount] = useState(FIRST_COUNT);
  const [others, setOthers] = useState<readonly Piece[]>(() => [
    { ...piece, plumpness: Math.min(Number((piece.plumpness + 0.1).toFixed(2)), 1) },
  ]);
  const variants = [piece, ...others];
  const { answer, isBusy, fault, askAgain } = useLatest<VariantsRequest, VariantFigures[]>(
    { book, variants, count },
    createVariantsClient,
  );
  const figures = answer?.output ?? [];
  const change = (index: number, fields: Partial<Piece>) =>
    setOthers(others.map((each, i) => (i === index ? { ...each, ...fields } : each)));
  return (
    <div className="flex flex-col gap-3 p-4 lg:p-5">
      <div className="flex flex-wrap items-end gap-4">
        <Link className="why-link" href={`/day/${date}/piece/${piece.id}`}>
          ‹ {piece.name}
        </Link>
        <div className="w-64">
          <Dial limit={orderLimits.count} value={count} sliderMax={120} onChange={setCount} />
        </div>
        {others.length < MOST_VARIANTS - 1 && (
          <button
            type="button"
            className="btn touch"
            onClick={() => setOthers([...others, others.at(-1) ?? piece])}
          >
            Another variant
          </button>
        )}
        <WorkerFault fault={fault} onRetry={askAgain} />
      </div>
      <div className="grid gap-4 md:grid-cols-2 xl:grid-cols-3" aria-busy={isBusy}>
        {variants.map((variant, i) => (
          <section
            key={i}
            aria-label={i === 0 ? "As it is" : `Variant ${i + 1}`}
            className="flex flex-col gap-2 rounded-xl border-2 border-base-300 bg-base-100 p-3"
          >
            <h2 className="text-xl">{i === 0 ? "As it is" : `Variant ${i + 1}`}</h2>
            {figures[i] && <VariantFacts figures={figures[i]} base={i === 0 ? null : (figures[0] ?? null)} />}
            {i > 0 && (
              <>
                <VariantDials variant={variant} onChange={(fields) => change(i - 1, fields)} />
                <button
                  type="button"
                  className="btn btn-primary touch"
                  disabled={figures[i]?.fault !== null}
                  onClick={() => edit([{ kind: "piece", id: piece.id, record: variant }])}
                >
                  Make it so
                </button>
              </>
            )}
          </section>
        ))}
      </div>
    </div>
  );
}

function VariantFacts({
  figures,
  base,
}: {
  readonly figures: VariantFigures;
  readonly base: VariantFigures | null;
}) {
  const { line, fault } = figures;
  const money = useMoney();
  if (!line) return <p className="rounded-lg border-2 border-error p-2">{fault}</p>;
  const rows: readonly (readonly [string, (each: VariantFigures) => string])[] = [
    ["dough, with its trim", ({ doughG }) => formatMass(doughG)],
    ["filling", ({ fillingG }) => formatMass(fillingG)],
    ["hands", ({ handsS }) => `${formatNumber(handsS)} s`],
    ["costs", ({ costMinor }) => money(costMinor)],
    ["crust to filling", ({ crustPerFilling }) => `${formatNumber(crustPerFilling, 2)} : 1`],
    ["may leak", ({ leakShare }) => (leakShare === null ? "–" : `${formatNumber(leakShare * 100, 1)} %`)],
  ];
  return (
    <>
      <div className="h-36">
        <SectionDrawing formed={line.shaped.formed} name={line.piece.name} />
      </div>
      <dl className="grid grid-cols-[1fr_auto_auto] items-baseline gap-x-3">
        {rows.map(([name, write]) => {
          const was = base?.line ? write(base) : null;
          return (
            <div key={name} className="contents">
              <dt>{name}</dt>
              <dd className="figure text-right text-2xl">{write(figures)}</dd>
              <dd className="quiet text-right text-sm">
                {was !== null && was !== write(figures) ? `now ${was}` : ""}
              </dd>
            </div>
          );
        })}
      </dl>
    </>
  );
}

/** A variant's size turns its whole cut, keeping its shape. */
function VariantDials({
  variant,
  onChange,
}: {
  readonly variant: Piece;
  readonly onChange: (fields: Partial<Piece>) => void;
}) {
  const { cut } = variant;
  const box = computeBox(cut);
  const acrossMm = Math.max(box.widthMm, box.heightMm);
  const size: Limit = { ...pieceLimits.widthMm, label: "Cut across" };
  const crimps = listCrimps(variant.form.kind);
  return (
    <>
      <Dial
        limit={size}
        value={Number(acrossMm.toFixed(1))}
        sliderMin={40}
        sliderMax={200}
        onChange={(mm) => onChange({ cut: scaleOutline(cut, mm / acrossMm) })}
      />
      <Dial
        limit={pieceLimits.thicknessMm}
        value={variant.thicknessMm}
        sliderMax={8}
        onChange={(thicknessMm) => onChange({ thicknessMm })}
      />
      <Dial
        limit={pieceLimits.plumpness}
        value={variant.plumpness}
        onChange={(plumpness) => onChange({ plumpness })}
      />
      {crimps.length > 0 && (
        <Select
          label="Crimp"
          value={findCrimpId(variant)}
          options={crimps.map((id) => ({ id, name: findCrimp(id).name }))}
          onChange={(crimp) => onChange({ crimp })}
        />
      )}
    </>
  );
}
