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
export function OutlineDials({ outline, onChange, hint = "" }: Props) {
  const figures = listFigures(outline);
  if (figures.length === 0) return hint ? <p className="quiet text-sm">{hint}</p> : null;
  return figures.map(({ limit, value, set }, i) => (
    <Dial
      key={limit.label}
      limit={limit}
      value={value}
      {...(limit.unit === "mm" ? SLIDER : {})}
      hint={i === 0 ? hint : ""}
      onChange={(next) => onChange(set(next))}
    />
  ));
}

interface Figure {
  readonly limit: Limit;
  readonly value: number;
  readonly set: (value: number) => Outline;
}

function listFigures(outline: Outline): Figure[] {
  const figure = (limit: Limit, value: number, set: (value: number) => Outline) => ({ limit, value, set });
  switch (outline.kind) {
    case "square":
      return [figure(pieceLimits.sideMm, outline.sideMm, (sideMm) => ({ ...outline, sideMm }))];
    case "triangle":
      return [figure(pieceLimits.sideMm, outline.legMm, (legMm) => ({ ...outline, legMm }))];
    case "oval":
    case "rectangle":
    case "heart":
    case "leaf":
      return [
        figure(pieceLimits.widthMm, outline.widthMm, (widthMm) => ({ ...outline, widthMm })),
        figure(pieceLimits.heightMm, outline.heightMm, (heightMm) => ({ ...outline, heightMm })),
      ];
    case "path":
      return [];
    default:
      return [
        figure(pieceLimits.diameterMm, outline.diameterMm, (diameterMm) => ({ ...outline, diameterMm })),
        ...listDetails(outline),
      ];
  }
}

/** What a round outline has beside its width. */
function listDetails(outline: Extract<Outline, { diameterMm: number }>): Figure[] {
  switch (outline.kind) {
    case "ring":
      return [
        { limit: pieceLimits.holeMm, value: outline.holeMm, set: (holeMm) => ({ ...outline, holeMm }) },
      ];
    case "polygon":
      return [{ limit: outlineLimits.sides, value: outline.sides, set: (sides) => ({ ...outline, sides }) }];
    case "scalloped":
      return [{ limit: outlineLimits.lobes, value: outline.lobes, set: (lobes) => ({ ...outline, lobes }) }];
    case "star":
      return [
        { limit: outlineLimits.points, value: outline.points, set: (points) => ({ ...outline, points }) },
      ];
    case "disc":
      return [];
  }
}
