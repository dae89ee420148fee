import type { FormKind } from "@/core/forming";
import type { Dough } from "@/core/formula";
import { toForm, type Piece } from "@/core/plan";

/** What a change of form sets: all the rest of a piece carries over. */
const formFields = [
  ...(["form", "cut", "cutAim", "thicknessMm", "marginMm", "plumpness"] as const),
  ...(["crimp", "wash", "vents", "way"] as const),
] satisfies readonly (keyof Piece)[];
type FormFields = Pick<Piece, (typeof formFields)[number]>;

/** Where a tab keeps them: a page that is loaded again still knows. */
const KEPT_AT = "tezgah-former-forms";

/** As pieces last stood in each form, by piece and form. */
function readFormer(): Readonly<Record<string, FormFields>> {
  try {
    return JSON.parse(sessionStorage.getItem(KEPT_AT) ?? "{}") as Record<string, FormFields>;
  } catch {
    // Not allowed here, or no longer what was kept: then the craft's usual figures serve.
    return {};
  }
}

function keepFormer(former: Readonly<Record<string, FormFields>>): void {
  try {
    sessionStorage.setItem(KEPT_AT, JSON.stringify(former));
  } catch {
    // No room, or not allowed: as above.
  }
}

const pick = (piece: Piece): FormFields =>
  Object.fromEntries(formFields.map((name) => [name, piece[name]])) as unknown as FormFields;

/** A piece in another form: as it stood in it before, where it did; else with its craft's usual figures. */
export function changeForm(kind: FormKind, piece: Piece, dough: Dough | null): Partial<Piece> {
  const former = readFormer();
  keepFormer({ ...former, [`${piece.id} ${piece.form.kind}`]: pick(piece) });
  return former[`${piece.id} ${kind}`] ?? toForm(kind, piece, dough);
}
