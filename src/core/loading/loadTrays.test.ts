import fc from "fast-check";
import { loadTrays, type TrayRequest } from ".";
import { sayFailure } from "../words";
import { refused } from "../words/__tests__/refused";

const request: TrayRequest = {
  pieces: 50,
  footprint: { widthMm: 100, heightMm: 50 },
  spacingMm: 20,
  tray: { widthMm: 600, heightMm: 400 },
  traysPerLoad: 2,
  mostPerLoad: null,
};

test("fifty pieces of 100 × 50 mm: 28 to a tray, two trays, one load", () => {
  // Inside a 10 mm rim: four rows of five (4·70 mm) and one of eight turned (120 mm) fill 400 mm with their gaps.
  const loading = loadTrays(request);
  expect(loading).toMatchObject({
    ok: true,
    value: { perTray: 28, loads: [{ pieces: 50, trays: [28, 22] }] },
  });
});

test("no piece is lost or baked twice, no tray or load is overfull", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 900 }), fc.integer({ min: 1, max: 6 }), (pieces, traysPerLoad) => {
      const loading = loadTrays({ ...request, pieces, traysPerLoad });
      if (!loading.ok) throw new Error(loading.failure.code);
      const { loads, perTray } = loading.value;
      const trays = loads.flatMap((load) => load.trays);
      expect(trays.reduce((sum, n) => sum + n, 0)).toBe(pieces);
      expect(loads.reduce((sum, load) => sum + load.pieces, 0)).toBe(pieces);
      expect(Math.max(...trays)).toBeLessThanOrEqual(perTray);
      expect(loads.every((load) => load.trays.length <= traysPerLoad)).toBe(true);
    }),
  );
});

test("a piece larger than the tray is refused", () => {
  expect(refused(loadTrays({ ...request, footprint: { widthMm: 700, heightMm: 500 } }))).toMatchObject({
    code: "tooLargeForTray",
  });
});

test("no pieces are no loads; moulds that are fewer than a load holds bound it", () => {
  expect(loadTrays({ ...request, pieces: 0 })).toMatchObject({ ok: true, value: { perTray: 28, loads: [] } });
  const few = loadTrays({ ...request, mostPerLoad: 12 });
  expect(few).toMatchObject({
    ok: true,
    value: { loads: [12, 12, 12, 12, 2].map((pieces) => ({ pieces, trays: [pieces] })) },
  });
  expect(loadTrays({ ...request, mostPerLoad: 1, pieces: 2 })).toMatchObject({
    ok: true,
    value: { loads: [{ pieces: 1 }, { pieces: 1 }] },
  });
});

test("what does not fit is told with its size, the room round it and what to do", () => {
  const loading = loadTrays({ ...request, footprint: { widthMm: 700.2, heightMm: 500 } });
  expect(!loading.ok && sayFailure(loading.failure)).toBe(
    "Not one piece of 701 × 500 mm fits the tray with 20 mm round it. Bring the pieces closer or take a larger tray in Kit.",
  );
});

test.each([
  ["pieces", -1, "≥ 0"],
  ["pieces", 2.5, "≥ 0"],
  ["traysPerLoad", 0, "≥ 1"],
  ["traysPerLoad", 1.5, "≥ 1"],
  ["mostPerLoad", 0, "≥ 1"],
  ["mostPerLoad", 3.5, "≥ 1"],
] as const)("%s of %p is a programmer's mistake, and says what is wanted", (name, value, wanted) => {
  const load = () => loadTrays({ ...request, [name]: value });
  expect(load).toThrow(RangeError);
  expect(load).toThrow(name);
  expect(load).toThrow(`a whole number ${wanted}`);
});
