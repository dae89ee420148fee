"use client";

import type { PiecePlan } from "@/core/plan";
import { crimps, type Seal } from "@/core/sealing";
import { formatDuration, formatMass, formatNumber } from "@/core/units";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { EmptyDay } from "../controls/EmptyDay";
import { PieceTabs, useSelectedLine } from "../controls/PieceTabs";
import { ProblemList } from "../controls/ProblemList";
import { StationLayout } from "../controls/StationLayout";
import { PlanDrawing } from "../drawings/PlanDrawing";
import { pieceLimits } from "@/schemas/limits";

/** How each piece is closed. */
export function SealStation() {
  const line = useSelectedLine();
  if (!line) return <EmptyDay station="seal" />;
  return <StationLayout label="Seal" surface={<Surface line={line} />} side={<SealDials line={line} />} />;
}

function Surface({ line }: { readonly line: PiecePlan }) {
  const { seal, made } = line;
  return (
    <div className="flex h-full flex-col gap-2">
      <PieceTabs />
      <ProblemList station="seal" />
      <div className="grid min-h-0 flex-1 gap-4 md:grid-cols-[minmax(0,1fr)_240px]">
        <div className="max-h-[58dvh] min-h-[220px] lg:max-h-none">
          <PlanDrawing formed={line.formed} seal={seal} name={line.piece.name} />
        </div>
        {seal ? <SealFacts seal={seal} made={made} /> : <p className="self-center text-xl">{OPEN_FORM}</p>}
      </div>
    </div>
  );
}

const OPEN_FORM = "Nothing to crimp: this piece is put together and stays open.";

function SealFacts({ seal, made }: { readonly seal: Seal; readonly made: number }) {
  return (
    <div className="flex flex-col justify-center gap-2">
      <p className="quiet">{seal.crimp.name}, each</p>
      <p className="flex items-baseline gap-2">
        <span className="figure text-6xl">{seal.marks}</span> {seal.crimp.markName}
      </p>
      <dl className="grid grid-cols-[1fr_auto] gap-x-3">
        <dt>seam</dt>
        <dd className="figure text-right">{formatNumber(seal.seamMm)} mm</dd>
        <dt>one every</dt>
        <dd className="figure text-right">{seal.crimp.pitchMm} mm</dd>
        <dt>by hand, each</dt>
        <dd className="figure text-right">{formatNumber(seal.secondsPerPiece)} s</dd>
        <dt>for {made} pieces</dt>
        <dd className="figure text-right">{formatDuration((seal.secondsPerPiece * made) / 60)}</dd>
        <dt>glue for the day</dt>
        <dd className="figure text-right">{formatMass(seal.glueG * made)}</dd>
      </dl>
    </div>
  );
}

function SealDials({ line }: { readonly line: PiecePlan }) {
  const { piece } = line;
  const { editPiece } = usePieceEdit(piece);
  return (
    <>
      <h2 className="text-xl">{piece.name}</h2>
      <Choice
        legend="Crimp"
        value={piece.crimp}
        onChange={(crimp) => editPiece({ crimp })}
        options={crimps.map(({ id, name }) => ({ id, title: name }))}
      />
      <Dial
        limit={pieceLimits.marginMm}
        value={piece.marginMm}
        sliderMax={30}
        hint={line.seal ? `${line.seal.crimp.name} needs ${line.seal.crimp.needsMarginMm} mm` : ""}
        onChange={(marginMm) => editPiece({ marginMm })}
      />
      <Dial
        limit={pieceLimits.chillMin}
        value={piece.chillMin}
        sliderMax={120}
        hint="until the fat is hard again: cold fat into a hot oven makes flake"
        onChange={(chillMin) => editPiece({ chillMin })}
      />
      <p className="rounded-lg border border-base-300 p-3 text-sm">
        Raw egg and raw flour are not for tasting. A brush that touched egg leaves egg: mind allergens, and
        follow your local food code.
      </p>
    </>
  );
}
