"use client";

import { format } from "date-fns";
import { Check, CircleAlert, CloudUpload } from "lucide-react";
import { useBench } from "../bench/BenchProvider";

/** Whether what is on the screen is also on the disk. */
export function SaveMark() {
  const save = useBench((state) => state.save);
  if (save.kind === "failed") {
    return (
      <span
        className="flex max-w-[46vw] items-center gap-1 text-sm text-error"
        role="alert"
        title={save.message}
      >
        <CircleAlert size={18} aria-hidden className="shrink-0" />
        <span className="truncate">{save.message}</span>
      </span>
    );
  }
  const waiting = save.kind !== "saved";
  return (
    <span className="quiet mr-1 flex items-center gap-1 text-sm whitespace-nowrap" role="status">
      {waiting ? <CloudUpload size={18} aria-hidden /> : <Check size={18} aria-hidden />}
      {waiting ? "Saving" : "Saved"}
      {save.kind === "saved" && save.at && (
        <span className="hidden sm:inline">{format(save.at, "HH:mm")}</span>
      )}
    </span>
  );
}
