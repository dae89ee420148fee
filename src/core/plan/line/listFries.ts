import { because, fail, ok, type Result } from "../../result";
import type { FryFailure } from "../problem";
import type { PieceMakings } from "./pieceMakings";
import { toBaked, planFrying, type FryPlan, type ShapedPiece } from "../piece";

/** What each fryer of the kit makes of a piece; those that cannot are left out, unless none can. */
export function listFries(
  { piece, kit, book, analyses }: PieceMakings,
  shaped: ShapedPiece,
): Result<FryPlan[], FryFailure> {
  const baked = toBaked(piece, shaped, book, analyses);
  if (kit.fryers.length === 0) return fail(because("noFryer", {}));
  if (!baked) return fail(because("nothingToFryBy", {}));
  const tried = kit.fryers.map((fryer) => planFrying(piece, shaped, baked, fryer, book.kitchen.roomC));
  const able = tried.flatMap((each) => (each.ok ? [each.value] : []));
  const refused = tried.flatMap((each) => (each.ok ? [] : [each.failure]));
  return able.length > 0 ? ok(able) : fail(refused[0] ?? because("noFryer", {}));
}
