"use client";

import { formatMoney } from "@/core/units";
import { useBenchShell } from "./BenchProvider";

/** Said for an amount that the owner keeps from this device. */
export const HIDDEN_MONEY = "hidden";

/** Money as this house tells it, from the smallest coin. */
export function useMoney(): (amountMinor: number) => string {
  const currency = useBenchShell((state) => state.book.kitchen.currency);
  const isHidden = useBenchShell((state) => state.hidesCosts);
  return (amountMinor) => (isHidden ? HIDDEN_MONEY : formatMoney(amountMinor, currency));
}
