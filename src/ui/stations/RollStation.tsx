"use client";

import { Maximize } from "lucide-react";
import Link from "next/link";
import { useRef, useState } from "react";
import type { CutAim, CutSheet, Layout } from "@/core/cutting";
import type { CutPrice, PiecePlan } from "@/core/plan";
import type { BoxMm } from "@/core/shape";
import { describeOutline } from "@/core/shape";
import { formatCount, formatDuration, formatLength, formatMass, formatNumber } from "@/core/units";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { EmptyDay } from "../controls/EmptyDay";
import { PieceTabs, useSelectedLine } from "../controls/PieceTabs";
import { ProblemList } from "../controls/ProblemList";
import { StationLayout } from "../controls/StationLayout";
import { Why } from "../controls/Why";
import { SheetDrawing } from "../drawings/SheetDrawing";
import { SheetThumb } from "../drawings/SheetThumb";
import { TemplateDialog } from "../cutting/TemplateDialog";
import { CutSizeDials } from "./CutSizeDials";
import { pieceLimits } from "@/schemas/limits";

/** What rectangle to roll, and where to cut. */
export function RollStation() {
  const line = useSelectedLine();
  if (!line) return <EmptyDay station="roll" />;
  return (
    <StationLayout
      label="Roll and cut"
      surface={<Surface key={line.piece.id} line={line} />}
      side={<RollDials line={line} />}
    />
  );
}

function Surface({ line }: { readonly line: PiecePlan }) {
  const [chosen, setChosen] = useState(0);
  const [printing, setPrinting] = useState(false);
  const screen = useRef<HTMLDivElement>(null);
  const date = useBench((state) => state.date);
  const bench = useBench((state) => state.book.bench);
  const { editPiece } = usePieceEdit(line.piece);
  const { sheets } = line.cut;
  const index = Math.min(chosen, sheets.length - 1);
  const sheet = sheets[index];
  if (!sheet) {
    return (
      <div className="flex flex-col gap-3">
        <PieceTabs />
        <p className="text-xl">
          Nothing to roll for {line.piece.name}: the larder holds {line.frozenTaken} frozen and{" "}
          {line.blanksTaken} cut.
        </p>
      </div>
    );
  }
  const limit = { widthMm: bench.sheetMaxWidthMm, heightMm: bench.sheetMaxDepthMm };
  const pin = (pinnedSheet: BoxMm) => editPiece({ cutAim: "pinned", pinnedSheet });
  return (
    <div ref={screen} className="board flex h-full flex-col gap-2 fullscreen:p-6">
      <div className="flex flex-wrap items-center gap-2">
        <PieceTabs />
        <span className="ml-auto flex gap-2">
          <Link className="btn touch" href={`/day/${date}/yield`}>
            How many?
          </Link>
          <button type="button" className="btn touch" onClick={() => setPrinting(true)}>
            Template
          </button>
          <button
            type="button"
            className="btn touch px-3"
            aria-label="Full screen, and back"
            onClick={() => void toggleFullScreen(screen.current)}
          >
            <Maximize size={20} aria-hidden />
          </button>
        </span>
      </div>
      <ProblemList station="roll" />
      <TemplateDialog
        key={`${line.piece.id} ${index} ${sheet.layout.sheet.widthMm} ${sheet.layout.sheet.heightMm}`}
        open={printing}
        onClose={() => setPrinting(false)}
        title={`${line.piece.name}, sheet ${index + 1}`}
        layout={sheet.layout}
        outline={line.piece.cut}
        webMm={line.piece.webMm}
        raggedMm={line.piece.raggedMm}
      />
      <div className="grid min-h-0 flex-1 gap-4 md:grid-cols-[minmax(0,1fr)_250px]">
        <SheetDrawing
          layout={sheet.layout}
          outline={line.piece.cut}
          raggedMm={line.piece.raggedMm}
          rerolled={sheet.pass > 0}
          title={`Sheet ${index + 1} of ${sheets.length}, ${Math.round(sheet.layout.sheet.widthMm)} by ${Math.round(sheet.layout.sheet.heightMm)} millimetres, ${sheet.layout.count} cuts of ${describeOutline(line.piece.cut)}`}
          limit={limit}
          onResize={sheet.pass === 0 ? pin : null}
        />
        <SheetFacts line={line} sheet={sheet} index={index} />
      </div>
      <div role="group" aria-label="Sheets" className="flex flex-wrap items-end gap-1.5">
        {sheets.map((each, i) => (
          <SheetThumb
            key={i}
            sheet={each}
            scale={64 / limit.widthMm}
            selected={i === index}
            label={`Sheet ${i + 1}, ${each.pass === 0 ? "first rolling" : `re-roll ${each.pass}`}, ${each.layout.count} cuts`}
            onSelect={() => setChosen(i)}
          />
        ))}
      </div>
    </div>
  );
}

/** The sheet alone on the tablet, or back; where a browser has no full screen nothing happens. */
async function toggleFullScreen(element: HTMLElement | null): Promise<void> {
  if (document.fullscreenElement) await document.exitFullscreen();
  else await element?.requestFullscreen?.();
}

