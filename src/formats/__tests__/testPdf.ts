import { readFileSync } from "node:fs";
import type { PDFRawStream } from "pdf-lib";
import { decodePDFRawStream, PDFArray, PDFDict, PDFDocument, PDFName } from "pdf-lib";
import type { FontFiles } from "../pdfText";
import { inflateSync } from "node:zlib";

/** Every stream of a PDF that inflates, as text: for tests, knowing nothing of who wrote it. */
export function readPdfStreams(bytes: Buffer): string[] {
  const text = bytes.toString("latin1");
  return [...text.matchAll(/stream\r?\n/g)].flatMap(({ index, 0: mark }) => {
    const from = index + mark.length;
    try {
      return [inflateSync(bytes.subarray(from, text.indexOf("endstream", from))).toString("latin1")];
    } catch {
      return [];
    }
  });
}

/**
 * What is written on each page, text by text: glyph numbers read back into letters by each font's own table, as a
 * reader that searches or copies does.
 */
export async function readPdfTexts(bytes: Uint8Array): Promise<string[][]> {
  const document = await PDFDocument.load(bytes);
  return document.getPages().map((page) => {
    const fonts = page.node.Resources()?.lookup(PDFName.of("Font"), PDFDict);
    const tables = new Map(
      (fonts?.entries() ?? []).map(([name]) => {
        const table = fonts!.lookup(name, PDFDict).lookup(PDFName.of("ToUnicode")) as PDFRawStream;
        return [
          name.asString(),
          readTable(Buffer.from(decodePDFRawStream(table).decode()).toString("latin1")),
        ];
      }),
    );
    const content = page.node.Contents();
    const streams =
      content instanceof PDFArray
        ? content.asArray().map((each) => document.context.lookup(each))
        : [content];
    const text = streams
      .map((stream) => Buffer.from(decodePDFRawStream(stream as PDFRawStream).decode()).toString("latin1"))
      .join("\n");
    return [...text.matchAll(/(\/\S+) [\d.]+ Tf[\s\S]*?<([0-9A-Fa-f]+)> Tj/g)].map(([, font, hex = ""]) =>
      (hex.match(/.{4}/g) ?? [])
        .map((glyph) => tables.get(font!)?.get(glyph.toUpperCase()) ?? "\ufffd")
        .join(""),
    );
  });
}

/** Glyph to letters, from the lines of a ToUnicode map. */
function readTable(map: string): Map<string, string> {
  const toText = (hex: string) => Buffer.from(hex, "hex").swap16().toString("utf16le");
  return new Map(
    [...map.matchAll(/<([0-9A-Fa-f]{4})> <([0-9A-Fa-f]+)>/g)].map(([, glyph = "", hex = ""]) => [
      glyph.toUpperCase(),
      toText(hex),
    ]),
  );
}

/** The shipped face, as the server reads it. */
export function readShippedFonts(): FontFiles {
  const read = (weight: number) =>
    ["latin", "latin-ext"].map((subset) =>
      readFileSync(
        `node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${subset}-${weight}-normal.woff`,
      ),
    );
  return { plain: read(400), bold: read(700) };
}
