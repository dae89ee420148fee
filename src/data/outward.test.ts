import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { MIGRATIONS, openDemo } from "./__tests__/testStore";
import { createCopies, findCopiesFolder, listCopies } from "./copies";
import { packCopy } from "./copyFile";
import { writeLines } from "./copyLines";
import { looksLikeCopy, openCopy } from "./openCopy";
import { openDatabase } from "./openDatabase";
import { endOutward, isOutwardDue, putOutward, readOutward, setOutward } from "./outward";
import { makeSealKey, sealFile } from "./seal";

let folder: string;
let file: string;
let share: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-outward-"));
  file = path.join(folder, "baker.db");
  share = path.join(folder, "share");
  mkdirSync(share);
  openDemo(file).close();
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

async function makeCopy(at: string): Promise<string> {
  const db = openDatabase(file, MIGRATIONS);
  await createCopies(db, file).make("by hand", new Date(at), async (...input) => packCopy(...input));
  db.close();
  return path.join(findCopiesFolder(file), listCopies(file)[0]!.name);
}

test("a copy goes to the other disk when it is due, and opens there", async () => {
  expect(readOutward(file)).toBeNull();
  expect(isOutwardDue(file, new Date())).toBe(false);
  expect(setOutward(file, { folder: share, everyHours: 24 }, "")).toEqual({ ok: true, value: null });
  expect(isOutwardDue(file, new Date("2026-11-25T12:00:00Z"))).toBe(true);
  const put = putOutward(file, await makeCopy("2026-11-25T12:00:00Z"));
  expect(put).toEqual({ ok: true, value: "tezgah-2026-11-25T12-00-00-000Z-by-hand.zip" });
  expect(readOutward(file)).toMatchObject({
    newestAt: "2026-11-25T12:00:00.000Z",
    fault: null,
    isSealed: false,
  });
  expect(isOutwardDue(file, new Date("2026-11-26T11:59:00Z"))).toBe(false);
  expect(isOutwardDue(file, new Date("2026-11-26T12:00:00Z"))).toBe(true);
  const opened = openCopy(
    path.join(share, readdirSync(share)[0]!),
    path.join(folder, "open.db"),
    MIGRATIONS,
    null,
  );
  expect(opened).toMatchObject({ ok: true, value: { counts: { days: 6 } } });
  endOutward(file);
  expect(readOutward(file)).toBeNull();
  expect(readdirSync(share)).toHaveLength(1);
});

test("sealed, it opens with its passphrase alone, which is kept nowhere; generations are kept there too", async () => {
  setOutward(file, { folder: share, everyHours: 1 }, "plum cake at dawn");
  const setting = `${file}.outward.json`;
  expect(readFileSync(setting, "utf8")).not.toContain("plum");
  expect(statSync(setting).mode & 0o777).toBe(0o600);
  for (let hour = 0; hour < 14; hour++)
    putOutward(file, await makeCopy(`2026-11-25T${String(hour).padStart(2, "0")}:00:00Z`));
  const there = readdirSync(share);
  expect(there.length).toBeLessThan(14);
  expect(there.every((name) => name.endsWith(".zip.sealed"))).toBe(true);
  const copy = path.join(share, there.sort().at(-1)!);
  const open = (passphrase: string | null) =>
    openCopy(copy, path.join(folder, "open.db"), MIGRATIONS, passphrase);
  expect(open(null)).toEqual({ ok: false, failure: expect.stringContaining("give its passphrase") });
  expect(open("plum cake at dusk").ok).toBe(false);
  expect(open("plum cake at dawn")).toMatchObject({ ok: true, value: { counts: { days: 6 } } });
  // Another interval keeps the seal; an empty passphrase takes it off.
  setOutward(file, { folder: share, everyHours: 2 }, null);
  expect(readOutward(file)).toMatchObject({ everyHours: 2, isSealed: true });
  setOutward(file, { folder: share, everyHours: 2 }, "");
  expect(readOutward(file)).toMatchObject({ isSealed: false });
});

test("a share that is not there is said, and never made on the disk beneath it", async () => {
  const fault = (at: string) => {
    const set = setOutward(file, { folder: at, everyHours: 24 }, null);
    return set.ok ? null : set.failure;
  };
  expect(fault("share")).toMatch(/from its root/);
  expect(fault(path.join(folder, "gone"))).toMatch(/There is no folder/);
  const copy = await makeCopy("2026-11-25T12:00:00Z");
  expect(fault(findCopiesFolder(file))).toMatch(/another disk/);
  expect(fault(share)).toBeNull();
  rmSync(share, { recursive: true });
  expect(putOutward(file, copy)).toMatchObject({ ok: false });
  expect(readOutward(file)).toMatchObject({ newestAt: null, fault: expect.stringContaining("no folder") });
  expect(() => statSync(share)).toThrow(/ENOENT/);
});

test("a file that begins as no copy does is told from one without being unpacked", async () => {
  const copy = await makeCopy("2026-11-25T12:00:00Z");
  const lines = path.join(folder, "copy.jsonl");
  writeLines(file, lines, { madeAt: "2026-11-25T12:00:00Z" });
  const sealed = path.join(folder, "copy.sealed");
  sealFile(copy, sealed, makeSealKey("plum cake at dawn"));
  for (const good of [copy, lines, sealed]) expect(looksLikeCopy(good)).toBe(true);
  const other = path.join(folder, "other");
  for (const text of ["", "P", "{", '{"a":1}', "plum cake"]) {
    writeFileSync(other, text);
    expect(looksLikeCopy(other)).toBe(false);
  }
});
