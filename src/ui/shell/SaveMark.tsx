"use client";

import { Check, CircleAlert, CloudOff, CloudUpload } from "lucide-react";
import { useStore } from "zustand";
import { formatClock, formatCount } from "@/core/units";
import { useBenchShell } from "../bench/BenchProvider";
import { neighbours } from "../live/neighbours";

/** Whether what is on the screen is also on the disk. */
export function SaveMark() {
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
