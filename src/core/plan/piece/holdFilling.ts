import {
  computePortion,
  dividePortion,
  type DividedPortion,
  type PortionFailure,
  type PortionPart,
} from "../../filling";
import { formPiece, type FormedPiece, type FormFailure, type FormRequest } from "../../forming";
import { ok, type Result } from "../../result";
import type { Piece } from "../book";

/** A piece around its filling: as plump as it is set, or as what goes in by weight makes it. */
export interface HeldFilling {
  readonly formed: FormedPiece;
  readonly divided: DividedPortion;
  /** 0 flat to 1 round, or the level as a share of the depth. */
  readonly plumpness: number;
  /** Main filling for which there is no room even at its fullest, ml; 0 where all of it has room. */
  readonly overMl: number;
}

/** The leanest and the fullest that a piece is made; of a large fold, its spread as a share of the thickest, mm. */
const [LEANEST, FULLEST] = [0.05, 1];
/** Where it cannot be made as it is set, one of these may do. */
const TRIED = [0.5, 0.75, 0.9, 0.25, 1, 0.1];
const THICKEST_SPREAD_MM = 80;
/** Halvings of that span: to a millionth. */
const HALVINGS = 20;
/** Over by less than this is rounding, ml. */
const EVEN_ML = 0.05;

/**
 * The piece formed around its filling. Where its portion is set by weight it is as plump as that makes it (a large fold is
 * spread as thick); what is over at its fullest still goes in, and is told.
 * @param densityOf - g/ml of a filling by its id; undefined if there is none.
 * @returns Or why it cannot be formed or filled at all.
 */
export function holdFilling(
  piece: Piece,
  request: FormRequest,
  densityOf: (fillingId: string) => number | undefined,
): Result<HeldFilling, FormFailure | PortionFailure> {
  const hold = (tried: FormRequest): Result<HeldFilling, FormFailure | PortionFailure> => {
    const formed = formPiece(tried);
    if (!formed.ok) return formed;
    const divided = dividePortion(formed.value, piece.fillingId, piece.extras, densityOf);
    if (!divided.ok) return divided;
    return ok({ formed: formed.value, divided: divided.value, plumpness: tried.plumpness, overMl: 0 });
  };
  const gPerMl = densityOf(piece.fillingId);
  if (piece.portionG === null || gPerMl === undefined) return hold(request);
  const wantedMl = piece.portionG / gPerMl;
  const holdAt = (fullness: number) => hold(setFullness(request, fullness));
  const able = [readFullness(request), ...TRIED].find((fullness) => holdAt(fullness).ok);
  if (able === undefined) return hold(request);
  const roomMl = ({ divided }: HeldFilling) => divided.parts[0].portion.volumeMl;
  // Leaner than a fullness that can be made, what cannot be is too lean; beyond it, too full.
  const takes = (fullness: number) => {
    const tried = holdAt(fullness);
    return tried.ok ? roomMl(tried.value) <= wantedMl : fullness < able;
  };
  let [low, high] = [LEANEST, FULLEST];
  if (takes(high)) low = high;
  for (let i = 0; i < HALVINGS && low < high; i++) {
    const middle = (low + high) / 2;
    if (takes(middle)) low = middle;
    else high = middle;
  }
  const fullest = holdAt(low);
  // So little that even the leanest has room to spare: it is made as lean as it can be.
  const held = fullest.ok ? fullest : holdAt(high);
  if (!held.ok) return held;
  const overMl = wantedMl - roomMl(held.value);
  return ok({
    ...held.value,
    divided: giveMain(held.value.divided, wantedMl),
    overMl: overMl > EVEN_ML ? overMl : 0,
  });
}

const readFullness = ({ form, plumpness }: FormRequest): number =>
  form.kind === "largeFold" ? form.spreadMm / THICKEST_SPREAD_MM : plumpness;

function setFullness(request: FormRequest, fullness: number): FormRequest {
  const { form } = request;
  return form.kind === "largeFold"
    ? { ...request, form: { ...form, spreadMm: fullness * THICKEST_SPREAD_MM } }
    : { ...request, plumpness: fullness };
}

/** So much of the main filling, or of the one that stands in for it. */
function giveMain({ parts, ...rest }: DividedPortion, volumeMl: number): DividedPortion {
  const give = (part: PortionPart): PortionPart =>
    part.role === "main" || part.role === "alternate"
      ? { ...part, portion: computePortion(volumeMl, part.portion.massG / part.portion.volumeMl) }
      : part;
  const [main, ...others] = parts;
  return { ...rest, parts: [give(main), ...others.map(give)] };
}
