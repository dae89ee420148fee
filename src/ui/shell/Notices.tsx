"use client";

import { CircleAlert } from "lucide-react";
import type { ReactNode } from "react";
import { useBenchShell } from "../bench/BenchProvider";
import type { NoticeLink } from "../bench/benchState";
import { Link } from "../controls/Link";

/** What was not done and why, each with what can be done about it, until the baker has seen it. */
export function Notices() {
  const notice = useBenchShell((state) => state.notice);
  const date = useBenchShell((state) => state.date);
  const refused = useBenchShell((state) => state.refused);
  const planner = useBenchShell((state) => state.planner);
  const dismiss = useBenchShell((state) => state.dismissNotice);
  const takeBack = useBenchShell((state) => state.takeBack);
  const sendAgain = useBenchShell((state) => state.sendAgain);
  if (!notice && refused.length === 0 && planner.kind !== "failed") return null;
  return (
    <div className="flex flex-col border-b border-error bg-base-100" role="alert">
      {planner.kind === "failed" && <Row message={planner.message} />}
      {notice && (
        <Row message={notice.message} acts={[["Understood", dismiss]]}>
          {[...new Map(notice.links.map((link) => [findPath(date, link), link]))].map(([path, link]) => (
            <Link key={path} href={path} className="btn touch" onClick={dismiss}>
              {link.kind === "piece" ? link.name : listNames[link.kind]}
            </Link>
          ))}
        </Row>
      )}
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
  readonly children?: ReactNode;
}

/** Lists in which users that have no page of their own are found. */
const listNames: Partial<Record<NoticeLink["kind"], string>> = {
  order: "The orders",
  standing: "Standing orders",
};

/** Where a user is changed. */
const findPath = (date: string, { kind, id }: NoticeLink): string =>
  `/day/${date}/${kind === "piece" ? `piece/${id}` : kind === "standing" ? "customers" : "orders"}`;

function Row({ message, acts = [], children }: RowProps) {
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-3 py-1.5 sm:px-6">
      <CircleAlert size={20} aria-hidden className="shrink-0 text-error" />
      <p className="min-w-40 flex-1">{message}</p>
      {children}
      {acts.map(([label, act]) => (
        <button key={label} type="button" className="btn touch" onClick={act}>
          {label}
        </button>
      ))}
    </div>
  );
}
