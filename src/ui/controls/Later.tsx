"use client";

import { useDeferredValue, type ReactNode } from "react";

/**
 * False in a screen's first drawing and true right after it: for what lies below the fold. That is then drawn in pieces
 * between which the screen answers, and not together with what is seen first.
 */
export const useIsLater = (): boolean => useDeferredValue(true, false);

/** What lies below the fold of a screen. */
export function Later({ children }: { readonly children: ReactNode }) {
  return useIsLater() ? children : null;
}
