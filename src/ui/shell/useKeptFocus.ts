"use client";

import { useEffect, type RefObject } from "react";

const FOCUSABLE =
  "a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), [tabindex='0']";

/**
 * Whoever removes the row that the focus is in goes on in the row that came into its place, or in the one before; without
 * this the focus is nowhere, and the next press of a key begins at the top of the page.
 */
export function useKeptFocus(root: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const element = root.current;
    if (!element) return;
    /** What had the focus, and what it was in, with its place there, the innermost first. */
    let held: Element | null = null;
    let around: readonly { readonly parent: Element; readonly at: number }[] = [];
    const note = ({ target }: FocusEvent) => {
      if (!(target instanceof Element)) return;
      held = target;
      const found: { parent: Element; at: number }[] = [];
      for (let child = target; child !== element && child.parentElement; child = child.parentElement)
        found.push({ parent: child.parentElement, at: [...child.parentElement.children].indexOf(child) });
      around = found;
    };
    const watch = new MutationObserver(() => {
      if (!held || held.isConnected || document.activeElement !== document.body) return;
      held = null;
      for (const { parent, at } of around) {
        if (!parent.isConnected) continue;
        const children = [...parent.children];
        const near = [...children.slice(at), ...children.slice(0, at).toReversed()];
        const next = near.map(findFocusable).find((found) => found !== null);
        if (next) return next.focus();
      }
    });
    element.addEventListener("focusin", note);
    watch.observe(element, { childList: true, subtree: true });
    return () => {
      element.removeEventListener("focusin", note);
      watch.disconnect();
    };
  }, [root]);
}

const findFocusable = (element: Element): HTMLElement | null =>
  element.matches(FOCUSABLE) ? (element as HTMLElement) : element.querySelector<HTMLElement>(FOCUSABLE);
