import { PDFDocument } from "pdf-lib";
import { findLabelSheet, placeLabels } from "./labelSheets";
import type { Paragraph } from "./labelText";
import { layLabel } from "./layLabel";
import { papers, PT_PER_MM } from "./paper";
import { describeMissing, embedFaces, type FontFiles } from "./pdfText";

/** A label as it is printed, so often. */
export interface PrintedLabel {
  readonly id: string;
  readonly paragraphs: readonly Paragraph[];
  readonly copies: number;
}

/** Labels to print. */
export interface LabelPrint {
  readonly sheetId: string;
  /** Labels of the first sheet that are used up already. */
  readonly usedUp: number;
  readonly labels: readonly PrintedLabel[];
}

/** Labels on their sheets as PDF, true to size, with the shipped letters. */
export async function toLabelsPdf(
  { sheetId, usedUp, labels }: LabelPrint,
  files: FontFiles,
): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.setTitle("Labels");
  const faces = await embedFaces(document, files);
  const sheet = findLabelSheet(sheetId);
  const paper = papers[sheet.paper];
  const faceOf = (isBold: boolean) => (isBold ? faces.bold : faces.plain);
  const measure = (text: string, sizePt: number, isBold: boolean) =>
    faceOf(isBold).measure(text, sizePt) / PT_PER_MM;
  const laid = labels.flatMap(({ paragraphs, copies }) => {
    const one = layLabel(paragraphs, sheet, measure);
    return Array.from({ length: copies }, () => one);
  });
  const places = placeLabels(sheet, laid.length, usedUp);
  const pages = Array.from({ length: (places.at(-1)?.page ?? 0) + 1 }, () =>
    document.addPage([paper.widthMm * PT_PER_MM, paper.heightMm * PT_PER_MM]),
  );
  places.forEach(({ page: at, xMm, yMm }, i) => {
    const page = pages[at];
    if (!page) return;
    for (const run of laid[i]?.runs ?? [])
      faceOf(run.isBold).write(page, run.text, {
        x: (xMm + run.xMm) * PT_PER_MM,
        y: (paper.heightMm - yMm - run.yMm) * PT_PER_MM,
        sizePt: run.sizePt,
      });
  });
  const missing = describeMissing(faces);
  const first = pages[0];
  if (missing && first) faces.plain.write(first, missing, { x: 12, y: 6, sizePt: 6 });
  return document.save();
}
