/** @jest-environment jsdom */
import { act, cleanup, fireEvent, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { Device, HeatAt, PlacedReading } from "@/core/readings";
import { UNTOUCHED, type JobSheet } from "@/core/run";
import { jobSheet } from "./__tests__/jobSheet";
import { JobReadings } from "./JobReadings";

describe("what devices say of the job in hand", () => {
  const device = (use: Device["use"], over: Partial<Device> = {}): Device => ({
    id: `device-${use}`,
    source: `${use}/1`,
    use,
    machineId: null,
    deck: null,
    ...over,
  });
  const fresh = (of: Device, value: number): PlacedReading => ({ device: of, state: "fresh", value });
  const flour = {
    line: { lineId: "l1", name: "plain flour", massG: 600, range: null, ingredientId: null },
    measure: null,
    scaleShowsG: 850,
  };
  function show(told: JobSheet, placed: readonly PlacedReading[], past: readonly HeatAt[] = []) {
    const [sampled, weighed, poured] = [jest.fn(), jest.fn(), jest.fn()];
    render(
      <JobReadings
        told={told}
        sheet={{ roomC: 24, fridgeC: 4 }}
        run={{
          ...UNTOUCHED,
          measured: [23, 27].map((value) => ({ measure: "massG", value, atMin: 400, part: null })),
        }}
        readings={{ placed, past: new Map([["dough/1", past]]) }}
        inHand={told.weighing[0]}
        onSample={sampled}
        onWeighed={weighed}
        onPoured={poured}
      />,
    );
    return { sampled, weighed, poured };
  }
  const targets = jobSheet("a").targets;

  test("the line in hand by what the scale shows without tare: to go, right, too much", async () => {
    const mix = jobSheet("a", { kind: "mix", weighing: [flour] });
    const { weighed } = show(mix, [fresh(device("scale"), 846)]);
    expect(screen.getByTestId("to-go").textContent).toBe("right");
    await userEvent.setup().click(screen.getByRole("button", { name: "Next line" }));
    expect(weighed).toHaveBeenCalledWith("l1");
    cleanup();
    show(mix, [fresh(device("scale"), 550)]);
    expect(screen.getByTestId("to-go").textContent).toBe("300 g");
    expect(screen.getByRole("meter").getAttribute("aria-valuenow")).toBe("300");
    expect(screen.queryByRole("button", { name: "Next line" })).toBeNull();
    cleanup();
    show(mix, [fresh(device("scale"), 900)]);
    expect(screen.getByText("too much")).toBeTruthy();
  });

  test("a mass that stands goes on to the next line by itself, liquid only when the baker says what it took", () => {
    jest.useFakeTimers();
    const { weighed } = show(jobSheet("a", { kind: "mix", weighing: [flour] }), [
      fresh(device("scale"), 852),
    ]);
    act(() => jest.advanceTimersByTime(2400));
    expect(weighed).not.toHaveBeenCalled();
    act(() => jest.advanceTimersByTime(200));
    expect(weighed.mock.calls).toEqual([["l1"]]);
    cleanup();
    const water = { ...flour, line: { ...flour.line, lineId: "l2", range: { leastG: 550, mostG: 650 } } };
    const liquid = show(jobSheet("a", { kind: "mix", weighing: [water] }), [fresh(device("scale"), 840)]);
    act(() => jest.advanceTimersByTime(10_000));
    expect(liquid.weighed).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole("button", { name: "It took 590 g" }));
    expect(liquid.poured).toHaveBeenCalledWith("l2", 590);
    jest.useRealTimers();
  });

  test("a custard's core: to go, set, too hot", () => {
    const cook = jobSheet("a", { kind: "make", targets: { ...targets, custardC: { lowC: 72, highC: 74 } } });
    for (const [value, said] of [
      [68.4, /3.6 to go/],
      [73, /set/],
      [76.5, /2.5 too hot, out of the heat/],
    ] as const) {
      show(cook, [fresh(device("custard"), value)]);
      expect(screen.getByText(said)).toBeTruthy();
      cleanup();
    }
  });

  test("portions: mean, spread and band of those that were weighed, and the next one by a tap", async () => {
    const { sampled } = show(jobSheet("a", { pieces: 24, targets: { ...targets, portionG: 24 } }), [
      fresh(device("scale"), 24),
    ]);
    expect(screen.getByText(/on average of 2 of 3, ± 2.8/)).toBeTruthy();
    await userEvent.setup().click(screen.getByRole("button", { name: /Weigh this one/ }));
    expect(sampled).toHaveBeenCalledWith(24);
  });

  test("dough: in its window, or by how much not and how long still, by its own curve", () => {
    const roll = jobSheet("a", { kind: "roll", targets: { ...targets, window: { lowC: 10, highC: 16 } } });
    show(roll, [fresh(device("dough"), 12.4)]);
    expect(screen.getByText(/at the core: it rolls/)).toBeTruthy();
    cleanup();
    const warming = Array.from({ length: 9 }, (_, i) => ({
      atMin: i / 2,
      heatC: 24 - 20 * Math.exp(-i / 2 / 20),
    }));
    show(roll, [fresh(device("dough"), warming.at(-1)!.heatC)], warming);
    // 24 − 20 e^(−t / 20) is 10 at t = 20 ln(20 / 14) = 7.1; four minutes are gone.
    expect(screen.getByText(/2.4 too cold: about 3 min to go/)).toBeTruthy();
  });

  test("an oven is hot when its decks say so; stale, silent and impossible readings are said and not used", () => {
    const bake = jobSheet("a", { kind: "bake", targets: { ...targets, machineId: "x", heatC: 200 } });
    const deck = (n: number) => device("oven", { id: `d${n}`, source: `deck/${n}`, machineId: "x", deck: n });
    show(bake, [
      fresh(deck(1), 197),
      fresh(deck(2), 178),
      { device: deck(3), state: "stale", value: 200, ageS: 90 },
      { device: deck(4), state: "silent" },
      { device: deck(5), state: "wrong", said: "deck/5 says 473 °C, which cannot be." },
      fresh(device("oven", { machineId: "another", deck: 1, source: "another" }), 20),
    ]);
    expect(screen.getByText(/deck 1: hot/)).toBeTruthy();
    expect(screen.getByText(/deck 2: 22 to go/)).toBeTruthy();
    for (const said of ["deck/3 was last heard 2 min ago.", "deck/4 is silent.", /473 °C, which cannot be/])
      expect(screen.getByText(said)).toBeTruthy();
    expect(screen.queryByText(/another/)).toBeNull();
  });
});
