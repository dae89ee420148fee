import fc from "fast-check";
import { createReadingBoard, deviceUses, fitCooling, placeReading, type Device } from ".";
import { createRandom } from "../seededRandom";

describe("the board of readings", () => {
  const one = (board: ReturnType<typeof createReadingBoard>, nowMs: number, name = "scale") =>
    board.list(nowMs).find((each) => each.name === name)!;

  test("holds the last of each channel in grams or degrees, with its age, and says when it is stale", () => {
    const board = createReadingBoard();
    board.hear([{ name: "scale", unit: "kg", value: 0.2505 }], 1000);
    board.hear([{ name: "probe/1", unit: "K", value: 285.65 }], 2000);
    expect(one(board, 3500)).toMatchObject({
      last: { kind: "massG", value: 250.5 },
      ageS: 2.5,
      isStale: false,
    });
    expect(one(board, 3500, "probe/1").last!.value).toBeCloseTo(12.5, 9);
    expect(one(board, 12_000)).toMatchObject({ isStale: true, last: { value: 250.5 } });
    board.hear([{ name: "scale", unit: "kg", value: 0.3 }], 12_000);
    expect(one(board, 12_000)).toMatchObject({ isStale: false, ageS: 0 });
  });

  test("what is of another unit or impossible is counted and never shown, whatever came before", () => {
    const board = createReadingBoard();
    board.hear([{ name: "scale", unit: "kg", value: 1 }], 0);
    for (const [unit, value] of [
      ["lb", 2],
      ["kg", 900],
      ["constructor", 1],
      ["Cel", -300],
    ] as const)
      board.hear([{ name: "scale", unit, value }], 1000);
    expect(one(board, 1000)).toMatchObject({
      last: { value: 1000 },
      counts: { taken: 1, ofOtherUnit: 2, impossible: 2, tooMany: 0 },
    });
    board.hear([{ name: "mute", unit: "V", value: 3 }], 1000);
    expect(one(board, 1000, "mute")).toMatchObject({ last: null, ageS: null, isStale: true });
  });

  test("a flood is listened to as far as a second goes, the rest counted; other channels are heard as ever", () => {
    const board = createReadingBoard();
    for (let ms = 0; ms < 3000; ms++) board.hear([{ name: "mad", unit: "Cel", value: ms % 100 }], ms);
    board.hear([{ name: "probe", unit: "Cel", value: 7 }], 3000);
    const { taken, tooMany } = one(board, 3000, "mad").counts;
    expect(taken + tooMany).toBe(3000);
    // The burst and three seconds of it.
    expect(taken).toBeGreaterThanOrEqual(95);
    expect(taken).toBeLessThanOrEqual(101);
    expect(one(board, 3000, "probe").last!.value).toBe(7);
  });

  test("names without end fill no memory, and are told", () => {
    const board = createReadingBoard();
    for (let i = 0; i < 10_000; i++) board.hear([{ name: `n${i}`, unit: "Cel", value: 1 }], i);
    for (let i = 0; i < 10_000; i++) board.hearNonsense(`address ${i}`);
    expect(board.list(0).length).toBe(64);
    expect(Object.keys(board.listNonsense()).length).toBeLessThanOrEqual(66);
    expect(board.listNonsense()["too many names"]).toBeGreaterThan(9000);
  });

  test("nothing that can be sent makes it throw, or shows what no kitchen has", () => {
    const raw = fc.record({ name: fc.string(), unit: fc.string(), value: fc.double() });
    fc.assert(
      fc.property(fc.array(raw), (readings) => {
        const board = createReadingBoard();
        board.hear(readings, 0);
        for (const { last } of board.list(0))
          if (last) expect(Math.abs(last.value)).toBeLessThanOrEqual(150_000);
      }),
    );
  });
});

