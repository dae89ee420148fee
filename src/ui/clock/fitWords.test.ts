import fc from "fast-check";
import { fitWords } from "./fitWords";

/** Room for so many letters of a unit's height. */
const roomFor = (letters: number) => letters * 0.56 + 1e-9;

test.each([
  ["Roll, cut", 9, "Roll, cut"],
  ["Roll, cut", 8, "Roll…"],
  ["Take out, make", 12, "Take out…"],
  ["Plum and poppy", 13, "Plum and…"],
  ["Plum and poppy", 9, "Plum and…"],
  ["Rhubarb", 5, "Rhub…"],
  ["Rhubarb", 1, ""],
])("%s in the room of %i letters is %s", (text, letters, told) => {
  expect(fitWords(text, roomFor(letters), 1)).toBe(told);
});

test("whatever a job is called, it stays within its bar and says the beginning", () => {
  const word = fc.stringMatching(/^[A-Za-zşğıéü]{1,12}$/);
  fc.assert(
    fc.property(fc.array(word, { minLength: 1, maxLength: 6 }), fc.nat(40), (words, letters) => {
      const text = words.join(" ");
      const told = fitWords(text, roomFor(letters), 1);
      expect(told.length).toBeLessThanOrEqual(Math.max(letters, 0));
      if (told !== text && told !== "") {
        expect(told.endsWith("…")).toBe(true);
        expect(text.startsWith(told.slice(0, -1))).toBe(true);
      }
      expect(told === text).toBe(text.length <= letters);
    }),
  );
});
