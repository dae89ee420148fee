"use client";

import { useMemo } from "react";
import { findLabelSheet, placeLabels, type LabelSheet } from "@/formats/labelSheets";
import type { PrintedLabel } from "@/formats/labelsPdf";
import { layLabel, type LaidLabel } from "@/formats/layLabel";
import { papers, PT_PER_MM } from "@/formats/paper";
import { useMeasure } from "./useMeasure";

/** A label at its place. */
interface SetLabel {
  readonly laid: LaidLabel;
  readonly xMm: number;
  readonly yMm: number;
}

/** Labels as they lie on their sheets, page by page. */
export function useLabelPages(
  sheetId: string,
  usedUp: number,
  labels: readonly PrintedLabel[],
): {
  readonly sheet: LabelSheet;
  readonly laid: readonly LaidLabel[];
  readonly pages: readonly SetLabel[][];
} {
  const measure = useMeasure();
  return useMemo(() => {
    const sheet = findLabelSheet(sheetId);
    const laid = labels.map(({ paragraphs }) => layLabel(paragraphs, sheet, measure));
    const each = labels.flatMap(({ copies }, i) => {
      const one = laid[i];
      return one ? Array.from({ length: copies }, () => one) : [];
    });
    const pages: SetLabel[][] = [];
    placeLabels(sheet, each.length, usedUp).forEach(({ page, xMm, yMm }, i) => {
      const one = each[i];
      if (one) (pages[page] ??= []).push({ laid: one, xMm, yMm });
    });
    return { sheet, laid, pages };
  }, [sheetId, usedUp, labels, measure]);
}

/** A label's words at their places, mm. In black whatever the theme: it is paper. */
function LabelWords({ laid, xMm, yMm }: SetLabel) {
  return laid.runs.map((run, i) => (
    <text
      key={i}
      x={xMm + run.xMm}
      y={yMm + run.yMm}
      fontSize={run.sizePt / PT_PER_MM}
      fontWeight={run.isBold ? 700 : 400}
      className="label-words"
    >
      {run.text}
    </text>
  ));
}

/** One label by itself, as large as there is room for. */
export function LabelDrawing({
  sheet: { widthMm, heightMm },
  laid,
  title,
}: {
  readonly sheet: LabelSheet;
  readonly laid: LaidLabel;
  readonly title: string;
}) {
  return (
    <svg
      viewBox={`0 0 ${widthMm} ${heightMm}`}
      className="w-full rounded-lg border border-base-300 bg-white"
      role="img"
      aria-label={title}
    >
      <LabelWords laid={laid} xMm={0} yMm={0} />
    </svg>
  );
}

/** One sheet of labels, to scale; on paper at true size. Only the screen shows where labels end. */
export function LabelPageDrawing({
  sheet,
  labels,
  usedUp,
  title,
  className,
}: {
  readonly sheet: LabelSheet;
  readonly labels: readonly SetLabel[];
  /** Labels of this sheet that are used up. */
  readonly usedUp: number;
  readonly title: string;
  readonly className: string;
}) {
  const { widthMm, heightMm } = papers[sheet.paper];
  return (
    <svg viewBox={`0 0 ${widthMm} ${heightMm}`} className={className} role="img" aria-label={title}>
      <rect width={widthMm} height={heightMm} fill="white" />
      {placeLabels(sheet, sheet.columns * sheet.rows, 0).map(({ xMm, yMm }, i) => (
        <rect
          key={i}
          className="no-print"
          x={xMm}
          y={yMm}
          width={sheet.widthMm}
          height={sheet.heightMm}
          rx={1.5}
          fill={i < usedUp ? "#e3ddd3" : "none"}
          stroke="#b9ae9c"
          strokeWidth={0.3}
        />
      ))}
      {labels.map((label, i) => (
        <LabelWords key={i} {...label} />
      ))}
    </svg>
  );
}

interface Props {
  readonly sheetId: string;
  readonly usedUp: number;
  readonly labels: readonly PrintedLabel[];
}

/** All sheets one below the other, each a page of paper. */
export function LabelPages({ sheetId, usedUp, labels }: Props) {
  const { sheet, pages } = useLabelPages(sheetId, usedUp, labels);
  return (
    <div className="label-pages">
      <style>{`@page { size: ${sheet.paper === "a4" ? "A4" : "letter"}; margin: 0 }`}</style>
      {pages.length === 0 && <p className="p-6">No labels are chosen. Choose some on the labels page.</p>}
      {pages.map((page, i) => (
        <LabelPageDrawing
          key={i}
          sheet={sheet}
          labels={page ?? []}
          usedUp={i === 0 ? usedUp : 0}
          title={`Sheet ${i + 1} of ${pages.length}`}
          className="label-page"
        />
      ))}
    </div>
  );
}
