/**
 * @jest-environment jsdom
 * @own-rooms
 */
import { address, renderOnBench } from "../bench/__tests__/renderOnBench";
import { act, screen, within } from "@testing-library/react";
import type { DayPlan } from "@/core/plan";
import { formatClock, formatMass, formatNumber } from "@/core/units";
import { BakeStation } from "./BakeStation";
import { CoolStation } from "./CoolStation";
import { FillStation } from "./FillStation";
import { MixStation } from "./MixStation";
import { RollStation } from "./RollStation";
import { SealStation } from "./SealStation";

const half = "quince-half-moon";
const lineOf = (plan: DayPlan, id = half) => plan.lines.find(({ piece }) => piece.id === id)!;
/** A dial set by its field, as it is typed. */
async function type(user: ReturnType<typeof renderOnBench>["user"], label: string, text: string) {
  const field = screen.getByLabelText<HTMLInputElement>(label);
  await user.clear(field);
  await user.type(field, `${text}{Enter}`);
  return field;
}

test("mix: every batch by its mass, when it is mixed and how long it rests; what the larder has is named first", () => {
  const { container, plan } = renderOnBench(<MixStation />);
  const { doughs, fillings, tasks } = plan();
  for (const { formula, batch, rest } of [...doughs, ...fillings]) {
    const of = screen.getByText(formula.name).closest("li, section, article, div")!;
    expect(container.textContent).toContain(formatMass(batch!.weighedG));
    const mix = tasks.find((task) => task.id === `mix:${formula.id}`);
    if (mix) expect(container.textContent).toContain(`mix at ${formatClock(mix.placed.startMin)}`);
    if (rest) expect(container.textContent).toContain(`rest ${rest.minutes} min`);
    expect(of).toBeTruthy();
  }
  expect(screen.getAllByText(/from the larder, made/)).toHaveLength(
    [...doughs, ...fillings].filter(({ fromLarderG }) => fromLarderG > 0).length,
  );
  expect(screen.getByText(/Raw egg and raw flour are not for tasting/)).toBeTruthy();
});

test("roll: the sheets of the piece with their cuts; the counts come to what is cut; another sheet is looked at by its button", async () => {
  const { user, plan } = renderOnBench(<RollStation />);
  const { cut } = lineOf(plan());
  const sheets = within(screen.getByRole("group", { name: "Sheets" })).getAllByRole("button");
  const cuts = sheets.map((each) => Number(/(\d+) cuts/.exec(each.getAttribute("aria-label")!)![1]));
  expect(cuts).toEqual(cut.plan.sheets.map(({ count }) => count));
  expect(cuts.reduce((sum, each) => sum + each, 0)).toBe(lineOf(plan()).blanks[0]!.cut);
  const last = cut.plan.sheets.at(-1)!;
  await user.click(sheets.at(-1)!);
  const looked = new RegExp(
    `^Sheet ${sheets.length} of ${sheets.length}, .*, ${last.count} cuts of 120 mm round$`,
  );
  // A sheet of a re-roll is as large as its trim: it has no corner to pull.
  expect(screen.getByRole("img", { name: looked })).toBeTruthy();
});

test("roll: thicker takes more dough; spares are cut as well; what no pin can roll is refused and says why", async () => {
  const { user, plan } = renderOnBench(<RollStation />);
  const doughG = () => lineOf(plan()).cut.plan.doughG;
  const was = doughG();
  await type(user, "Rolled to", "4.5");
  expect(doughG()).toBeGreaterThan(was);
  const thickness = await type(user, "Rolled to", "90");
  expect(thickness.getAttribute("aria-invalid")).toBe("true");
  expect(lineOf(plan()).piece.thicknessMm).toBe(4.5);
  await type(user, "Spare pieces", "6");
  expect(lineOf(plan()).blanks[0]!.needed).toBe(72 + 6);
});

