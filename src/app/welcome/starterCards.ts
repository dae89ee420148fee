import { NO_PAST, shapePiece, toShapeContext } from "@/core/plan";
import { starters, type Starter } from "@/demo";
import { firstKitchen } from "@/schemas/firstKitchen";
import type { StarterCard } from "@/ui/welcome/Welcome";

/** What may be taken first, each as it would lie on its tray in a kitchen that has not been described yet. */
export const listStarterCards = (): StarterCard[] =>
  starters.map((starter) => ({
    id: starter.id,
    title: starter.title,
    blurb: starter.blurb,
    face: drawFace(starter),
  }));

function drawFace({ dough, filling, others, piece }: Starter): StarterCard["face"] {
  const formulas = [dough, filling, ...others];
  const context = toShapeContext({ formulas, kitchen: firstKitchen, lotRecords: [], past: NO_PAST });
  const shaped = shapePiece(piece, dough, filling, context);
  return shaped.ok ? { fromAbove: shaped.value.formed.fromAbove, vents: piece.vents } : null;
}
