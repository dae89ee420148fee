import { execFileSync } from "node:child_process";
import { readdirSync, readFileSync, statSync } from "node:fs";
import { expect, test } from "@playwright/test";

/** Every command in docs/api.md, run as it stands but for the address. */
const commands = [...readFileSync("docs/api.md", "utf8").matchAll(/```sh\n(curl [\s\S]*?)```/g)].map(
  ([, command = ""]) => command.trim(),
);

test("every curl line of the handbook answers with what it says", ({ baseURL }) => {
  expect(commands.length).toBeGreaterThanOrEqual(10);
  const texts = commands.map((command) =>
    execFileSync("bash", ["-c", command.replaceAll("http://127.0.0.1:3000", baseURL!)], { encoding: "utf8" }),
  );
  const [drawings, documents] = [
    texts.filter((text) => text.startsWith("<svg")),
    texts.filter((text) => text.startsWith("{")),
  ];
  expect(drawings).toEqual([expect.stringContaining('width="448mm"')]);
  expect(drawings.length + documents.length).toBe(commands.length);
  const answers = documents.map((text) => JSON.parse(text));
  // Eight rounds of 100 mm need 293.2 mm (best known): 293 holds seven, where rows hold six.
  expect(answers).toContainEqual(expect.objectContaining({ count: 7, upperBound: 9 }));
  // Tops and bases on one sheet: as many of each, and more of each than half the sheet would give.
  expect(answers).toContainEqual(expect.objectContaining({ sets: 19, upperBound: null }));
  expect(answers).toContainEqual(
    expect.objectContaining({ leastDough: expect.objectContaining({ sheets: expect.any(Array) }) }),
  );
  expect(answers).toContainEqual(
    expect.objectContaining({
      count: expect.any(Number),
      lowCount: expect.any(Number),
      plan: expect.any(Object),
    }),
  );
  // An oven that is 18 degrees below its setting leaves them pale.
  const pale = answers.find((answer) => "otherwise" in answer) as {
    causes: { id: string; probability: number }[];
  };
  expect(pale.causes[0]!.id).toBe("cool");
  expect(pale.causes[0]!.probability).toBeGreaterThan(0.8);
  // Five staggered rows of six: 5.5 · 90 ≤ 530 and 4 · 77.9 ≤ 340. Oler: 25.7 + 9.7 + 1 = 36.
  expect(answers).toContainEqual(expect.objectContaining({ count: 30, upperBound: 36 }));
  expect(answers).toContainEqual(expect.objectContaining({ trimG: 0, kind: "wrapped" }));
  expect(answers).toContainEqual(
    expect.objectContaining({
      inclusionsG: 5.5,
      parts: [expect.anything(), expect.objectContaining({ role: "layer" })],
    }),
  );
  expect(answers).toContainEqual(
    expect.objectContaining({ seal: expect.objectContaining({ marks: 19 }), hold: expect.anything() }),
  );
  expect(answers).toContainEqual(expect.objectContaining({ largestLoad: expect.any(Number) }));
  expect(answers).toContainEqual(
    expect.objectContaining({ faults: expect.any(Array), to21Min: expect.any(Number) }),
  );
  expect(answers).toContainEqual(expect.objectContaining({ surfaceWPerM2K: expect.any(Number) }));
  // Bake at 375 to 400 and roll at 335, or sooner: the day from the first hands to the last cannot be shorter.
  expect(answers).toContainEqual(
    expect.objectContaining({ gap: 0, schedule: expect.objectContaining({ late: [], brokenWaits: [] }) }),
  );
  // Rolled in 31 minutes instead of 20: filled from 512 on, it is 7 minutes late.
  expect(answers).toContainEqual(
    expect.objectContaining({
      late: [expect.objectContaining({ taskId: "fill", lateMin: 7 })],
      view: expect.objectContaining({ now: expect.objectContaining({ taskId: "fill", startMin: 512 }) }),
    }),
  );
  expect(answers).toContainEqual({ heard: 1 });
  expect(answers).toContainEqual(expect.objectContaining({ kept: ["handbook-1"], refused: [] }));
  expect(answers).toContainEqual(
    expect.objectContaining({ notes: ["new flour"], rows: expect.any(Array), doneCount: 0 }),
  );
  expect(answers).toContainEqual(expect.objectContaining({ tally: expect.objectContaining({ ready: 26 }) }));
  expect(answers).toContainEqual({
    faults: [expect.objectContaining({ path: "outlines.0.outline.diameterMm" })],
  });
  expect(answers).toContainEqual(
    expect.objectContaining({
      lines: expect.arrayContaining([expect.objectContaining({ name: "salt", massG: 4 })]),
    }),
  );
  expect(answers).toContainEqual(
    expect.objectContaining({ change: expect.stringContaining("2 eggs instead of 1.66") }),
  );
  expect(answers).toContainEqual(
    expect.objectContaining({ fridge: expect.objectContaining({ coreReadyMin: expect.any(Number) }) }),
  );
});

