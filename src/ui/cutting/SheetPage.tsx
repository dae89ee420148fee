"use client";

import { useState, type ReactNode } from "react";
import {
  toLaidParts,
  type LaidParts,
  type LayoutMode,
  type PartsRequest,
  type PartsFailure,
} from "@/core/cutting";
import type { Result } from "@/core/result";
import { describeOutline, describeSheet, type BoxMm, type Outline, type SheetShape } from "@/core/shape";
import { formatDuration, formatNumber } from "@/core/units";
import { sayFailure } from "@/core/words";
import { pieceLimits, sheetLimits } from "@/schemas/limits";
import { createPartsClient } from "@/workers/createCutClient";
import { useBench } from "../bench/BenchProvider";
import { useLatest } from "../bench/useLatest";
import { WorkerFault } from "../controls/WorkerFault";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { Select } from "../controls/Select";
import { StationLayout } from "../controls/StationLayout";
import { SheetDrawing, type DrawnPart } from "../drawings/SheetDrawing";
import { describeRows } from "./describeRows";
import { OutlineEditor } from "./OutlineEditor";
import { firstOutline } from "./outlineKinds";
import { TemplateDialog } from "./TemplateDialog";
import { useTightSearch } from "./useTightSearch";

const modes: readonly { readonly id: LayoutMode; readonly title: string; readonly note: string }[] = [
  { id: "rows", title: "rows", note: "a hand can follow" },
  { id: "tight", title: "tight", note: "for a template" },
  { id: "wheel", title: "wheel", note: "straight edges" },
  { id: "nested", title: "nested", note: "small in the gaps" },
];
const OWN = "own";
const NONE = "none";
const FIRST_SHEET: SheetShape = { widthMm: 420, heightMm: 310, shape: "rectangle" };
/** The same seed everywhere: what was shown is what is printed. */
const SEED = 1;

