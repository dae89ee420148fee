import fc from "fast-check";
import {
  computeOilRates,
  findBath,
  chillPiece,
  convertBake,
  coolPiece,
  findLargestLoad,
  fitSurface,
  fryLoad,
  ovenKinds,
  scaleBake,
  timeBath,
  type FryLoad,
  type KnownBake,
  type OilBath,
} from ".";
import { refused } from "../words/__tests__/refused";

const composition = { waterShare: 0.4, fatShare: 0.15, sugarShare: 0.1, starchShare: 0.25 };
const known: KnownBake = {
  body: { kind: "slab", thicknessMm: 20 },
  composition,
  densityGPerMl: 1.1,
  startC: 8,
  air: [{ airC: 200, minutes: 25 }],
  doneC: 93,
};
const scaled = (over: Partial<KnownBake>) => {
  const result = scaleBake(known, { ...known, ...over });
  if (!result.ok) throw new Error(result.failure.code);
  return result.value;
};

test("the known bake predicts itself, and its range holds it", () => {
  const { minutes, lowMin, highMin } = scaled({});
  expect(minutes).toBeCloseTo(25, 1);
  expect(lowMin).toBeLessThan(25);
  expect(highMin).toBeGreaterThan(25);
});

test("twice as thick takes between twice and four times as long: surface and conduction share the work", () => {
  const { minutes } = scaled({ body: { kind: "slab", thicknessMm: 40 } });
  expect(minutes / 25).toBeGreaterThan(2);
  expect(minutes / 25).toBeLessThan(4);
});

test("where conduction rules, time goes with the square of the thickness", () => {
  const fierce: KnownBake = {
    ...known,
    air: [{ airC: 200, minutes: 13 }],
    body: { kind: "slab", thicknessMm: 20 },
  };
  const surface = fitSurface(fierce);
  if (!surface.ok) throw new Error(surface.failure.code);
  const twice = scaleBake(fierce, { ...fierce, body: { kind: "slab", thicknessMm: 40 } });
  const ratio = twice.ok ? twice.value.minutes / 13 : 0;
  expect(ratio).toBeGreaterThan(surface.value > 100 ? 3.2 : 2.5);
});

test("hotter is quicker, colder from the start is slower, and what cannot be is said", () => {
  expect(scaled({ air: [{ airC: 220, minutes: 25 }] }).minutes).toBeLessThan(25);
  expect(scaled({ startC: -18 }).minutes).toBeGreaterThan(scaled({ startC: 4 }).minutes);
  expect(refused(scaleBake(known, { ...known, air: [{ airC: 80, minutes: 10 }] }))).toMatchObject({
    code: "ovenBelowDone",
  });
  expect(refused(scaleBake({ ...known, air: [{ airC: 200, minutes: 2 }] }, known))).toMatchObject({
    code: "knownTooQuick",
  });
});

test("a bake carried to another oven and back is the same", () => {
  fc.assert(
    fc.property(fc.constantFrom(...ovenKinds), fc.constantFrom(...ovenKinds), (from, to) => {
      const bake = { ovenC: 200, minutes: 20 };
      expect(convertBake(convertBake(bake, from, to), to, from)).toEqual(bake);
    }),
  );
  expect(convertBake({ ovenC: 200, minutes: 20 }, "still", "fan")).toEqual({ ovenC: 180, minutes: 20 });
});

test("a thin custard leaves the warm zone in time, a deep one is flagged with the minutes", () => {
  const cool = (thicknessMm: number) =>
    coolPiece({
      body: { kind: "slab", thicknessMm },
      composition,
      densityGPerMl: 1.1,
      startC: 85,
      roomC: 20,
      fridgeC: 3,
      roomMin: 20,
    });
  expect(cool(20).faults).toEqual([]);
  const deep = cool(60);
  expect(deep.faults[0]).toMatch(/From 60 to 21 °C within 2 h: it takes \d+ min too long/);
  expect(deep.to60Min!).toBeLessThan(deep.to21Min!);
});

