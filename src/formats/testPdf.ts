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

/** What is written on each page, text by text. */
export function readPdfTexts(bytes: Buffer): string[][] {
  return readPdfStreams(bytes)
    .map((stream) =>
      [...stream.matchAll(/<([0-9A-F]+)> Tj/g)].map(([, hex]) =>
        Buffer.from(hex ?? "", "hex").toString("latin1"),
      ),
    )
    .filter((texts) => texts.length > 0);
}