/** One sheet of any shape and what goes on it, in every way of laying it out. */
export function SheetPage() {
  const { cutters, bench } = useBench((state) => state.book);
  const [mode, setMode] = useState<LayoutMode>("rows");
  const [sheet, setSheet] = useState(FIRST_SHEET);
  const [firstId, setFirstId] = useState(cutters[0]?.id ?? OWN);
  const [secondId, setSecondId] = useState<string>(NONE);
  const [own, setOwn] = useState<Outline>(firstOutline("heart"));
  const [webMm, setWebMm] = useState(1);
  const [marginMm, setMarginMm] = useState(8);
  const [mayTurn, setMayTurn] = useState(true);
  const [searched, setSearched] = useState("");
  const [printing, setPrinting] = useState(false);
  const search = useTightSearch();
  const find = (id: string): Outline => cutters.find((cutter) => cutter.id === id)?.outline ?? own;
  const first = find(firstId);
  const takesSecond = mode !== "wheel";
  const outlines = [
    { outline: first, ratio: 1 },
    ...(takesSecond && secondId !== NONE ? [{ outline: find(secondId), ratio: 1 }] : []),
  ];
  const request: PartsRequest = { mode, sheet, outlines, webMm, marginMm, mayTurn, seed: SEED };
  const { answer, fault, askAgain } = useLatest<PartsRequest, Result<LaidParts, PartsFailure>>(
    request,
    createPartsClient,
  );
  const laid = answer?.output;
  const laidParts = laid?.ok ? laid.value : null;
  // A search answers the sheet it was started for, and no other.
  const tight = mode === "tight" && searched === JSON.stringify(request) ? search.progress : null;
  const shown = tight ? toLaidParts(request, tight) : laidParts;
  const startSearch = () => {
    setSearched(JSON.stringify(request));
    search.start(request);
  };
  const drawn = (shown?.parts ?? []).map(({ outline, placements }, i): DrawnPart => ({
    outline,
    placements,
    tone: i === 0 ? "seen" : "hidden",
  }));
  const shownSheet = laidParts?.sheet ?? sheet;
  const count = shown?.count ?? 0;
  const sets = shown?.sets ?? null;
  const sought = sets === null ? count + 1 : `${sets + 1} of each`;
  const limit = { widthMm: bench.sheetMaxWidthMm, heightMm: bench.sheetMaxDepthMm };
  const resize = (box: BoxMm) => setSheet({ ...sheet, ...box });
  return (
    <StationLayout
      label="Lay out one sheet"
      surface={
        <div className="flex h-full flex-col gap-3">
          <div className="flex flex-wrap items-center gap-2">
            <h2 className="text-2xl">One sheet, {describeSheet(sheet)}</h2>
            <button
              type="button"
              className="btn touch ml-auto"
              disabled={count === 0}
              onClick={() => setPrinting(true)}
            >
              Template
            </button>
          </div>
          <WorkerFault fault={fault} onRetry={askAgain} />
          {laid && !laid.ok && (
            <p className="rounded-lg border-2 border-error bg-base-100 p-3" role="alert">
              {sayFailure(laid.failure)}
            </p>
          )}
          <div className="grid min-h-0 flex-1 gap-4 md:grid-cols-[minmax(0,1fr)_240px]">
            <SheetDrawing
              sheet={laid?.ok === false ? sheet : shownSheet}
              parts={drawn}
              raggedMm={marginMm}
              rerolled={false}
              title={`${describeSheet(shownSheet)} sheet with ${count} cuts`}
              limit={limit}
              onResize={resize}
            />
            {shown && (
              <Figures laid={shown}>
                {mode === "tight" && (
                  <button
                    type="button"
                    className="btn btn-primary touch"
                    onClick={() => (search.isRunning ? search.stop() : startSearch())}
                  >
                    {search.isRunning ? `Stop looking for ${sought}` : "Look for a tighter layout"}
                  </button>
                )}
                {mode === "tight" && tight && (
                  <p className="quiet text-sm" aria-live="polite">
                    {formatNumber(tight.attempts)} tries, {tight.rowsSets}
                    {outlines.length > 1 && " of each"} in rows
                  </p>
                )}
                {search.fault && (
                  <p className="text-error" role="alert">
                    {search.fault}
                  </p>
                )}
              </Figures>
            )}
          </div>
          <TemplateDialog
            key={`${count} ${shownSheet.widthMm} ${shownSheet.heightMm}`}
            open={printing}
            onClose={() => setPrinting(false)}
            title={`Sheet of ${describeOutline(first)}`}
            sheet={shownSheet}
            parts={drawn}
            raggedMm={marginMm}
            webMm={webMm}
            mayTurn={mayTurn}
          />
        </div>
      }
      side={
        <>
          <Choice legend="Laid out" value={mode} onChange={setMode} options={modes} />
          <Select
            label="Cut"
            value={firstId}
            options={[
              ...cutters.map(({ id, name }) => ({ id, name })),
              { id: OWN, name: "an outline of my own" },
            ]}
            onChange={setFirstId}
          />
          {takesSecond && (
            <Select
              label={mode === "nested" ? "And in its gaps" : "And as many of"}
              value={secondId}
              options={[
                { id: NONE, name: "nothing else" },
                ...cutters.map(({ id, name }) => ({ id, name })),
                { id: OWN, name: "an outline of my own" },
              ]}
              onChange={setSecondId}
            />
          )}
          {(firstId === OWN || secondId === OWN) && <OutlineEditor outline={own} onChange={setOwn} />}
          <Choice
            legend="Sheet"
            value={sheet.shape ?? "rectangle"}
            onChange={(shape) => setSheet({ ...sheet, shape })}
            options={[
              { id: "rectangle", title: "rectangle" },
              { id: "oval", title: "round or oval" },
            ]}
          />
          <Dial
            limit={sheetLimits.widthMm}
            value={sheet.widthMm}
            sliderMax={limit.widthMm}
            onChange={(widthMm) => setSheet({ ...sheet, widthMm })}
          />
          <Dial
            limit={sheetLimits.heightMm}
            value={sheet.heightMm}
            sliderMax={limit.widthMm}
            onChange={(heightMm) => setSheet({ ...sheet, heightMm })}
          />
          <Dial limit={pieceLimits.webMm} value={webMm} sliderMax={10} onChange={setWebMm} />
          <Dial limit={pieceLimits.raggedMm} value={marginMm} sliderMax={30} onChange={setMarginMm} />
          <Choice
            legend="The dough"
            value={mayTurn ? "plain" : "grain"}
            onChange={(grain) => setMayTurn(grain === "plain")}
            options={[
              { id: "plain", title: "any way round" },
              { id: "grain", title: "keeps its grain" },
            ]}
          />
        </>
      }
    />
  );
}

interface FiguresProps {
  readonly laid: LaidParts;
  readonly children: ReactNode;
}

function Figures({ laid, children }: FiguresProps) {
  return (
    <div className="flex flex-col gap-2">
      <p className="flex items-baseline gap-2">
        <span className="figure text-6xl" data-testid="laid-count">
          {laid.count}
        </span>
        cuts
      </p>
      {laid.sets !== null && <p className="text-lg">{laid.sets} of each</p>}
      {laid.parts.length > 1 && (
        <ul>
          {laid.parts.map((part, i) => (
            <li key={i}>
              <span className="figure">{part.count}</span> {describeOutline(part.outline)}
            </li>
          ))}
        </ul>
      )}
      <p className="quiet">
        {laid.upperBound !== null && `no way to cut more than ${laid.upperBound} · `}
        {formatNumber(laid.usedShare * 100)} % used · {formatDuration(laid.handMin)} by hand
      </p>
      {children}
      {laid.parts.map(
        ({ pattern, outline }, i) =>
          pattern && (
            <ul key={i} className="figure text-primary">
              {laid.parts.length > 1 && <li className="text-base-content">{describeOutline(outline)}</li>}
              {describeRows(pattern).map((text) => (
                <li key={text}>{text}</li>
              ))}
            </ul>
          ),
      )}
    </div>
  );
}
