/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { act, screen, within } from "@testing-library/react";
import { findRecord } from "@/schemas/recordTable";
import { PiecePage } from "./PiecePage";

const half = "quince-half-moon";
const open = (pieceId = half) => {
  const bench = renderOnBench(<PiecePage pieceId={pieceId} />);
  const piece = () => findRecord(bench.store.getState().records, "piece", pieceId)!;
  const line = () => bench.plan().lines.find(({ piece: { id } }) => id === pieceId)!;
  return { ...bench, piece, line };
};

test("a piece by its figures, its section and its face, the same as the plan has them", () => {
  const { container, line } = open();
  const {
    shaped: {
      portion,
      formed,
      seal,
      masses: { bakedPieceG },
    },
  } = line();
  const { section, fromAbove } = formed;
  expect(container.textContent).toContain(`filling${Math.round(portion.massG)} g`);
  expect(container.textContent).toContain(`baked${Math.round(bakedPieceG)} g`);
  expect(container.textContent).toContain(`pleats${seal!.marks}`);
  expect(
    screen.getByRole("img", { name: new RegExp(`${Math.round(section.heightMm)} millimetres high`) }),
  ).toBeTruthy();
  expect(screen.getByRole("img", { name: /from above: 116 by 58/ })).toBeTruthy();
  expect(fromAbove).toBeDefined();
});

test("another form keeps what carries over, is planned at once, and undo brings the old figures back", async () => {
  const { user, piece, line, store } = open();
  const was = JSON.stringify(piece());
  const portionG = line().shaped.portion.massG;
  const form = screen.getByLabelText<HTMLSelectElement>("Form");
  await user.selectOptions(form, within(form).getByText(/Rectangle/));
  expect(piece().form.kind).not.toBe("halfMoon");
  expect([piece().doughId, piece().fillingId]).toEqual(["bay-shortcrust", "quince-and-bay"]);
  expect(line().shaped.portion.massG).not.toBeCloseTo(portionG, 3);
  act(() => store.getState().undo());
  expect(JSON.stringify(piece())).toBe(was);
});

test("through every form there is and back: the figures of before are there again, and what was set on the way too", async () => {
  const { user, piece } = open();
  const form = screen.getByLabelText<HTMLSelectElement>("Form");
  const kinds = [...form.options].map(({ value }) => value).filter((kind) => kind !== "halfMoon");
  const was = JSON.stringify(piece());
  const said = jest.spyOn(console, "error").mockImplementation(() => {});
  for (const kind of kinds) await user.selectOptions(form, kind);
  expect(said).not.toHaveBeenCalled();
  said.mockRestore();
  await user.selectOptions(form, "halfMoon");
  expect(JSON.stringify(piece())).toBe(was);
  await user.selectOptions(form, "gathered");
  const ring = screen.getByLabelText<HTMLInputElement>("Rolled to, across");
  await user.clear(ring);
  await user.type(ring, "91{Enter}");
  for (const kind of ["halfMoon", "triangle", "gathered"]) await user.selectOptions(form, kind);
  expect(piece().form).toMatchObject({ kind: "gathered", finishedMm: 91 });
});

test("another dough and another filling are taken from the book; what they are made of follows into the batches", async () => {
  const { user, plan } = open();
  await user.selectOptions(screen.getByLabelText("Filling"), "Plum and poppy");
  expect(plan().fillings.map(({ formula }) => formula.id)).toContain("plum-and-poppy");
  expect(plan().fillings.map(({ formula }) => formula.id)).not.toContain("quince-and-bay");
  await user.selectOptions(screen.getByLabelText("Dough"), "Yoghurt crust");
  expect(plan().lines.find(({ piece }) => piece.id === half)!.cut.dough.id).toBe("yoghurt-crust");
});

test("a name may be anything but nothing; typed, it stands on tabs and orders", async () => {
  const { user, piece } = open();
  const name = screen.getByLabelText<HTMLInputElement>("Name");
  await user.clear(name);
  await user.type(name, "{Enter}");
  expect(piece().name).toBe("Quince half-moon");
  await user.clear(name);
  await user.type(name, "Ayva poğaçası{Enter}");
  expect(piece().name).toBe("Ayva poğaçası");
});

test("something beside the filling is added, weighs, and is taken away again", async () => {
  const { user, piece, line } = open();
  const raw = line().shaped.masses.rawPieceG;
  await user.click(screen.getByRole("button", { name: "+ Whole nuts, berries" }));
  expect(piece().extras).toHaveLength(1);
  expect(line().shaped.masses.rawPieceG).not.toBe(raw);
  await user.click(screen.getByRole("button", { name: "Leave it out" }));
  expect(piece().extras).toHaveLength(0);
  expect(line().shaped.masses.rawPieceG).toBeCloseTo(raw, 9);
});

test("a piece that was taken away meanwhile says so and leads back", () => {
  const { container } = renderOnBench(<PiecePage pieceId="never-was" />);
  expect(container.textContent).toMatch(/not in the book/);
  expect(within(container).getByRole("link")).toBeTruthy();
});
