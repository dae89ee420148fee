import type { ReactNode } from "react";

interface Props {
  readonly title: string;
  /** What it comes to, while it is closed. */
  readonly note: string;
  readonly isOpen?: boolean;
  readonly children: ReactNode;
}

/** A group of dials that opens when it is wanted. */
export function Section({ title, note, isOpen = false, children }: Props) {
  return (
    <details open={isOpen} className="group border-t border-base-300 pt-1.5">
      <summary className="touch flex cursor-pointer flex-wrap items-baseline gap-x-2 py-1.5">
        <span aria-hidden className="transition-transform group-open:rotate-90 motion-reduce:transition-none">
          ›
        </span>
        <strong>{title}</strong>
        <span className="quiet ml-auto text-sm group-open:hidden">{note}</span>
      </summary>
      <div className="flex flex-col gap-2.5 pb-2">{children}</div>
    </details>
  );
}
