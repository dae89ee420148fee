import { isIPv6 } from "node:net";

/**
 * Where a request comes from: set by the server before the framework (scripts/requestGuard.mjs), which believes the word of
 * a named proxy alone. A house's device has a whole network of IPv6 addresses to itself: its first half counts.
 */
export function readAddress(headers: Headers): string {
  const address = headers.get("x-forwarded-for") ?? "unknown";
  return isIPv6(address) ? `${expandIPv6(address).slice(0, NETWORK_GROUPS).join(":")}::/64` : address;
}

const GROUPS = 8;
const NETWORK_GROUPS = 4;

/** All eight groups of an address, those that `::` stands for included. */
function expandIPv6(address: string): string[] {
  const [head = "", tail] = address.split("::");
  const split = (part: string) => (part === "" ? [] : part.split(":"));
  const [before, after] = [split(head), split(tail ?? "")];
  const left = tail === undefined ? 0 : GROUPS - before.length - after.length;
  return [...before, ...Array.from({ length: Math.max(left, 0) }, () => "0"), ...after].map((group) =>
    group.toLowerCase().replace(/^0+(?=.)/, ""),
  );
}
