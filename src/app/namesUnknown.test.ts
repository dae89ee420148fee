import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { openFile } from "@/data/dataFile";
import { closeStore, getStore } from "@/data/getStore";
import { listDemoWorld } from "@/demo";
import { toChange } from "@/schemas/change";
import { namesUnknown } from "./namesUnknown";

const was = { ...process.env };
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-names-"));
  process.env.TEZGAH_DATA = path.join(folder, "t.db");
});
afterAll(() => {
  closeStore();
  process.env = was;
  rmSync(folder, { recursive: true });
});

const UNKNOWN = [
  "/day/2026-11-28/piece/nobodys",
  "/day/2026-11-28/weigh/nobodys",
  "/day/2026-11-28/rest/x/y",
];

test("as long as no file is open nothing is called unknown, and none is opened to find out", () => {
  expect(UNKNOWN.map(namesUnknown)).toEqual([false, false, false]);
  expect(openFile.tezgahFile).toBeUndefined();
});

test("pages of a piece and of a formula that there is not are unknown; all other addresses are left to their pages", () => {
  const changes = listDemoWorld().flatMap(
    ({ kind, record }) => toChange({ kind, id: record.id }, null, record) ?? [],
  );
  getStore().applyGroups([{ id: "world", changes }], "2026-11-20T12:00:00.000Z");
  expect(UNKNOWN.map(namesUnknown)).toEqual([true, true, true]);
  const known = [
    "/day/2026-11-28/piece/leek-triangle",
    "/day/2026-11-28/formula/bay-shortcrust",
    "/day/2026-11-28/orders",
    "/days",
    "/api/v1/openapi.json",
  ];
  expect(known.map(namesUnknown)).toEqual(known.map(() => false));
  // A formula's name names no piece.
  expect(namesUnknown("/day/2026-11-28/piece/bay-shortcrust")).toBe(true);
});

test("a file that falls ill is said by the page; what is no fault of the file is not swallowed", () => {
  const opened = openFile.tezgahFile!;
  const failing = (error: unknown) => ({
    ...opened,
    store: {
      ...opened.store,
      holds: () => {
        throw error;
      },
    },
  });
  try {
    openFile.tezgahFile = failing(Object.assign(new Error("disk"), { code: "SQLITE_CORRUPT" }));
    expect(namesUnknown(UNKNOWN[0]!)).toBe(false);
    openFile.tezgahFile = failing(new RangeError("a mistake of ours"));
    expect(() => namesUnknown(UNKNOWN[0]!)).toThrow("a mistake of ours");
  } finally {
    openFile.tezgahFile = opened;
  }
});
