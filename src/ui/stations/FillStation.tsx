"use client";

import { isFilledLevel } from "@/core/forming";
import type { PieceFill, PiecePlan } from "@/core/plan";
import { formatCount, formatLength, formatMass, formatMassRange, formatNumber } from "@/core/units";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { CautionList } from "../controls/CautionList";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { EmptyDay } from "../controls/EmptyDay";
import { Link } from "../controls/Link";
import { PieceTabs, useSelectedLine } from "../controls/PieceTabs";
import { ProblemList } from "../controls/ProblemList";
import { StationLayout } from "../controls/StationLayout";
import { StationSteps } from "../controls/StationSteps";
import { Why } from "../controls/Why";
import { SectionDrawing } from "../drawings/SectionDrawing";
import { LotLog } from "../piece/LotLog";
import { PortionDials } from "../piece/PortionDials";
import { pieceLimits } from "@/schemas/limits";
import { StationHelp } from "./StationHelp";

/** How much goes in each. */
export function FillStation() {
  const line = useSelectedLine();
  if (!line) return <EmptyDay station="fill" />;
  return (
    <StationLayout
      label="Fill"
      help={<StationHelp station="fill" />}
      surface={<Surface line={line} />}
      side={<FillDials line={line} />}
    />
  );
}

function Surface({ line }: { readonly line: PiecePlan }) {
  const formulas = useBench((state) => state.book.formulas);
  const {
    fills,
    piece,
    shaped: { portion, formed },
  } = line;
  const nameOf = (id: string) => formulas.find((formula) => formula.id === id)?.name ?? "";
  const [main, ...others] = fills;
  const shareOfMost = formed.capacityMl / formed.mostMl;
  return (
    <div className="flex h-full flex-col gap-2">
      <PieceTabs figureOf={({ shaped }) => formatMass(shaped.portion.massG)} />
      <ProblemList station="fill" />
      <div className="grid min-h-0 flex-1 gap-4 md:grid-cols-[minmax(0,1fr)_260px]">
        <div className="max-h-[58dvh] min-h-[240px] lg:max-h-none">
          <SectionDrawing formed={formed} name={piece.name} />
        </div>
        <div className="flex flex-col justify-center gap-2">
          <p className="quiet">
            {nameOf(piece.fillingId)}, {main && main.part.ofPieces < 1 ? `in ${main.count} of them` : "each"}
          </p>
          <p className="figure text-6xl" data-testid="portion">
            {formatMass(portion.massG)}
          </p>
          <p className="figure text-2xl text-primary">{portion.spoons}</p>
          <p className="text-sm">
            {portion.scoop && `scoop no. ${portion.scoop.number} · `}
            bag, {portion.strokes} {portion.strokes === 1 ? "stroke" : "strokes"}
          </p>
          {portion.massG === 0 && <p>Its way fills nothing into it: it is set out as a shell.</p>}
          <p hidden={portion.massG === 0}>
            weigh every tenth:{" "}
            <strong className="figure">{formatMassRange(portion.lowG, portion.highG)}</strong>
          </p>
          {others.length > 0 && (
            <ul aria-label="Also in it" className="flex flex-col gap-1">
              {others.map((fill) => (
                <OtherFill
                  key={`${fill.part.role}-${fill.part.fillingId}`}
                  fill={fill}
                  name={nameOf(fill.part.fillingId)}
                />
              ))}
            </ul>
          )}
          {line.shaped.masses.wholeG > 0 && (
            <p className="text-sm">
              {listWhole(line).join(", ")}:{" "}
              <span className="figure">{formatMass(line.shaped.masses.wholeG)}</span> each
            </p>
          )}
          <dl className="grid grid-cols-[1fr_auto] gap-x-3">
            <dt>room inside</dt>
            <dd className="figure text-right">{formatNumber(formed.capacityMl, 1)} ml</dd>
            <dt>of the most it could hold</dt>
            <dd className="figure text-right">{formatNumber(shareOfMost * 100)} %</dd>
            <dt>for {line.counts.toFill} pieces</dt>
            <dd className="figure text-right">{formatMass(line.fillingG)}</dd>
            <dt>dough after relaxing</dt>
            <dd className="figure text-right">{formatLength(formed.settledThicknessMm)}</dd>
          </dl>
          <Why steps={line.why.portion} label="why this portion?" />
        </div>
      </div>
    </div>
  );
}

