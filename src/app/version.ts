import { existsSync, readFileSync } from "node:fs";
import packageDocument from "../../package.json";

/** The version that runs, with its build where there is one: said to the owner and in the log, never in an answer's head. */
export function readVersion(): string {
  const build = existsSync(".next/BUILD_ID") ? readFileSync(".next/BUILD_ID", "utf8").trim() : null;
  return build ? `${packageDocument.version} (${build})` : packageDocument.version;
}
