"use client";

import { useId, useState } from "react";
import { useTyped } from "../bench/useTyped";
import { PASSED_ON, TYPED } from "./passedOn";

interface Props {
  readonly label: string;
  readonly value: string;
  /** What is wrong with a text, or null. Only texts without a fault are passed on. */
  readonly check: (text: string) => string | null;
  readonly onCommit: (text: string) => void;
  readonly hideLabel?: boolean;
  readonly className?: string;
  readonly inputClassName?: string;
  /** The id of a list that it suggests from. */
  readonly list?: string;
}

/** A line of text that is passed on when it is left or Enter is pressed, and keeps what was typed till then. */
export function TextField({
  label,
  value,
  check,
  onCommit,
  hideLabel = false,
  className = "",
  inputClassName = "",
  list,
}: Props) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const fault = typed === null ? null : check(typed);
  const commit = (): boolean => {
    if (typed === null) return true;
    if (fault) return false;
    setTyped(null);
    if (typed.trim() !== value) onCommit(typed.trim());
    return true;
  };
  useTyped(label, typed !== null, commit);
  return (
    <div className={`flex flex-col gap-0.5 ${className}`}>
      <label htmlFor={id} className={hideLabel ? "sr-only" : ""}>
        {label}
      </label>
      <input
        id={id}
        className={`input w-full ${inputClassName}`}
        value={typed ?? value}
        list={list}
        {...(typed === null ? PASSED_ON : TYPED)}
        aria-invalid={fault !== null}
        aria-describedby={fault ? `${id}-fault` : undefined}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === "Enter") commit();
          if (event.key === "Escape") setTyped(null);
        }}
      />
      {fault && (
        <p id={`${id}-fault`} className="text-sm text-error" role="alert">
          {fault}
        </p>
      )}
    </div>
  );
}
