import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { gzipSync } from "node:zlib";
import { planDay } from "@/core/plan";
import { freezeRun, type RunSheet } from "@/core/run";
import { closeStore, getStore } from "@/data/getStore";
import { listDemoWorld } from "@/demo";
import { toChange } from "@/schemas/change";
import { fromLists, pickRecords } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { GET as getDays } from "./days/route";
import { PUT as putLot } from "./habits/lots/route";
import { POST as bringLog } from "./habits/log/route";
import { GET as getHabits, POST as learnLog, PUT as setHabit } from "./habits/route";
import { GET as getEvents, POST as postEvents } from "./runs/[date]/events/route";
import { GET as getRecord } from "./runs/[date]/record/route";
import { POST as takeRemedy } from "./runs/[date]/remedy/route";
import { GET as getTaught } from "./runs/[date]/taught/route";

const DATE = "2026-11-28";
const OVEN = "oven:lent";
const was = { ...process.env };
let folder: string;

beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-routes-"));
  process.env.TEZGAH_DATA = path.join(folder, "t.db");
  process.env.TEZGAH_NOW = "2026-11-28T18:00:00";
  const changes = listDemoWorld().flatMap(
    ({ kind, record }) => toChange({ kind, id: record.id }, null, record) ?? [],
  );
  const store = getStore();
  store.applyGroups([{ id: "world", changes }], "2026-11-28T03:00:00.000Z");
  const { lists, past } = store.readDay(DATE)!;
  const book = toDayBook(fromLists(lists), DATE, null, { formulasThen: [], past, closed: null })!;
  const sheet = freezeRun(planDay(book), book)!;
  store.runs.freeze(book.day, gzipSync(JSON.stringify(sheet)), "2026-11-28T03:00:00.000Z");
  bake = sheet.jobs.find(({ kind }) => kind === "bake")!;
});
afterAll(() => {
  closeStore();
  process.env = was;
  rmSync(folder, { recursive: true });
});
let bake: RunSheet["jobs"][number];

const at = "http://127.0.0.1:3000/api/v1";
const json = { "content-type": "application/json", host: "127.0.0.1:3000" };
const send = (method: string, to: string, body: unknown, headers: Record<string, string> = json) =>
  new Request(`${at}${to}`, {
    method,
    headers,
    body: typeof body === "string" ? body : JSON.stringify(body),
  });
const of = (date: string) => ({ params: Promise.resolve({ date }) });
const read = async <T>(answer: Response | Promise<Response>) => {
  const response = await answer;
  return { status: response.status, body: (await response.json()) as T };
};
type Faults = { faults: readonly { path: string; message: string }[] };
const event = (kind: string, over: object = {}) => ({
  ...{ id: `${kind}-${JSON.stringify(over)}`, atMin: 400, person: 0, deviceId: "wall" },
  ...{ kind, taskId: bake.taskId, ...over },
});

/** Every route that writes or works out something, as a hostile page or a broken program would ask it. */
const takers: readonly (readonly [string, (request: Request) => Response | Promise<Response>])[] = [
  ["habits", learnLog],
  ["habits", setHabit],
  ["habits/lots", putLot],
  [`runs/${DATE}/events`, (request) => postEvents(request, of(DATE))],
  [`runs/${DATE}/remedy`, (request) => takeRemedy(request, of(DATE))],
];

test.each(takers)(
  "%s: a stranger's page, another type, no JSON and too much are refused with what to do",
  async (to, route) => {
    const refuse = async (body: string, headers: Record<string, string>) => {
      const { status, body: said } = await read<Faults>(route(send("POST", `/${to}`, body, headers)));
      expect(said.faults[0]!.message).toMatch(/\w{3}/);
      return status;
    };
    expect(await refuse("{}", { ...json, origin: "http://evil.example" })).toBe(403);
    expect(await refuse("{}", { ...json, "content-type": "text/plain" })).toBe(415);
    expect(await refuse("{", json)).toBe(400);
    expect(await refuse("null", json)).toBe(400);
    expect(await refuse(`{"x":"${"y".repeat(1_200_000)}"}`, json)).toBe(413);
  },
);

