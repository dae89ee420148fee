"use client";

import type { JobDrawing, PieceSheet } from "@/core/run";
import { toDrawnParts } from "../drawings/drawnParts";
import { PlanDrawing } from "../drawings/PlanDrawing";
import { SectionDrawing } from "../drawings/SectionDrawing";
import { SheetDrawing } from "../drawings/SheetDrawing";
import { TrayDrawing } from "../drawings/TrayDrawing";

/** What a job is drawn with: the sheet with its cuts, the piece, or its tray. */
export function JobPicture({
  drawing,
  pieces,
}: {
  readonly drawing: JobDrawing;
  readonly pieces: readonly PieceSheet[];
}) {
  if (drawing.kind === "sheet") {
    const { sheet, roles } = drawing;
    return (
      <SheetDrawing
        sheet={sheet.sheet}
        parts={toDrawnParts(sheet, roles)}
        raggedMm={sheet.marginMm}
        title={`Sheet of ${sheet.count}`}
        rerolled={sheet.pass > 0}
        limit={sheet.sheet}
        onResize={null}
      />
    );
  }
  const piece = pieces.find(({ id }) => id === drawing.pieceId);
  if (!piece) return null;
  const { formed, name, seal, vents, loading } = piece;
  if (drawing.kind === "tray")
    return <TrayDrawing loading={loading} formed={formed} count={drawing.count} name={name} />;
  return drawing.kind === "section" ? (
    <SectionDrawing formed={formed} name={name} />
  ) : (
    <PlanDrawing formed={formed} seal={seal} vents={vents} name={name} />
  );
}
