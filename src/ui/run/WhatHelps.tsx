"use client";

import { useState } from "react";
import { useStore } from "zustand";
import { Dialog } from "../shell/Dialog";
import type { RunStore } from "./runStore";

/** Where a promise breaks: what would help, each worked out whole. */
export function WhatHelps({ store }: { readonly store: RunStore }) {
  const { mends, askMends } = useStore(store);
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="touch cursor-pointer text-base underline"
        onClick={() => {
          setOpen(true);
          void askMends();
        }}
      >
        What would help?
      </button>
      <Dialog open={isOpen} onClose={() => setOpen(false)} title="What would help">
        {mends === null ? (
          <p role="status">It is being worked out…</p>
        ) : (
          <ol className="flex flex-col gap-3">
            {mends.map(({ kind, text }) => (
              <li key={kind} className="border-b border-base-300 pb-2 text-xl">
                {text}
              </li>
            ))}
            {mends.length === 0 && <li className="text-xl">Nothing is late any more.</li>}
          </ol>
        )}
      </Dialog>
    </>
  );
}