test("a square a hair too small for its fruit is refused with the one that closes", async ({ request }) => {
  const blanks = (sideMm: number) =>
    request.post("/api/v1/piece/blanks", {
      data: {
        form: { kind: "wrapped", fruitMm: 70, fruitHeightMm: 70, footMm: 0, coreMm: 16, overlapMm: 10 },
        cut: { kind: "square", sideMm },
        thicknessMm: 4,
        marginMm: 8,
        plumpness: 0.9,
        densityGPerMl: 1.2,
      },
    });
  // √2 · (π · 35 + π · 4 / 2 + 10 / 2), up to the next half millimetre, as it is set; √2 · (π · 35 + π · 4 / 2) at least.
  expect((await (await blanks(171.5)).json()).doubts).toEqual([]);
  const doubted = await (await blanks(171)).json();
  expect(doubted.doubts).toEqual([expect.objectContaining({ code: "cornersShort" })]);
  const refused = await blanks(164);
  expect([refused.status(), (await refused.json()).faults[0].message]).toEqual([
    400,
    expect.stringContaining("must be 164.5 mm"),
  ]);
});

test("malformed, unknown and oversized documents are refused precisely", async ({ request }) => {
  const post = (path: string, data: string) =>
    request.post(path, { data: Buffer.from(data), headers: { "content-type": "application/json" } });
  const broken = await post("/api/v1/plan", "{");
  expect([broken.status(), (await broken.json()).faults[0].message]).toEqual([
    400,
    expect.stringContaining("no JSON"),
  ]);
  const empty = await post("/api/v1/plan", "{}");
  expect(empty.status()).toBe(400);
  expect((await empty.json()).faults.map(({ path }: { path: string }) => path)).toEqual(
    expect.arrayContaining(["day", "orders", "bench"]),
  );
  const small = await post(
    "/api/v1/cut/layout",
    JSON.stringify({
      outlines: [{ outline: { kind: "disc", diameterMm: 200 } }],
      sheet: { widthMm: 150, heightMm: 300 },
    }),
  );
  expect([small.status(), (await small.json()).faults[0].message]).toEqual([
    400,
    expect.stringContaining("50 mm too narrow"),
  ]);
  for (const path of ["/api/v1/chill", "/api/v1/formula/scale", "/api/v1/formula/parse"]) {
    const bare = await post(path, "{}");
    expect([path, bare.status()]).toEqual([path, 400]);
  }
  const huge = await post("/api/v1/plan", JSON.stringify({ day: "x".repeat(1_100_000) }));
  expect(huge.status()).toBe(413);
});

test("scripts and styles go over packed as a browser can unpack them, and are what was built", async ({
  request,
}, { project }) => {
  const folder = ".next/static/chunks";
  const files = readdirSync(folder).filter((name) => /\.(js|css)$/.test(name));
  const script = files.find((name) => name.endsWith(".js"))!;
  const styles = files.find((name) => name.endsWith(".css"))!;
  for (const [accepted, coding] of [
    ["gzip, deflate, br, zstd", "br"],
    ["gzip, deflate", "gzip"],
    ["gzip;q=1.0, br;q=0", "gzip"],
    ["identity", undefined],
  ] as const)
    for (const [name, type] of [
      [script, "application/javascript"],
      [styles, "text/css"],
    ] as const) {
      const answer = await request.get(`${project.use.baseURL}/_next/static/chunks/${name}`, {
        headers: { "accept-encoding": accepted },
      });
      const { "content-encoding": told, "content-type": kind, vary, ...headers } = answer.headers();
      expect([accepted, name, told]).toEqual([accepted, name, coding]);
      expect(kind).toContain(type);
      expect(vary).toMatch(/accept-encoding/i);
      expect(headers["cache-control"]).toContain("immutable");
      const built = readFileSync(`${folder}/${name}`);
      expect(Buffer.compare(await answer.body(), built)).toBe(0);
      if (coding) expect(Number(headers["content-length"])).toBeLessThan(built.length);
    }
});

test("the first page asks for few scripts, light ones, and has its frame compiled while it comes in", async ({
  request,
}) => {
  const answer = await request.get("/day/2026-12-05/orders");
  const tags = (await answer.text()).match(/<script [^>]*src="[^"]+\.js"[^>]*>/g) ?? [];
  const addresses = tags.filter((tag) => !/nomodule/i.test(tag)).map((tag) => /src="([^"]+)"/.exec(tag)![1]!);
  expect(addresses.length).toBeGreaterThan(3);
  expect(addresses.length).toBeLessThanOrEqual(13);
  const files = addresses.map((address) => address.replace("/_next/", ".next/"));
  const packedBytes = files.map((file) => statSync(`${file}.br`).size);
  expect(packedBytes.reduce((sum, bytes) => sum + bytes, 0)).toBeLessThan(250_000);
  const isLarge = (text: string) => text.length >= 100_000;
  const atOnce = files
    .map((file) => readFileSync(file, "utf8"))
    .filter((text) => text.startsWith("//# allFunctionsCalledOnLoad\n"));
  expect(atOnce.filter(isLarge).length).toBe(atOnce.length);
  expect(atOnce.length).toBe(2);
});