describe("habits", () => {
  type Habits = {
    habits: readonly { habit: string; known: { lots: number; mean: number }; word: object | null }[];
  };
  const known = async () => {
    const { body } = await read<Habits>(getHabits(new Request(`${at}/habits`)));
    return body.habits.find(({ habit }) => habit === OVEN);
  };

  test("a log is brought row by row; what is known counts once; what cannot be says why", async () => {
    const log = `habit,date,planned,real,offC\n${OVEN},2026-11-14,,,6\n${OVEN},2026-11-21,,,8\n${OVEN},2026-11-21,,,900\n`;
    const bring = () =>
      read<{ added: number; known: number; refused: { row: number; message: string }[] }>(
        bringLog(new Request(`${at}/habits/log`, { method: "POST", body: log })),
      );
    const { body } = await bring();
    expect(body).toMatchObject({ added: 2, known: 0, refused: [{ row: 3 }] });
    expect(body.refused[0]!.message).toContain("900 °C");
    expect((await bring()).body).toMatchObject({ added: 0, known: 2 });
    expect(await known()).toMatchObject({ known: { lots: 2 }, word: null });
    expect(
      (await read<Faults>(bringLog(new Request(`${at}/habits/log`, { method: "POST", body: "" })))).status,
    ).toBe(400);
  });

  test("a lot is left out with a word and taken in again; one that was never logged is not found", async () => {
    const before = await known();
    const source = "brought 8";
    const turn = (word: string | null, date = "2026-11-21") =>
      read<Faults>(putLot(send("PUT", "/habits/lots", { habit: OVEN, date, source, word })));
    expect((await turn("door stood open")).status).toBe(200);
    expect((await known())!.known.lots).toBe(1);
    expect((await turn(null)).status).toBe(200);
    expect(await known()).toEqual(before);
    const none = await turn("x", "2026-11-20");
    expect([none.status, none.body.faults[0]!.path]).toEqual([404, "source"]);
    expect((await turn("x", "yesterday")).status).toBe(400);
  });

  test("a habit is set, put back and given back; as a table it is CSV; another form is refused", async () => {
    const set = (to: unknown) => read<Faults>(setHabit(send("PUT", "/habits", { habit: OVEN, to })));
    expect((await set(-7)).status).toBe(200);
    expect((await known())!.known.mean).toBeCloseTo(-7, 3);
    expect((await set(900)).status).toBe(400);
    expect((await set("log")).status).toBe(200);
    expect((await known())!.word).toBeNull();
    const csv = await getHabits(new Request(`${at}/habits?form=csv`));
    expect(csv.headers.get("content-type")).toContain("text/csv");
    expect(await csv.text()).toContain(OVEN);
    expect((await getHabits(new Request(`${at}/habits?form=xml`))).status).toBe(400);
  });

  test("a log that is only asked about is stored nowhere", async () => {
    const log = [{ habit: "oven:asked", date: "2026-11-21", offC: 5 }];
    const { body } = await read<{ habits: { habit: string; lots: number }[] }>(
      learnLog(send("POST", "/habits", { log })),
    );
    expect(body.habits).toEqual([expect.objectContaining({ habit: "oven:asked", lots: 1 })]);
    expect(getStore().habits.know("2027-01-01")["oven:asked"]).toBeUndefined();
  });
});

describe("a run", () => {
  test("of a date without one nothing is given or taken", async () => {
    for (const answer of [
      getEvents(new Request(`${at}/runs/2030-01-01/events`), of("2030-01-01")),
      postEvents(send("POST", "/runs/2030-01-01/events", { events: [] }), of("2030-01-01")),
      getRecord(new Request(`${at}/runs/2030-01-01/record`), of("2030-01-01")),
    ])
      expect((await read<Faults>(answer)).status).toBe(404);
    // It is asked of every day that is made again: nothing taught is no failure.
    expect(await read(getTaught(new Request(`${at}/runs/2030-01-01/taught`), of("2030-01-01")))).toEqual({
      status: 200,
      body: { taught: [] },
    });
  });

  test("events stand each alone: the good are kept once, the others refused with why; what came after a mark is given", async () => {
    const events = [
      event("begun"),
      event("done", { atMin: 426 }),
      event("measured", { measure: "ovenC", value: 9000 }),
      7,
    ];
    const post = () =>
      read<{ kept: string[]; refused: { index: number }[]; seq: number }>(
        postEvents(send("POST", `/runs/${DATE}/events`, { events }), of(DATE)),
      );
    const first = (await post()).body;
    expect([first.kept.length, first.refused.map(({ index }) => index)]).toEqual([2, [2, 3]]);
    expect((await post()).body.seq).toBe(first.seq);
    const get = (after: string) =>
      read<{ events: object[]; seq: number } & Faults>(
        getEvents(new Request(`${at}/runs/${DATE}/events?after=${after}`), of(DATE)),
      );
    expect((await get("0")).body.events).toHaveLength(2);
    expect((await get(String(first.seq))).body.events).toEqual([]);
    expect((await get("soon")).status).toBe(400);
    expect((await read<Faults>(postEvents(send("POST", "/", { events: "all" }), of(DATE)))).status).toBe(400);
  });

  test("what it taught and what became of it is told; the book of days has it at a glance", async () => {
    const reading = event("measured", { measure: "ovenC", value: bake.targets.airC! + 11, atMin: 425 });
    await postEvents(send("POST", `/runs/${DATE}/events`, { events: [reading] }), of(DATE));
    const { body } = await read<{ taught: { habit: string; after: { mean: number } }[] }>(
      getTaught(new Request(`${at}/runs/${DATE}/taught`), of(DATE)),
    );
    const oven = body.taught.find(({ habit }) => habit.startsWith("oven:"))!;
    expect(oven.after.mean).toBeGreaterThan(1);
    const csv = await getRecord(new Request(`${at}/runs/${DATE}/record?form=csv`), of(DATE));
    expect(csv.headers.get("content-type")).toContain("text/csv");
    const days = await read<{ days: { date: string; jobsDone: number }[] }>(
      getDays(new Request(`${at}/days`)),
    );
    expect(days.body.days).toEqual([expect.objectContaining({ date: DATE, jobsDone: 1 })]);
  });

  test("a remedy for the next day changes the piece and leaves this day's sheet as it was", async () => {
    const pieceOf = () =>
      pickRecords(fromLists(getStore().readDay(DATE)!.lists), "piece").find(({ id }) => id === bake.pieceId)!;
    const edition = getStore().runs.find(DATE)!.edition;
    const marginMm = pieceOf().marginMm;
    const change = { kind: "marginMm", byMm: 2 };
    const take = (body: object) =>
      read<Faults>(takeRemedy(send("POST", `/runs/${DATE}/remedy`, body), of(DATE)));
    expect((await take({ pieceId: bake.pieceId, change, from: "next" })).status).toBe(200);
    expect(pieceOf().marginMm).toBe(marginMm + 2);
    expect(getStore().runs.find(DATE)!.edition).toBe(edition);
    expect((await take({ pieceId: "never", change, from: "next" })).status).toBe(404);
    expect((await take({ pieceId: bake.pieceId, change: { kind: "marginMm", byMm: 900 } })).status).toBe(400);
  });
});
