import { findLining, LINING_TRIM_MM, PUCK_PROUD_MM } from "../../forming";
import { describeOutline } from "../../shape";
import type { Piece } from "../book";

/** One change that by itself makes a piece that could not be made. */
export interface PieceMend {
  readonly title: string;
  readonly change: Partial<Piece>;
}

/** Another cut. @param from - Where it comes from, as it is said after its size. */
export const cutTo = (cut: Piece["cut"], from = ""): PieceMend => ({
  title: `Cut it ${describeOutline(cut)}${from}`,
  change: { cut },
});

/** What a mould is lined with, whatever it was cut to. */
export function listLinings({ form, thicknessMm }: Piece, springBackShare: number): PieceMend[] {
  if (!("mould" in form)) return [];
  const overRimMm = form.kind === "puck" ? PUCK_PROUD_MM : LINING_TRIM_MM;
  return [cutTo(findLining(form.mould, { thicknessMm, springBackShare }, overRimMm), ", to its mould")];
}
