/** @jest-environment jsdom */
import type { Dough } from "@/core/formula";
import { toForm, type Piece } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import type * as formerForms from "./formerForms";

const book = toDayBook(listDemoRecords(), "2026-11-28", null)!;
const moon = book.pieces.find(({ id }) => id === "quince-half-moon")!;
const dough = book.formulas.find(({ id }) => id === moon.doughId) as Dough;

/** The page as it is loaded anew: nothing of its own is left. */
function load(): typeof formerForms {
  jest.resetModules();
  return jest.requireActual<typeof formerForms>("./formerForms");
}

beforeEach(() => sessionStorage.clear());
afterEach(() => jest.restoreAllMocks());

test("a form that is come back to has its figures again, also after the page was loaded anew", () => {
  const mine: Piece = { ...moon, marginMm: 17, plumpness: 0.31 };
  const triangle = { ...mine, ...load().changeForm("triangle", mine, dough) };
  expect(triangle.form.kind).toBe("triangle");
  const changed: Piece = { ...triangle, marginMm: 9 };
  const back = { ...changed, ...load().changeForm("halfMoon", changed, dough) };
  expect(back).toEqual(mine);
  expect({ ...back, ...load().changeForm("triangle", back, dough) }).toEqual(changed);
});

test("what is of the piece and not of its form stays as it was changed meanwhile", () => {
  const away: Piece = { ...moon, ...load().changeForm("triangle", moon, dough), name: "Corner", spares: 5 };
  expect({ ...away, ...load().changeForm("halfMoon", away, dough) }).toMatchObject({
    name: "Corner",
    spares: 5,
  });
});

test.each([
  ["holds nonsense", () => sessionStorage.setItem("tezgah-former-forms", "{")],
  [
    "is full",
    () =>
      jest.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
        throw new DOMException("full", "QuotaExceededError");
      }),
  ],
])("a device that %s gives the craft's usual figures", (_, spoil) => {
  spoil();
  expect(load().changeForm("triangle", moon, dough)).toEqual(toForm("triangle", moon, dough));
});
