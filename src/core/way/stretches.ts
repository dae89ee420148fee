import type { Station } from "./stations";
import { factsOf, type Way, type WayStep } from "./step";

/** What one pair of hands, or one heat, does to a lot in one go. */
export interface Stretch {
  readonly kind: "hands" | "heat";
  readonly station: Station;
  readonly steps: readonly WayStep[];
  /** Steps beside the piece that have to be ready when this begins. */
  readonly sides: readonly WayStep[];
  readonly wait: StretchWait;
}

/** How a stretch follows the one before it. */
export interface StretchWait {
  /** On a shelf since hands or heat left the piece, min. */
  readonly standMin: number;
  /** Where it stands; null if it stands nowhere. */
  readonly place: "fridge" | "freezer" | "bench" | null;
  /** Since the last heat ended, min, however often hands came between; 0 before the first heat. */
  readonly cooledMin: number;
  /** Since hands or heat left the piece, at the most, min; null for ever. */
  readonly mostMin: number | null;
}

const placeOf = ({ kind }: WayStep): StretchWait["place"] =>
  kind === "chill" || kind === "restFlat" ? "fridge" : kind === "freeze" ? "freezer" : "bench";

const noWait: StretchWait = { standMin: 0, place: null, cooledMin: 0, mostMin: null };

/**
 * The way as it is done: what hands do in one go at one place is one stretch, what happens at the oven's door belongs
 * to the heat, and what passes by itself lies between them. No step is lost and none stands twice; dough steps and what
 * is told of keeping are not of a lot and are left out.
 */
export function listStretches(way: Way): Stretch[] {
  const stretches: Stretch[] = [];
  let open: Stretch | null = null;
  let wait = noWait;
  let sides: WayStep[] = [];
  const shut = () => {
    if (open) stretches.push(open);
    open = null;
  };
  const begin = (kind: Stretch["kind"], station: Station, step: WayStep) => {
    shut();
    open = { kind, station, steps: [step], sides, wait: { ...wait, mostMin: step.mostWaitMin } };
    wait = { ...noWait, cooledMin: kind === "heat" ? 0 : wait.cooledMin };
    sides = [];
  };
  const join = (stretch: Stretch, step: WayStep) => {
    open = { ...stretch, steps: [...stretch.steps, step], sides: [...stretch.sides, ...sides] };
    sides = [];
  };
  for (const step of way) {
    const current = open as Stretch | null;
    const { pass, station } = factsOf(step.kind);
    switch (pass) {
      case "side":
        sides.push(step);
        break;
      case "stand":
        shut();
        wait = { ...wait, standMin: wait.standMin + step.minutes, place: placeOf(step) };
        break;
      case "cool":
        shut();
        wait = { ...wait, cooledMin: wait.cooledMin + step.minutes };
        break;
      case "heat":
        if (current?.kind === "heat" && step.mostWaitMin === null && sides.length === 0) join(current, step);
        else begin("heat", "bake", step);
        break;
      case "door":
        if (current?.kind === "heat") join(current, step);
        else begin("hands", "bake", step);
        break;
      case "hands":
        if (current && isSameGo(current, station, step)) join(current, step);
        else begin("hands", station ?? "seal", step);
        if (step.minutes > 0) {
          shut();
          wait = { ...wait, standMin: step.minutes, place: "bench" };
        }
        break;
      default:
        break;
    }
  }
  shut();
  return stretches;
}

/** Each of these is a job of its own: it has its own moment. */
const alone = new Set<WayStep["kind"]>(["unmould", "glaze", "pourAround"]);

function isSameGo(open: Stretch, station: Station | null, step: WayStep): boolean {
  if (open.kind !== "hands" || step.mostWaitMin !== null || alone.has(step.kind)) return false;
  if (open.steps.some(({ kind }) => alone.has(kind))) return false;
  return station === null || station === open.station;
}
