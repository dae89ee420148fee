"use client";

import { useCallback } from "react";

/** Tells how wide an element is now, px, and each time that it changes. @returns Its ref. */
export function useWidth(
  tell: (widthPx: number) => void,
): (element: HTMLElement | null) => (() => void) | undefined {
  return useCallback(
    (element) => {
      if (!element) return;
      const watch = new ResizeObserver(() => {
        if (element.clientWidth > 0) tell(element.clientWidth);
      });
      watch.observe(element);
      return () => watch.disconnect();
    },
    [tell],
  );
}