/** Fruit, slices and nuts, counted. */
function listWhole({ piece, shaped: { formed } }: PiecePlan): string[] {
  return [
    ...formed.solids.map(({ name, count }) => (count > 1 ? `${count} ${name}s` : name)),
    ...piece.extras.flatMap((extra) => (extra.kind === "inclusion" ? [`${extra.count} ${extra.name}`] : [])),
  ];
}

const roleWords = { layer: "under it", share: "beside it", sauce: "around it", main: "" } as const;

function OtherFill({ fill, name }: { readonly fill: PieceFill; readonly name: string }) {
  const { part, count, pans } = fill;
  const { role, portion } = part;
  return (
    <li className="border-t border-base-300 pt-1 text-sm">
      <span className="figure text-2xl">{formatMass(portion.massG)}</span> {name},{" "}
      {role === "alternate" ? `in ${count} of them` : roleWords[role]} · {portion.spoons}
      {pans !== null &&
        ` · ${formatMass(pans.eachG)}, ${formatNumber(pans.eachMl)} ml, in each of ${formatCount(pans.count, "pan")}`}
    </li>
  );
}

/** A plumpness this near to a school's is that school's. */
const SAME_PLUMPNESS = 0.026;

function FillDials({ line }: { readonly line: PiecePlan }) {
  const {
    shaped: { plumpnessAdvice, works, formed },
  } = line;
  const date = useBench((state) => state.date);
  const { piece, editPiece } = usePieceEdit(line.piece);
  const isLevel = isFilledLevel(piece.form.kind);
  const isSchooled =
    piece.portionG === null && !isLevel && formed.seamMm > 0 && piece.form.kind !== "largeFold";
  const schools = (["lean", "plump"] as const).map((id) => ({
    id,
    title: id,
    figure: `${formatNumber(plumpnessAdvice[id] * 100)} %`,
  }));
  const school = schools.find(({ id }) => Math.abs(plumpnessAdvice[id] - piece.plumpness) < SAME_PLUMPNESS);
  return (
    <>
      <header>
        <h2 className="text-xl">{piece.name}</h2>
        <p className="quiet text-sm">
          {formatMass(line.shaped.masses.rawPieceG)} raw · {formatMass(line.shaped.masses.bakedPieceG)} baked
        </p>
      </header>
      <PortionDials piece={piece} />
      <StationSteps line={line} station="fill" />
      {isSchooled && (
        <>
          <Choice
            legend="For this dough and filling"
            value={school?.id ?? "between"}
            onChange={(id) => id !== "between" && editPiece({ plumpness: plumpnessAdvice[id] })}
            options={schools}
          />
          <p className="quiet -mt-1 text-sm leading-4">{plumpnessAdvice.why}</p>
        </>
      )}
      {formed.seamMm > 0 && (
        <Dial
          limit={pieceLimits.marginMm}
          value={piece.marginMm}
          sliderMax={30}
          hint="kept clean of filling and flour"
          onChange={(marginMm) => editPiece({ marginMm })}
        />
      )}
      <Dial
        limit={pieceLimits.bakeLossShare}
        value={piece.bakeLossShare}
        sliderMax={0.25}
        onChange={(bakeLossShare) => editPiece({ bakeLossShare })}
      />
      <Why
        steps={works.fill.operations.map(({ name, seconds }) => ({
          text: name,
          figure: `${formatNumber(seconds, 1)} s`,
        }))}
        label={`${formatNumber(works.fill.seconds)} s of hands each`}
      />
      <LotLog line={line} what="fill" />
      <CautionList station="fill" pieceId={piece.id} />
      <Link href={`/day/${date}/piece/${piece.id}`} className="btn touch">
        The whole piece
      </Link>
    </>
  );
}
