import fc from "fast-check";
import { listDemoRecords } from "@/demo";
import { labelKinds, listLabels } from "@/core/labels";
import { planDay } from "@/core/plan";
import { FIRST_WISH, readLabelWish, writeLabelWish, type LabelWish } from "@/schemas/labelWish";
import { toDayBook } from "@/schemas/toDayBook";
import { labelSheets, layLabel, papers, placeLabels, toLabelsPdf, toPrintedLabels, type Measure } from ".";
import { readPdfTexts, readShippedFonts } from "./__tests__/testPdf";
import { describeLabel, type Paragraph } from "./labelText";

const book = toDayBook(listDemoRecords(), "2026-11-28", null)!;
const plan = planDay(book);
/** Each letter half as wide as it is high, bold a tenth more: simple enough to check by. */
const measure: Measure = (text, sizePt, isBold) => text.length * sizePt * 0.5 * 0.3528 * (isBold ? 1.1 : 1);

test.each(labelSheets)(
  "$id: labels lie on the paper, none on another, wherever the sheet begins",
  (sheet) => {
    const paper = papers[sheet.paper];
    const perPage = sheet.columns * sheet.rows;
    fc.assert(
      fc.property(fc.nat(60), fc.nat(perPage - 1), (count, usedUp) => {
        const places = placeLabels(sheet, count, usedUp);
        expect(places).toHaveLength(count);
        for (const [i, { page, xMm, yMm }] of places.entries()) {
          expect(page).toBe(Math.floor((i + usedUp) / perPage));
          expect(Math.min(xMm, yMm)).toBeGreaterThanOrEqual(0);
          expect(xMm + sheet.widthMm).toBeLessThanOrEqual(paper.widthMm + 1e-9);
          expect(yMm + sheet.heightMm).toBeLessThanOrEqual(paper.heightMm + 1e-9);
          for (const other of places.slice(i + 1, i + perPage)) {
            if (other.page !== page) continue;
            const isApart =
              Math.abs(other.xMm - xMm) >= sheet.widthMm - 1e-9 ||
              Math.abs(other.yMm - yMm) >= sheet.heightMm - 1e-9;
            expect(isApart).toBe(true);
          }
        }
      }),
      { numRuns: 10 },
    );
  },
);

const word = fc.stringMatching(/^[a-zşğı]{1,14}$/);
const anyText = fc.array(word, { minLength: 1, maxLength: 30 }).map((words) => words.join(" "));
const anyLabel: fc.Arbitrary<Paragraph[]> = fc
  .record({ title: anyText, allergens: anyText, ingredients: anyText, warmUp: anyText, cut: fc.nat(20) })
  .map(({ title, allergens, ingredients, warmUp, cut }) => [
    { part: "title", runs: [{ text: title, isBold: true }] },
    {
      part: "allergens",
      runs: [
        { text: allergens.slice(0, cut), isBold: false },
        { text: allergens.slice(cut), isBold: true },
      ],
    },
    { part: "ingredients", runs: [{ text: ingredients, isBold: false }] },
    { part: "warmUp", runs: [{ text: warmUp, isBold: false }] },
  ]);

test("a label's words are all there, inside its rim, none over another; a larger label never leaves more off", () => {
  fc.assert(
    fc.property(anyLabel, fc.constantFrom(...labelSheets), (paragraphs, sheet) => {
      const laid = layLabel(paragraphs, sheet, measure);
      const kept = paragraphs.filter(({ part }) => !laid.leftOff.includes(part));
      const squeezed = (texts: readonly string[]) => texts.join("").replaceAll(" ", "");
      expect(squeezed(laid.runs.map(({ text }) => text))).toBe(
        squeezed(kept.flatMap(({ runs }) => runs.map(({ text }) => text))),
      );
      // What must be named is never left off.
      expect(laid.leftOff).not.toContain("allergens");
      expect(laid.leftOff).not.toContain("title");
      if (!laid.isTooSmall)
        for (const { text, sizePt, isBold, xMm, yMm } of laid.runs) {
          expect(xMm).toBeGreaterThanOrEqual(2.5);
          expect(xMm + measure(text, sizePt, isBold)).toBeLessThanOrEqual(sheet.widthMm - 2.5 + 1e-6);
          expect(yMm).toBeLessThanOrEqual(sheet.heightMm - 2.5);
          expect(sizePt).toBeGreaterThanOrEqual(6);
        }
      for (const [i, run] of laid.runs.entries()) {
        const next = laid.runs[i + 1];
        if (next?.yMm === run.yMm)
          expect(run.xMm + measure(run.text, run.sizePt, run.isBold)).toBeLessThanOrEqual(next.xMm + 1e-6);
        else if (next) expect(next.yMm).toBeGreaterThan(run.yMm);
      }
      const larger = layLabel(
        paragraphs,
        { widthMm: sheet.widthMm + 20, heightMm: sheet.heightMm + 20 },
        measure,
      );
      expect(larger.leftOff.length).toBeLessThanOrEqual(laid.leftOff.length);
    }),
  );
});

