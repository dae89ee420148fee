/** How many pixels of the screen a unit of a drawing has, where somebody takes hold of it; 1 where it is not drawn. */
export const scaleOf = ({ target }: Event): number =>
  (target instanceof SVGGraphicsElement ? target.getScreenCTM()?.a : undefined) ?? 1;

/** Drags are of a pointer alone: what the arrow keys do is the drawing's own. */
export const BY_POINTER = { pointer: { keys: false } } as const;
