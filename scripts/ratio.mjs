// npm run ratio: test lines as a share of all code lines (ts, tsx, mjs, js, css, sql; not blank). Outside the range it fails.
import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";

const files = execFileSync("git", ["ls-files", "-z"], { encoding: "utf8" })
  .split("\0")
  .filter((file) => /\.(ts|tsx|mjs|js|css|sql)$/.test(file) && !file.endsWith(".d.ts"));
const countLines = (file) =>
  readFileSync(file, "utf8")
    .split("\n")
    .filter((line) => line.trim() !== "").length;
const isTest = (file) => /(\.(test|spec)\.[a-z]+$|^tests\/|\/__tests__\/)/.test(file);
const sum = (list) => list.reduce((total, file) => total + countLines(file), 0);
const [tests, all] = [sum(files.filter(isTest)), sum(files)];
const [least, most] = [25, 33];
const percent = (100 * tests) / all;
console.log(`tests ${tests} of ${all} code lines: ${percent.toFixed(1)} % (wanted ${least} to ${most})`);
process.exit(percent >= least && percent <= most ? 0 : 1);
