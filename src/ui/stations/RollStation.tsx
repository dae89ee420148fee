"use client";

import { Maximize } from "lucide-react";
import { useRef, useState } from "react";
import type { CutAim } from "@/core/cutting";
import { hasGrain } from "@/core/formula";
import type { CutPrice, Piece, PiecePlan } from "@/core/plan";
import { describeOutline, type BoxMm } from "@/core/shape";
import { formatCount, formatDuration, formatMass, formatSide, lengthName } from "@/core/units";
import { useBench, usePicked } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { EmptyDay } from "../controls/EmptyDay";
import { Link } from "../controls/Link";
import { PieceTabs, useSelectedPiece } from "../controls/PieceTabs";
import { ProblemList } from "../controls/ProblemList";
import { StationLayout } from "../controls/StationLayout";
import { Why } from "../controls/Why";
import { toDrawnParts } from "../drawings/drawnParts";
import { SheetDrawing } from "../drawings/SheetDrawing";
import { namePass, SheetThumb } from "../drawings/SheetThumb";
import { CutLog } from "../cutting/CutLog";
import { PortionFacts, SheetFacts } from "../cutting/SheetFacts";
import { TemplateDialog } from "../cutting/TemplateDialog";
import { CutSizeDials } from "./CutSizeDials";
import { pieceLimits } from "@/schemas/limits";
import { StationHelp } from "./StationHelp";

