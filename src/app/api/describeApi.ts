import type Joi from "joi";
import { readVersion } from "../version";
import { apiRoutes, type ApiRoute } from "./apiRoutes";

/** What Joi tells of itself: JSON Schema as OpenAPI 3.1 takes it. */
const TARGET = "draft-2020-12";

interface JsonSchemaSource {
  readonly jsonSchema: { input(options: { readonly target: string }): object };
}

/** A schema as JSON Schema 2020-12: as it is sent, so that what has a default may be left out. */
export const toJsonSchema = (schema: Joi.Schema): object =>
  closeChoices(
    (schema as unknown as { readonly "~standard": JsonSchemaSource })["~standard"].jsonSchema.input({
      target: TARGET,
    }),
  ) as object;

/** Without the empty choice that Joi writes for "nothing else": it would let everything through. */
function closeChoices(part: unknown): unknown {
  if (Array.isArray(part)) return part.map(closeChoices);
  if (typeof part !== "object" || part === null) return part;
  return Object.fromEntries(
    Object.entries(part).map(([key, value]) => {
      const closed = closeChoices(value);
      return [key, key === "anyOf" && Array.isArray(closed) ? closed.filter(saysSomething) : closed];
    }),
  );
}

const saysSomething = (choice: unknown): boolean =>
  typeof choice !== "object" || choice === null || Object.keys(choice).length > 0;

const faults = { $ref: "#/components/schemas/Faults" };
const refusal = (description: string) => ({
  description,
  content: { "application/json": { schema: faults } },
});

/** The refusals that every route has that takes something, or that stands behind the door of a house. */
const usualRefusals = {
  "400": refusal("The document breaks a rule, each with its path and what would be right."),
  "401": refusal("Started for a house: send a token."),
  "403": refusal("Another page's request, or not this role's."),
  "413": refusal("Larger than the route takes."),
  "415": refusal("Not what the route takes: say the content type."),
  "503": {
    ...refusal("Too many wait, or it took too long."),
    headers: { "Retry-After": { schema: { type: "integer" } } },
  },
};

/** The API below `/api/v1` as OpenAPI 3.1, made from the schemas that the routes check with. */
export function describeApi(): object {
  const paths: Record<string, Record<string, object>> = {};
  for (const route of apiRoutes) (paths[route.path] ??= {})[route.method] = describe(route);
  return {
    openapi: "3.1.0",
    info: {
      title: "Tezgah",
      version: readVersion(),
      description:
        "Lengths are mm, masses g, temperatures °C, times minutes after the day's midnight, shares fractions of 1. What a schema cannot say, as that an order names a piece that is there, is refused with its path as well.",
    },
    servers: [{ url: "/api/v1" }],
    security: [{}, { token: [] }],
    paths,
    components: {
      securitySchemes: {
        token: { type: "http", scheme: "bearer", description: "Made by the owner, for a role." },
      },
      schemas: {
        Faults: {
          type: "object",
          required: ["faults"],
          properties: {
            faults: {
              type: "array",
              items: {
                type: "object",
                required: ["path", "message"],
                properties: { path: { type: "string" }, message: { type: "string" } },
              },
            },
          },
        },
      },
    },
  };
}

function describe({
  method,
  path,
  summary,
  takes,
  query = {},
  gives = ["application/json"],
  also = {},
}: ApiRoute): object {
  const parameters = [
    ...(path.includes("{date}")
      ? [{ name: "date", in: "path", required: true, description: "YYYY-MM-DD", schema: { type: "string" } }]
      : []),
    ...Object.entries(query).map(([name, description]) => ({
      name,
      in: "query",
      description,
      schema: { type: "string" },
    })),
  ];
  const content = Object.fromEntries(gives.map((type) => [type, {}]));
  return {
    summary,
    operationId: `${method}${path.replaceAll(/[^a-z]+([a-z])/gi, (_, letter: string) => letter.toUpperCase()).replaceAll(/[^a-z]/gi, "")}`,
    ...(parameters.length > 0 ? { parameters } : {}),
    ...(takes
      ? {
          requestBody: {
            required: true,
            content:
              takes === "text"
                ? { "text/plain": { schema: { type: "string" } } }
                : { "application/json": { schema: toJsonSchema(takes) } },
          },
        }
      : {}),
    responses: {
      "200": { description: "Answered.", content },
      ...Object.fromEntries(Object.entries(also).map(([status, description]) => [status, { description }])),
      ...usualRefusals,
    },
  };
}
