import type { Body } from "@/core/heat";
import { formatLength } from "@/core/units";

/** A piece of dough in the figures a hand shapes it to: `178 mm across, 30 mm high`. */
export function describeBody(body: Body): string {
  switch (body.kind) {
    case "disc":
      return `${formatLength(body.diameterMm)} across, ${formatLength(body.heightMm)} high`;
    case "log":
      return `${formatLength(body.diameterMm)} thick, ${formatLength(body.lengthMm)} long`;
    case "ball":
      return `${formatLength(body.diameterMm)} across`;
    case "brick":
      return `${formatLength(body.lengthMm)} × ${formatLength(body.widthMm)}, ${formatLength(body.heightMm)} high`;
    case "slab":
      return `${formatLength(body.thicknessMm)} thick`;
  }
}
