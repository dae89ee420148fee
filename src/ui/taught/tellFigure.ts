import type { FigureScale } from "@/core/run";
import { formatNumber } from "@/core/units";

/** A figure as it is told: shares are kept as logarithms and told as per cent of what was planned. */
export const tellFigure = (value: number, scale: FigureScale): string =>
  scale === "share"
    ? `${formatNumber(Math.exp(value) * 100)} %`
    : `${value > 0 ? "+" : value < 0 ? "−" : ""}${formatNumber(Math.abs(value), 1)} °C`;
