import { createRandom } from "../seededRandom";
import type { ScheduleProblem, ScheduleResource, ScheduleTask } from ".";

/** A small kitchen for the tests of the schedule. */

const plain = { capacity: 1, gapMin: 0, away: [] } as const;
export const oven: ScheduleResource = {
  ...plain,
  id: "oven",
  heater: { restC: 20, heatUpCPerMin: 10, coolDownCPerMin: 4, toleranceC: 0 },
  isHands: false,
};
export const hands: ScheduleResource = { ...plain, id: "hands", heater: null, isHands: true };

const free = { releaseMin: null, weight: 1, pinnedMin: null } as const;
/** A task of hands alone, all of its minutes. */
export const work = (
  id: string,
  durationMin: number,
  after: ScheduleTask["after"] = [],
  dueMin: number | null = null,
): ScheduleTask => ({
  ...free,
  id,
  after,
  dueMin,
  modes: [
    {
      durationMin,
      heat: null,
      uses: [{ resourceId: "hands", fromMin: 0, toMin: durationMin, amount: 1 }],
    },
  ],
});
/** A task of the oven with hands at its start. */
export const bake = (
  id: string,
  durationMin: number,
  heatC: number,
  after: ScheduleTask["after"] = [],
  dueMin: number | null = null,
  loweredC = 0,
): ScheduleTask => ({
  ...free,
  id,
  after,
  dueMin,
  modes: [
    {
      durationMin,
      heat: { startC: heatC, endC: heatC - loweredC },
      uses: [
        { resourceId: "oven", fromMin: 0, toMin: durationMin, amount: 1 },
        { resourceId: "hands", fromMin: 0, toMin: 2, amount: 1 },
        { resourceId: "hands", fromMin: durationMin - 2, toMin: durationMin, amount: 1 },
      ],
    },
  ],
});
/** After another task, between so many minutes. */
export const wait = (taskId: string, minWaitMin = 0, maxWaitMin: number | null = null) => ({
  taskId,
  minWaitMin,
  maxWaitMin,
});

/** A day taken apart: hands busy without a pause from 300 on, every chain just in time. Its best is known. */
export function takeApart(count: number, seed: number): { problem: ScheduleProblem; dayMin: number } {
  const random = createRandom(seed);
  const pick = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const blocks: { id: string; startMin: number; endMin: number }[] = [];
  let minute = 300;
  for (let i = 0; i < count; i++) {
    const durationMin = pick(3, 18);
    blocks.push({ id: `t${i}`, startMin: minute, endMin: minute + durationMin });
    minute += durationMin;
  }
  const tasks = blocks.map(({ id, startMin, endMin }, i): ScheduleTask => {
    // Waits for one or two that were done before it, no longer than it did.
    const after =
      i < 2
        ? []
        : [...new Set([pick(0, i - 1), pick(0, i - 1)])].map((j) => {
            const waited = startMin - blocks[j]!.endMin;
            return wait(
              `t${j}`,
              Math.floor(waited * random()),
              random() < 0.2 ? waited + pick(10, 60) : null,
            );
          });
    return work(
      id,
      endMin - startMin,
      after,
      random() < 0.4 ? endMin + pick(5, 40) : i === count - 1 ? endMin : null,
    );
  });
  return { problem: { holds: [], resources: [hands], openMin: 300, tasks }, dayMin: minute - 300 };
}
