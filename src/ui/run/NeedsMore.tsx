"use client";

import type { JobSheet } from "@/core/run";
import { formatDuration } from "@/core/units";
import { Dialog } from "../shell/Dialog";

interface Props {
  readonly open: boolean;
  readonly told: JobSheet | null;
  readonly onClose: () => void;
  readonly onMore: (minutes: number) => void;
}

/** Multiples of what the job's sign asks for. */
const TIMES = [1, 2, 3, 5] as const;
const LONG_MIN = [15, 30] as const;

/** How many minutes more a job needs, a knuckle each. */
export function NeedsMore({ open, told, onClose, onMore }: Props) {
  const each = told?.looks.more.minutes ?? 2;
  const choices = [...new Set([...TIMES.map((times) => times * each), ...LONG_MIN])].sort((a, b) => a - b);
  return (
    <Dialog open={open} onClose={onClose} title="How much more does it need?">
      <p className="quiet mb-3">{told?.title}</p>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        {choices.map((minutes, i) => (
          <button
            key={minutes}
            type="button"
            data-first={i === 0 ? true : undefined}
            className="btn figure h-22 text-2xl"
            onClick={() => onMore(minutes)}
          >
            {formatDuration(minutes)}
          </button>
        ))}
      </div>
    </Dialog>
  );
}
