import {
  clip,
  endPath,
  lineTo,
  moveTo,
  PDFDocument,
  popGraphicsState,
  pushGraphicsState,
  closePath,
  rgb,
  setLineWidth,
  stroke,
  type PDFPage,
} from "pdf-lib";
import type { BoxMm, Polygon } from "@/core/shape";
import { papers, PT_PER_MM, type Paper } from "./paper";
import { describeMissing, embedFaces, type FontFiles, type PdfFace } from "./pdfText";
import { CHECK_BAR_MM, listCuts, type CutTemplate } from "./cutTemplate";
import { formatLength } from "@/core/units";

/** Kept free all round: what a kitchen printer cannot reach, and the foot with the check bar. */
const EDGE_MM = 12;
const FOOT_MM = 14;
/** Pages overlap by so much, to be glued. */
const OVERLAP_MM = 10;
const CROSS_MM = 5;
const INK = rgb(0, 0, 0);

/**
 * The template as PDF at true size, over as many pages as it needs: crosshairs where pages meet, a 100 mm bar to
 * check the print, and each page's place in the whole.
 */
export async function toTemplatePdf(
  template: CutTemplate,
  paper: Paper,
  files: FontFiles,
): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.setTitle(template.title);
  const faces = await embedFaces(document, files);
  const { widthMm, heightMm } = papers[paper];
  const tile = { widthMm: widthMm - 2 * EDGE_MM, heightMm: heightMm - 2 * EDGE_MM - FOOT_MM };
  const columns = countTiles(template.sheet.widthMm, tile.widthMm);
  const rows = countTiles(template.sheet.heightMm, tile.heightMm);
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const page = document.addPage([widthMm * PT_PER_MM, heightMm * PT_PER_MM]);
      const origin = {
        xMm: column * (tile.widthMm - OVERLAP_MM),
        yMm: row * (tile.heightMm - OVERLAP_MM),
      };
      drawTile(page, faces.plain, template, tile, origin);
      const place = `row ${row + 1} of ${rows}, column ${column + 1} of ${columns}`;
      drawFoot(page, faces.plain, `${template.title} – ${place}`);
      const missing = describeMissing(faces);
      if (missing) faces.plain.write(page, missing, { x: EDGE_MM * PT_PER_MM, y: 12, sizePt: 7 });
    }
  }
  return document.save();
}

const countTiles = (lengthMm: number, tileMm: number) =>
  Math.max(Math.ceil((lengthMm - OVERLAP_MM) / (tileMm - OVERLAP_MM)), 1);

function drawTile(
  page: PDFPage,
  face: PdfFace,
  template: CutTemplate,
  tile: BoxMm,
  origin: { readonly xMm: number; readonly yMm: number },
): void {
  const { sheet } = template;
  const top = page.getHeight() - EDGE_MM * PT_PER_MM;
  const x = (xMm: number) => (EDGE_MM + xMm - origin.xMm) * PT_PER_MM;
  const y = (yMm: number) => top - (yMm - origin.yMm) * PT_PER_MM;
  const [left, bottom] = [EDGE_MM * PT_PER_MM, top - tile.heightMm * PT_PER_MM];
  const [right, upper] = [left + tile.widthMm * PT_PER_MM, top];
  page.pushOperators(
    pushGraphicsState(),
    moveTo(left, bottom),
    lineTo(right, bottom),
    lineTo(right, upper),
    lineTo(left, upper),
    closePath(),
    clip(),
    endPath(),
  );
  const trace = (corners: Polygon) => {
    const [first, ...rest] = corners;
    if (!first) return;
    page.pushOperators(
      moveTo(x(first[0]), y(first[1])),
      ...rest.map(([px, py]) => lineTo(x(px), y(py))),
      closePath(),
      stroke(),
    );
  };
  const edge = { borderColor: INK, borderWidth: 0.6, borderDashArray: [6, 4] };
  const [halfWidth, halfHeight] = [(sheet.widthMm * PT_PER_MM) / 2, (sheet.heightMm * PT_PER_MM) / 2];
  if (sheet.shape === "oval")
    page.drawEllipse({
      x: x(sheet.widthMm / 2),
      y: y(sheet.heightMm / 2),
      xScale: halfWidth,
      yScale: halfHeight,
      ...edge,
    });
  else
    page.drawRectangle({
      x: x(0),
      y: y(sheet.heightMm),
      width: 2 * halfWidth,
      height: 2 * halfHeight,
      ...edge,
    });
  listCuts(template).forEach(({ xMm, yMm, lines }, i) => {
    const [cx, cy] = [x(xMm), y(yMm)];
    page.pushOperators(setLineWidth(0.9));
    for (const line of lines) {
      if (line.kind === "polygon") trace(line.corners);
      else {
        const radius = line.radiusMm * PT_PER_MM;
        page.drawEllipse({
          x: cx,
          y: cy,
          xScale: radius,
          yScale: radius,
          borderColor: INK,
          borderWidth: 0.9,
        });
      }
    }
    const text = String(i + 1);
    face.write(page, text, { x: cx - face.measure(text, 14) / 2, y: cy - 5, sizePt: 14 });
  });
  page.pushOperators(popGraphicsState());
  for (const [cornerX, cornerY] of [
    [left, bottom],
    [right, bottom],
    [left, upper],
    [right, upper],
  ] as const) {
    drawCross(page, cornerX, cornerY);
  }
}

function drawCross(page: PDFPage, x: number, y: number): void {
  const arm = CROSS_MM * PT_PER_MM;
  page.pushOperators(
    setLineWidth(0.5),
    moveTo(x - arm, y),
    lineTo(x + arm, y),
    moveTo(x, y - arm),
    lineTo(x, y + arm),
    stroke(),
  );
}

function drawFoot(page: PDFPage, face: PdfFace, text: string): void {
  const [x, y] = [EDGE_MM * PT_PER_MM, EDGE_MM * PT_PER_MM];
  page.pushOperators(setLineWidth(1), moveTo(x, y), lineTo(x + CHECK_BAR_MM * PT_PER_MM, y), stroke());
  face.write(page, `${formatLength(CHECK_BAR_MM)}: print at 100 %`, { x, y: y + 5, sizePt: 9 });
  face.write(page, text.slice(0, 90), { x, y: y - 12, sizePt: 9 });
}
