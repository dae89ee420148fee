"use client";

import type { Bell, JobSheet } from "@/core/run";
import { formatCount } from "@/core/units";
import type { Happening } from "./runStore";
import type { RingingBells } from "./useBells";
import { useKnuckle } from "./useKnuckle";

interface Props {
  readonly bells: RingingBells;
  readonly sheetOf: (taskId: string) => JobSheet | undefined;
  readonly onHappen: (...happenings: readonly Happening[]) => void;
}

/** What rings, what to look for, and what to answer: done, not yet, or seen. */
export function BellBanner({ bells: { ringing, hush }, sheetOf, onHappen }: Props) {
  const knock = useKnuckle();
  return (
    <div role="alert" aria-live="assertive" className={ringing.length > 0 ? "flex flex-col gap-2" : ""}>
      {ringing.map((bell) => (
        <section
          key={bell.id}
          aria-label={bell.text}
          className="flex flex-wrap items-center gap-x-5 gap-y-2 rounded-2xl border-4 border-error bg-error/10 px-4 py-3"
        >
          <p className="min-w-0 flex-1 basis-72">
            <strong className="block text-2xl leading-tight">{bell.text}</strong>
            <span className="text-lg">
              {[bell.lookFor, sheetOf(bell.taskId)?.about].filter(Boolean).join(" · ")}
            </span>
          </p>
          <div className="flex flex-wrap gap-2">
            {answersOf(bell, hush, onHappen).map(({ name, isFirst, act }) => (
              <button
                key={name}
                type="button"
                className={`btn figure h-18 px-5 text-xl ${isFirst ? "btn-primary" : ""}`}
                onClick={() => knock(act)}
              >
                {name}
              </button>
            ))}
          </div>
        </section>
      ))}
    </div>
  );
}

function answersOf(bell: Bell, hush: (id: string) => void, onHappen: Props["onHappen"]) {
  const { id, kind, taskId, part, more } = bell;
  const seen = { name: "Hush", isFirst: false, act: () => hush(id) };
  if (kind === "ready") return [{ ...seen, name: "Seen", isFirst: true }];
  if (kind === "step" && part !== null)
    return [{ name: "Done", isFirst: true, act: () => onHappen({ kind: "done", taskId, part }) }, seen];
  return [
    { name: "It is out", isFirst: true, act: () => onHappen({ kind: "done", taskId }) },
    ...(more
      ? [
          {
            name: `${more.minutes} min more (${formatCount(more.left, "time")} left)`,
            isFirst: false,
            act: () => onHappen({ kind: "more", taskId, minutes: more.minutes }),
          },
        ]
      : []),
    seen,
  ];
}
