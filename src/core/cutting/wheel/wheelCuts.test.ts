import fc from "fast-check";
import { layOutRows, layOutWheelCuts, type WheelLayout, type WheelRequest } from "..";

const plain = { webMm: 0, marginMm: 0, mayTurn: true };

/** Every way of laying whole-numbered rectangles, cell by cell: the truth on small sheets. */
function bruteForce(w: number, h: number, wide: number, high: number): number {
  const taken = new Uint8Array(wide * high);
  let best = 0;
  const fits = (x: number, y: number, a: number, b: number) => {
    if (x + a > wide || y + b > high) return false;
    for (let i = 0; i < a; i++) for (let j = 0; j < b; j++) if (taken[(y + j) * wide + x + i]) return false;
    return true;
  };
  const fill = (x: number, y: number, a: number, b: number, value: 0 | 1) => {
    for (let i = 0; i < a; i++) for (let j = 0; j < b; j++) taken[(y + j) * wide + x + i] = value;
  };
  const extend = (at: number, count: number, free: number) => {
    best = Math.max(best, count);
    if (count + Math.floor(free / (w * h)) <= best) return;
    for (let cell = at; cell < wide * high; cell++) {
      if (taken[cell]) continue;
      const [x, y] = [cell % wide, Math.floor(cell / wide)];
      for (const [a, b] of w === h
        ? [[w, h]]
        : [
            [w, h],
            [h, w],
          ]) {
        if (!fits(x, y, a!, b!)) continue;
        fill(x, y, a!, b!, 1);
        extend(cell + 1, count + 1, free - w * h);
        fill(x, y, a!, b!, 0);
      }
      free -= 1;
      if (count + Math.floor(free / (w * h)) <= best) return;
    }
  };
  extend(0, 0, wide * high);
  return best;
}

/** No two overlap, all inside the edge, the gap kept: knows nothing of blocks. */
function check({ placements }: WheelLayout, { piece, sheet, webMm, marginMm }: WheelRequest): void {
  const boxes = placements.map(({ xMm, yMm, angleDeg }) => {
    const [w, h] = angleDeg === 90 ? [piece.heightMm, piece.widthMm] : [piece.widthMm, piece.heightMm];
    return { left: xMm - w / 2, right: xMm + w / 2, top: yMm - h / 2, bottom: yMm + h / 2 };
  });
  const slack = 2e-3;
  boxes.forEach((box, i) => {
    expect(Math.min(box.left, box.top)).toBeGreaterThanOrEqual(marginMm - slack);
    expect(box.right).toBeLessThanOrEqual(sheet.widthMm - marginMm + slack);
    expect(box.bottom).toBeLessThanOrEqual(sheet.heightMm - marginMm + slack);
    for (const other of boxes.slice(i + 1)) {
      const apart = Math.max(
        other.left - box.right,
        box.left - other.right,
        other.top - box.bottom,
        box.top - other.bottom,
      );
      expect(apart).toBeGreaterThanOrEqual(webMm - slack);
    }
  });
}

test("on small sheets it is as good as trying everything", () => {
  const small = fc.integer({ min: 1, max: 4 });
  fc.assert(
    fc.property(
      small,
      small,
      fc.integer({ min: 2, max: 9 }),
      fc.integer({ min: 2, max: 8 }),
      (w, h, wide, high) => {
        fc.pre(w * h > 1);
        const request = {
          ...plain,
          piece: { widthMm: w, heightMm: h },
          sheet: { widthMm: wide, heightMm: high },
        };
        const found = layOutWheelCuts(request);
        expect([w, h, wide, high, found.count]).toEqual([w, h, wide, high, bruteForce(w, h, wide, high)]);
        check(found, request);
      },
    ),
    { numRuns: 80, seed: 11 },
  );
});

// Published optima of the pallet loading problem (length, width of pallet; of box; boxes).
test.each([
  [22, 16, 5, 3, 23],
  [86, 52, 15, 11, 26],
])("pallet %d × %d with boxes of %d × %d holds %d", (wide, high, w, h, count) => {
  const request = { ...plain, piece: { widthMm: w, heightMm: h }, sheet: { widthMm: wide, heightMm: high } };
  const found = layOutWheelCuts(request);
  expect(found.count).toBe(count);
  check(found, request);
});

test("never fewer than rows, never more than the bound, gaps kept, and what cannot be turned is not", () => {
  const length = (min: number, max: number) => fc.integer({ min, max });
  fc.assert(
    fc.property(
      length(40, 140),
      length(40, 140),
      length(200, 640),
      length(200, 430),
      length(0, 4),
      length(0, 12),
      (w, h, wide, high, webMm, marginMm) => {
        const request = {
          piece: { widthMm: w, heightMm: h },
          sheet: { widthMm: wide, heightMm: high },
          webMm,
          marginMm,
          mayTurn: true,
        };
        const found = layOutWheelCuts(request);
        check(found, request);
        const rows = layOutRows({ ...request, outline: { kind: "rectangle", ...request.piece } });
        expect(found.count).toBeGreaterThanOrEqual(rows.ok ? rows.value.count : 0);
        expect(found.count).toBeLessThanOrEqual(found.upperBound);
        const upright = layOutWheelCuts({ ...request, mayTurn: false });
        expect(upright.placements.some(({ angleDeg }) => angleDeg === 90)).toBe(false);
        expect(upright.count).toBeLessThanOrEqual(found.count);
        expect(upright.isGuillotine).toBe(true);
      },
    ),
    { numRuns: 20, seed: 4 },
  );
});

/** The most that cuts from edge to edge give, at every whole place: nothing of the search's own. */
function countStraight(w: number, h: number, wide: number, high: number): number {
  const known = new Map<number, number>();
  const solve = (x: number, y: number): number => {
    if (Math.min(x, y) < Math.min(w, h)) return 0;
    const key = x * 1000 + y;
    const seen = known.get(key);
    if (seen !== undefined) return seen;
    let best = (x >= w && y >= h) || (x >= h && y >= w) ? 1 : 0;
    for (let cut = 1; cut <= x / 2; cut++) best = Math.max(best, solve(cut, y) + solve(x - cut, y));
    for (let cut = 1; cut <= y / 2; cut++) best = Math.max(best, solve(x, cut) + solve(x, y - cut));
    known.set(key, best);
    return best;
  };
  return solve(wide, high);
}

test("where cuts from edge to edge give as many, they are what is cut", () => {
  const length = (min: number, max: number) => fc.integer({ min, max });
  let pinwheels = 0;
  fc.assert(
    fc.property(length(3, 9), length(3, 9), length(12, 40), length(12, 40), (w, h, wide, high) => {
      const found = layOutWheelCuts({
        piece: { widthMm: w, heightMm: h },
        sheet: { widthMm: wide, heightMm: high },
        webMm: 0,
        marginMm: 0,
        mayTurn: true,
      });
      expect(found.isGuillotine).toBe(found.count === countStraight(w, h, wide, high));
      if (!found.isGuillotine) pinwheels++;
    }),
    { numRuns: 150, seed: 9 },
  );
  expect(pinwheels).toBeGreaterThan(0);
});

test("a piece larger than the sheet gives none", () => {
  const request = { ...plain, piece: { widthMm: 50, heightMm: 60 }, sheet: { widthMm: 40, heightMm: 300 } };
  expect(layOutWheelCuts(request)).toMatchObject({ count: 0, placements: [], upperBound: 0 });
});
