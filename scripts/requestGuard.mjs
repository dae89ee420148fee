// What is asked of a request before the framework sees it.
import { BlockList, isIPv6 } from "node:net";

/** How long and how large requests may be. */
export const LIMITS = {
  /** Headers of a browser come in one packet. */
  headersMs: 30_000,
  /** How often connections are looked at for that. */
  checkMs: 1000,
  keepAliveMs: 10_000,
  /** A document of some megabytes over a poor network is there by then. */
  bodyMs: 20_000,
  /** A copy may take long, as long as something comes: it is given up after so long without a byte. */
  copyIdleMs: 20_000,
  /** The framework keeps a body of this size in memory, and cuts off what is longer without a word. */
  bodyBytes: 10 * 1024 * 1024,
};

/** Takes a copy straight to the disk, however large: no other route does. */
const COPY_PATH = "/api/copies/look";

const METHODS = new Set(["GET", "HEAD", "POST", "PUT", "PATCH", "DELETE", "OPTIONS"]);

/** Said by a proxy of whom it asks for: anybody else could say anything. */
const FORWARDED = [
  "x-forwarded-for",
  "x-forwarded-proto",
  "x-forwarded-host",
  "x-forwarded-port",
  "forwarded",
];

/**
 * @param env - TEZGAH_PROXIES: addresses of proxies whose word on addresses is believed, with commas between. This machine's
 * own are.
 * @returns Judges a request; true if it goes on to the framework, false if it was answered here.
 */
export function createGuard(env) {
  const proxies = listProxies(env.TEZGAH_PROXIES ?? "");
  return (request, response) => {
    if (!METHODS.has(request.method ?? "")) {
      response.setHeader("allow", [...METHODS].join(", "));
      refuse(response, 405, "This method is not answered.");
      return false;
    }
    settleAddress(request, proxies);
    return limitBody(request, response);
  };
}

function listProxies(told) {
  const list = new BlockList();
  list.addSubnet("127.0.0.0", 8, "ipv4");
  list.addAddress("::1", "ipv6");
  for (const address of told.split(",").map((each) => each.trim())) {
    if (address === "") continue;
    try {
      list.addAddress(address, isIPv6(address) ? "ipv6" : "ipv4");
    } catch {
      throw new Error(
        `TEZGAH_PROXIES names “${address}”: give each proxy by its IP address, with commas between.`,
      );
    }
  }
  return list;
}

/** From here on `x-forwarded-for` is one address: of who asked, as far as it can be believed. */
function settleAddress(request, proxies) {
  const peer = (request.socket.remoteAddress ?? "").replace(/^::ffff:/, "");
  const isProxy = proxies.check(peer, isIPv6(peer) ? "ipv6" : "ipv4");
  const told = isProxy
    ? String(request.headers["x-forwarded-for"] ?? "")
        .split(",")
        .at(-1)
        .trim()
    : "";
  if (!isProxy) for (const name of FORWARDED) delete request.headers[name];
  request.headers["x-forwarded-for"] = told === "" ? peer : told;
}

/** Ends a body that is too large or too slow. */
function limitBody(request, response) {
  const isCopy = (request.url ?? "").split("?")[0] === COPY_PATH;
  const told = Number(request.headers["content-length"] ?? 0);
  if (!isCopy && told > LIMITS.bodyBytes) {
    refuse(response, 413, `A message is at most ${LIMITS.bodyBytes} bytes.`, request);
    return false;
  }
  if (told === 0 && request.headers["transfer-encoding"] === undefined) return true;
  const begunMs = performance.now();
  let [heard, heardMs] = [request.socket.bytesRead, begunMs];
  // Looked at from outside: whoever listened here would take the body from the framework.
  const looking = setInterval(() => {
    if (request.complete) return clearInterval(looking);
    const nowMs = performance.now();
    if (request.socket.bytesRead > heard) [heard, heardMs] = [request.socket.bytesRead, nowMs];
    const isLate = isCopy ? nowMs - heardMs > LIMITS.copyIdleMs : nowMs - begunMs > LIMITS.bodyMs;
    if (isLate)
      refuse(
        response,
        408,
        `The message did not come within ${LIMITS.bodyMs / 1000} s. Send it again.`,
        request,
      );
  }, LIMITS.checkMs);
  response.once("close", () => clearInterval(looking));
  return true;
}

/** Answers, once, and hangs up on who is still sending. */
function refuse(response, status, message, request) {
  if (!response.headersSent) {
    response.writeHead(status, { "content-type": "application/json", connection: "close" });
    response.end(JSON.stringify({ faults: [{ path: "", message }] }));
  }
  if (request && !request.complete) setTimeout(() => request.destroy(), 100).unref();
}
