import { fail, ok, type Result } from "../../result";
import type { PieceMakings } from "./pieceMakings";
import { toBaked } from "./knownBake";
import { planFrying, type FryPlan } from "./planFrying";
import type { ShapedPiece } from "./shapePiece";

/** What each fryer of the kit makes of a piece; those that cannot are left out, unless none can. */
export function listFries(
  { piece, kit, book, analyses }: PieceMakings,
  shaped: ShapedPiece,
): Result<FryPlan[], string> {
  const baked = toBaked(piece, shaped, book, analyses);
  if (kit.fryers.length === 0) return fail("it is fried and there is no fryer. Add one in Kit, or bake it.");
  if (!baked)
    return fail("its dough has no composition to fry by. Choose its ingredients from the book in Formulas.");
  const tried = kit.fryers.map((fryer) => planFrying(piece, shaped, baked, fryer, book.kitchen.roomC));
  const able = tried.flatMap((each) => (each.ok ? [each.value] : []));
  const refused = tried.flatMap((each) => (each.ok ? [] : [each.failure]));
  return able.length > 0 ? ok(able) : fail(refused[0] ?? "no fryer takes it.");
}
