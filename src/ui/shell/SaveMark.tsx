"use client";

import { Check, CircleAlert, CloudOff, CloudUpload } from "lucide-react";
import { useState } from "react";
import { useStore } from "zustand";
import { formatClock, formatCount } from "@/core/units";
import { useBenchShell, useBenchStore } from "../bench/BenchProvider";
import { SaveWaiting } from "../controls/SaveWaiting";
import { neighbours } from "../live/neighbours";
import { Dialog } from "./Dialog";

/** Whether what is on the screen is also on the disk. */
export function SaveMark() {
  const isKeptHere = useBenchShell((state) => state.isKeptHere);
  return (
    <>
      {!isKeptHere && (
        <span className="max-w-[46vw] text-sm text-error" role="alert">
          Kept only while this page is open
        </span>
      )}
      <State />
    </>
  );
}

/** What the server or this page cannot handle: said, with another try and a way to keep it. */
function FaultMark({ message, waiting }: { readonly message: string; readonly waiting: number }) {
  const store = useBenchStore();
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn btn-ghost touch text-error" onClick={() => setOpen(true)}>
        <CircleAlert size={18} aria-hidden /> Not saved: {formatCount(waiting, "change")}
      </button>
      <Dialog title="Not saved" open={isOpen} onClose={() => setOpen(false)}>
        <div className="flex flex-col gap-3">
          <p role="alert">{message}</p>
          <p>{formatCount(waiting, "change")} kept here and not sent again by itself.</p>
          <div className="flex flex-wrap gap-2">
            <button
              type="button"
              data-first
              className="btn btn-primary touch"
              onClick={() => {
                setOpen(false);
                void store.getState().flush();
              }}
            >
              Try again
            </button>
            <SaveWaiting name="changes" read={() => store.getState().listWaiting()} />
            <button type="button" className="btn touch" onClick={() => window.location.reload()}>
              Reload the page
            </button>
          </div>
        </div>
      </Dialog>
    </>
  );
}

function State() {
  const save = useBenchShell((state) => state.save);
  const isAway = useStore(neighbours, (state) => state.isLinked === false);
  const askAgain = useBenchShell((state) => state.showConflict);
  switch (save.kind) {
    case "offline": {
      const waits = `${formatCount(save.waiting, "change")} ${save.waiting === 1 ? "waits" : "wait"} here`;
      return (
        <span
          className="flex max-w-[46vw] items-center gap-1 text-sm text-error"
          role="alert"
          title={`${save.message} Kept on this device and tried again.`}
        >
          <CloudOff size={18} aria-hidden className="shrink-0" />
          <span className="truncate">
            {waits}: {save.message}
          </span>
        </span>
      );
    }
    case "faulted":
      return <FaultMark message={save.message} waiting={save.waiting} />;
    case "conflicted":
      return (
        <button type="button" className="btn btn-ghost touch text-error" onClick={() => askAgain(true)}>
          <CircleAlert size={18} aria-hidden /> Not saved: choose
        </button>
      );
    case "saved":
      if (isAway)
        return (
          <span
            className="quiet mr-1 flex items-center gap-1 text-sm whitespace-nowrap"
            role="status"
            title="All is saved. What you change meanwhile waits on this device."
          >
            <CloudOff size={18} aria-hidden /> Server away
          </span>
        );
      return (
        <span className="quiet mr-1 flex items-center gap-1 text-sm whitespace-nowrap" role="status">
          <Check size={18} aria-hidden />
          {/* In the hand the tick says it, and the day's name has the room. */}
          <span className="sr-only sm:not-sr-only">Saved</span>
          {save.atMin !== null && <span className="hidden sm:inline">{formatClock(save.atMin)}</span>}
        </span>
      );
    default:
      return (
        <span className="quiet mr-1 flex items-center gap-1 text-sm whitespace-nowrap" role="status">
          <CloudUpload size={18} aria-hidden /> Saving
        </span>
      );
  }
}
