"use client";

import { useRouter } from "next/navigation";
import { useState, type MouseEvent, type ReactNode } from "react";
import { useBenchStore } from "./BenchProvider";
import { commitTyped } from "./typedFields";

interface Props {
  readonly href: string;
  readonly className?: string;
  /** A file to keep, not a page to go to. */
  readonly download?: boolean;
  readonly children: ReactNode;
}

/** A link to what the server makes of the stored day: first everything typed is saved, then it is followed. */
export function LeaveLink({ href, className = "", download = false, children }: Props) {
  const router = useRouter();
  const leave = useLeave();
  const [isWaiting, setWaiting] = useState(false);
  const follow = async (event: MouseEvent<HTMLAnchorElement>) => {
    // With a key held the browser opens it elsewhere: this page stays, and saves as ever.
    if (event.metaKey || event.ctrlKey || event.shiftKey || event.button !== 0) return;
    event.preventDefault();
    setWaiting(true);
    const isSaved = await leave();
    setWaiting(false);
    if (!isSaved) return;
    if (download) window.location.assign(href);
    else router.push(href);
  };
  return (
    <a href={href} className={className} aria-busy={isWaiting} onClick={(event) => void follow(event)}>
      {children}
    </a>
  );
}

/** Saves all that is typed before this page is left; says why where it cannot. @returns Whether all is saved. */
export function useLeave(): () => Promise<boolean> {
  const store = useBenchStore();
  return async () => {
    const [untold] = commitTyped();
    const isSaved = untold === undefined && (await store.getState().flush());
    if (isSaved) return true;
    store
      .getState()
      .notify(
        untold
          ? `${untold.label} holds something that cannot be kept yet. Correct it or leave the field empty, then try again.`
          : "Not everything is saved yet, so it would show the day as it was. Try again in a moment.",
      );
    return false;
  };
}
