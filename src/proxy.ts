import { NextResponse, type NextRequest } from "next/server";
import { listHouseNames, steadyHeaders, turnAway, writeContentPolicy } from "./app/gate";
import { admit, type Admission } from "./app/access/admit";
import {
  getDoorkeeper,
  needsKey,
  readAddress,
  readCalendarKey,
  readKey,
  ROLE_HEADER,
} from "./app/access/keys";
import { READING } from "./app/access/policy";
import { log } from "./app/log";
import { namesUnknown } from "./app/namesUnknown";

/** An address that no page has: whatever is sent there is answered 404, with the page for it. */
const NOWHERE = "/there-is-nothing-here";

const houseNames = listHouseNames(process.env);

/**
 * Before any page is looked for: who may ask at all, what a page may load, and an address that cannot be read, or that
 * names nothing in the book, is a 404.
 */
export function proxy(request: NextRequest): NextResponse {
  const { headers, method, nextUrl } = request;
  const turned = turnAway(
    {
      ...{ method, host: headers.get("host"), origin: headers.get("origin") },
      fetchSite: headers.get("sec-fetch-site"),
    },
    houseNames,
  );
  if (turned) {
    log({ event: "turnedAway", status: turned.status, method });
    const faults = [{ path: "", message: turned.message }];
    return withHeaders(NextResponse.json({ faults }, { status: turned.status }));
  }
  const admission = askDoorkeeper(request);
  if (admission.kind !== "in") return withHeaders(keepOut(request, admission));
  const nonce = crypto.randomUUID();
  const policy = writeContentPolicy(nonce, process.env.NODE_ENV === "development");
  // The framework reads the nonce of its own scripts off the request.
  const inward = new Headers(headers);
  inward.set("content-security-policy", policy);
  inward.set("x-nonce", nonce);
  inward.set(ROLE_HEADER, admission.role);
  const answer = leadsSomewhere(nextUrl.pathname, headers)
    ? NextResponse.next({ request: { headers: inward } })
    : NextResponse.rewrite(new URL(NOWHERE, request.url), { request: { headers: inward } });
  answer.headers.set("content-security-policy", policy);
  return withHeaders(answer);
}

/** On its own machine alone everyone is the owner; in a house, who has a key. */
function askDoorkeeper({ headers, method, nextUrl }: NextRequest): Admission {
  if (!needsKey(process.env, headers.get("host"))) return { kind: "in", role: "owner" };
  const { pathname } = nextUrl;
  const asked = { method, pathname, address: readAddress(headers), nowMs: Date.now() };
  return admit(asked, getDoorkeeper().findHolder(readKey(headers) ?? readCalendarKey(nextUrl)));
}

/** A programme is told; a page goes to where one comes in. */
function keepOut(request: NextRequest, admission: Exclude<Admission, { kind: "in" }>): NextResponse {
  const { pathname, search } = request.nextUrl;
  if (admission.kind === "wait") {
    const message = `Too many questions at once. Wait ${admission.waitS} s.`;
    const answer = NextResponse.json({ faults: [{ path: "", message }] }, { status: 429 });
    answer.headers.set("retry-after", String(admission.waitS));
    return answer;
  }
  const { kind, message } = admission;
  if (pathname.startsWith("/api/") || !READING.has(request.method))
    return NextResponse.json(
      { faults: [{ path: "", message }] },
      { status: kind === "enter" ? 401 : 403, headers: { "cache-control": "no-store" } },
    );
  const way = new URLSearchParams({
    to: pathname + search,
    ...(kind === "notYours" ? { as: admission.role } : {}),
  });
  const answer = NextResponse.redirect(new URL(`/enter?${way}`, request.url));
  answer.headers.set("cache-control", "no-store");
  return answer;
}

function withHeaders(answer: NextResponse): NextResponse {
  for (const [name, value] of Object.entries(steadyHeaders)) answer.headers.set(name, value);
  return answer;
}

function leadsSomewhere(pathname: string, headers: Headers): boolean {
  // On a way inside the application the screen knows better: it may have made the thing a moment ago.
  const isPageLoad = headers.get("sec-fetch-dest") !== "empty";
  return canDecode(pathname) && !(isPageLoad && namesUnknown(decodeURIComponent(pathname)));
}

function canDecode(text: string): boolean {
  try {
    decodeURIComponent(text);
    return true;
  } catch {
    return false;
  }
}

export const config = {
  matcher: ["/((?!_next/static/|icon\\.svg|icons/|manifest\\.webmanifest|favicon\\.ico).*)"],
};
