import type Database from "better-sqlite3";
import { listTables } from "./copyLines";

interface Column {
  readonly name: string;
  readonly type: string;
  readonly notnull: number;
  readonly pk: number;
}

const ofType: Readonly<Record<string, object>> = {
  TEXT: { type: "string" },
  INTEGER: { type: "integer" },
  REAL: { type: "number" },
  BLOB: { $ref: "#/$defs/bytes" },
};

/** The JSON Schema of a copy as lines, out of the tables as they are. @param db - Migrated. */
export function describeLines(db: Database.Database): object {
  const rows = listTables(db).map((table) => {
    const columns = db.prepare<[string], Column>("SELECT * FROM pragma_table_info(?)").all(table);
    const cells = columns.map(({ name, type, notnull, pk }) => {
      const cell = ofType[type.toUpperCase()] ?? {};
      const mayMiss = notnull === 0 && pk === 0;
      return [name, mayMiss ? { anyOf: [cell, { type: "null" }] } : cell] as const;
    });
    return {
      type: "object",
      required: ["table", "row"],
      additionalProperties: false,
      properties: {
        table: { const: table },
        row: {
          type: "object",
          required: columns.map(({ name }) => name),
          additionalProperties: false,
          properties: Object.fromEntries(cells),
        },
      },
    };
  });
  return {
    $schema: "https://json-schema.org/draft/2020-12/schema",
    title: "A line of a copy of Tezgah",
    description:
      "UTF-8, one object a line: first the head, then each row of each table, last the end. Tables are as this version has them.",
    $defs: {
      bytes: {
        type: "object",
        required: ["base64"],
        additionalProperties: false,
        properties: { base64: { type: "string", contentEncoding: "base64" } },
      },
    },
    anyOf: [
      {
        type: "object",
        required: ["format", "formatVersion", "dataVersion", "madeAt"],
        additionalProperties: false,
        properties: {
          format: { const: "tezgah-lines" },
          formatVersion: { const: 1 },
          dataVersion: { type: "integer", description: "The number of the newest migration." },
          madeAt: { type: "string", description: "UTC, ISO 8601." },
        },
      },
      {
        type: "object",
        required: ["end", "rows"],
        additionalProperties: false,
        properties: { end: { const: true }, rows: { type: "integer" } },
      },
      ...rows,
    ],
  };
}
