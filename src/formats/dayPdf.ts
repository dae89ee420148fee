import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from "pdf-lib";
import { listClockRows, type ClockRow, type Day, type DayPlan } from "@/core/plan";
import { formatClock } from "@/core/units";
import { papers, PT_PER_MM, toLatin, type Paper } from "./paper";

const EDGE_MM = 15;
const TITLE_PT = 16;
const TEXT_PT = 10.5;
const ROW_MM = 6.4;
/** Where from, until, the box to tick and the job stand, mm from the edge. */
const COLUMNS_MM = { from: 0, until: 18, box: 36, what: 43 } as const;
const BOX_MM = 3.2;
const INK = rgb(0, 0, 0);

/** The day's jobs in the order of the clock as PDF, for each person on pages of their own, cautions last. */
export async function toDayPdf(day: Day, plan: DayPlan, paper: Paper): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.setTitle(`${day.name}, ${day.date}`);
  const fonts = {
    plain: await document.embedFont(StandardFonts.Helvetica),
    bold: await document.embedFont(StandardFonts.HelveticaBold),
  };
  const rows = listClockRows(plan);
  const people = [...new Set(rows.map(({ person }) => person))].sort();
  for (const person of people) {
    const who = people.length > 1 ? (person === 0 ? " - the baker" : " - the helper") : "";
    const writer = openWriter(document, fonts, paper, `${day.name}, ${day.date}${who}`);
    for (const row of rows) if (row.person === person) writer.row(row);
    if (person === 0) for (const { text } of plan.cautions) writer.note(text);
  }
  return document.save();
}

interface Fonts {
  readonly plain: PDFFont;
  readonly bold: PDFFont;
}

/** Writes line under line, and a new page where one is full. */
function openWriter(document: PDFDocument, fonts: Fonts, paper: Paper, title: string) {
  const { widthMm, heightMm } = papers[paper];
  const widthPt = (widthMm - 2 * EDGE_MM) * PT_PER_MM;
  let page: PDFPage | null = null;
  let atMm = 0;
  const next = (heightOfMm: number): PDFPage => {
    if (!page || atMm + heightOfMm > heightMm - EDGE_MM) {
      page = document.addPage([widthMm * PT_PER_MM, heightMm * PT_PER_MM]);
      atMm = EDGE_MM + ROW_MM;
      write(page, title, 0, TITLE_PT, fonts.bold);
      atMm += ROW_MM;
    }
    atMm += heightOfMm;
    return page;
  };
  const write = (onto: PDFPage, text: string, xMm: number, sizePt: number, font: PDFFont) =>
    onto.drawText(toLatin(text), {
      x: (EDGE_MM + xMm) * PT_PER_MM,
      y: (heightMm - atMm) * PT_PER_MM,
      size: sizePt,
      font,
      color: INK,
    });
  return {
    row({ startMin, endMin, label }: ClockRow) {
      const lines = wrap(label, fonts.plain, widthPt - COLUMNS_MM.what * PT_PER_MM);
      lines.forEach((line, i) => {
        const onto = next(ROW_MM);
        if (i === 0) {
          write(onto, formatClock(startMin), COLUMNS_MM.from, TEXT_PT, fonts.bold);
          if (endMin !== null) write(onto, formatClock(endMin), COLUMNS_MM.until, TEXT_PT, fonts.plain);
          onto.drawRectangle({
            x: (EDGE_MM + COLUMNS_MM.box) * PT_PER_MM,
            y: (heightMm - atMm) * PT_PER_MM,
            width: BOX_MM * PT_PER_MM,
            height: BOX_MM * PT_PER_MM,
            borderColor: INK,
            borderWidth: 0.7,
          });
        }
        write(onto, line, COLUMNS_MM.what, TEXT_PT, fonts.plain);
      });
    },
    note(text: string) {
      wrap(`! ${text}`, fonts.plain, widthPt).forEach((line) =>
        write(next(ROW_MM), line, 0, TEXT_PT, fonts.plain),
      );
    },
  };
}

/** A text in lines no wider than so much; a word that is wider has a line of its own. */
function wrap(text: string, font: PDFFont, widthPt: number): string[] {
  const lines: string[] = [];
  for (const word of toLatin(text).split(" ")) {
    const last = lines.at(-1);
    const longer = last === undefined ? word : `${last} ${word}`;
    if (last !== undefined && font.widthOfTextAtSize(longer, TEXT_PT) <= widthPt)
      lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}