function SheetFacts({
  line,
  sheet,
  index,
}: {
  readonly line: PiecePlan;
  readonly sheet: CutSheet;
  readonly index: number;
}) {
  const { layout } = sheet;
  const reroll = line.cut.rerolls.find(({ pass }) => pass === sheet.pass);
  return (
    <div className="flex flex-col gap-2">
      <div>
        <h2 className="text-xl">
          Sheet {index + 1} of {line.cut.sheets.length}
        </h2>
        <p className="quiet">
          {sheet.pass === 0
            ? "first rolling"
            : `re-roll ${sheet.pass}, from ${formatMass(reroll?.trimG ?? 0)} of trim`}{" "}
          · {formatLength(line.piece.thicknessMm)}
        </p>
      </div>
      <p className="flex items-baseline gap-2">
        <span className="figure text-5xl" data-testid="sheet-count">
          {layout.count}
        </span>
        <span>cuts, {describeOutline(line.piece.cut)}</span>
      </p>
      <p className="quiet text-sm">
        no way to cut more than {layout.upperBound} · {formatNumber(layout.usedShare * 100)} % used
      </p>
      <ul className="figure text-primary">
        {describeRows(layout).map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
      <dl className="grid grid-cols-[1fr_auto] gap-x-3 text-[0.95rem]">
        <dt>weigh for this sheet</dt>
        <dd className="figure text-right">{formatMass(sheet.doughG)}</dd>
        <dt>one blank</dt>
        <dd className="figure text-right">{formatMass(line.cut.blankG)}</dd>
        <dt>trim of this sheet</dt>
        <dd className="figure text-right">{formatMass(sheet.trimG)}</dd>
      </dl>
    </div>
  );
}

/** The rows in the figures a ruler needs. */
function describeRows({ pattern }: Layout): string[] {
  const [first, second] = pattern.rows;
  if (!first) return [];
  const along = pattern.rowsRunDown ? "down the sheet" : "along the sheet";
  const counts = [...new Set(pattern.rows.map(({ count }) => count))].join(" and ");
  const texts = [
    `${formatCount(pattern.rows.length, "row")} of ${counts}, ${along}`,
    `cuts ${formatNumber(first.pitchMm)} mm apart`,
  ];
  if (!second) return texts;
  const steps = [
    ...new Set(
      pattern.rows.slice(1).map((row, i) => formatNumber(row.acrossMm - (pattern.rows[i]?.acrossMm ?? 0))),
    ),
  ];
  texts.push(`rows ${steps.join(" and ")} mm apart`);
  const shifted = pattern.rows.find(
    ({ startMm, turned }) => startMm > first.startMm + 0.5 && turned === first.turned,
  );
  if (shifted) texts.push(`shifted rows in by ${formatNumber(shifted.startMm - first.startMm)} mm`);
  if (pattern.style === "blocks") texts.push("then rows of turned pieces");
  return texts;
}

const aimTitles: Record<CutAim, string> = {
  leastDough: "least dough",
  fewestRerolls: "no re-roll",
  leastTime: "least time",
  pinned: "my sheet",
};

function RollDials({ line }: { readonly line: PiecePlan }) {
  const { piece } = line;
  const { editPiece } = usePieceEdit(piece);
  return (
    <>
      <header>
        <h2 className="text-xl">{piece.name}</h2>
        <p className="quiet text-sm">
          {line.ordered} ordered · {line.cut.count} cut · {describeSurplus(line)}
          {line.frozenTaken + line.blanksTaken > 0 &&
            ` · ${line.frozenTaken + line.blanksTaken} from the larder`}
        </p>
      </header>
      <Dial
        limit={pieceLimits.thicknessMm}
        value={piece.thicknessMm}
        sliderMax={8}
        onChange={(thicknessMm) => editPiece({ thicknessMm })}
      />
      <CutSizeDials piece={piece} />
      <Dial
        limit={pieceLimits.raggedMm}
        value={piece.raggedMm}
        sliderMax={30}
        onChange={(raggedMm) => editPiece({ raggedMm })}
      />
      <Dial
        limit={pieceLimits.webMm}
        value={piece.webMm}
        sliderMax={10}
        onChange={(webMm) => editPiece({ webMm })}
      />
      <Choice
        legend="Best for"
        value={piece.cutAim}
        onChange={(cutAim) => editPiece({ cutAim })}
        options={line.prices.map((price) => ({
          id: price.aim,
          title: aimTitles[price.aim],
          figure: price.aim === "leastTime" ? formatDuration(price.handMin) : formatMass(price.doughG),
          note: describePrice(price),
        }))}
      />
      <Why steps={line.why.cut} label="why so much dough?" />
      <Dial
        limit={pieceLimits.spares}
        value={piece.spares}
        sliderMax={20}
        onChange={(spares) => editPiece({ spares })}
      />
    </>
  );
}

function describeSurplus(line: PiecePlan): string {
  const surplus = line.cut.count + line.blanksTaken - line.toFill;
  return surplus > 0 ? `${formatCount(surplus, "blank")} over` : `${formatCount(line.piece.spares, "spare")}`;
}

function describePrice({ aim, sheets, rerolls, handMin, doughG }: CutPrice): string {
  const time = aim === "leastTime" ? formatMass(doughG) : formatDuration(handMin);
  return `${formatCount(sheets, "sheet")}, ${rerolls === 0 ? "no re-roll" : formatCount(rerolls, "re-roll")}, ${time}`;
}
