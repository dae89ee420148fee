/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { act, screen, within } from "@testing-library/react";
import { inHouse } from "@/core/units";
import { planDay, TOO_MUCH_MIN } from "@/core/plan";
import { Tally } from "./Tally";
import { BEHIND_AFTER_MS } from "./useIsBehind";

const tally = () => within(screen.getByRole("contentinfo", { name: "Tally" }));
const text = () => screen.getByRole("contentinfo", { name: "Tally" }).textContent;

test("what goes in and what comes out is in view, with what is in hand", () => {
  const { plan } = renderOnBench(<Tally />);
  const { doughG, blanks, ready } = plan().tally;
  expect(text()).toContain(`dough ${(doughG / 1000).toFixed(2)} kg`);
  expect(text()).toContain(`blanks ${blanks}`);
  expect(text()).toContain(`ready ${ready}`);
  expect(text()).toMatch(/\d+ min in hand/);
});

test("while it is worked out it says so in the place of what is in hand, and nothing beside it goes", () => {
  jest.useFakeTimers();
  const { store } = renderOnBench(<Tally />);
  const before = text();
  const inHand = tally().getByText(/in hand$/).textContent;
  act(() => store.setState({ planner: { kind: "working" }, plannedRecords: {} as never }));
  act(() => void jest.advanceTimersByTime(BEHIND_AFTER_MS + 10));
  expect(tally().getByRole("status").textContent).toBe("working out…");
  expect(text().replace("working out…", "")).toBe(before.replace(inHand, ""));
  act(() => store.setState({ planner: { kind: "current" } }));
  expect(text()).toBe(before);
  jest.useRealTimers();
});

test("a day that is too much for one day says that alone, and no odds of when it ends", () => {
  const { store } = renderOnBench(<Tally />);
  const plan = store.getState().plan!;
  const late = (inHandMin: number) =>
    act(() =>
      store.setState({
        plan: {
          ...plan,
          tally: { ...plan.tally, inHandMin, readyMin: 700 },
          ends: { likelyMin: 760, mostMin: 800 },
        },
      }),
    );
  late(-30);
  expect(text()).toContain("30 min late");
  expect(text()).toContain("nine days in ten 13:20");
  late(-TOO_MUCH_MIN);
  expect(text()).toContain("too much for one day");
  expect(text()).not.toContain("nine days in ten");
});

test("a house of ounces reads the same day in pounds", () => {
  const { store } = renderOnBench(<Tally />);
  const { book } = store.getState();
  const kitchen = { ...book.kitchen, massUnit: "ounce" as const };
  inHouse(kitchen, () => act(() => store.setState({ plan: planDay({ ...book, kitchen }) })));
  expect(text()).toMatch(/dough \d+ lb/);
});
