"use client";

import { useState } from "react";
import { Dialog } from "../shell/Dialog";
import type { RunStore } from "./runStore";
import { useRun } from "./useRun";

/** Where a promise breaks: what would help, each worked out whole and taken by a tap. */
export function WhatHelps({ store }: { readonly store: RunStore }) {
  const { mends, askMends, happen } = useRun(store, "mends", "askMends", "happen");
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
            {mends.map(({ kind, text, events }) => (
              <li key={kind} className="flex items-center gap-4 border-b border-base-300 pb-3 text-xl">
                <span className="flex-1">{text}</span>
                <button
                  type="button"
                  className="btn btn-primary h-16 shrink-0 text-lg"
                  onClick={() => {
                    setOpen(false);
                    happen(...events);
                  }}
                >
                  {takeWords[kind]}
                </button>
              </li>
            ))}
            {mends.length === 0 && <li className="text-xl">Nothing is late any more.</li>}
          </ol>
        )}
      </Dialog>
    </>
  );
}

const takeWords = { order: "Go so", hands: "They come", later: "It is told" } as const;