describe("a cooling curve through readings", () => {
  const read = (fromC: number, aroundC: number, tauMin: number, minutes: number, noiseC = 0) => {
    const random = createRandom(3);
    return Array.from({ length: minutes * 2 + 1 }, (_, i) => ({
      atMin: 400 + i / 2,
      heatC: aroundC + (fromC - aroundC) * Math.exp(-i / 2 / tauMin) + noiseC * (random() - 0.5),
    }));
  };

  test("finds the time it goes by exactly, cooling or warming, and when it will be at a mark", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -18, max: 30 }),
        fc.integer({ min: 5, max: 60 }),
        fc.boolean(),
        fc.double({ min: 4, max: 90, noNaN: true }),
        (aroundC, apartC, isCooling, tauMin) => {
          const fromC = aroundC + (isCooling ? apartC : -apartC);
          const fit = fitCooling(read(fromC, aroundC, tauMin, 4), aroundC);
          if (apartC * Math.exp(-4 / tauMin) < 1.1) return;
          expect(fit!.tauMin).toBeCloseTo(tauMin, 4);
          const half = aroundC + (fromC - aroundC) / 2;
          expect(fit!.untilMin(half)).toBeCloseTo(Math.max(tauMin * Math.log(2) - 4, 0), 3);
          expect(fit!.untilMin(fromC)).toBe(0);
          expect(fit!.untilMin(aroundC)).toBeNull();
        },
      ),
    );
  });

  test("through a probe's noise it is still near, and with too little to go by it says nothing", () => {
    expect(fitCooling(read(24, 4, 30, 10, 0.4), 4)!.tauMin).toBeCloseTo(30, -1);
    expect(fitCooling(read(24, 4, 30, 10).slice(0, 3), 4)).toBeNull();
    expect(fitCooling(read(4.5, 4, 30, 10), 4)).toBeNull();
    // Away from what surrounds it: something else warms it.
    expect(
      fitCooling(
        [1, 2, 3, 4, 5].map((i) => ({ atMin: i, heatC: 20 + i })),
        4,
      ),
    ).toBeNull();
    expect(fitCooling([], 4)).toBeNull();
  });
});

describe("a reading at its place", () => {
  const device = (use: Device["use"]): Device => ({
    id: "d",
    source: "probe/1",
    use,
    machineId: null,
    deck: null,
  });
  const heard = (unit: string, value: number, ageMs = 0) => {
    const board = createReadingBoard();
    board.hear([{ name: "probe/1", unit, value }], 0);
    return board.list(ageMs)[0];
  };

  test("is fresh, stale, silent, or wrong with why", () => {
    expect(placeReading(device("dough"), heard("Cel", 12))).toMatchObject({ state: "fresh", value: 12 });
    expect(placeReading(device("dough"), heard("Cel", 12, 30_000))).toMatchObject({
      state: "stale",
      ageS: 30,
    });
    expect(placeReading(device("dough"), undefined)).toMatchObject({ state: "silent" });
    expect(placeReading(device("scale"), heard("Cel", 12))).toMatchObject({
      state: "wrong",
      said: "probe/1 tells degrees, which no scale has.",
    });
  });

  test("a thermometer that says kelvins are degrees is found out wherever a kitchen is that warm", () => {
    // A fridge's 4 °C, a dough's 12, an oven's 200 and oil at 180, told as kelvins under the name of degrees.
    for (const [use, realC] of [
      ["dough", 4],
      ["dough", 12],
      ["custard", 74],
      ["oven", 200],
      ["fryer", 180],
      ["room", 22],
    ] as const)
      expect(placeReading(device(use), heard("Cel", realC + 273.15))).toMatchObject({ state: "wrong" });
  });

  test("nothing out of a place's bounds is ever given as usable", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...deviceUses),
        fc.double({ noNaN: true, min: -400, max: 700 }),
        (use, value) => {
          const placed = placeReading(device(use), heard("Cel", value));
          if (placed.state !== "fresh") return;
          expect(use).not.toBe("scale");
          expect(placed.value).toBeGreaterThanOrEqual(-30);
          expect(placed.value).toBeLessThanOrEqual(350);
        },
      ),
    );
  });
});
