import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import * as limits from "./limits";

const HOME = path.join("src", "schemas", "limits.ts");
/** Writes a limit by hand: an object with both ends, or a number of Joi's between two figures that are not 0 and 1. */
const BY_HAND = [
  /\bmin: ?-?[\d._e]+, ?max: ?-?[\d._e]+/,
  /\blimit=\{\{[^}]*\b(?:min|max): ?-?[\d.]/,
  /Joi\.number\(\)[^;,]*?\.(?:max|less)\((?!1\))-?[\d._e]+\)/,
];
const listByHand = (text: string) => BY_HAND.flatMap((form) => form.exec(text)?.[0] ?? []);

const sources = ["schemas", "ui", "app", "formats", "data"].flatMap((room) =>
  readdirSync(path.join("src", room), { recursive: true, encoding: "utf8" })
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\.tsx?$/.test(file))
    .map((file) => path.join("src", room, file)),
);

test("a limit that is written by hand is found", () => {
  for (const text of [
    'const oil = { label: "Oil", unit: "kg", min: 0.5, max: 30, step: 0.1 };',
    "<Dial limit={{ ...mouldLimits.narrowMm, min: 20, max: long.rimMm }} />",
    "const web = Joi.number().min(0).max(100).default(0);",
  ])
    expect(listByHand(text)).not.toEqual([]);
  expect(listByHand("const share = Joi.number().min(0).max(1);")).toEqual([]);
});

test("limits stand in one list and nowhere else: forms, dials, API and documents refuse the same", () => {
  expect(sources.length).toBeGreaterThan(400);
  const elsewhere = sources
    .filter((file) => file !== HOME)
    .flatMap((file) => listByHand(readFileSync(file, "utf8")).map((found) => `${file}: ${found}`));
  expect(elsewhere).toEqual([]);
});

test("every limit has room between its ends and a step that fits", () => {
  const all = Object.values(limits).flatMap((group) =>
    typeof group === "object"
      ? Object.values(group as Record<string, unknown>).filter(
          (each): each is limits.Limit => typeof each === "object" && each !== null && "step" in each,
        )
      : [],
  );
  expect(all.length).toBeGreaterThan(100);
  for (const { label, min, max, step } of all) {
    expect(`${label}: ${min < max && step > 0 && step <= max - min}`).toBe(`${label}: true`);
  }
});
