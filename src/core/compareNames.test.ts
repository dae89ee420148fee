import fc from "fast-check";
import { compareNames } from "./compareNames";

const letters = fc.constantFrom(..."abczABCZ019 çÇéÉğĞñöÖşŞüÜ".normalize("NFC"));
const names = fc.array(letters, { maxLength: 6 }).map((all) => all.join(""));

test("names stand as a collation of their letters has them, whatever their accents and case", () => {
  const collator = new Intl.Collator("en", { sensitivity: "base" });
  fc.assert(
    fc.property(names, names, (a, b) => {
      const byLetters = collator.compare(a, b);
      if (byLetters !== 0) expect(Math.sign(compareNames(a, b))).toBe(byLetters);
    }),
    { numRuns: 2000, seed: 3 },
  );
});

test("it is an order: nothing stands before itself, and two names never both before each other", () => {
  fc.assert(
    fc.property(names, names, names, (a, b, c) => {
      expect(compareNames(a, a)).toBe(0);
      expect(compareNames(a, b) + compareNames(b, a)).toBe(0);
      expect(compareNames(a, b) === 0).toBe(a === b);
      const sorted = [a, b, c].toSorted(compareNames);
      expect([c, a, b].toSorted(compareNames)).toEqual(sorted);
    }),
    { seed: 4 },
  );
});
