"use client";

import { TriangleAlert } from "lucide-react";
import { useEffect, useId, useRef, useState, type ReactNode } from "react";
import { rankFinds } from "./rankFinds";

/** One of the things to pick from. */
export interface Pickable {
  readonly id: string;
  readonly name: string;
  /** What is worth knowing of it, in a word: `74`, `24 g`; null for none. */
  readonly figure: string | null;
  readonly mark: ReactNode;
  /** It cannot be made as it is. */
  readonly isIll?: boolean;
}

interface Props {
  /** What is picked: `Piece`, `Dough`. */
  readonly label: string;
  /** The label stands above it. */
  readonly isLabelShown?: boolean;
  readonly items: readonly Pickable[];
  readonly selectedId: string | null;
  readonly onPick: (id: string) => void;
}

/** From so many on one is found by name: fewer are seen at a glance. */
export const SOUGHT_FROM = 9;

/** One of many by its drawing, name and figure: one line that scrolls by a swipe, goes on by the arrow keys. */
export function Picker({ label, isLabelShown = false, items, selectedId, onPick }: Props) {
  const [sought, setSought] = useState("");
  const group = useId();
  const line = useRef<HTMLDivElement>(null);
  const isSought = sought.trim() !== "";
  const shown = isSought
    ? rankFinds(
        sought,
        items.map((item) => ({ ...item, kind: "piece" as const })),
      )
    : items;
  useEffect(() => {
    // What is picked is in view, also where it was picked elsewhere. Asked in the frame: before it, the page would be laid
    // out for this alone.
    const frame = requestAnimationFrame(() => {
      const picked = line.current?.querySelector<HTMLElement>(":checked")?.parentElement;
      if (line.current && picked) showIn(line.current, picked);
    });
    return () => cancelAnimationFrame(frame);
  }, [selectedId, isSought]);
  const search = items.length >= SOUGHT_FROM && (
    <input
      type="search"
      className="input w-32 shrink-0"
      aria-label={`Find: ${label.toLowerCase()}`}
      placeholder={`${items.length}: find`}
      value={sought}
      onChange={(event) => setSought(event.target.value)}
      onKeyDown={(event) => {
        const [first] = shown;
        if (event.key !== "Enter" || !isSought || !first) return;
        event.preventDefault();
        onPick(first.id);
        setSought("");
      }}
    />
  );
  return (
    <div className="min-w-0 shrink-0">
      {isLabelShown && (
        <div className="mb-1 flex items-center justify-between gap-2">
          <span aria-hidden>{label}</span>
          {search}
        </div>
      )}
      <div className="flex flex-wrap items-center gap-1.5">
        {!isLabelShown && search}
        <div ref={line} role="radiogroup" aria-label={label} className="picker-line">
          {shown.map(({ id, name, figure, mark, isIll }) => (
            <label key={id} className="picker-item">
              <input
                type="radio"
                name={group}
                className="absolute inset-0 cursor-pointer opacity-0"
                checked={id === selectedId}
                onChange={() => onPick(id)}
              />
              {mark}
              <span className="flex flex-col leading-5">
                <span className="flex items-center gap-1 whitespace-nowrap">
                  {isIll && <TriangleAlert size={18} className="text-error" aria-label="cannot be made:" />}
                  {name}
                </span>
                {figure !== null && <span className="figure text-sm">{figure}</span>}
              </span>
            </label>
          ))}
          {shown.length === 0 && <p className="quiet self-center px-2">None by that name.</p>}
        </div>
      </div>
    </div>
  );
}

/** Scrolls the line, and nothing but the line, as far as needed. */
function showIn(line: HTMLElement, { offsetLeft, offsetWidth }: HTMLElement): void {
  if (offsetLeft < line.scrollLeft) line.scrollLeft = offsetLeft;
  else if (offsetLeft + offsetWidth > line.scrollLeft + line.clientWidth)
    line.scrollLeft = offsetLeft + offsetWidth - line.clientWidth;
}