test("a piece is hard later the thicker it is, sooner the colder its place, at once if it is cold already", () => {
  const hard = (thicknessMm: number, airC: number, startC = 14) =>
    chillPiece({
      body: { kind: "slab", thicknessMm },
      composition,
      densityGPerMl: 1.1,
      startC,
      place: "fridge",
      airC,
      hardC: 10,
    }).hardMin;
  expect(hard(30, 4)!).toBeGreaterThan(hard(15, 4)!);
  expect(hard(15, 2)!).toBeLessThan(hard(15, 4)!);
  expect(hard(15, 4, 9)).toBe(0);
  expect(hard(15, 12)).toBeNull();
});

const bath: OilBath = {
  oilKg: 5.4,
  oilJPerKgK: 2300,
  lossWPerK: 5.4 * 0.6,
  heaterW: 3000,
  setC: 180,
  roomC: 20,
};
const load: FryLoad = { pieces: 10, pieceMm2: 11_000, minutes: 5, pieceG: 34, waterShare: 0.4 };
const fried = (over: Partial<FryLoad>, of = bath) => {
  const result = fryLoad(of, { ...load, ...over });
  if (!result.ok) throw new Error(result.failure.code);
  return result.value;
};

/** Fine steps of the same balance, knowing nothing of its closed form. */
function integrate(pieces: number, minutes: number): number {
  const stepS = 0.05;
  let oilC = bath.setC;
  let isOn = false;
  let lowestC = oilC;
  for (let s = 0; s < minutes * 60; s += stepS) {
    isOn ||= oilC <= bath.setC - 4;
    const heatW =
      (isOn ? bath.heaterW : 0) -
      bath.oilKg * 0.6 * (oilC - bath.roomC) -
      pieces * 0.011 * 250 * (oilC - 100);
    oilC = Math.min(oilC + (heatW * stepS) / (bath.oilKg * 2300), bath.setC);
    lowestC = Math.min(lowestC, oilC);
  }
  return lowestC;
}

test("the dip is that of a fine step by step balance, within 1 %", () => {
  for (const pieces of [8, 14, 20]) {
    const { lowestC } = fried({ pieces, minutes: 3 });
    expect(Math.abs(lowestC - integrate(pieces, 3)) / (bath.setC - 100)).toBeLessThan(0.01);
  }
});

test("a small load costs no more than the thermostat's band, and the oil rises again under it", () => {
  const { lowestC, moments } = fried({ pieces: 2 });
  expect(lowestC).toBeCloseTo(bath.setC - 4, 6);
  expect(moments.at(-1)!.oilC).toBe(bath.setC);
});

test("the curve holds its own lowest point, and its minutes only go on", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 60 }),
      fc.double({ min: 0.5, max: 12, noNaN: true }),
      (pieces, minutes) => {
        const { lowestC, moments } = fried({ pieces, minutes });
        expect(Math.min(...moments.map(({ oilC }) => oilC))).toBeCloseTo(lowestC, 9);
        for (const [i, { atMin }] of moments.entries())
          expect(atMin).toBeGreaterThanOrEqual((moments[i - 1]?.atMin ?? 0) - 1e-9);
      },
    ),
  );
});

