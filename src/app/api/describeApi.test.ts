import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import SwaggerParser from "@apidevtools/swagger-parser";
import Ajv2020 from "ajv/dist/2020";
import type Joi from "joi";
import { apiRoutes } from "./apiRoutes";
import { describeApi, toJsonSchema } from "./describeApi";

const ROOT = "src/app/api/v1";

/** Every method of every route file below the API, `[date]` as `{date}`. */
function listHandlers(folder = ROOT): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const at = path.join(folder, entry.name);
    if (entry.isDirectory()) return listHandlers(at);
    if (entry.name !== "route.ts") return [];
    const address = folder.slice(ROOT.length).replaceAll(/\[(\w+)\]/g, "{$1}");
    return [...readFileSync(at, "utf8").matchAll(/^export const (GET|POST|PUT|PATCH|DELETE)\b/gm)].map(
      ([, method]) => `${method!.toLowerCase()} ${address}`,
    );
  });
}

/** The handbook's commands that send JSON: each to its route. */
const commands = [
  ...readFileSync("docs/api.md", "utf8").matchAll(
    /curl -s \S*\/api\/v1(\/\S+) -H 'content-type: application\/json' -d '([\s\S]*?)'\s*(?:\||```)/g,
  ),
].map(
  ([, address, body]) =>
    [address!.replace(/\d{4}-\d\d-\d\d/, "{date}"), JSON.parse(body!) as object] as const,
);

const ajv = new Ajv2020({ strict: false, allErrors: true, validateFormats: false });
const schemaOf = (address: string) =>
  apiRoutes.find(({ path: at, method }) => at === address && method === "post")?.takes;

test("every route is described, and nothing that is no route", () => {
  const described = apiRoutes.map(({ method, path: address }) => `${method} ${address}`);
  expect(described.toSorted()).toEqual(listHandlers().toSorted());
});

test("it is OpenAPI 3.1 by the standard's own schema", async () => {
  await expect(SwaggerParser.validate(describeApi() as never)).resolves.toMatchObject({
    openapi: "3.1.0",
  });
});

test("operations have names of their own", () => {
  const { paths } = describeApi() as { paths: Record<string, Record<string, { operationId: string }>> };
  const names = Object.values(paths).flatMap((each) =>
    Object.values(each).map(({ operationId }) => operationId),
  );
  expect(new Set(names).size).toBe(names.length);
  for (const name of names) expect(name).toMatch(/^(get|post|put)[A-Z][A-Za-z]*$/);
});

test("each command of the handbook that sends JSON is found", () =>
  expect(commands.length).toBeGreaterThan(15));

test("the handbook's documents are right but for the one that shows what a refusal looks like", () => {
  const wrong = commands.filter(([address, body]) => (schemaOf(address) as Joi.Schema).validate(body).error);
  expect(wrong.map(([address]) => address)).toEqual(["/cut/layout"]);
});

test.each(commands)(
  "what the handbook sends to %s is right by its schema, and as little of it wrong is not",
  (address, body) => {
    const takes = schemaOf(address);
    if (takes === undefined || takes === "text") throw new Error(`${address} takes no document`);
    const isRight = ajv.compile(toJsonSchema(takes));
    // One of them is there to be refused.
    expect([isRight(body), isRight.errors]).toEqual(
      takes.validate(body).error ? [false, expect.anything()] : [true, null],
    );
    // A field that nobody knows, by both.
    const strange = { ...body, plumCake: 1 };
    const isKnown = takes.validate(strange).error === undefined;
    expect(isRight(strange)).toBe(isKnown);
    // What must be there, left out: wherever the schema asks for it, so does the check.
    for (const field of Object.keys(body)) {
      const rest = Object.fromEntries(Object.entries(body).filter(([name]) => name !== field));
      expect([field, isRight(rest)]).toEqual([field, takes.validate(rest).error === undefined]);
    }
  },
);
