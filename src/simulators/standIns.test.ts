import { findUsualLossWPerK, fryLoad, USUAL_OIL_J_PER_KG_K } from "@/core/heat";
import { createRandom } from "@/core/seededRandom";
import { createFryer } from "./fryer";
import { createKitchenOfStandIns } from "./kitchen";
import { createOven } from "./oven";
import { createProbe } from "./probe";
import { createScale } from "./scale";

const random = () => createRandom(11);

test("a scale settles within two seconds, drifts by grams at most in an hour, and is tared", () => {
  const scale = createScale(random());
  scale.lay(1000);
  scale.step(0.3);
  expect(scale.showsG()).toBeLessThan(600);
  scale.step(3);
  expect(Math.abs(scale.showsG() - 1000)).toBeLessThanOrEqual(8);
  scale.tare();
  expect(Math.abs(scale.showsG())).toBeLessThanOrEqual(1);
  for (let s = 0; s < 3600; s++) scale.step(1);
  expect(Math.abs(scale.showsG())).toBeLessThanOrEqual(12);
  scale.lay(1250);
  scale.step(5);
  expect(Math.abs(scale.showsG() - 250)).toBeLessThanOrEqual(12);
});

test("a probe lags behind what it is in by its own time, and both come to the room", () => {
  const probe = createProbe(random(), 22);
  probe.into(80);
  probe.step(7);
  // Two thirds of the way after one time constant.
  expect(probe.showsC()).toBeCloseTo(22 + 58 * (1 - Math.exp(-1)), 0);
  probe.step(60);
  expect(Math.abs(probe.showsC() - 80)).toBeLessThan(0.3);
  probe.towards(4, 20);
  for (let s = 0; s < 20 * 60; s++) probe.step(1);
  expect(probe.showsC()).toBeCloseTo(4 + 76 * Math.exp(-1 + 7 / (20 * 60)), 0);
});

test("an oven heats at its pace, its decks off by theirs, falls with the door open and comes back", () => {
  const oven = createOven(random(), {
    heatUpCPerMin: 9,
    coolDownCPerMin: 3,
    roomC: 22,
    deckOffsetsC: [4, -4],
  });
  oven.set(200);
  for (let s = 0; s < 600; s++) oven.step(1);
  expect(oven.showsC()[0]).toBeCloseTo(112 + 4 * (90 / 178), -0.5);
  for (let s = 0; s < 900; s++) oven.step(1);
  const [top, bottom] = oven.showsC();
  expect(top! - 204).toBeLessThan(1);
  expect(Math.abs(bottom! - 196)).toBeLessThan(1);
  oven.door(true);
  oven.step(30);
  const opened = oven.showsC()[0]!;
  expect(opened).toBeLessThan(140);
  oven.door(false);
  for (let s = 0; s < 600; s++) oven.step(1);
  expect(oven.showsC()[0]).toBeGreaterThan(opened);
});

test("oil dips with a load as the engine of frying says, and comes back as late", () => {
  const bath = {
    oilKg: 5,
    oilJPerKgK: USUAL_OIL_J_PER_KG_K,
    lossWPerK: findUsualLossWPerK(5),
    heaterW: 3000,
    setC: 180,
    roomC: 22,
  };
  const load = { pieces: 10, pieceMm2: 9000, minutes: 5, pieceG: 60, waterShare: 0.6 };
  const expected = fryLoad(bath, load);
  if (!expected.ok) throw new Error(expected.failure.code);
  const fryer = createFryer(random(), bath);
  fryer.set(180);
  let waited = 0;
  while (fryer.showsC() < 180 && waited++ < 3600) fryer.step(1);
  fryer.load(load.pieces * load.pieceMm2);
  let lowest = Infinity;
  for (let s = 0; s < load.minutes * 60; s++) {
    fryer.step(1);
    lowest = Math.min(lowest, fryer.showsC());
  }
  expect(lowest).toBeGreaterThan(expected.value.lowestC - 2);
  expect(lowest).toBeLessThan(expected.value.lowestC + 2);
  fryer.load(0);
  let back = 0;
  while (fryer.showsC() < 178 && back < 3600) {
    fryer.step(1);
    back++;
  }
  expect(back / 60).toBeLessThan(expected.value.recoveryMin + 0.5);
});

test("the whole kitchen tells the same from the same seed, at sixty times the time too", () => {
  const [one, other] = [createKitchenOfStandIns(5), createKitchenOfStandIns(5)];
  for (const kitchen of [one, other]) {
    kitchen.act({ do: "lay", massG: 500 });
    kitchen.act({ do: "oven", heatC: 180 });
    kitchen.act({ do: "probeTowards", channel: 2, heatC: 4, tauMin: 10 });
    for (let i = 0; i < 60; i++) kitchen.step(30);
  }
  expect(one.tell()).toEqual(other.tell());
  const told = one.tell().join("");
  expect(told).toContain('"bn":"bench-scale/"');
  expect(told.trim().split("\n")).toHaveLength(4);
});
