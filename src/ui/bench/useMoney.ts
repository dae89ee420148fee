"use client";

import { formatMoney } from "@/core/units";
import { useBenchShell } from "./BenchProvider";

/** Money as this house tells it, from the smallest coin. */
export function useMoney(): (amountMinor: number) => string {
  const currency = useBenchShell((state) => state.book.kitchen.currency);
  return (amountMinor) => formatMoney(amountMinor, currency);
}
