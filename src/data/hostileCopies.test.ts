import type fs from "node:fs";
import {
  closeSync,
  existsSync,
  mkdtempSync,
  openSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
  writeSync,
} from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { zipSync } from "fflate";
import { unpackCopy } from "./copyFile";
import { writeAll } from "./writeAll";

jest.mock("node:fs", () => {
  const real = jest.requireActual<typeof fs>("node:fs");
  return { ...real, writeSync: jest.fn(real.writeSync) };
});

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-hostile-"));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** Bytes that were written so far. */
const written = () => jest.mocked(writeSync).mock.results.reduce((sum, { value }) => sum + Number(value), 0);
const LATEST = 23;

/** A packed copy whose manifest says one thing and whose data is another. */
function bomb(told: number, data: Uint8Array, isDataFirst = false): string {
  const manifest = {
    ...{ format: "tezgah-copy", formatVersion: 1, dataVersion: LATEST, madeAt: "", why: "", bytes: told },
    ...{ sha256: "", counts: {}, firstDay: null, lastDay: null },
  };
  const parts: [string, Uint8Array][] = [
    ["manifest.json", new TextEncoder().encode(JSON.stringify(manifest))],
    ["tezgah.db", data],
  ];
  const file = path.join(folder, `bomb-${told}-${isDataFirst}.zip`);
  writeFileSync(file, zipSync(Object.fromEntries(isDataFirst ? parts.toReversed() : parts), { level: 9 }));
  return file;
}
const MB = 1 << 20;

test("an archive that unpacks to more than it tells, or to far more than data does, is stopped while it unpacks", () => {
  const target = path.join(folder, "target.db");
  const zeros = new Uint8Array(200 * MB);
  expect(statSync(bomb(1000, zeros)).size).toBeLessThan(MB);
  for (const [copy, words] of [
    [bomb(1000, zeros), /more than it says/],
    [bomb(zeros.length, zeros), /far more than a copy/],
    [bomb(zeros.length, zeros, true), /more than it says/],
  ] as const) {
    const before = written();
    expect(unpackCopy(copy, target)).toMatchObject({ ok: false, failure: expect.stringMatching(words) });
    expect(written() - before).toBeLessThan(16 * MB);
    expect(existsSync(target)).toBe(false);
  }
});

test("a disk that takes a part at a time gets all of it, and one that takes nothing is full", () => {
  const file = path.join(folder, "part");
  const out = openSync(file, "w");
  const write = jest.mocked(writeSync);
  const real = jest.requireActual<typeof fs>("node:fs").writeSync;
  write.mockImplementation(((to: number, bytes: Uint8Array, at: number, length: number) =>
    real(to, bytes, at, Math.min(length, 3))) as typeof writeSync);
  writeAll(out, "plum cake");
  expect(readFileSync(file, "utf8")).toBe("plum cake");
  write.mockReturnValue(0);
  expect(() => writeAll(out, "more")).toThrow("nothing more");
  write.mockImplementation(real);
  closeSync(out);
});
