import fc from "fast-check";
import { rankFinds, type Findable } from "./rankFinds";

const find = (kind: Findable["kind"], name: string): Findable => ({ kind, name });
const names = (sought: string, finds: readonly Findable[]) =>
  rankFinds(sought, finds).map(({ name }) => name);

const book = [
  find("formula", "Leeks softened in kitchen butter"),
  find("page", "Kit: bench, oven, cutters, cold"),
  find("station", "Mix"),
  find("piece", "Quince half-moon"),
  find("piece", "Half-moon of quince, small"),
  find("formula", "Quince and bay"),
  find("day", "Market Saturday · Sat 28 Nov"),
  find("order", "The hatch: 24 Quince half-moon, 10:30"),
  find("ingredient", "şeftali, kurutulmuş"),
  find("formula", "Żurek z łososiem"),
];

test("a name that begins with what is sought stands before one that has it somewhere: kit is the kit", () => {
  expect(names("kit", book)).toEqual(["Kit: bench, oven, cutters, cold", "Leeks softened in kitchen butter"]);
  expect(names("mix", book)).toEqual(["Mix"]);
  expect(names("quince", book)).toEqual([
    "Quince half-moon",
    "Quince and bay",
    "Half-moon of quince, small",
    "The hatch: 24 Quince half-moon, 10:30",
  ]);
});

test("words are found by their beginnings, in order before any order, with the kind's own word too", () => {
  expect(names("qu ha", book)[0]).toBe("Quince half-moon");
  expect(names("half quince", book)[0]).toBe("Half-moon of quince, small");
  expect(names("half quince", book)).toContain("Quince half-moon");
  expect(names("formula quince", book)).toEqual(["Quince and bay"]);
  expect(names("28 nov", book)).toEqual(["Market Saturday · Sat 28 Nov"]);
});

test("letters with marks are found without them, whatever the keyboard", () => {
  expect(names("seftali", book)).toEqual(["şeftali, kurutulmuş"]);
  expect(names("ŞEFTALİ", book)).toEqual(["şeftali, kurutulmuş"]);
  expect(names("zurek lososiem", book)).toEqual(["Żurek z łososiem"]);
});

test("one slip of a finger is forgiven in a word of four letters, two are not, and a short word is meant as it is", () => {
  for (const slip of ["qunce", "quimce", "quinnce", "qiunce"])
    expect(names(slip, book)[0]).toBe("Quince half-moon");
  expect(names("qumnxe", book)).toEqual([]);
  expect(names("kot", book)).toEqual([]);
  expect(names("plum", book)).toEqual([]);
});

const word = fc.stringMatching(/^[a-z]{1,8}$/);
const finds = fc.array(
  fc.record({
    kind: fc.constantFrom("piece" as const, "formula" as const, "page" as const),
    name: fc.array(word, { minLength: 1, maxLength: 4 }).map((words) => words.join(" ")),
  }),
  { maxLength: 12 },
);

test("whatever the book: each is found by its own name and by any beginning of it, first where it is the only one that begins so", () => {
  fc.assert(
    fc.property(finds, fc.nat(), fc.integer({ min: 1, max: 30 }), (list, at, letters) => {
      fc.pre(list.length > 0);
      const { name } = list[at % list.length]!;
      const begun = name.slice(0, letters).trim();
      const found = names(begun, list);
      expect(found).toContain(name);
      // Whatever begins with it stands before whatever does not.
      const begins = found.map((each) => each.startsWith(begun));
      expect(begins.lastIndexOf(true)).toBeLessThan(
        begins.includes(false) ? begins.indexOf(false) : begins.length,
      );
      // Nothing is made up, nothing told twice.
      expect(found.length).toBeLessThanOrEqual(list.length);
      expect(names(name, list)[0]).toBe(name);
    }),
  );
});
