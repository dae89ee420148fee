import { planDay } from "../plan";
import { listDemoWorld } from "@/demo";
import { toTable } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { followRun, freezeRun, type RunEvent } from ".";

const book = toDayBook(toTable(listDemoWorld()), "2026-11-28", null)!;
const frozen = freezeRun(planDay(book), book)!;
const happens = (atMin: number, event: Record<string, unknown>): RunEvent =>
  ({ id: `e${atMin}`, person: 0, deviceId: "wall", atMin, ...event }) as RunEvent;

const stalled = [
  happens(363, { kind: "begun", taskId: "fill:quince-half-moon:1" }),
  happens(364, { kind: "more", taskId: "fill:quince-half-moon:1", minutes: 180 }),
];
const later = happens(365, { kind: "helped", minutes: 300 });
const undone = happens(366, { kind: "undone", eventId: "e365" });

test("what is taken back leads back to how the day was told, not on from where it had led", () => {
  const follower = followRun(frozen);
  follower.follow(stalled.slice(0, 1), 363);
  const before = follower.follow(stalled, 364).now.retimed.schedule;
  const led = follower.follow([...stalled, later], 365).now.retimed.schedule;
  expect(led.placed).not.toEqual(before.placed);
  const { now } = follower.follow([...stalled, later, undone], 366);
  expect(now.retimed.schedule.placed).toEqual(before.placed);
  expect(now.retimed.schedule.late).toEqual(before.late);
});

test("to peek at a day changes nothing of what is told next; the one before is told beside each", () => {
  const [one, other] = [followRun(frozen), followRun(frozen)];
  const first = one.follow([], 300);
  expect(first.before).toBeNull();
  other.follow([], 300);
  one.peek([...stalled, later], 365);
  const [next, same] = [one, other].map((follower) => follower.follow(stalled, 364));
  expect(next).toEqual(same);
  expect(next!.before).toEqual(first.now);
});
