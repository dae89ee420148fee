import { readFile } from "node:fs/promises";
import path from "node:path";
import type { FontFiles } from "@/formats";

const FOLDER = path.join(process.cwd(), "node_modules/@fontsource/atkinson-hyperlegible-next/files");
/** Together they have the letters of every language that is written in Latin ones. */
const SUBSETS = ["latin", "latin-ext"] as const;

let read: Promise<FontFiles> | null = null;

/** The shipped text face as sheets are printed with it; read once. */
export function readFontFiles(): Promise<FontFiles> {
  const of = (weight: number) =>
    Promise.all(
      SUBSETS.map((subset) =>
        readFile(path.join(FOLDER, `atkinson-hyperlegible-next-${subset}-${weight}-normal.woff`)),
      ),
    );
  read ??= Promise.all([of(400), of(700)]).then(([plain, bold]) => ({ plain, bold }));
  return read;
}
