// npm run play [-- DATE [SPEED]]: a demo day run through by a script against a real server and the stand-ins, at so many
// times the time (60). Two people do what the plan says, some of it slowly; three things go wrong, and the oven that is
// used first is dead for an hour. Prints what became of it, and fails if the day does not end or its record has a gap.
import { spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { connect, type Socket } from "node:net";
import { tmpdir } from "node:os";
import path from "node:path";
import type { PlacedReading } from "@/core/readings";
import { followRun, openSheet, UNTOUCHED, type Followed, type RunEvent, type RunRecord } from "@/core/run";
import { createRandom } from "@/core/seededRandom";
import { formatClock, formatDuration, formatNumber } from "@/core/units";

const [date = "2026-12-05", speedText = "60"] = process.argv.slice(2);
const speed = Number(speedText);
const PORT = 3461;
const DEVICE_PORT = 4561;
const BASE = `http://127.0.0.1:${PORT}`;
/** The day is looked at so often, ms. */
const TICK_MS = 250;
/** The script comes in so long before the first job, min. */
const EARLY_MIN = 5;
/** One job in five is done slowly, by up to so many minutes. */
const SLOW_SHARE = 0.2;
const SLOWEST_MIN = 6;
const DEAD_MIN = 60;
/** An oven is hot within so much of its setting, °C. */
const HOT_WITHIN_C = 10;
const PORTION_SPREAD = 0.04;
/** Nothing of a demo day lasts longer than this past its plan, min. */
const LATEST_MIN = 240;

const random = createRandom(5);
const json = { "content-type": "application/json" };
const sleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

async function main(): Promise<boolean> {
  const folder = mkdtempSync(path.join(tmpdir(), "tezgah-play-"));
  const file = path.join(folder, "play.db");
  const children: { kill: () => void }[] = [];
  const run = (command: string, args: string[], env: Record<string, string> = {}) => {
    const child = spawn(command, args, { stdio: "ignore", detached: true, env: { ...process.env, ...env } });
    const kill = () => {
      try {
        process.kill(-child.pid!, "SIGKILL");
      } catch {
        // It is gone already.
      }
    };
    children.push({ kill });
    return { child, kill };
  };
  const serve = (now: string, at: string) =>
    run(process.execPath, ["scripts/serve.mjs"], {
      PORT: String(PORT),
      TEZGAH_DATA: file,
      TEZGAH_NOW: now,
      TEZGAH_SPEED: at,
      TEZGAH_DEVICES: `127.0.0.1:${DEVICE_PORT}`,
      NEXT_TELEMETRY_DISABLED: "1",
    });
  try {
    const { child } = run("npx", ["tsx", "scripts/seedDemo.ts", file]);
    await new Promise((resolve) => child.once("exit", resolve));
    const early = serve(`${date}T00:00:00`, "0");
    await untilAnswers();
    await post("", {});
    const sheet = openSheet(await (await fetch(`${BASE}/api/v1/runs/${date}`)).text());
    const firstMin = Math.min(...sheet.placed.map(({ startMin }) => startMin));
    early.kill();
    await sleep(500);
    run("npx", ["tsx", "scripts/devices.ts", String(DEVICE_PORT), speedText]);
    const kitchen = await openKitchen();
    const openMin = firstMin - EARLY_MIN;
    const startedMs = performance.now();
    serve(new Date(Date.parse(`${date}T00:00:00Z`) + openMin * 60_000).toISOString().slice(0, 19), speedText);
    await untilAnswers();
    return await play(sheet, kitchen, () => openMin + ((performance.now() - startedMs) * speed) / 60_000);
  } finally {
    for (const { kill } of children) kill();
    rmSync(folder, { recursive: true, force: true });
  }
}

async function untilAnswers(): Promise<void> {
  for (let tries = 0; tries < 200; tries++) {
    const status = await fetch(BASE).then(
      (answer) => answer.status,
      () => 0,
    );
    if (status > 0) return;
    await sleep(200);
  }
  throw new Error("The server does not answer. Build first: npm run build.");
}

async function openKitchen(): Promise<Socket> {
  for (;;) {
    const socket = connect(DEVICE_PORT, "127.0.0.1");
    const isThere = await new Promise<boolean>((resolve) =>
      socket.once("connect", () => resolve(true)).once("error", () => resolve(false)),
    );
    if (isThere) return socket.on("error", () => undefined);
    await sleep(200);
  }
}

const post = (where: string, body: object) =>
  fetch(`${BASE}/api/v1/runs/${date}${where}`, { method: "POST", headers: json, body: JSON.stringify(body) });

type Sheet = ReturnType<typeof openSheet>;
type Told = Omit<RunEvent, "id" | "deviceId" | "atMin"> & Record<string, unknown>;

async function play(sheet: Sheet, kitchen: Socket, clock: () => number): Promise<boolean> {
  const follower = followRun(sheet);
  const events: RunEvent[] = [];
  const extras = new Map<string, number>();
  const bakes = sheet.jobs.filter(({ kind }) => kind === "bake");
  const startOf = new Map(sheet.placed.map((each) => [each.taskId, each.startMin]));
  const first = bakes.sort((a, b) => startOf.get(a.taskId)! - startOf.get(b.taskId)!)[0];
  const [filled, , closed] = sheet.jobs.filter(({ kind }) => kind === "fill" || kind === "seal");
  const rolled = sheet.jobs.find(({ drawing }) => drawing?.kind === "sheet" && !drawing.sheet.isDecoration);
  const extraOf = (taskId: string) => {
    const known =
      extras.get(taskId) ??
      (taskId === first?.taskId ? DEAD_MIN : random() < SLOW_SHARE ? Math.ceil(random() * SLOWEST_MIN) : 0);
    extras.set(taskId, known);
    return known;
  };
  const wrongs: Record<string, Told> = {
    [filled?.taskId ?? ""]: { kind: "wrong", mishap: "dropped", count: 2, word: "", isLost: true, person: 0 },
    [closed?.taskId ?? ""]: { kind: "wrong", mishap: "torn", count: 1, word: "", isLost: false, person: 1 },
    [rolled?.taskId ?? ""]: {
      kind: "measured",
      measure: "cutCount",
      value: Math.max((rolled?.pieces ?? 1) - 1, 0),
      person: 0,
    },
  };
  const lastMin = Math.max(...startOf.values()) + LATEST_MIN;
  let readings = 0;
  let slowestMs = 0;
  let day: Followed | null = null;
  const hand = (act: object) => kitchen.write(`${JSON.stringify(act)}\n`);
  for (let nowMin = clock(); nowMin < lastMin; nowMin = clock()) {
    const news: RunEvent[] = [];
    const tell = (event: Told) =>
      news.push({
        ...event,
        id: `play-${events.length + news.length}`,
        atMin: nowMin,
        deviceId: "play",
      } as RunEvent);
    const placed = await fetchReadings();
    day ??= follower.follow(events, nowMin).now;
    const { retimed, state, sheet: now } = day;
    const jobOf = new Map(now.jobs.map((job) => [job.taskId, job]));
    for (const { taskId, startMin } of retimed.schedule.placed) {
      const job = jobOf.get(taskId);
      const { begunMin, doneMin } = state.tasks[taskId] ?? UNTOUCHED;
      if (!job || doneMin !== null) continue;
      const own = placed.filter(
        ({ device }) => device.machineId !== null && device.machineId === job.targets.machineId,
      );
      const heat = own.find((each) => each.state === "fresh");
      if (begunMin === null) {
        if (startMin > nowMin) continue;
        if (job.targets.heatC !== null && heat) {
          hand(
            job.kind === "fry"
              ? { do: "fryer", heatC: job.targets.heatC }
              : { do: "oven", heatC: job.targets.heatC },
          );
          if (heat.value < job.targets.heatC - HOT_WITHIN_C) continue;
        }
        if (job.kind === "fry" && heat) {
          tell({ kind: "measured", taskId, measure: "oilC", value: heat.value, person: job.person });
          readings++;
        }
        tell({ kind: "begun", taskId, person: job.person });
        if (taskId === first?.taskId) {
          hand({ do: "oven", heatC: 22 });
          tell({ kind: "more", taskId, minutes: DEAD_MIN, person: job.person });
        }
        if (job.targets.portionG !== null)
          hand({ do: "lay", massG: job.targets.portionG * (1 + PORTION_SPREAD * (2 * random() - 1)) });
        continue;
      }
      const mode = now.problem.tasks.find(({ id }) => id === taskId)?.modes[
        retimed.laid.find((each) => each.taskId === taskId)?.mode ?? 0
      ];
      if (nowMin < begunMin + (mode?.durationMin ?? job.plannedMin) + extraOf(taskId)) continue;
      const scale = placed.find(
        ({ device, state: isFresh }) => device.use === "scale" && isFresh === "fresh",
      );
      if (job.targets.portionG !== null && scale?.state === "fresh" && scale.value > 0) {
        tell({ kind: "measured", taskId, measure: "massG", value: scale.value, person: job.person });
        readings++;
      }
      if (job.kind === "bake" && heat) {
        tell({ kind: "measured", taskId, measure: "ovenC", value: heat.value, person: job.person });
        readings++;
      }
      const wrong = wrongs[taskId];
      if (wrong) tell({ ...wrong, taskId });
      tell({ kind: "done", taskId, person: job.person });
      if (taskId === first?.taskId && first.targets.heatC !== null)
        hand({ do: "oven", heatC: first.targets.heatC });
    }
    if (news.length > 0) {
      events.push(...news);
      const sent = (await (await post("/events", { events: news })).json()) as { refused: unknown[] };
      if (sent.refused.length > 0) throw new Error(`Refused: ${JSON.stringify(sent.refused[0])}`);
    }
    const before = performance.now();
    day = follower.follow(events, nowMin).now;
    slowestMs = Math.max(slowestMs, performance.now() - before);
    if (day.sheet.jobs.every(({ taskId }) => (day?.state.tasks[taskId]?.doneMin ?? null) !== null)) break;
    await sleep(TICK_MS);
  }
  return await tellEnd(sheet, extras, readings, slowestMs);
}

type Fresh = Extract<PlacedReading, { state: "fresh" }>;
async function fetchReadings(): Promise<readonly Fresh[]> {
  const { placed } = (await (await fetch(`${BASE}/api/v1/readings`)).json()) as { placed: PlacedReading[] };
  return placed.filter((each): each is Fresh => each.state === "fresh");
}

async function tellEnd(
  sheet: Sheet,
  extras: ReadonlyMap<string, number>,
  readings: number,
  slowestMs: number,
): Promise<boolean> {
  const record = (await (await fetch(`${BASE}/api/v1/runs/${date}/record`)).json()) as RunRecord;
  const needed = record.rows.filter(
    ({ pieces, begunMin, job }) => begunMin !== null || pieces > 0 || job.pieces === 0,
  );
  const gaps = needed.filter(({ begunMin, doneMin }) => begunMin === null || doneMin === null);
  const lostMin = [...extras.values()].reduce((sum, each) => sum + each, 0);
  const late = sheet.problem.tasks.flatMap(({ id, dueMin }) => {
    const row = record.rows.find(({ job }) => job.taskId === id);
    const lateMin = dueMin === null || !row || row.doneMin === null ? 0 : row.doneMin - dueMin;
    return lateMin > 0 ? [{ title: row!.job.title, lateMin }] : [];
  });
  console.log(
    `${record.dayName}: ${needed.length - gaps.length} of ${needed.length} jobs done, ${readings} readings kept.`,
  );
  console.log(`Lost to slow hands and a dead oven: ${formatDuration(lostMin)} over ${extras.size} jobs.`);
  console.log(
    `Went wrong: ${Object.entries(record.faults)
      .map(([name, n]) => `${n} ${name}`)
      .join(", ")}.`,
  );
  for (const { pieceId, dueMin, promised, made } of record.short)
    console.log(`Short: ${record.names[pieceId]} ${made} of ${promised} for ${formatClock(dueMin)}.`);
  for (const { title, lateMin } of late) console.log(`Late: ${title}, ${formatDuration(lateMin)}.`);
  if (late.length === 0) console.log("Every promise was kept.");
  for (const { job } of gaps) console.log(`A gap in the record: ${job.title}.`);
  console.log(`Longest re-timing ${formatNumber(slowestMs)} ms.`);
  const worst = late.reduce((most, { lateMin }) => Math.max(most, lateMin), 0);
  return gaps.length === 0 && worst <= lostMin;
}

main().then(
  (isWell) => {
    process.exitCode = isWell ? 0 : 1;
  },
  (error: unknown) => {
    console.error(error);
    process.exitCode = 1;
  },
);
