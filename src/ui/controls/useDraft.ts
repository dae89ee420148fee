"use client";

import { useState } from "react";

const PREFIX = "tezgah-draft";

/**
 * A text that is being written and belongs to no record yet: it outlives going back and a reload of the page.
 * Stands only where nothing is drawn on the server, as below the bench's shell.
 * @param name - Which text, among those of this page's session.
 */
export function useDraft(name: string): [string, (text: string) => void] {
  const [text, setText] = useState(() => read(name) ?? "");
  const write = (next: string) => {
    setText(next);
    keep(name, next);
  };
  return [text, write];
}

function read(name: string): string | null {
  try {
    return sessionStorage.getItem(`${PREFIX}/${name}`);
  } catch {
    return null;
  }
}

function keep(name: string, text: string): void {
  try {
    if (text === "") sessionStorage.removeItem(`${PREFIX}/${name}`);
    else sessionStorage.setItem(`${PREFIX}/${name}`, text);
  } catch {
    // No storage: the text lives as long as the page.
  }
}
