"use client";

import { X } from "lucide-react";
import { useLayoutEffect, useRef, type ReactNode } from "react";

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly title: string;
  /** A drawer stands at the right edge; a dialog in the middle. */
  readonly side?: boolean;
  readonly children: ReactNode;
}

/**
 * The browser's own modal dialog: focus stays inside, Escape closes. It opens with the commit that asks for it: a press
 * that came between would be lost, or taken away again by the first focus.
 */
export function Dialog({ open, onClose, title, side = false, children }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useLayoutEffect(() => {
    if (open && !dialog.current?.open) {
      dialog.current?.showModal();
      // The browser would give the focus to the cross that closes.
      dialog.current?.querySelector<HTMLElement>("[data-first]")?.focus();
    }
    if (!open && dialog.current?.open) dialog.current.close();
  }, [open]);
  return (
    <dialog
      ref={dialog}
      className={`modal ${side ? "modal-end" : ""}`}
      // The browser tells of a closing later: by then it may have been asked for from outside, or be open again.
      onClose={({ currentTarget }) => open && !currentTarget.open && onClose()}
      aria-label={title}
    >
      {open && (
        // Its own ink: it may be opened from a bar whose letters are light.
        <div className={`modal-box text-base-content ${side ? "w-[min(92vw,26rem)]" : "max-w-xl"}`}>
          <div className="mb-3 flex items-center">
            <h2 className="text-xl">{title}</h2>
            <button
              type="button"
              className="btn btn-ghost touch ml-auto px-2"
              aria-label="Close"
              onClick={onClose}
            >
              <X size={22} aria-hidden />
            </button>
          </div>
          {children}
        </div>
      )}
      <form method="dialog" className="modal-backdrop">
        <button tabIndex={-1} aria-label="Close">
          close
        </button>
      </form>
    </dialog>
  );
}