/** What rectangle to roll, and where to cut. */
export function RollStation() {
  const selected = useSelectedPiece();
  if (!selected) return <EmptyDay station="roll" />;
  const { piece, line } = selected;
  return (
    <StationLayout
      label="Roll and cut"
      help={<StationHelp station="roll" />}
      surface={line ? <Surface key={piece.id} line={line} /> : <EmptyDay station="roll" />}
      side={<RollDials piece={piece} line={line} />}
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
  const { cut, piece } = line;
  const { sheets, portioning } = cut.plan;
  const index = Math.min(chosen, sheets.length - 1);
  const sheet = sheets[index];
  if (!sheet) {
    return (
      <div className="flex flex-col gap-3">
        <PieceTabs figureOf={sayBlanks} />
        <ProblemList station="roll" />
        {portioning ? (
          <PortionFacts cut={cut} portioning={portioning} />
        ) : (
          <p className="text-xl">
            Nothing to roll for {piece.name}: the larder holds {line.counts.frozenTaken} frozen and{" "}
            {line.counts.blanksTaken} cut.
          </p>
        )}
      </div>
    );
  }
  const limit = { widthMm: bench.sheetMaxWidthMm, heightMm: bench.sheetMaxDepthMm };
  const pin = (box: BoxMm) =>
    editPiece({ cutAim: "pinned", pinnedSheet: { ...box, shape: sheet.sheet.shape ?? "rectangle" } });
  const parts = toDrawnParts(sheet, cut.roles);
  const { widthMm, heightMm } = sheet.sheet;
  return (
    <div ref={screen} className="board flex h-full flex-col gap-2 fullscreen:p-6">
      <PieceTabs figureOf={sayBlanks} />
      <ProblemList station="roll" />
      <TemplateDialog
        key={`${piece.id} ${index} ${widthMm} ${heightMm}`}
        open={printing}
        onClose={() => setPrinting(false)}
        title={`${piece.name}, sheet ${index + 1}`}
        sheet={sheet.sheet}
        parts={parts}
        webMm={piece.webMm}
        raggedMm={sheet.marginMm}
        mayTurn={!hasGrain(cut.dough)}
      />
      <div className="grid min-h-0 flex-1 gap-4 md:grid-cols-[minmax(0,1fr)_250px]">
        <SheetDrawing
          sheet={sheet.sheet}
          parts={parts}
          raggedMm={sheet.marginMm}
          rerolled={sheet.pass > 0}
          title={`Sheet ${index + 1} of ${sheets.length}, ${formatSide(widthMm, 0)} by ${formatSide(heightMm, 0)} ${lengthName()}, ${sheet.count} cuts of ${sheet.parts.map(({ outline }) => describeOutline(outline)).join(" and ")}`}
          limit={limit}
          onResize={sheet.pass === 0 && !cut.dough.boughtSheet ? pin : null}
        />
        <SheetFacts cut={cut} sheet={sheet} index={index} />
      </div>
      <div className="flex flex-wrap items-end gap-2">
        <div role="group" aria-label="Sheets" className="flex flex-wrap items-end gap-1.5">
          {sheets.map((each, i) => (
            <SheetThumb
              key={i}
              sheet={each}
              scale={64 / limit.widthMm}
              selected={i === index}
              label={`Sheet ${i + 1}, ${namePass(each)}, ${each.count} cuts`}
              onSelect={() => setChosen(i)}
            />
          ))}
        </div>
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
    </div>
  );
}

/** The sheet alone on the tablet, or back; where a browser has no full screen nothing happens. */
async function toggleFullScreen(element: HTMLElement | null): Promise<void> {
  if (document.fullscreenElement) await document.exitFullscreen();
  else await element?.requestFullscreen?.();
}

const aimTitles: Record<CutAim, string> = {
  sensible: "as a hand would",
  leastDough: "least dough",
  fewestRerolls: "no re-roll",
  leastTime: "least time",
  portioned: "weighed, rolled",
  sliced: "sliced",
  pinned: "my sheet",
};

/** The size dials keep their place whether the piece can be made or not: what is being typed into them stays. */
function RollDials({ piece, line }: { readonly piece: Piece; readonly line: PiecePlan | null }) {
  const { book } = usePicked("book");
  const sharers = book.pieces.filter(({ id }) => line?.cut.pieceIds.includes(id) && id !== piece.id);
  return (
    <>
      <header>
        <h2 className="text-xl">{piece.name}</h2>
        {line && (
          <p className="quiet text-sm">
            {line.counts.ordered} ordered · {line.setsCut} cut · {describeSurplus(line)}
            {line.counts.frozenTaken + line.counts.blanksTaken > 0 &&
              ` · ${line.counts.frozenTaken + line.counts.blanksTaken} from the larder`}
          </p>
        )}
        {sharers.length > 0 && (
          <p className="text-sm">
            Shares dough and sheets with {sharers.map(({ name }) => name).join(" and ")}.
          </p>
        )}
      </header>
      <SizeDials piece={piece} />
      {line && <CutDials line={line} sharers={sharers} />}
    </>
  );
}

/** Which answer of the plan is taken, and why it is what it is. */
function CutDials({ line, sharers }: { readonly line: PiecePlan; readonly sharers: readonly Piece[] }) {
  const { cut } = line;
  const { piece, editPiece } = usePieceEdit(line.piece);
  const edit = useBench((state) => state.edit);
  // Pieces that share sheets share the answer too; a sheet of one's own leaves the others to theirs.
  const choose = (cutAim: CutAim) =>
    edit(
      (cutAim === "pinned" ? [piece] : [piece, ...sharers]).map((record) => ({
        kind: "piece" as const,
        id: record.id,
        record: { ...record, cutAim },
      })),
    );
  return (
    <>
      <Choice
        legend="Best for"
        value={piece.cutAim}
        onChange={choose}
        options={cut.prices.map((price) => ({
          id: price.aim,
          title: aimTitles[price.aim],
          figure: price.aim === "leastTime" ? formatDuration(price.handMin) : formatMass(price.doughG),
          note: describePrice(price),
        }))}
      />
      {line.blanks.length > 1 && (
        <Choice
          legend="Tops and lids come"
          value={piece.seenFirst ? "first" : "any"}
          onChange={(from) => editPiece({ seenFirst: from === "first" })}
          options={[
            { id: "first", title: "from the first rolling" },
            { id: "any", title: "from re-rolls" },
          ]}
        />
      )}
      <PinnedShape line={line} />
      <Why steps={cut.why} label="why so much dough?" />
      <CutLog cut={cut} />
      <Dial
        limit={pieceLimits.spares}
        value={piece.spares}
        sliderMax={20}
        onChange={(spares) => editPiece({ spares })}
      />
    </>
  );
}

/** How thick, how large and how far apart: what also mends a piece that no sheet can be cut for. */
function SizeDials(props: { readonly piece: Piece }) {
  const { piece, editPiece } = usePieceEdit(props.piece);
  return (
    <>
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
    </>
  );
}

/** The sheet the baker drew: a rectangle, or round and oval as the pin leaves a round piece of dough. */
function PinnedShape({ line }: { readonly line: PiecePlan }) {
  const { piece, editPiece } = usePieceEdit(line.piece);
  const { pinnedSheet } = piece;
  if (piece.cutAim !== "pinned" || !pinnedSheet) return null;
  return (
    <Choice
      legend="My sheet is"
      value={pinnedSheet.shape ?? "rectangle"}
      onChange={(shape) => editPiece({ pinnedSheet: { ...pinnedSheet, shape } })}
      options={[
        { id: "rectangle", title: "a rectangle" },
        { id: "oval", title: "round or oval" },
      ]}
    />
  );
}

const sayBlanks = ({ cut }: PiecePlan): string => formatCount(cut.plan.sheets.length, "sheet");

function describeSurplus(line: PiecePlan): string {
  const surplus = line.setsCut + line.counts.blanksTaken - line.counts.toFill;
  return surplus > 0 ? `${formatCount(surplus, "blank")} over` : `${formatCount(line.piece.spares, "spare")}`;
}

function describePrice({ aim, sheets, rerolls, handMin, doughG }: CutPrice): string {
  const time = aim === "leastTime" ? formatMass(doughG) : formatDuration(handMin);
  if (sheets === 0) return `no sheet, ${time}`;
  return `${formatCount(sheets, "sheet")}, ${rerolls === 0 ? "no re-roll" : formatCount(rerolls, "re-roll")}, ${time}`;
}
