/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { act, fireEvent, screen } from "@testing-library/react";
import { formKinds, type FormKind } from "@/core/forming";
import { toForm, type Piece } from "@/core/plan";
import { validateRecord } from "@/schemas/validate";
import { useBench } from "../bench/BenchProvider";
import { FormDials } from "./FormDials";

const PIECE = "quince-half-moon";
function Dials() {
  const piece = useBench((state) => state.book.pieces.find(({ id }) => id === PIECE));
  return piece && <FormDials piece={piece} />;
}
/** Why a piece could not be kept; nothing where it can. */
function faultsOf(piece: Piece): readonly unknown[] {
  const valid = validateRecord("piece", piece);
  return valid.ok ? [] : valid.failure;
}

/** The dials of a form that the half-moon has just been given. */
function show(kind: FormKind) {
  const bench = renderOnBench(<Dials />);
  const pieceNow = () => bench.store.getState().book.pieces.find(({ id }) => id === PIECE)!;
  const { doughId } = pieceNow();
  const dough = bench.store.getState().book.formulas.find(({ id }) => id === doughId);
  const record = { ...pieceNow(), ...toForm(kind, pieceNow(), dough?.kind === "dough" ? dough : null) };
  act(() => bench.store.getState().edit([{ kind: "piece", id: PIECE, record }]));
  return { ...bench, pieceNow };
}

test.each(formKinds)("%s: every dial at either of its ends gives a piece that can be kept", (kind) => {
  const { pieceNow, store } = show(kind);
  const before = pieceNow();
  const sliders = screen.queryAllByRole<HTMLInputElement>("slider").map(({ ariaLabel }) => ariaLabel!);
  for (const name of sliders)
    for (const end of ["min", "max"] as const) {
      // A piece that cannot be shaped has no height to turn.
      const slider = screen.queryByRole<HTMLInputElement>("slider", { name });
      if (!slider) continue;
      fireEvent.change(slider, { target: { value: slider[end] } });
      expect([name, end, faultsOf(pieceNow())]).toEqual([name, end, []]);
      expect(pieceNow().form.kind).toBe(kind);
    }
  // What was turned to its end and back is one sitting: undo gives the form as it was.
  if (sliders.length > 0) {
    act(() => store.getState().undo());
    expect(pieceNow().name).toBe(before.name);
  }
});

test("every choice of a form is taken and can be kept", () => {
  let choices = 0;
  for (const kind of ["lidded", "lined", "gathered"] as const) {
    const { pieceNow, unmount } = show(kind);
    const legends = new Set(screen.getAllByRole<HTMLInputElement>("radio").map(({ name }) => name));
    for (const legend of legends) {
      const ofLegend = () =>
        screen.queryAllByRole<HTMLInputElement>("radio").filter(({ name }) => name === legend);
      for (let i = 0; i < ofLegend().length; i++) {
        fireEvent.click(ofLegend()[i]!);
        choices++;
        expect([legend, i, faultsOf(pieceNow())]).toEqual([legend, i, []]);
      }
    }
    unmount();
  }
  expect(choices).toBeGreaterThan(8);
});

test("a gathered piece that is to stand higher is cut larger, and so is the lining of a deeper mould", () => {
  const across = (kind: FormKind, dial: RegExp, value: string) => {
    const { pieceNow, unmount } = show(kind);
    const before = pieceNow().cut;
    fireEvent.change(screen.getByRole("slider", { name: dial }), { target: { value } });
    const after = pieceNow().cut;
    unmount();
    if (before.kind !== "disc" || after.kind !== "disc") throw new Error(`${before.kind} ${after.kind}`);
    return after.diameterMm - before.diameterMm;
  };
  expect(across("gathered", /and high, slider/, "55")).toBeGreaterThan(2);
  expect(across("lined", /^Deep, slider/, "40")).toBeGreaterThan(15);
});
