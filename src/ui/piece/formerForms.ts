import type { FormKind } from "@/core/forming";
import type { Dough } from "@/core/formula";
import { toForm, type Piece } from "@/core/plan";

/** What a change of form sets: all the rest of a piece carries over. */
const formFields = [
  ...(["form", "cut", "cutAim", "thicknessMm", "marginMm", "plumpness"] as const),
  ...(["crimp", "wash", "vents", "way"] as const),
] satisfies readonly (keyof Piece)[];
type FormFields = Pick<Piece, (typeof formFields)[number]>;

/** As pieces last stood in each form, for as long as the page lives. */
const former = new Map<string, FormFields>();

const pick = (piece: Piece): FormFields =>
  Object.fromEntries(formFields.map((name) => [name, piece[name]])) as unknown as FormFields;

/** A piece in another form: as it stood in it before, where it did; else with its craft's usual figures. */
export function changeForm(kind: FormKind, piece: Piece, dough: Dough | null): Partial<Piece> {
  former.set(`${piece.id} ${piece.form.kind}`, pick(piece));
  return former.get(`${piece.id} ${kind}`) ?? toForm(kind, piece, dough);
}
