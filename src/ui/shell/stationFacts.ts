import { listLights, type DayPlan, type Problem, type Station } from "@/core/plan";
import { formatClock, formatCount, formatDuration, formatMass, formatMassRange } from "@/core/units";
import { pageTitles } from "./pageTitles";

/** What a station shows in the strip. */
export interface StationFact {
  readonly id: Station;
  readonly name: string;
  readonly figure: string;
  readonly note: string;
  readonly problems: readonly Problem[];
}

/** The live figure of every station, in working order. */
export function listStationFacts(plan: DayPlan): StationFact[] {
  const facts: Record<Station, readonly [figure: string, note: string]> = {
    orders: describeOrders(plan),
    mix: describeMix(plan),
    roll: describeRoll(plan),
    fill: describeFill(plan),
    seal: describeSeal(plan),
    bake: describeBake(plan),
    cool: describeCool(plan),
  };
  return (Object.keys(facts) as Station[]).map((id) => {
    const [figure, note] = facts[id];
    return {
      id,
      name: pageTitles[id],
      figure,
      note,
      problems: plan.problems.filter(({ station }) => station === id),
    };
  });
}

const NOTHING = ["–", "nothing ordered"] as const;

function describeOrders({ tally, lines }: DayPlan) {
  if (tally.ordered === 0) return NOTHING;
  const dues = lines.flatMap(({ orders }) => orders.map(({ dueMin }) => dueMin));
  return [
    `${tally.ordered} pieces`,
    dues.length > 0 ? `first by ${formatClock(Math.min(...dues))}` : "",
  ] as const;
}

function describeMix({ tally, doughs }: DayPlan) {
  if (doughs.length === 0) return NOTHING;
  return [formatMass(tally.doughG), formatCount(doughs.length, "dough")] as const;
}

function describeRoll({ cuts, tally }: DayPlan) {
  if (cuts.length === 0) return NOTHING;
  const sheets = cuts.flatMap(({ plan }) => plan.sheets);
  if (sheets.length === 0) return [formatCount(tally.blanks, "blank"), "nothing to roll flat"] as const;
  const rerolled = sheets.filter(({ pass }) => pass > 0).length;
  return [
    formatCount(sheets.length, "sheet"),
    rerolled > 0 ? `${rerolled} from re-rolls` : "no re-roll",
  ] as const;
}

function describeFill({ lines }: DayPlan) {
  const portions = lines.map(({ shaped: { portion } }) => portion.massG);
  if (portions.length === 0) return NOTHING;
  return [formatMassRange(Math.min(...portions), Math.max(...portions)), "a piece"] as const;
}

function describeSeal({ lines }: DayPlan) {
  const crimps = [...new Set(lines.flatMap(({ shaped: { seal } }) => seal?.crimp.name ?? []))];
  const minutes = lines.reduce((sum, { handsMin }) => sum + handsMin.close, 0);
  if (lines.length === 0) return NOTHING;
  if (crimps.length === 0) return ["open", `${formatDuration(minutes)} by hand`] as const;
  return [
    crimps.length === 1 ? (crimps[0] ?? "") : formatCount(crimps.length, "crimp"),
    `${formatDuration(minutes)} by hand`,
  ] as const;
}

function describeBake(plan: DayPlan) {
  const [light] = listLights(plan);
  if (!light) return NOTHING;
  const loads = plan.tasks.filter(({ machineId }) => machineId !== null).length;
  return [
    formatClock(light.lightMin),
    `light ${light.isFryer ? "fryer" : "oven"} · ${formatCount(loads, "load")}`,
  ] as const;
}

function describeCool({ tally }: DayPlan) {
  if (tally.readyMin === null) return NOTHING;
  return [formatClock(tally.readyMin), "last pieces ready"] as const;
}
