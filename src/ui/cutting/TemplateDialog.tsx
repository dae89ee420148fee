"use client";

import { Download } from "lucide-react";
import { CHECK_BAR_MM } from "@/formats/cutTemplate";
import { useState } from "react";
import type { SheetShape } from "@/core/shape";
import { formatLength, formatNumber } from "@/core/units";
import { SheetDrawing, type DrawnPart } from "../drawings/SheetDrawing";
import { Dialog } from "../shell/Dialog";
import { useTightSearch } from "./useTightSearch";

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly title: string;
  readonly sheet: SheetShape;
  readonly parts: readonly DrawnPart[];
  readonly raggedMm: number;
  readonly webMm: number;
  readonly mayTurn: boolean;
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
export function TemplateDialog(props: Props) {
  const { open, onClose, title, sheet, parts, raggedMm, webMm, mayTurn } = props;
  const search = useTightSearch();
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const count = parts.reduce((sum, { placements }) => sum + placements.length, 0);
  const [only, ...more] = parts;
  const [found] = search.progress && search.progress.sets > count ? search.progress.parts : [];
  const shown: readonly DrawnPart[] = found && only ? [{ ...only, placements: found }] : parts;
  const shownCount = shown.reduce((sum, { placements }) => sum + placements.length, 0);
  // Straight cuts side by side leave nothing to tighten; several shapes are searched one by one, on a sheet of their own.
  const canTighten =
    only && more.length === 0 && !["square", "rectangle", "triangle"].includes(only.outline.kind);
  const download = async ({ form, paper }: (typeof files)[number]) => {
    setBusy(true);
    setFault(null);
    const answer = await fetch("/api/cut-template", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({
        title,
        form,
        paper,
        sheet,
        parts: shown.map(({ outline, placements }) => ({ outline, placements })),
      }),
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
            sheet={sheet}
            parts={shown}
            raggedMm={raggedMm}
            rerolled={false}
            title={`Template, ${shownCount} cuts`}
            limit={sheet}
            onResize={null}
          />
        </div>
        <p aria-live="polite">
          <span className="figure text-3xl">{shownCount}</span> cuts {found ? "laid tight" : "in rows"}
          {search.progress && (
            <span className="quiet">
              {" "}
              · {search.isRunning ? `looking for ${shownCount + 1}, ` : ""}
              {formatNumber(search.progress.attempts)} tries · no way to cut more than{" "}
              {search.progress.upperBound}
            </span>
          )}
        </p>
        {canTighten && (
          <button
            type="button"
            className="btn touch"
            onClick={() =>
              search.isRunning
                ? search.stop()
                : search.start({
                    mode: "tight",
                    outlines: [{ outline: only.outline, ratio: 1 }],
                    sheet,
                    webMm,
                    marginMm: raggedMm,
                    mayTurn,
                    seed: SEED,
                  })
            }
          >
            {search.isRunning ? "Stop looking" : "Look for a tighter layout"}
          </button>
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
        <p className="quiet text-sm">
          Print at 100 %: the bar on each page must measure {formatLength(CHECK_BAR_MM)}.
        </p>
        {(fault ?? search.fault) && (
          <p className="text-error" role="alert">
            {fault ?? search.fault}
          </p>
        )}
      </div>
    </Dialog>
  );
}