test("roll: the tabs turn to another piece by the address, and its own sheets stand there", async () => {
  const { user, unmount } = renderOnBench(<RollStation />);
  await user.click(screen.getByRole("radio", { name: /Leek triangle/ }));
  expect(address.went.at(-1)).toContain("?piece=leek-triangle");
  unmount();
  const { plan } = renderOnBench(<RollStation />, { search: "piece=leek-triangle" });
  const sheets = within(screen.getByRole("group", { name: "Sheets" })).getAllByRole("button");
  expect(sheets).toHaveLength(lineOf(plan(), "leek-triangle").cut.plan.sheets.length);
});

test("fill: a portion by mass, spoon and scoop; plumper holds more and the drawing says how high", async () => {
  const { user, plan, container } = renderOnBench(<FillStation />);
  const told = () => {
    const {
      shaped: { portion, formed },
      counts: { toFill },
    } = lineOf(plan());
    expect(container.textContent).toContain(formatMass(portion.massG));
    expect(container.textContent).toContain(`for ${toFill} pieces`);
    const height = formatNumber(formed.section.heightMm);
    expect(
      screen.getByRole("img", { name: new RegExp(`in section: ${height} millimetres high`) }),
    ).toBeTruthy();
    return portion.massG;
  };
  const before = told();
  await type(user, "Plumpness", "70");
  expect(lineOf(plan()).piece.plumpness).toBeCloseTo(0.7, 9);
  expect(told()).toBeGreaterThan(before);
  expect(screen.getByText(/scoop no\./)).toBeTruthy();
});

test("fill: a margin that leaves no room is said with its figures; undo brings piece and dials back", async () => {
  const { user, plan, store } = renderOnBench(<FillStation />);
  await type(user, "Clean margin", "58");
  const stopped = plan().problems.filter(({ stops, pieceId }) => stops && pieceId === half);
  expect(stopped.length).toBeGreaterThan(0);
  expect(
    screen.getAllByText((_, element) => element?.textContent.includes(stopped[0]!.message) ?? false),
  ).not.toHaveLength(0);
  // Its tab stays.
  expect(screen.getByRole("radio", { name: /cannot be made:.*Quince half-moon/ })).toBeTruthy();
  act(() => store.getState().undo());
  expect(screen.getByLabelText<HTMLInputElement>("Clean margin").value).toBe("13");
  expect(plan().problems.some(({ stops, pieceId }) => stops && pieceId === half)).toBe(false);
});

test("seal: what may leak and why; the first remedy lowers it as it says", async () => {
  const { user, plan, container } = renderOnBench(<SealStation />);
  const leaks = () => lineOf(plan()).shaped.hold!.leakShare;
  expect(container.textContent).toContain(`${formatNumber(leaks() * 100, 1)} % may leak`);
  const [first] = within(screen.getByRole("group", { name: "What would lower it most" })).getAllByRole(
    "button",
  );
  const promised = Number(/→ ([\d.]+) %/.exec(first!.textContent)![1]) / 100;
  const before = leaks();
  await user.click(first!);
  expect(leaks()).toBeLessThan(before);
  expect(leaks()).toBeCloseTo(promised, 3);
});

test("seal: another crimp has its own marks along the same seam, and its own minutes", async () => {
  const { user, plan } = renderOnBench(<SealStation />);
  const sealOf = () => lineOf(plan()).shaped.seal!;
  const [marks, seamMm] = [sealOf().marks, sealOf().seamMm];
  await user.click(screen.getByLabelText("Forked"));
  expect(sealOf().crimp.id).toBe("forked");
  expect(sealOf().seamMm).toBeCloseTo(seamMm, 9);
  expect(sealOf().marks).not.toBe(marks);
  expect(screen.getByRole("img", { name: new RegExp(`from above: .* ${sealOf().marks} `) })).toBeTruthy();
  expect(screen.getByText(/Raw egg in brush and bowl/)).toBeTruthy();
});

