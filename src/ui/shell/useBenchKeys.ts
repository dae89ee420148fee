"use client";

import { useHotkeys } from "react-hotkeys-hook";

/** What each key does: by the sign it writes, so that every keyboard layout works; `undo` is Ctrl Z and so on. */
export interface BenchKeys {
  readonly signs: Readonly<Record<string, () => void>>;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly find: () => void;
}

/** The keys of the bench. Signs are ignored while something is being written. */
export function useBenchKeys({ signs, undo, redo, find }: BenchKeys): void {
  useHotkeys(
    "*",
    (event) => {
      const act = event.ctrlKey || event.metaKey || event.altKey ? undefined : signs[event.key];
      if (!act) return;
      event.preventDefault();
      act();
    },
    { enableOnFormTags: true, ignoreEventWhen: isWriting },
  );
  useHotkeys("mod+k", find, { enableOnFormTags: true, preventDefault: true });
  const whereUndoIsOurs = {
    enableOnFormTags: true,
    preventDefault: true,
    ignoreEventWhen: (event: KeyboardEvent) => isWriting(event) && !isPassedOn(event.target as HTMLElement),
  };
  useHotkeys("mod+z", undo, whereUndoIsOurs);
  useHotkeys("mod+shift+z,mod+y", redo, whereUndoIsOurs);
}

/** Nothing of it is waiting to be passed on: undo there means the bench's. */
const isPassedOn = (field: HTMLElement): boolean =>
  field.matches("[data-passed-on]") ||
  // A form's field in which nothing was written yet.
  (field instanceof HTMLInputElement && field.value === "" && !field.matches("[data-typed]"));

function isWriting({ target }: KeyboardEvent): boolean {
  return (
    target instanceof HTMLElement &&
    target.matches("input:not([type=range], [type=radio], [type=checkbox]), select, textarea")
  );
}
