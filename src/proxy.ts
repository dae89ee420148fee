import { NextResponse, type NextRequest } from "next/server";
import { writeContentPolicy } from "./app/gate";
import { admitRequest, withHeaders } from "./app/access/admitRequest";
import { ROLE_HEADER } from "./app/access/keys";
import { namesUnknown } from "./app/namesUnknown";

/** An address that no page has: whatever is sent there is answered 404, with the page for it. */
const NOWHERE = "/there-is-nothing-here";

/**
 * Before any page is looked for: who may ask at all, what a page may load, and an address that cannot be read, or that
 * names nothing in the book, is a 404.
 */
export function proxy(request: NextRequest): NextResponse {
  const { headers, nextUrl } = request;
  const admission = admitRequest(request);
  if (admission instanceof NextResponse) return admission;
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
  return withHeaders(answer, headers);
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

/**
 * Not asked here of what a build is made of; of a copy that is brought, whose body the framework would hold in memory and cut
 * off at 10 MB; and of live lines, which every page opens anew whenever it is looked at: those two routes ask `admitRequest`
 * themselves.
 */
export const config = {
  matcher: [
    "/((?!_next/static/|api/copies/look$|api/bench/live$|icon\\.svg|icons/|manifest\\.webmanifest|favicon\\.ico).*)",
  ],
};
