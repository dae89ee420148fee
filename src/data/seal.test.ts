import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { createRandom } from "@/core/seededRandom";
import { isSealed, makeSealKey, sealFile, unsealFile } from "./seal";

let folder: string;
const at = (name: string) => path.join(folder, name);
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-seal-"));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const key = makeSealKey("plum cake at dawn");
const PART = 1 << 20;

test("what is sealed comes back byte for byte, at and around the length of a part; nothing of it is read without", () => {
  const random = createRandom(3);
  for (const bytes of [0, 1, 1000, PART - 1, PART, PART + 1, 2 * PART + 17]) {
    const plain = Buffer.from(Uint8Array.from({ length: bytes }, () => Math.floor(random() * 256)));
    writeFileSync(at("plain"), plain);
    sealFile(at("plain"), at("sealed"), key);
    expect(isSealed(at("sealed"))).toBe(true);
    expect(isSealed(at("plain"))).toBe(false);
    expect(unsealFile(at("sealed"), at("open"), "plum cake at dawn")).toEqual({ ok: true, value: null });
    expect(readFileSync(at("open")).equals(plain)).toBe(true);
  }
  writeFileSync(at("plain"), "Ayla Morgen, 24 quince half-moons");
  sealFile(at("plain"), at("sealed"), key);
  expect(readFileSync(at("sealed")).includes("quince")).toBe(false);
  const first = readFileSync(at("sealed"));
  sealFile(at("plain"), at("sealed"), key);
  expect(readFileSync(at("sealed")).equals(first)).toBe(false);
});

test("another passphrase, a bit turned, parts moved or cut off: it stays shut and nothing is left", () => {
  const plain = Buffer.alloc(2 * PART + 100, 7);
  writeFileSync(at("plain"), plain);
  sealFile(at("plain"), at("sealed"), key);
  const sealed = readFileSync(at("sealed"));
  const head = sealed.indexOf("\n") + 1;
  const part = 4 + 12 + PART + 16;
  const pieces = [sealed.subarray(head, head + part), sealed.subarray(head + part, head + 2 * part)];
  const turned = Buffer.from(sealed);
  turned[head + part + 50]! ^= 1;
  const cases: readonly (readonly [string, Buffer])[] = [
    ["turned", turned],
    [
      "moved",
      Buffer.concat([sealed.subarray(0, head), pieces[1]!, pieces[0]!, sealed.subarray(head + 2 * part)]),
    ],
    ["last cut off", sealed.subarray(0, head + 2 * part)],
    ["first cut out", Buffer.concat([sealed.subarray(0, head), sealed.subarray(head + part)])],
    ["in the middle", sealed.subarray(0, head + part + 99)],
    [
      "a head that asks for all memory",
      Buffer.from(sealed.toString("latin1").replace('"N":65536', '"N":99999999'), "latin1"),
    ],
    ["nothing", Buffer.from("TZSEALED")],
  ];
  for (const [name, bytes] of cases) {
    writeFileSync(at("bad"), bytes);
    expect([name, unsealFile(at("bad"), at("open2"), "plum cake at dawn").ok]).toEqual([name, false]);
    expect(existsSync(at("open2"))).toBe(false);
  }
  expect(unsealFile(at("sealed"), at("open2"), "plum cake at dusk")).toMatchObject({
    ok: false,
    failure: expect.stringContaining("not its passphrase"),
  });
});
