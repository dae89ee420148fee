"use client";

import { useId, useState, type CSSProperties, type KeyboardEvent } from "react";
import { useTyped } from "../bench/useTyped";
import { PASSED_ON, TYPED } from "./passedOn";
import { describeLimitFault } from "@/schemas/checkValue";
import type { Limit } from "@/schemas/limits";
import { findShownUnit } from "@/core/units";
import { isShareLimit, parseDial, toDialText } from "./parseDial";
import { layOutSlider, toKept, turnDial } from "./turnDial";

interface Props {
  readonly limit: Limit;
  readonly value: number;
  readonly onChange: (value: number) => void;
  /** Narrower ends for the slider than the field accepts, so that a finger can be exact. */
  readonly sliderMax?: number;
  readonly sliderMin?: number;
  /** Said under the dial. */
  readonly hint?: string;
}

/** As many figures have room in a dial as it stands. */
const FIGURES = 5;

/** A quantity to turn or to type: slider, figure with its unit, and a fault that says by how much. */
export function Dial({ limit, value, onChange, sliderMin, sliderMax, hint }: Props) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const isShare = isShareLimit(limit);
  const shown = typed ?? toDialText(value, limit);
  const parsed = typed === null ? null : parseDial(typed, limit);
  const fault = parsed && "fault" in parsed ? parsed.fault : null;

  const commit = (): boolean => {
    if (!parsed) return true;
    if ("fault" in parsed) return false;
    setTyped(null);
    if (parsed.value !== value) onChange(parsed.value);
    return true;
  };
  useTyped(limit.label, typed !== null, commit);
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === "Enter") commit();
    if (event.key === "Escape") setTyped(null);
    const direction = event.key === "ArrowUp" ? 1 : event.key === "ArrowDown" ? -1 : 0;
    if (direction === 0) return;
    event.preventDefault();
    const next = turnDial(value, direction, limit);
    if (describeLimitFault(next, limit) === null) {
      setTyped(null);
      onChange(next);
    }
  };
  const shownUnit = findShownUnit(limit.unit);
  const [least, most] = [sliderMin ?? limit.min, sliderMax ?? limit.max];
  const slider = layOutSlider(least, most, limit);
  const share = most > least ? Math.max(0, Math.min((value - least) / (most - least), 1)) : 0;
  return (
    <div className="flex flex-col">
      <div className="flex items-center gap-1">
        <label htmlFor={id}>{limit.label}</label>
        <input
          id={id}
          className="dial-figure figure ml-auto text-xl leading-7"
          // A keyboard of figures has no stroke for a fraction.
          inputMode={shownUnit.sign === "in" ? "text" : "decimal"}
          value={shown}
          // What is typed with its unit has room.
          style={shown.length > FIGURES ? { width: `${shown.length + 1}ch` } : undefined}
          {...(typed === null ? PASSED_ON : TYPED)}
          aria-invalid={fault !== null}
          aria-describedby={fault ? `${id}-fault` : undefined}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={commit}
          onKeyDown={onKeyDown}
        />
        <span className="quiet min-w-[2.2rem] text-sm">{isShare ? "%" : shownUnit.sign}</span>
      </div>
      <input
        type="range"
        className="dial-range"
        style={{ "--filled": `${share * 100}%` } as CSSProperties}
        aria-label={`${limit.label}, slider`}
        aria-valuetext={`${shown} ${isShare ? "%" : shownUnit.sign}`.trim()}
        min={slider.min}
        max={slider.max}
        step={slider.step}
        value={value / shownUnit.factor}
        onChange={(event) => {
          setTyped(null);
          onChange(toKept(Number(event.target.value), limit));
        }}
      />
      {fault ? (
        <p id={`${id}-fault`} className="text-sm text-error" role="alert">
          {fault}
        </p>
      ) : (
        hint && <p className="quiet text-sm leading-4">{hint}</p>
      )}
    </div>
  );
}
