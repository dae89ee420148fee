import type { PieceExtra, PortionPart } from "../../filling";
import { isFilling, type StepThing, type Way, type WayStep } from "../../way";

/** What one step puts into or onto a piece. */
export interface StepTakings {
  readonly parts: readonly PortionPart[];
  readonly things: readonly StepThing[];
}

const nothing: StepTakings = { parts: [], things: [] };

/**
 * What each step of a way takes of the fillings and whole things of a piece, by step id; steps that take nothing are not in it.
 * A step that names a filling takes that; what no step names goes in with the first that fills. Nothing is taken
 * twice and nothing is left, as long as the way fills at all.
 */
export function assignTakings(
  way: Way,
  parts: readonly PortionPart[],
  extras: readonly PieceExtra[],
): ReadonlyMap<string, StepTakings> {
  const takings = new Map<string, StepTakings>();
  const give = ({ id }: WayStep, more: Partial<StepTakings>) => {
    const { parts: had, things } = takings.get(id) ?? nothing;
    takings.set(id, { parts: [...had, ...(more.parts ?? [])], things: [...things, ...(more.things ?? [])] });
  };
  const fills = way.filter(isFilling);
  const open = fills.find(({ fillingId }) => fillingId === null) ?? fills[0];
  const pour = way.find(({ kind }) => kind === "pourAround");
  for (const part of parts) {
    const named = way.find(
      ({ kind, fillingId }) =>
        fillingId === part.fillingId && (kind === "pourAround") === (part.role === "sauce"),
    );
    const step = named ?? (part.role === "sauce" ? (pour ?? open) : open);
    if (step) give(step, { parts: [part] });
  }
  const drops = way.filter(({ kind }) => kind === "dropIn");
  const bareDrop = drops.find(({ thing }) => thing === null);
  for (const extra of extras) {
    if (extra.kind !== "inclusion") continue;
    const { name, count, eachG } = extra;
    const step = bareDrop ?? open;
    if (step) give(step, { things: [{ name, count, eachG }] });
  }
  // What is peeled or sliced is of the form: its step only gives it its name.
  for (const step of way)
    if (step.thing && step.kind !== "prepare" && step.kind !== "laySlices")
      give(step, { things: [step.thing] });
  return takings;
}
