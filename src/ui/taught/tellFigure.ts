import type { FigureScale } from "@/core/habits";
import { formatNumber } from "@/core/units";

/** A figure as it is told: shares are kept as logarithms and told as per cent of what was planned. */
export function tellFigure(value: number, scale: FigureScale): string {
  if (scale === "share") return `${formatNumber(Math.exp(value) * 100)} %`;
  const told = formatNumber(Math.abs(value), 1);
  return `${told === "0" ? "" : value > 0 ? "+" : "−"}${told} °C`;
}
