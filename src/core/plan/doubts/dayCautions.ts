import { listCautions } from "../../cautions";
import { hasWeights } from "../../way";
import type { DayCaution, PieceWork } from "../result";

/** The cautions of the day, each once, with the pieces that it is for. */
export function gatherCautions(works: readonly PieceWork[]): DayCaution[] {
  const gathered = new Map<string, DayCaution>();
  for (const { line, fillings } of works) {
    const { id, form, extras, glue, wash, way } = line.piece;
    const [fry] = line.fries;
    const cautions = listCautions({
      form: form.kind,
      hasStick: form.kind === "lidded" && form.stick !== null,
      fillings,
      hasSauce: extras.some(({ kind }) => kind === "sauce"),
      glue: line.shaped.seal ? glue : "none",
      wash: wash.kind,
      oil: fry ? { levelMm: fry.levelMm, mostMm: fry.levelMostMm } : null,
      isKept:
        line.counts.frozenTaken > 0 || line.counts.ahead.frozenPieces > 0 || line.counts.ahead.shells > 0,
      hasWeights: hasWeights(way),
    });
    for (const caution of cautions) {
      const key = `${caution.station}:${caution.text}`;
      gathered.set(key, { ...caution, pieceIds: [...(gathered.get(key)?.pieceIds ?? []), id] });
    }
  }
  return [...gathered.values()];
}
