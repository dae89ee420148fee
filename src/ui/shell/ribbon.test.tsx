/** @jest-environment jsdom */
import { render, screen } from "@testing-library/react";
import fc from "fast-check";
import type { MassFlow } from "@/core/plan";
import { Ribbon } from "./Ribbon";

const NONE: MassFlow = {
  doughG: 0,
  blanksG: 0,
  rerolledG: 0,
  decorationsG: 0,
  trimLeftG: 0,
  rollingLossG: 0,
  surplusBlanksG: 0,
  fillingG: 0,
  wholeG: 0,
  coatsG: 0,
  returnedG: 0,
  storedG: 0,
  keptG: 0,
  waterG: 0,
  piecesG: 0,
};

const show = (flow: Partial<MassFlow>) =>
  render(<Ribbon flow={{ ...NONE, ...flow }} pieces={12} date="2026-11-28" />);
const wordsOf = (station: string) =>
  screen
    .getAllByRole("link", { hidden: true })
    .find((link) => link.getAttribute("href") === `/day/2026-11-28/${station}`)!.textContent;

test("a spare blank is told once: what is filled and what is over are the dough together", () => {
  show({
    doughG: 1060,
    blanksG: 534,
    trimLeftG: 500,
    rollingLossG: 26,
    surplusBlanksG: 271,
    fillingG: 200,
    piecesG: 430,
    waterG: 33,
  });
  expect(wordsOf("roll")).toBe("263 g in blanks · 797 g over");
  expect(screen.getByRole("img").getAttribute("aria-label")).toMatch(
    /1\.06 kg dough, 263 g in blanks, 797 g left over or lost/,
  );
});

test("a day of frozen pieces alone is drawn too, and a day of nothing is not", () => {
  const { container, unmount } = show({ storedG: 900, piecesG: 820, waterG: 80 });
  expect(wordsOf("mix")).toBe("0 g dough");
  expect(container.querySelector("path")).not.toBeNull();
  unmount();
  expect(show({}).container.querySelector("path")).toBeNull();
});

test("whatever flows, the drawing stays in its strip and is of real numbers", () => {
  const massG = fc.integer({ min: 0, max: 500_000 }).map((tenthsG) => tenthsG / 10);
  const flows = fc.record({
    doughG: massG,
    blanksG: massG,
    surplusBlanksG: massG,
    storedG: massG,
    fillingG: massG,
    rerolledG: massG,
    waterG: massG,
    piecesG: massG,
  });
  fc.assert(
    fc.property(flows, (flow) => {
      const { container, unmount } = show(flow);
      const drawn = [...container.querySelectorAll("path")].map((path) => path.getAttribute("d")!);
      const heights = drawn.flatMap((d) => [...d.matchAll(/,(\S+)/g)].map(([, y]) => Number(y)));
      unmount();
      expect(heights.filter((y) => !(y >= 0 && y <= 46))).toEqual([]);
    }),
    { numRuns: 60 },
  );
});
