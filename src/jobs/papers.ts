import { listLabels } from "@/core/labels";
import { planDay } from "@/core/plan";
import { fail, ok, type Result } from "@/core/result";
import type { HouseMeasures } from "@/core/units";
import {
  listUnknownOnLabels,
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

/** @returns The labels as PDF; or, unless the wish says to print them all the same, whose allergens nobody knows. */
export async function writeLabelsPdf({
  book,
  wish,
}: PrintedDayLabels): Promise<Result<Uint8Array, string[]>> {
  const labels = listLabels(wish.of, planDay(book), book);
  const unknown = listUnknownOnLabels(labels, wish);
  if (unknown.length > 0 && !wish.printsUnknown) return fail(unknown);
  const printed = toPrintedLabels(labels, wish, book.kitchen.ovenScale);
  return ok(await toLabelsPdf({ ...wish, labels: printed }, await readFontFiles()));
}

export const writeTemplatePdf = async ({ template, paper }: PrintedTemplate): Promise<Uint8Array> =>
  toTemplatePdf(template, paper, await readFontFiles());
