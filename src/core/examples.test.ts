import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";

/** One `@example` of a comment: what is asked, and what it says comes of it. */
interface Example {
  readonly file: string;
  readonly asked: string;
  readonly told: string;
}

const sources = readdirSync("src/core", { recursive: true, encoding: "utf8" }).filter(
  (file) => file.endsWith(".ts") && !file.endsWith(".test.ts"),
);
const examples = sources.flatMap((file): Example[] =>
  [...readFileSync(path.join("src/core", file), "utf8").matchAll(/@example (.+?) \/\/ (.+)$/gm)].map(
    ([, asked = "", told = ""]) => ({ file, asked, told: told.trim() }),
  ),
);

/** What a call gives: of what may fail its value, of an amount its figure. */
function unwrap(given: unknown): unknown {
  if (typeof given !== "object" || given === null) return given;
  if ("ok" in given && given.ok === false) throw new Error(JSON.stringify(given));
  return "value" in given ? unwrap(given.value) : given;
}

function evaluate({ file, asked }: Example): unknown {
  const room = jest.requireActual<Record<string, unknown>>(path.resolve("src/core", file));
  // The example is a line of this repository, run with what its own file gives.
  const call = new Function(...Object.keys(room), `return ${asked};`) as (...of: unknown[]) => unknown;
  return unwrap(call(...Object.values(room)));
}

test("the core tells what it does by examples, in more than one room", () => {
  expect(examples.length).toBeGreaterThanOrEqual(20);
  expect(new Set(examples.map(({ file }) => path.dirname(file))).size).toBeGreaterThanOrEqual(3);
});

test.each(examples.map((example) => [example.asked, example.told, example] as const))(
  "%s gives %s, as its comment says",
  (_, told, example) => {
    const given = evaluate(example);
    if (told.startsWith('"')) return expect(given).toBe(JSON.parse(told));
    const [figure = "", , decimals = ""] = /^-?\d+(\.(\d+))?/.exec(told) ?? [];
    expect(figure).not.toBe("");
    expect(given).toBeCloseTo(Number(figure), decimals.length);
  },
);
