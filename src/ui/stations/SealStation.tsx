"use client";

import type { PiecePlan } from "@/core/plan";
import { describeVents, type Seal } from "@/core/sealing";
import { findChillMin, withChill } from "@/core/way";
import { formatDuration, formatLength, formatMass, formatNumber } from "@/core/units";
import { pieceLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { CautionList } from "../controls/CautionList";
import { Dial } from "../controls/Dial";
import { EmptyDay } from "../controls/EmptyDay";
import { Link } from "../controls/Link";
import { PieceTabs, useSelectedLine } from "../controls/PieceTabs";
import { ProblemList } from "../controls/ProblemList";
import { Section } from "../controls/Section";
import { StationLayout } from "../controls/StationLayout";
import { StationSteps } from "../controls/StationSteps";
import { Why } from "../controls/Why";
import { PlanDrawing } from "../drawings/PlanDrawing";
import { SeamDrawing } from "../drawings/SeamDrawing";
import { ClosingDials } from "../piece/ClosingDials";
import { describeWash } from "../piece/describePiece";
import { HoldPanel } from "../piece/HoldPanel";
import { LotLog } from "../piece/LotLog";
import { WashDials } from "../piece/WashDials";
import { StationHelp } from "./StationHelp";

/** How each piece is closed. */
export function SealStation() {
  const line = useSelectedLine();
  if (!line) return <EmptyDay station="seal" />;
  return (
    <StationLayout
      label="Seal"
      help={<StationHelp station="seal" />}
      surface={<Surface line={line} />}
      side={<SealDials line={line} />}
    />
  );
}

function Surface({ line }: { readonly line: PiecePlan }) {
  const {
    piece,
    shaped: { seal, hold },
  } = line;
  return (
    <div className="flex h-full flex-col gap-2">
      <PieceTabs
        figureOf={({ shaped }) =>
          shaped.seal ? `${shaped.seal.marks} ${shaped.seal.crimp.markName}` : "stays open"
        }
      />
      <ProblemList station="seal" />
      <div className="grid min-h-0 flex-1 gap-4 md:grid-cols-[minmax(0,1fr)_260px]">
        <div className="flex min-h-0 flex-col gap-2">
          <div className="min-h-[180px] flex-1">
            <PlanDrawing formed={line.shaped.formed} seal={seal} vents={piece.vents} name={piece.name} />
          </div>
          {seal && (
            <div className="max-h-48 min-h-24">
              <SeamDrawing seal={seal} vents={piece.vents} name={piece.name} />
            </div>
          )}
          {hold && <HoldPanel line={line} hold={hold} />}
        </div>
        <div className="flex flex-col justify-center gap-2">
          {seal ? <SealFacts seal={seal} glueG={line.coats.glueG} /> : <p className="text-xl">{OPEN_FORM}</p>}
          <ClosingFacts line={line} />
        </div>
      </div>
    </div>
  );
}

const OPEN_FORM = "Nothing to crimp: this piece is put together and stays open.";

function SealFacts({ seal, glueG }: { readonly seal: Seal; readonly glueG: number }) {
  return (
    <>
      <p className="quiet">{seal.crimp.name}, each</p>
      <p className="flex items-baseline gap-2">
        <span className="figure text-6xl">{seal.marks}</span> {seal.crimp.markName}
      </p>
      <dl className="grid grid-cols-[1fr_auto] gap-x-3">
        <dt>seam</dt>
        <dd className="figure text-right">{formatLength(seal.seamMm, 0)}</dd>
        <dt>one every</dt>
        <dd className="figure text-right">{formatLength(seal.crimp.pitchMm, 2)}</dd>
        <dt>glue for the day, {seal.glue.name.toLowerCase()}</dt>
        <dd className="figure text-right">{formatMass(glueG)}</dd>
      </dl>
    </>
  );
}

/** Vents, wash, trim and hands, whether there is a seam or not. */
function ClosingFacts({ line }: { readonly line: PiecePlan }) {
  const {
    piece,
    coats,
    handsMin,
    counts: { toFill },
    shaped: { works },
  } = line;
  return (
    <>
      <dl className="grid grid-cols-[1fr_auto] gap-x-3 border-t border-base-300 pt-1">
        <dt>vents</dt>
        <dd className="figure text-right">{describeVents(piece.vents)}</dd>
        {coats.washG > 0 && (
          <>
            <dt>wash for the day</dt>
            <dd className="figure text-right">{formatMass(coats.washG)}</dd>
          </>
        )}
        {coats.sugarG > 0 && (
          <>
            <dt>sugar {piece.wash.sugar} baking</dt>
            <dd className="figure text-right">{formatMass(coats.sugarG)}</dd>
          </>
        )}
        {coats.trimG > 0 && (
          <>
            <dt>trim comes off, used again</dt>
            <dd className="figure text-right">{formatMass(coats.trimG)}</dd>
          </>
        )}
        <dt>by hand, each</dt>
        <dd className="figure text-right">{formatNumber(works.close.seconds)} s</dd>
        <dt>for {toFill} pieces</dt>
        <dd className="figure text-right">{formatDuration(handsMin.close)}</dd>
        {works.close.piecesPerHour !== null && (
          <>
            <dt>pieces an hour</dt>
            <dd className="figure text-right">{works.close.piecesPerHour}</dd>
          </>
        )}
      </dl>
      <Why
        steps={works.close.operations.map(({ name, seconds }) => ({
          text: name,
          figure: `${formatNumber(seconds, 1)} s`,
        }))}
        label="why so long?"
      />
    </>
  );
}

function SealDials({ line }: { readonly line: PiecePlan }) {
  const { piece, editPiece } = usePieceEdit(line.piece);
  const date = useBench((state) => state.date);
  return (
    <>
      <h2 className="text-xl">{piece.name}</h2>
      <ClosingDials piece={piece} />
      <Dial
        limit={pieceLimits.chillMin}
        value={findChillMin(piece.way)}
        sliderMax={120}
        hint="until the fat is hard again: cold fat into a hot oven makes flake"
        onChange={(chillMin) => editPiece({ way: withChill(piece.way, chillMin) })}
      />
      <StationSteps line={line} station="seal" />
      <Section title="Wash and sugar" note={describeWash(piece)}>
        <WashDials piece={piece} />
      </Section>
      <Section title="How it really went" note="minutes and leaks">
        <LotLog line={line} what="close" />
        {line.shaped.seal && <LotLog line={line} what="leaked" />}
      </Section>
      <CautionList station="seal" pieceId={piece.id} />
      <Link href={`/day/${date}/piece/${piece.id}`} className="btn touch">
        The whole piece
      </Link>
    </>
  );
}
