import { PDFDocument, rgb, type PDFPage } from "pdf-lib";
import { groupOrders, type OrderGroup } from "@/core/orders";
import { listClockRows, sayClockStep, type ClockRow, type DayPlan } from "@/core/plan";
import { formatClock } from "@/core/units";
import type { DayBook } from "@/schemas/model";
import { papers, PT_PER_MM, type Paper } from "./paper";
import { describeMissing, embedFaces, type FontFiles, type PdfFace, type PdfFaces } from "./pdfText";

const EDGE_MM = 15;
const TITLE_PT = 16;
const TEXT_PT = 10.5;
const ROW_MM = 6.4;
/** Steps within a job stand smaller under it. */
const STEP_PT = 9;
const STEP_MM = 4.6;
/** Where from, until, the box to tick and the job stand, mm from the edge. */
const COLUMNS_MM = { from: 0, until: 18, box: 36, what: 43, step: 49 } as const;
const BOX_MM = 3.2;
const FOOT_PT = 9;
const INK = rgb(0, 0, 0);

/**
 * The day as PDF: what is promised to whom and when, then its jobs in the order of the clock, for each person on pages of
 * their own, cautions last; each page with its number.
 */
export async function toDayPdf(
  book: DayBook,
  plan: DayPlan,
  paper: Paper,
  files: FontFiles,
): Promise<Uint8Array> {
  const { day } = book;
  const document = await PDFDocument.create();
  document.setTitle(`${day.name}, ${day.date}`);
  const faces = await embedFaces(document, files);
  const rows = listClockRows(plan, book);
  const nameOf = new Map(book.pieces.map(({ id, name }) => [id, name]));
  // Promises have a page though nothing is planned for them.
  const people = [...new Set([0, ...rows.map(({ person }) => person)])].sort((a, b) => a - b);
  for (const person of people) {
    const who = people.length > 1 ? (person === 0 ? " – the baker" : " – the helper") : "";
    const writer = openWriter(document, faces, paper, `${day.name}, ${day.date}${who}`);
    if (person === 0) for (const group of groupOrders(book.orders)) writer.promise(group, nameOf);
    for (const row of rows) if (row.person === person) writer.row(row);
    if (person === 0) for (const { text } of plan.cautions) writer.note(text);
    const missing = describeMissing(faces);
    if (missing) writer.note(missing);
  }
  const pages = document.getPages();
  pages.forEach((page, i) =>
    faces.plain.write(page, `${i + 1} of ${pages.length}`, {
      x: (papers[paper].widthMm - EDGE_MM) * PT_PER_MM - FOOT_PT * PT_PER_MM,
      y: (EDGE_MM / 2) * PT_PER_MM,
      sizePt: FOOT_PT,
    }),
  );
  return document.save();
}

/** Writes line under line, and a new page where one is full. */
function openWriter(document: PDFDocument, faces: PdfFaces, paper: Paper, title: string) {
  const { widthMm, heightMm } = papers[paper];
  const widthPt = (widthMm - 2 * EDGE_MM) * PT_PER_MM;
  let page: PDFPage | null = null;
  let atMm = 0;
  const next = (heightOfMm: number): PDFPage => {
    if (!page || atMm + heightOfMm > heightMm - EDGE_MM) {
      page = document.addPage([widthMm * PT_PER_MM, heightMm * PT_PER_MM]);
      atMm = EDGE_MM + ROW_MM;
      write(page, title, 0, TITLE_PT, faces.bold);
      atMm += ROW_MM;
    }
    atMm += heightOfMm;
    return page;
  };
  const write = (onto: PDFPage, text: string, xMm: number, sizePt: number, face: PdfFace) =>
    face.write(onto, text, { x: (EDGE_MM + xMm) * PT_PER_MM, y: (heightMm - atMm) * PT_PER_MM, sizePt });
  const tick = (onto: PDFPage) =>
    onto.drawRectangle({
      x: (EDGE_MM + COLUMNS_MM.box) * PT_PER_MM,
      y: (heightMm - atMm) * PT_PER_MM,
      width: BOX_MM * PT_PER_MM,
      height: BOX_MM * PT_PER_MM,
      borderColor: INK,
      borderWidth: 0.7,
    });
  return {
    /** One customer's, with a box to tick as it is handed over. */
    promise({ customer, dueMin, orders }: OrderGroup, nameOf: ReadonlyMap<string, string>) {
      const items = orders.map(({ count, pieceId }) => `${count} ${nameOf.get(pieceId) ?? ""}`).join(", ");
      const text = `${customer === "" ? "no name" : customer}: ${items}`;
      wrap(text, faces.bold, widthPt - COLUMNS_MM.what * PT_PER_MM).forEach((line, i) => {
        const onto = next(ROW_MM);
        if (i === 0) {
          write(onto, `by ${formatClock(dueMin)}`, COLUMNS_MM.from, TEXT_PT, faces.bold);
          tick(onto);
        }
        write(onto, line, COLUMNS_MM.what, TEXT_PT, faces.bold);
      });
    },
    row({ startMin, endMin, label, steps }: ClockRow) {
      const lines = wrap(label, faces.plain, widthPt - COLUMNS_MM.what * PT_PER_MM);
      lines.forEach((line, i) => {
        const onto = next(ROW_MM);
        if (i === 0) {
          write(onto, formatClock(startMin), COLUMNS_MM.from, TEXT_PT, faces.bold);
          if (endMin !== null) write(onto, formatClock(endMin), COLUMNS_MM.until, TEXT_PT, faces.plain);
          tick(onto);
        }
        write(onto, line, COLUMNS_MM.what, TEXT_PT, faces.plain);
      });
      for (const step of steps)
        wrap(sayClockStep(step), faces.plain, widthPt - COLUMNS_MM.step * PT_PER_MM).forEach((line) =>
          write(next(STEP_MM), line, COLUMNS_MM.step, STEP_PT, faces.plain),
        );
    },
    note(text: string) {
      wrap(`! ${text}`, faces.plain, widthPt).forEach((line) =>
        write(next(ROW_MM), line, 0, TEXT_PT, faces.plain),
      );
    },
  };
}

/** A text in lines no wider than so much; a word that is wider has a line of its own. */
function wrap(text: string, face: PdfFace, widthPt: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(" ")) {
    const last = lines.at(-1);
    const longer = last === undefined ? word : `${last} ${word}`;
    if (last !== undefined && face.measure(longer, TEXT_PT) <= widthPt) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}
