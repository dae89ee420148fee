"use client";

import { Download } from "lucide-react";
import { useState } from "react";
import type { Layout } from "@/core/cutting";
import type { Outline } from "@/core/shape";
import { formatNumber } from "@/core/units";
import { SheetDrawing } from "../drawings/SheetDrawing";
import { Dialog } from "../shell/Dialog";
import { useTightSearch } from "./useTightSearch";

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly title: string;
  readonly layout: Layout;
  readonly outline: Outline;
  readonly webMm: number;
  readonly raggedMm: number;
}

const files = [
  { form: "pdf", paper: "a4", name: "PDF, A4" },
  { form: "pdf", paper: "letter", name: "PDF, Letter" },
  { form: "svg", paper: "a4", name: "SVG" },
  { form: "dxf", paper: "a4", name: "DXF" },
] as const;

/** The same seed everywhere: what was shown is what is printed. */
const SEED = 1;

/** A template at true size for one sheet: in its rows, or tighter if a search finds more. */
export function TemplateDialog({ open, onClose, title, layout, outline, webMm, raggedMm }: Props) {
  const search = useTightSearch();
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const tight = search.progress && search.progress.placements.length > layout.count ? search.progress : null;
  const shown: Layout = tight
    ? { ...layout, placements: tight.placements, count: tight.placements.length }
    : layout;
  const download = async ({ form, paper }: (typeof files)[number]) => {
    setBusy(true);
    setFault(null);
    const answer = await fetch("/api/cut-template", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ title, form, paper, sheet: shown.sheet, outline, placements: shown.placements }),
    }).catch(() => null);
    setBusy(false);
    if (!answer?.ok) return setFault("No template was made: Tezgah did not answer. Try again.");
    const link = document.createElement("a");
    link.href = URL.createObjectURL(await answer.blob());
    link.download = `cut-template.${form}`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <Dialog open={open} onClose={onClose} title="Template at true size">
      <div className="flex flex-col gap-3">
        <div className="board h-64 rounded-lg p-1">
          <SheetDrawing
            layout={shown}
            outline={outline}
            raggedMm={raggedMm}
            rerolled={false}
            title={`Template, ${shown.count} cuts`}
            limit={shown.sheet}
            onResize={null}
          />
        </div>
        <p aria-live="polite">
          <span className="figure text-3xl">{shown.count}</span> cuts {tight ? "laid tight" : "in rows"}
          {search.progress && (
            <span className="quiet">
              {" "}
              · {search.isRunning ? `looking for ${shown.count + 1}, ` : ""}
              {formatNumber(search.progress.attempts)} tries · no way to cut more than{" "}
              {search.progress.upperBound}
            </span>
          )}
        </p>
        {outline.kind === "disc" ? (
          <button
            type="button"
            className="btn touch"
            onClick={() =>
              search.isRunning
                ? search.stop()
                : search.start({
                    diameterMm: outline.diameterMm,
                    sheet: layout.sheet,
                    webMm,
                    marginMm: raggedMm,
                    seed: SEED,
                  })
            }
          >
            {search.isRunning ? "Stop looking" : "Look for a tighter layout"}
          </button>
        ) : (
          <p className="quiet text-sm">
            Straight edges: rows with a wheel and ruler waste nothing to tighten.
          </p>
        )}
        <div className="grid grid-cols-2 gap-2">
          {files.map((file) => (
            <button
              key={file.name}
              type="button"
              className="btn btn-primary touch"
              disabled={busy || search.isRunning}
              onClick={() => void download(file)}
            >
              <Download size={18} aria-hidden /> {file.name}
            </button>
          ))}
        </div>
        <p className="quiet text-sm">Print at 100 %: the bar on each page must measure 100 mm.</p>
        {(fault ?? search.fault) && (
          <p className="text-error" role="alert">
            {fault ?? search.fault}
          </p>
        )}
      </div>
    </Dialog>
  );
}
