import fc from "fast-check";
import { layOutRows, type Layout } from "..";

const layOut = (
  diameterMm: number,
  widthMm: number,
  heightMm: number,
  webMm = 0,
  marginMm = 0,
): Layout | null => {
  const layout = layOutRows({
    outline: { kind: "disc", diameterMm },
    sheet: { widthMm, heightMm },
    webMm,
    marginMm,
    mayTurn: true,
  });
  return layout.ok ? layout.value : null;
};

/**
 * Brute force, knowing nothing of families or formulas: every pitch at which a row count changes, every word
 * of rows that lie straight or shifted by half a pitch, each row laid as near as its discs allow.
 * @param mayPush - Rows as close as they may be, at either end, among them.
 */
function bruteForceRows(
  diameterMm: number,
  widthMm: number,
  heightMm: number,
  webMm: number,
  mayPush: boolean,
): number {
  const spacing = diameterMm + webMm;
  const [along, across] = [widthMm - diameterMm, heightMm - diameterMm];
  if (along < 0 || across < 0) return 0;
  let best = 0;
  const most = Math.floor(along / spacing + 1e-9);
  const close = [0, along - most * spacing].map((startMm) =>
    Array.from({ length: most + 1 }, (_, i) => startMm + i * spacing),
  );
  const pitches = new Set([spacing]);
  for (let n = 1; n <= along / spacing + 2; n++) {
    for (const pitch of [along / n, along / (n - 0.5)]) if (pitch >= spacing - 1e-9) pitches.add(pitch);
  }
  for (const pitch of pitches) {
    const pitched = [0, pitch / 2].map((startMm) => {
      const xs: number[] = [];
      for (let x = startMm; x <= along + 1e-7; x += pitch) xs.push(x);
      return xs;
    });
    const rowXs = mayPush ? [...pitched, ...close] : pitched;
    const extend = (laid: { xs: number[]; y: number }[], count: number) => {
      best = Math.max(best, count);
      for (const xs of rowXs) {
        if (xs.length === 0) continue;
        let y = laid.length === 0 ? 0 : -Infinity;
        for (const earlier of laid) {
          for (const x of xs) {
            for (const other of earlier.xs) {
              const needed = spacing ** 2 - (x - other) ** 2;
              if (needed > 1e-7) y = Math.max(y, earlier.y + Math.sqrt(needed));
            }
          }
        }
        const top = laid.at(-1)?.y ?? 0;
        y = Math.max(y, top);
        if (y <= across + 1e-7 && (laid.length === 0 || y > top))
          extend([...laid, { xs, y }], count + xs.length);
      }
    };
    extend([], 0);
  }
  return best;
}

test("rounds of 100 mm on 460 × 330: three columns pushed to either end by turns, then staggered, hold 14", () => {
  const layout = layOut(100, 460, 330);
  expect(layout).toMatchObject({ count: 14, pattern: { style: "mixed", rowsRunDown: true } });
});

test("every word of rows by brute force on small sheets: none of one pitch beats the layout, nor it any of them", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 90, max: 400 }),
      fc.integer({ min: 90, max: 400 }),
      fc.integer({ min: 0, max: 12 }),
      (widthMm, heightMm, webMm) => {
        const brute = (mayPush: boolean) =>
          Math.max(
            bruteForceRows(90, widthMm, heightMm, webMm, mayPush),
            bruteForceRows(90, heightMm, widthMm, webMm, mayPush),
          );
        const count = layOut(90, widthMm, heightMm, webMm)?.count ?? 0;
        expect(count).toBeGreaterThanOrEqual(brute(false));
        expect(count).toBeLessThanOrEqual(brute(true));
      },
    ),
    { numRuns: 100, seed: 11 },
  );
});

/** Rows of one pitch by turns straight and shifted, each laid as near to the two before as its rounds allow. */
function simulateRows(
  alongMm: number,
  acrossMm: number,
  spacingMm: number,
  pitchMm: number,
  shiftMm: number,
) {
  const countFrom = (startMm: number) => Math.floor((alongMm - startMm + 1e-7) / pitchMm) + 1;
  const nearMm = Math.sqrt(spacingMm ** 2 - Math.min(shiftMm, pitchMm - shiftMm) ** 2);
  let [count, beforeMm, yMm] = [0, -Infinity, 0];
  for (let row = 0; yMm <= acrossMm + 1e-7; row++) {
    count += countFrom(row % 2 === 0 ? 0 : shiftMm);
    [beforeMm, yMm] = [yMm, Math.max(yMm + nearMm, beforeMm + spacingMm)];
  }
  return count;
}

