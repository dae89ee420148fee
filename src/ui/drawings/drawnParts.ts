import type { CutPart, CutSheet, Placement } from "@/core/cutting";
import type { CutRole } from "@/core/plan";
import type { DrawnPart } from "./SheetDrawing";

/** Cuts of a sheet that become the same thing. */
export interface RolePart {
  /** Null for decorations. */
  readonly role: CutRole | null;
  readonly part: CutPart;
  readonly placements: readonly Placement[];
}

/** A sheet's cuts by what they become, in the order of cutting. */
export function splitByRole({ parts, isDecoration }: CutSheet, roles: readonly CutRole[]): RolePart[] {
  return parts.flatMap((part): RolePart[] => {
    if (isDecoration) return [{ role: null, part, placements: part.placements }];
    let from = 0;
    return part.uses.map(({ demandId, count }) => {
      const placements = part.placements.slice(from, from + count);
      from += count;
      return { role: roles.find((role) => role.demandId === demandId) ?? null, part, placements };
    });
  });
}

/** The same for the drawing: bases, which are not seen, in a darker tone. */
export function toDrawnParts(sheet: CutSheet, roles: readonly CutRole[]): DrawnPart[] {
  return splitByRole(sheet, roles).map(({ role, part, placements }) => ({
    outline: role?.outline ?? part.outline,
    placements,
    tone: role === null ? (sheet.isDecoration ? "decoration" : "seen") : role.isVisible ? "seen" : "hidden",
  }));
}
