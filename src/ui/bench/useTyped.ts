"use client";

import { useEffect, useRef } from "react";
import { noteTyped } from "./typedFields";

/**
 * Lets what is typed in a field be passed on when the page is left without leaving the field.
 * @param commit - As when the field is left; false if what is typed breaks a rule.
 */
export function useTyped(label: string, isTyped: boolean, commit: () => boolean): void {
  const newest = useRef(commit);
  useEffect(() => {
    newest.current = commit;
  });
  useEffect(
    () => (isTyped ? noteTyped({ label, commit: () => newest.current() }) : undefined),
    [isTyped, label],
  );
}
