/**
 * A filled piece cut across its fold, lying on the tray: a flat foot and a circular arc over it. The inner
 * dough line has a fixed length because dough does not stretch.
 */
export interface FilledSection {
  readonly footMm: number;
  readonly heightMm: number;
  readonly areaMm2: number;
  readonly arcRadiusMm: number;
  /** Half the angle under which the arc is seen from its centre, radians, 0–π. */
  readonly arcHalfAngle: number;
}

/**
 * The section of a given inner perimeter at a given plumpness. With half-angle α = π·plumpness the foot is
 * 2ρ sin α and the arc 2ρα, so ρ = perimeter / 2(α + sin α) and the area is ρ²(α − sin α cos α).
 * Plumpness 0 is flat (area 0); 1 is the full circle, perimeter²/4π, the most any curve can enclose.
 * @param perimeterMm - Inner perimeter, ≤ 0 gives an empty section.
 * @param plumpness - 0 (flat) to 1 (round).
 */
export function solveFilledSection(perimeterMm: number, plumpness: number): FilledSection {
  const arcHalfAngle = Math.PI * plumpness;
  if (perimeterMm <= 0 || arcHalfAngle === 0) {
    return {
      footMm: Math.max(perimeterMm, 0) / 2,
      heightMm: 0,
      areaMm2: 0,
      arcRadiusMm: Infinity,
      arcHalfAngle: 0,
    };
  }
  const arcRadiusMm = perimeterMm / (2 * (arcHalfAngle + Math.sin(arcHalfAngle)));
  return {
    footMm: 2 * arcRadiusMm * Math.sin(arcHalfAngle),
    heightMm: arcRadiusMm * (1 - Math.cos(arcHalfAngle)),
    areaMm2: arcRadiusMm ** 2 * (arcHalfAngle - Math.sin(arcHalfAngle) * Math.cos(arcHalfAngle)),
    arcRadiusMm,
    arcHalfAngle,
  };
}
