// Scripts and styles are packed by the build, once and well, and sent as they are: packed for each browser that comes
// they cost the server more than the page itself, on the way to its first use. Node's own modules only.
import { readFileSync, writeFileSync } from "node:fs";
import { brotliCompressSync, constants, gzipSync } from "node:zlib";

/** Of eleven steps: within two parts in a hundred of the last one's size, in a third of its time. */
const BROTLI_QUALITY = 10;

/** How parts are packed, what browsers call it, and what their files end in: the first that a browser can unpack is sent. */
export const packings = [
  {
    coding: "br",
    suffix: "br",
    pack: (bytes) =>
      brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: BROTLI_QUALITY } }),
  },
  // What browsers ask for of a server in the house that has no certificate.
  { coding: "gzip", suffix: "gz", pack: (bytes) => gzipSync(bytes, { level: 9 }) },
];

/** What is packed, by its files' ending: the rest of the parts, letters and pictures, is packed already. */
export const packedTypes = {
  js: "application/javascript; charset=UTF-8",
  css: "text/css; charset=UTF-8",
};

/** Lays the packed ones beside each file. */
export function packFiles(files) {
  for (const file of files) {
    const bytes = readFileSync(file);
    for (const { suffix, pack } of packings) writeFileSync(`${file}.${suffix}`, pack(bytes));
  }
}
