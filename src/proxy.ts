import { NextResponse, type NextRequest } from "next/server";
import { listHouseNames, steadyHeaders, turnAway, writeContentPolicy } from "./app/gate";
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
    const faults = [{ path: "", message: turned.message }];
    return withHeaders(NextResponse.json({ faults }, { status: turned.status }));
  }
  const nonce = crypto.randomUUID();
  const policy = writeContentPolicy(nonce, process.env.NODE_ENV === "development");
  // The framework reads the nonce of its own scripts off the request.
  const inward = new Headers(headers);
  inward.set("content-security-policy", policy);
  inward.set("x-nonce", nonce);
  const answer = leadsSomewhere(nextUrl.pathname, headers)
    ? NextResponse.next({ request: { headers: inward } })
    : NextResponse.rewrite(new URL(NOWHERE, request.url), { request: { headers: inward } });
  answer.headers.set("content-security-policy", policy);
  return withHeaders(answer);
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
