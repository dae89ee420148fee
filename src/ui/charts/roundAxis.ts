import { scaleLinear } from "d3-scale";

/** About so many marks on an axis can be read beside each other. */
const MARKS = 6;

/** An axis over some figures: from one round mark to another, with round marks between. */
export function roundAxis(
  least: number,
  most: number,
): { readonly domain: [number, number]; readonly ticks: number[] } {
  const scale = scaleLinear().domain([least, most]).nice(MARKS);
  const [from = least, to = most] = scale.domain();
  return { domain: [from, to], ticks: scale.ticks(MARKS) };
}

/** Round marks within an axis that ends where its figures do. */
export const roundMarks = (least: number, most: number): number[] =>
  scaleLinear().domain([least, most]).ticks(MARKS);