test("two times find what a bath holds and loses: those of a stepped balance give back its own figures", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 10, noNaN: true }),
      fc.double({ min: 1700, max: 4000, noNaN: true }),
      fc.double({ min: 0.3, max: 1.5, noNaN: true }),
      (oilKg, oilJPerKgK, lossShare) => {
        const lossWPerK = lossShare * oilKg;
        const heaterW = 600 * oilKg;
        const minutesTo = (fromC: number, toC: number, powerW: number) => {
          const stepS = 0.25;
          let [oilC, s] = [fromC, 0];
          while (Math.sign(toC - fromC) * (toC - oilC) > 0) {
            // Midpoint rule, knowing nothing of the closed form.
            const rate = (atC: number) => (powerW - lossWPerK * (atC - 20)) / (oilKg * oilJPerKgK);
            oilC += rate(oilC + (rate(oilC) * stepS) / 2) * stepS;
            s += stepS;
          }
          return s / 60;
        };
        const found = findBath(
          { oilKg, heaterW, roomC: 20 },
          minutesTo(100, 170, heaterW),
          minutesTo(170, 160, 0),
        );
        if (!found.ok) throw new Error(found.failure.code);
        expect(found.value.oilJPerKgK / oilJPerKgK).toBeCloseTo(1, 2);
        expect(found.value.lossWPerK / lossWPerK).toBeCloseTo(1, 2);
      },
    ),
    { numRuns: 25 },
  );
  // A bath's own times give back its own figures, and one whose heater is too weak has none.
  const { warmMin, coolMin } = timeBath(bath)!;
  expect(findBath(bath, warmMin, coolMin)).toEqual({
    ok: true,
    value: { oilJPerKgK: expect.closeTo(2300, 6), lossWPerK: expect.closeTo(bath.lossWPerK, 6) },
  });
  expect(timeBath({ ...bath, heaterW: 300 })).toBeNull();
  expect(refused(findBath({ ...bath, oilKg: 2, heaterW: 100 }, 40, 4000))).toMatchObject({
    code: "notOilLoss",
    words: expect.stringMatching(/lose 0\.0\d W\/K.* less than a pan can\. Take both/),
  });
  expect(refused(findBath(bath, 0.5, 60))).toMatchObject({
    code: "notOilHeat",
    words: expect.stringMatching(/\d+ less than oil in a pan/),
  });
});

test("a bath that loses more comes up slower, falls faster, and is back later; heavier oil dips less", () => {
  const leaky = { ...bath, lossWPerK: 12 };
  const [usual, leaking] = [computeOilRates(bath), computeOilRates(leaky)];
  expect(leaking.heatUpCPerMin).toBeLessThan(usual.heatUpCPerMin);
  expect(leaking.coolDownCPerMin).toBeGreaterThan(usual.coolDownCPerMin);
  expect(fried({ pieces: 20 }, leaky).recoveryMin).toBeGreaterThan(fried({ pieces: 20 }).recoveryMin);
  expect(fried({ pieces: 20 }, { ...bath, oilJPerKgK: 3000 }).lowestC).toBeGreaterThan(
    fried({ pieces: 20 }).lowestC,
  );
});

test("more pieces dip deeper and take longer to recover; no piece boils off more water than it has", () => {
  const pieces = fc.integer({ min: 1, max: 60 });
  fc.assert(
    fc.property(pieces, pieces, (one, other) => {
      const [few, many] = [fried({ pieces: Math.min(one, other) }), fried({ pieces: Math.max(one, other) })];
      expect(many.lowestC).toBeLessThanOrEqual(few.lowestC + 1e-9);
      expect(many.recoveryMin).toBeGreaterThanOrEqual(few.recoveryMin - 1e-9);
      expect(many.waterG).toBeLessThanOrEqual(load.pieceG * load.waterShare + 1e-9);
    }),
  );
});

test("the largest load just keeps the oil hot, one more does not; more power takes more", () => {
  const most = findLargestLoad(bath, load);
  expect(most).toBeGreaterThan(0);
  expect(fried({ pieces: most }).lowestC).toBeGreaterThanOrEqual(165);
  expect(fried({ pieces: most + 1 }).lowestC).toBeLessThan(165);
  expect(findLargestLoad({ ...bath, heaterW: 4500 }, load)).toBeGreaterThan(most);
});

test("a heater that cannot hold its setting is refused with what it holds", () => {
  expect(refused(fryLoad({ ...bath, heaterW: 400 }, load))).toMatchObject({
    code: "neverHot",
    words: expect.stringContaining("143 °C at most, 37 below 180"),
  });
});
