import os from "node:os";

import { isLoopback } from "./loopback";

/**
 * Addresses by which a phone in the same network reaches this server, the likeliest first: the one that is asked by, if it
 * is more than this machine's own, then the machine's addresses in figures.
 */
export function findAddresses(
  host: string | null,
  scheme: "http" | "https",
  interfaces = os.networkInterfaces(),
): string[] {
  const asked = host !== null && URL.canParse(`${scheme}://${host}`) ? new URL(`${scheme}://${host}`) : null;
  if (asked && !isLoopback(asked.hostname)) return [asked.origin];
  const port = asked && asked.port !== "" ? `:${asked.port}` : "";
  return Object.values(interfaces)
    .flatMap((each) => each ?? [])
    .filter(({ family, internal }) => family === "IPv4" && !internal)
    .map(({ address }) => `${scheme}://${address}${port}`);
}