test("of a small cutter no length of row that pays is passed over", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 100, max: 700 }),
      fc.integer({ min: 100, max: 700 }),
      fc.integer({ min: 80, max: 160 }),
      (widthMm, heightMm, tenthsMm) => {
        const spacing = tenthsMm / 10;
        const most = [
          [widthMm - spacing, heightMm - spacing],
          [heightMm - spacing, widthMm - spacing],
        ].flatMap(([along = 0, across = 0]) =>
          Array.from({ length: Math.floor(along / spacing) + 1 }, (_, n) => [
            along / (n + 0.5),
            along / Math.max(n, 0.5),
            spacing,
          ])
            .flat()
            .filter((pitch) => pitch >= spacing)
            .map((pitch) => simulateRows(along, across, spacing, pitch, pitch / 2)),
        );
        expect(layOut(spacing, widthMm, heightMm)?.count ?? 0).toBeGreaterThanOrEqual(Math.max(...most));
      },
    ),
    { numRuns: 60, seed: 13 },
  );
});

test("discs keep the web between them, stay inside the ragged edge and never pass the bound", () => {
  fc.assert(
    fc.property(
      fc.record({
        diameterMm: fc.integer({ min: 30, max: 200 }),
        widthMm: fc.integer({ min: 60, max: 900 }),
        heightMm: fc.integer({ min: 60, max: 600 }),
        webMm: fc.double({ min: 0, max: 10, noNaN: true }),
        marginMm: fc.double({ min: 0, max: 20, noNaN: true }),
      }),
      ({ diameterMm, widthMm, heightMm, webMm, marginMm }) => {
        const layout = layOut(diameterMm, widthMm, heightMm, webMm, marginMm);
        if (!layout) return;
        expect(layout.count).toBe(layout.placements.length);
        expect(layout.count).toBeLessThanOrEqual(layout.upperBound);
        const reach = marginMm + diameterMm / 2 - 1e-5;
        let nearestMm = Infinity;
        let edgeMm = Infinity;
        layout.placements.forEach((a, i) => {
          edgeMm = Math.min(edgeMm, a.xMm, widthMm - a.xMm, a.yMm, heightMm - a.yMm);
          for (const b of layout.placements.slice(i + 1))
            nearestMm = Math.min(nearestMm, Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm));
        });
        expect(edgeMm).toBeGreaterThanOrEqual(reach);
        expect(nearestMm).toBeGreaterThanOrEqual(diameterMm + webMm - 1e-5);
      },
    ),
    { numRuns: 150, seed: 12 },
  );
});

test("rectangles never overlap, stay on the sheet, and turning pays where it should", () => {
  const outline = { kind: "rectangle", widthMm: 120, heightMm: 70 } as const;
  fc.assert(
    fc.property(
      fc.integer({ min: 70, max: 600 }),
      fc.integer({ min: 120, max: 600 }),
      (widthMm, heightMm) => {
        const result = layOutRows({
          outline,
          sheet: { widthMm, heightMm },
          webMm: 0,
          marginMm: 0,
          mayTurn: true,
        });
        if (!result.ok) throw new Error(result.failure.code);
        const boxes = result.value.placements.map(({ xMm, yMm, angleDeg }) => {
          const [w, h] = angleDeg === 90 ? [70, 120] : [120, 70];
          return { left: xMm - w / 2, right: xMm + w / 2, top: yMm - h / 2, bottom: yMm + h / 2 };
        });
        const inside = boxes.every(
          (a) =>
            a.left >= -1e-6 && a.top >= -1e-6 && a.right <= widthMm + 1e-6 && a.bottom <= heightMm + 1e-6,
        );
        const overlaps = boxes.some((a, i) =>
          boxes
            .slice(i + 1)
            .some(
              (b) =>
                a.right > b.left + 1e-6 &&
                b.right > a.left + 1e-6 &&
                a.bottom > b.top + 1e-6 &&
                b.bottom > a.top + 1e-6,
            ),
        );
        expect({ inside, overlaps }).toEqual({ inside: true, overlaps: false });
        expect(result.value.count).toBeLessThanOrEqual(result.value.upperBound);
      },
    ),
    { numRuns: 150, seed: 13 },
  );
  // 240 × 190: two rows of 120 × 70 (4), or one row of them and one of three turned 70 × 120 (5).
  expect(
    layOutRows({ outline, sheet: { widthMm: 240, heightMm: 190 }, webMm: 0, marginMm: 0, mayTurn: true }),
  ).toMatchObject({
    ok: true,
    value: { count: 5, pattern: { style: "blocks" } },
  });
});

test("two rows stretched to a 60-80-100 triangle fit sixteen where plain rows fit ten", () => {
  // Staggered rows of pitch 100 need 186.6 mm; pitch 120 needs 100 + √(100² − 60²) = 180 exactly.
  const layout = layOut(100, 1000, 180);
  expect(layout?.pattern.style).toBe("stretched");
  expect(layout?.count).toBe(16);
});

test("a sheet too small says by how much", () => {
  const result = layOutRows({
    outline: { kind: "disc", diameterMm: 90 },
    sheet: { widthMm: 100, heightMm: 300 },
    webMm: 0,
    marginMm: 8,
    mayTurn: true,
  });
  expect(result).toMatchObject({ ok: false, failure: { figures: { shortWidthMm: 6, shortHeightMm: 0 } } });
});
