import type { FormKind } from "../../forming";
import type { CrimpId } from "../../sealing";
import type { Piece } from "../book";

/** A press closes with its own teeth; a lid on a mould is closed flush, whatever else is chosen for a free rim. */
export function findCrimpId({ form, crimp }: Piece): CrimpId {
  if (form.kind === "pressed") return "press";
  // A knot and the ridges over a fruit are pinched, whatever a free rim would take.
  if (form.kind === "gathered" || form.kind === "wrapped") return "pinched";
  if (form.kind === "lined") return crimp === "forked" ? "forked" : "flush";
  return crimp === "press" || crimp === "flush" ? "pinched" : crimp;
}

/** Crimps that a form can be closed with; none where there is no choice. */
export function listCrimps(form: FormKind): readonly CrimpId[] {
  if (form === "pressed" || form === "case" || form === "rosette" || form === "puck") return [];
  if (form === "gathered" || form === "wrapped") return ["pinched"];
  if (form === "lined") return ["flush", "forked"];
  return ["pinched", "forked", "rolled", "rope", "foldForked"];
}
