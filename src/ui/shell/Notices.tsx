"use client";

import { CircleAlert } from "lucide-react";
import { useBenchShell } from "../bench/BenchProvider";

/** What was not done and why, each with what can be done about it, until the baker has seen it. */
export function Notices() {
  const notice = useBenchShell((state) => state.notice);
  const refused = useBenchShell((state) => state.refused);
  const planner = useBenchShell((state) => state.planner);
  const dismiss = useBenchShell((state) => state.dismissNotice);
  const takeBack = useBenchShell((state) => state.takeBack);
  const sendAgain = useBenchShell((state) => state.sendAgain);
  if (!notice && refused.length === 0 && planner.kind !== "failed") return null;
  return (
    <div className="flex flex-col border-b border-error bg-base-100" role="alert">
      {planner.kind === "failed" && <Row message={planner.message} />}
      {notice && <Row message={notice.message} acts={[["Understood", dismiss]]} />}
      {refused.map(({ id, message, isShown }) => (
        <Row
          key={id}
          message={message}
          acts={
            isShown
              ? [
                  ["Take it back", () => takeBack(id)],
                  ["Try again", sendAgain],
                ]
              : [["Understood", () => takeBack(id)]]
          }
        />
      ))}
    </div>
  );
}

interface RowProps {
  readonly message: string;
  readonly acts?: readonly (readonly [string, () => void])[];
}

function Row({ message, acts = [] }: RowProps) {
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-3 py-1.5 sm:px-6">
      <CircleAlert size={20} aria-hidden className="shrink-0 text-error" />
      <p className="min-w-40 flex-1">{message}</p>
      {acts.map(([label, act]) => (
        <button key={label} type="button" className="btn touch" onClick={act}>
          {label}
        </button>
      ))}
    </div>
  );
}