test("a word wider than its label is torn between letters, never between a letter and its mark", () => {
  // Written apart, as some keyboards write them: the cedilla and the two dots are signs of their own.
  const title = "Ş".normalize("NFD").repeat(30) + "ö".normalize("NFD").repeat(30);
  const [sheet] = labelSheets;
  const { runs } = layLabel([{ part: "title", runs: [{ text: title, isBold: true }] }], sheet!, measure);
  expect(runs.length).toBeGreaterThan(1);
  expect(runs.map(({ text }) => text).join("")).toBe(title);
  for (const { text } of runs) expect(text).not.toMatch(/^\p{Mark}/u);
});

test("what is wanted comes back from its address as it was, and an address that cannot be is told so", () => {
  const wish: fc.Arbitrary<LabelWish> = fc.record({
    of: fc.constantFrom(...labelKinds),
    sheetId: fc.constantFrom(...labelSheets.map(({ id }) => id)),
    usedUp: fc.nat(99),
    showsShares: fc.boolean(),
    namesBench: fc.boolean(),
    printsUnknown: fc.boolean(),
    copies: fc
      .dictionary(fc.string({ minLength: 1, maxLength: 20 }), fc.nat(500), { maxKeys: 5 })
      .map((each) => ({ ...each })),
  });
  fc.assert(
    fc.property(wish, (wanted) => {
      const read = readLabelWish(new URLSearchParams(writeLabelWish(wanted)));
      expect(read.ok && read.value).toEqual(wanted);
    }),
  );
  const none = readLabelWish(new URLSearchParams());
  expect(none.ok && none.value).toEqual(FIRST_WISH);
  for (const address of ["of=cakes", "used=-1", "used=half", "n=many*x", "n=5", `n=${"9".repeat(500)}*x`]) {
    const read = readLabelWish(new URLSearchParams(address));
    expect(read.ok ? address : read.failure).toMatch(/^These labels cannot be printed: .* Choose them/);
  }
});

test("labels as PDF say, on every page, what each of them must: name, allergens, both dates", async () => {
  const wish = { ...FIRST_WISH, sheetId: "a4-3x8", usedUp: 5, showsShares: true };
  const labels = toPrintedLabels(listLabels("piece", plan, book), wish, "celsius");
  const count = labels.reduce((sum, { copies }) => sum + copies, 0);
  const pages = await readPdfTexts(await toLabelsPdf({ ...wish, labels }, readShippedFonts()));
  expect(pages).toHaveLength(Math.ceil((count + 5) / 24));
  const words = pages.map((texts) => texts.join(" ").replace(/\s+/g, " "));
  for (const { piece, counts } of plan.lines) {
    const told = words.join(" ").split(piece.name).length - 1;
    expect(told).toBe(counts.made);
  }
  expect(words.join(" ").split("use by Sat 28 Nov 2026").length - 1).toBe(count);
  expect(words.join(" ").split("gluten").length - 1).toBeGreaterThanOrEqual(count);
});

test("a label says what it may touch, what nobody knows, and how much of each; the bench only where it is wanted", () => {
  const [label] = listLabels("piece", plan, book);
  const say = (changes: Partial<typeof label>, wishes = {}) =>
    describeLabel(
      { ...label!, ...changes },
      { showsShares: false, namesBench: true, ovenScale: "celsius", ...wishes },
    )
      .map(({ runs }) => runs.map(({ text }) => text).join(""))
      .join("\n");
  const contacts = [
    { allergen: "nuts" as const, through: "bench" as const, fromIds: ["a"], fromEarlier: [] },
    { allergen: "sesame" as const, through: "oil" as const, fromIds: ["b"], fromEarlier: [] },
  ];
  expect(say({ contacts })).toContain("May hold traces of nuts and sesame.");
  expect(say({ contacts }, { namesBench: false })).toContain("May hold traces of sesame.");
  const bare = { contains: [], contacts: [], unknownContacts: [] };
  const allClear = "None of the allergens that must be named.";
  expect(say(bare)).toContain(allClear);
  const doubts = [
    say({ ...bare, unknown: ["dust"] }),
    say({ ...bare, unknownContacts: [{ through: "oil", names: ["dust"], loads: 3 }] }),
    say({ ...bare, kind: "larder" }),
  ];
  for (const said of doubts) expect(said).not.toContain(allClear);
  expect(doubts[0]).toContain("Allergens not known of dust: ask before it is sold.");
  expect(doubts[1]).toContain("May hold traces of dust and 3 earlier loads of the oil: allergens not known.");
  expect(say({ ...bare, contains: ["milk"], unknown: ["dust"] })).toContain(
    "Contains milk. Allergens not known of dust: ask before it is sold.",
  );
  const told = say({}, { showsShares: true })
    .match(/ (\d+) %/g)!
    .map((share) => parseInt(share, 10));
  const sum = told.reduce((all, share) => all + share, 0);
  expect(Math.abs(sum - 100)).toBeLessThanOrEqual(label!.ingredients.length);
  const warmUps = [{ name: "Moon", minutes: 12, heatC: 170 }];
  expect(say({ warmUps })).toContain("Crisp again: 12 min at 170 °C.");
  expect(
    say({
      warmUps,
      items: [
        { name: "Moon", count: 2 },
        { name: "Pop", count: 1 },
      ],
    }),
  ).toContain("Crisp again: Moon 12 min at 170 °C.");
});
