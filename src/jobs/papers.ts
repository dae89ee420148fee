import { listLabels } from "@/core/labels";
import { planDay } from "@/core/plan";
import type { HouseMeasures } from "@/core/units";
import {
  toDayPdf,
  toLabelsPdf,
  toPrintedLabels,
  toTemplatePdf,
  type CutTemplate,
  type Paper,
} from "@/formats";
import type { LabelWish } from "@/schemas/labelWish";
import type { DayBook } from "@/schemas/model";
import { readFontFiles } from "./fontFiles";

/** A day to print. */
export interface PrintedDay {
  readonly book: DayBook;
  readonly paper: Paper;
}

/** A day's labels to print. */
export interface PrintedDayLabels {
  readonly book: DayBook;
  readonly wish: LabelWish;
}

/** A template of cuts to print. */
export interface PrintedTemplate {
  readonly template: CutTemplate;
  readonly paper: Paper;
  readonly measures: HouseMeasures;
}

export const writeDayPdf = async ({ book, paper }: PrintedDay): Promise<Uint8Array> =>
  toDayPdf(book, planDay(book), paper, await readFontFiles());

export async function writeLabelsPdf({ book, wish }: PrintedDayLabels): Promise<Uint8Array> {
  const labels = toPrintedLabels(listLabels(wish.of, planDay(book), book), wish, book.kitchen.ovenScale);
  return toLabelsPdf({ ...wish, labels }, await readFontFiles());
}

export const writeTemplatePdf = async ({ template, paper }: PrintedTemplate): Promise<Uint8Array> =>
  toTemplatePdf(template, paper, await readFontFiles());