test("bake: every load has its bar on the clock at its minutes; hotter is shorter by the known bake", async () => {
  const { user, plan } = renderOnBench(<BakeStation />);
  const clock = () => screen.getByRole("group", { name: /^Day from/ });
  const wider = screen.getByRole<HTMLButtonElement>("button", { name: "See more of the day" });
  while (!wider.disabled) await user.click(wider);
  for (const { kind, label, placed } of plan().tasks) {
    if (kind !== "bake" && kind !== "fry") continue;
    const minutes = `${formatClock(placed.startMin)} to ${formatClock(placed.endMin)}`;
    expect(within(clock()).getByRole("button", { name: `${label}, ${minutes}` })).toBeTruthy();
  }
  const trays = screen.getAllByRole("img", { name: /^Tray 600 by 400/ });
  const laid = trays.map((tray) => Number(/with (\d+) of/.exec(tray.getAttribute("aria-label")!)![1]));
  expect(laid.reduce((sum, each) => sum + each, 0)).toBe(lineOf(plan()).counts.toFill);
  const bake = () => plan().tasks.find(({ kind, pieceId }) => kind === "bake" && pieceId === half)!;
  expect(bake().heat!.startC).toBe(200);
  // The dials stand behind the list of jobs until they are asked for.
  await user.click(screen.getByRole("radio", { name: "Heat and trays" }));
  await type(user, "Oven", "210");
  expect(bake().heat!.startC).toBe(210);
});

test("bake: a job that is pinned stays at its minute; turned by keys it is pinned five minutes sooner", async () => {
  const { user, store, plan } = renderOnBench(<BakeStation />);
  const first = plan().tasks.find(({ kind }) => kind === "bake")!;
  await user.click(screen.getByRole("button", { name: "5 minutes earlier" }));
  const [pinned] = store.getState().book.day.pinned;
  expect(pinned).toMatchObject({ taskId: first.id, startMin: first.placed.startMin - 5 });
  expect(plan().tasks.find(({ id }) => id === first.id)!.placed.startMin).toBe(first.placed.startMin - 5);
  await user.click(screen.getByRole("button", { name: "Unpin 1 job" }));
  expect(store.getState().book.day.pinned).toEqual([]);
});

test("bake: steps that come quicker than the plan that they change are all taken", async () => {
  const { store, plan } = renderOnBench(<BakeStation />);
  const first = plan().tasks.find(({ kind }) => kind === "bake")!;
  const earlier = screen.getByRole("button", { name: "5 minutes earlier" });
  // In one breath: nothing is drawn between.
  await act(async () => {
    for (let step = 0; step < 3; step++) earlier.click();
  });
  expect(store.getState().book.day.pinned).toMatchObject([
    { taskId: first.id, startMin: first.placed.startMin - 15 },
  ]);
});

test("cool: each load by when it is out, cool and ready; the food's caution stands there; longer cooling is later", async () => {
  const { user, plan } = renderOnBench(<CoolStation />);
  const rows = () =>
    within(screen.getByRole("table"))
      .getAllByRole("row")
      .slice(1)
      .map((row) =>
        within(row)
          .getAllByRole("cell")
          .map(({ textContent }) => textContent),
      );
  const outs = plan()
    .tasks.filter(({ kind }) => kind === "bake" || kind === "fry")
    .map(({ placed }) => formatClock(placed.endMin));
  expect(rows().map((cells) => cells.find((cell) => outs.includes(cell)))).toEqual(outs);
  expect(screen.getByText(/Your local food code decides/)).toBeTruthy();
  const ready = () => lineOf(plan()).readyMin;
  const before = Math.max(...Object.values(ready()).map((minute) => minute ?? 0));
  await type(user, "Cool", "45");
  const bake = plan().tasks.findLast(({ kind, pieceId }) => kind === "bake" && pieceId === half)!;
  const after = Math.max(...Object.values(ready()).map((minute) => minute ?? 0));
  expect(after).toBeGreaterThanOrEqual(bake.placed.endMin + 45);
  expect(after - bake.placed.endMin).toBeGreaterThan(before > 0 ? 44 : 0);
});

test("a day without orders says so at each station and leads to them", () => {
  for (const Station of [MixStation, RollStation, FillStation, SealStation, BakeStation, CoolStation]) {
    const empty = renderOnBench(<Station />, { isEmptied: true });
    expect(empty.container.textContent).toMatch(/order/i);
    expect(empty.container.textContent).not.toMatch(/NaN|undefined|Infinity/);
    empty.unmount();
  }
});
