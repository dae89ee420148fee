import fontkit from "@pdf-lib/fontkit";
import { rgb, type PDFDocument, type PDFFont, type PDFPage } from "pdf-lib";

/** A face's files, each with some of its letters: a text is written with the first that has the letter. */
export interface FontFiles {
  readonly plain: readonly Uint8Array[];
  readonly bold: readonly Uint8Array[];
}

export interface PlacedText {
  readonly x: number;
  readonly y: number;
  readonly sizePt: number;
}

/** A face to write with. Widths and places in points. */
export interface PdfFace {
  measure(text: string, sizePt: number): number;
  write(page: PDFPage, text: string, at: PlacedText): void;
}

export interface PdfFaces {
  readonly plain: PdfFace;
  readonly bold: PdfFace;
  /** Letters that were asked for and no file has, each once: an empty box stands in their place. */
  listMissing(): string[];
}

const INK = rgb(0, 0, 0);
/** Width and height of the box for a letter that no file has, and the gap after it, as shares of the size. */
const BOX = { width: 0.5, height: 0.7, gap: 0.1 } as const;

/** Letters in a row that one file has; a null font for one that none has. */
interface Run {
  readonly font: PDFFont | null;
  text: string;
}

/** Embeds the shipped faces, as much of them as the document uses. */
export async function embedFaces(document: PDFDocument, files: FontFiles): Promise<PdfFaces> {
  document.registerFontkit(fontkit);
  const missing = new Set<string>();
  const embed = async (of: readonly Uint8Array[]): Promise<PdfFace> => {
    const fonts = await Promise.all(of.map((file) => document.embedFont(file, { subset: true })));
    const known = fonts.map((font) => ({ font, letters: new Set(font.getCharacterSet()) }));
    return createFace((letter) => {
      const font = known.find(({ letters }) => letters.has(letter.codePointAt(0) ?? 0))?.font ?? null;
      if (!font) missing.add(letter);
      return font;
    });
  };
  const [plain, bold] = [await embed(files.plain), await embed(files.bold)];
  return { plain, bold, listMissing: () => [...missing] };
}

function createFace(findFont: (letter: string) => PDFFont | null): PdfFace {
  const toRuns = (text: string): Run[] => {
    const runs: Run[] = [];
    // Composed letters are what fonts have: s with a cedilla below is one.
    for (const letter of text.normalize("NFC")) {
      const font = findFont(letter);
      const last = runs.at(-1);
      if (last && font && last.font === font) last.text += letter;
      else runs.push({ font, text: letter });
    }
    return runs;
  };
  const widthOf = ({ font, text }: Run, sizePt: number) =>
    font ? font.widthOfTextAtSize(text, sizePt) : (BOX.width + BOX.gap) * sizePt;
  // Shaping a word is dear, and a day says the same words again and again.
  const widths = new Map<string, number>();
  const measureWord = (word: string): number => {
    const known = widths.get(word);
    if (known !== undefined) return known;
    const width = toRuns(word).reduce((sum, run) => sum + widthOf(run, 1), 0);
    widths.set(word, width);
    return width;
  };
  return {
    measure(text, sizePt) {
      const words = text.split(" ");
      const spaces = (words.length - 1) * measureWord(" ");
      return sizePt * words.reduce((sum, word) => sum + measureWord(word), spaces);
    },
    write(page, text, { x, y, sizePt }) {
      let at = x;
      for (const run of toRuns(text)) {
        if (run.font) page.drawText(run.text, { x: at, y, size: sizePt, font: run.font, color: INK });
        else
          page.drawRectangle({
            x: at,
            y,
            width: BOX.width * sizePt,
            height: BOX.height * sizePt,
            borderColor: INK,
            borderWidth: 0.5,
          });
        at += widthOf(run, sizePt);
      }
    },
  };
}

/** Says which letters a box stands for; null if there is none. */
export const describeMissing = (faces: PdfFaces): string | null => {
  const missing = faces.listMissing();
  return missing.length === 0
    ? null
    : `A box stands for a letter that this font does not have: ${missing.map(nameLetter).join(", ")}.`;
};

/** By its number, since it cannot be written. */
const nameLetter = (letter: string): string =>
  `U+${(letter.codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, "0")}`;
