import { PDFDocument } from "pdf-lib";
import { buildSync } from "esbuild";
import { listDemoRecords } from "@/demo";
import { metricMeasures } from "@/core/units";
import { toDayBook } from "@/schemas/toDayBook";
import { FIRST_WISH } from "@/schemas/labelWish";
import { writeDayPdf, writeLabelsPdf, writeTemplatePdf } from "./papers";

/** Packages that only papers need, and that take a thread a second to load. */
const HEAVY = /node_modules\/(pdf-lib|@pdf-lib)\//;

test("a thread is loaded without what writes PDFs; that is a part of its own", () => {
  const { outputs } = buildSync({
    entryPoints: ["src/jobs/jobs.ts"],
    ...{ bundle: true, splitting: true, platform: "node", format: "esm", external: ["better-sqlite3"] },
    ...{ write: false, metafile: true, outdir: "build" },
  }).metafile;
  const entryOf = (name: string) => {
    const found = Object.entries(outputs).find(([, { entryPoint }]) => entryPoint === name);
    return found![0];
  };
  /** All that is loaded with a part, before anything is asked of it. */
  const loaded = new Set<string>();
  const load = (part: string) => {
    if (loaded.has(part)) return;
    loaded.add(part);
    for (const { path, kind } of outputs[part]?.imports ?? []) if (kind === "import-statement") load(path);
  };
  load(entryOf("src/jobs/jobs.ts"));
  const inputsOf = (parts: Iterable<string>) =>
    [...parts].flatMap((part) => Object.keys(outputs[part]?.inputs ?? {}));
  expect(inputsOf(loaded)).toContain("src/core/plan/planDay.ts");
  expect(inputsOf(loaded).filter((input) => HEAVY.test(input))).toEqual([]);
  expect(inputsOf([entryOf("src/jobs/papers.ts")]).some((input) => HEAVY.test(input))).toBe(true);
});

test("papers of a day, its labels and a template are as large as the paper they are for", async () => {
  const book = toDayBook(listDemoRecords(), "2026-11-28", null)!;
  const sheet = { shape: "rectangle", widthMm: 150, heightMm: 100 } as const;
  const papers = {
    a4: await writeDayPdf({ book, paper: "a4" }),
    letter: await writeTemplatePdf({
      template: { title: "Half-moons", sheet, parts: [] },
      ...{ paper: "letter", measures: metricMeasures },
    }),
    labels: await writeLabelsPdf({ book, wish: FIRST_WISH }).then((written) =>
      written.ok ? written.value : new Uint8Array(),
    ),
  };
  const [first] = book.formulas;
  const unknown = {
    ...book,
    formulas: book.formulas.map((formula) => ({
      ...formula,
      lines: [...formula.lines, { ...first!.lines[0]!, id: "new", name: "dust", ingredientId: null }],
    })),
  };
  const asks = await writeLabelsPdf({ book: unknown, wish: FIRST_WISH });
  expect(asks).toEqual({ ok: false, failure: ["dust"] });
  expect((await writeLabelsPdf({ book: unknown, wish: { ...FIRST_WISH, printsUnknown: true } })).ok).toBe(
    true,
  );
  const sizeOf = async (pdf: Uint8Array) => {
    const { width, height } = (await PDFDocument.load(pdf)).getPage(0).getSize();
    return [width, height].map((points) => Math.round((points / 72) * 25.4));
  };
  expect(await sizeOf(papers.a4)).toEqual([210, 297]);
  expect(await sizeOf(papers.letter)).toEqual([216, 279]);
  expect(await sizeOf(papers.labels)).toEqual([210, 297]);
});
