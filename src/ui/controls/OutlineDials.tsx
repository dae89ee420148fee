"use client";

import type { Outline } from "@/core/shape";
import { outlineLimits, pieceLimits, type Limit } from "@/schemas/limits";
import { Dial } from "./Dial";

interface Props {
  readonly outline: Outline;
  readonly onChange: (outline: Outline) => void;
  /** Said under the first dial. */
  readonly hint?: string | undefined;
}

/** Slider ends for a cut: what small pastry is made of. The field takes more. */
const SLIDER = { sliderMin: 20, sliderMax: 200 };

/** The figures of an outline, each a dial; a drawn one has none. */
export function OutlineDials({ outline, onChange, hint }: Props) {
  const dial = (limit: Limit, value: number, set: (value: number) => Outline, note = "") => (
    <Dial
      key={limit.label}
      limit={limit}
      value={value}
      {...(limit.unit === "mm" ? SLIDER : {})}
      hint={note}
      onChange={(next) => onChange(set(next))}
    />
  );
  const first = hint ?? "";
  switch (outline.kind) {
    case "disc":
      return dial(
        pieceLimits.diameterMm,
        outline.diameterMm,
        (diameterMm) => ({ ...outline, diameterMm }),
        first,
      );
    case "square":
      return dial(pieceLimits.sideMm, outline.sideMm, (sideMm) => ({ ...outline, sideMm }), first);
    case "triangle":
      return dial(pieceLimits.sideMm, outline.legMm, (legMm) => ({ ...outline, legMm }), first);
    case "ring":
      return (
        <>
          {dial(
            pieceLimits.diameterMm,
            outline.diameterMm,
            (diameterMm) => ({ ...outline, diameterMm }),
            first,
          )}
          {dial(pieceLimits.holeMm, outline.holeMm, (holeMm) => ({ ...outline, holeMm }))}
        </>
      );
    case "polygon":
      return (
        <>
          {dial(
            pieceLimits.diameterMm,
            outline.diameterMm,
            (diameterMm) => ({ ...outline, diameterMm }),
            first,
          )}
          {dial(outlineLimits.sides, outline.sides, (sides) => ({ ...outline, sides }))}
        </>
      );
    case "scalloped":
      return (
        <>
          {dial(
            pieceLimits.diameterMm,
            outline.diameterMm,
            (diameterMm) => ({ ...outline, diameterMm }),
            first,
          )}
          {dial(outlineLimits.lobes, outline.lobes, (lobes) => ({ ...outline, lobes }))}
        </>
      );
    case "star":
      return (
        <>
          {dial(
            pieceLimits.diameterMm,
            outline.diameterMm,
            (diameterMm) => ({ ...outline, diameterMm }),
            first,
          )}
          {dial(outlineLimits.points, outline.points, (points) => ({ ...outline, points }))}
        </>
      );
    case "path":
      return first ? <p className="quiet text-sm">{first}</p> : null;
    default:
      return (
        <>
          {dial(pieceLimits.widthMm, outline.widthMm, (widthMm) => ({ ...outline, widthMm }), first)}
          {dial(pieceLimits.heightMm, outline.heightMm, (heightMm) => ({ ...outline, heightMm }))}
        </>
      );
  }
}
