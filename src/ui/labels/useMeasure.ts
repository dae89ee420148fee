"use client";

import { useEffect, useState } from "react";
import type { Measure } from "@/formats/layLabel";
import { PT_PER_MM } from "@/formats/paper";

/** The size at which letters are measured, px; widths grow with it. */
const MEASURED_PX = 100;
/** A letter as wide as most, of its size, until the face is there. */
const GUESSED_SHARE = 0.52;
const FACE = '"Atkinson Hyperlegible Next Variable"';

const guess: Measure = (text, sizePt) => (text.length * GUESSED_SHARE * sizePt) / PT_PER_MM;

/** Widths of words in the shipped face as this browser draws it; a guess until the face is loaded. */
export function useMeasure(): Measure {
  const [measure, setMeasure] = useState<Measure>(() => guess);
  useEffect(() => {
    let isGone = false;
    if (!("fonts" in document)) return;
    const pen = document.createElement("canvas").getContext("2d");
    if (!pen) return;
    pen.textRendering = "geometricPrecision";
    const fonts = [400, 700].map((weight) => `${weight} ${MEASURED_PX}px ${FACE}`);
    const known = new Map<string, number>();
    const exact: Measure = (text, sizePt, isBold) => {
      const key = `${isBold ? "b" : "p"}${text}`;
      let share = known.get(key);
      if (share === undefined) {
        pen.font = fonts[isBold ? 1 : 0] ?? "";
        share = pen.measureText(text).width / MEASURED_PX;
        known.set(key, share);
      }
      return (share * sizePt) / PT_PER_MM;
    };
    void Promise.all(fonts.map((font) => document.fonts.load(font))).then(() => {
      if (!isGone) setMeasure(() => exact);
    });
    return () => {
      isGone = true;
    };
  }, []);
  return measure;
}
