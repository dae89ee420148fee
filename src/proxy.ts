import { NextResponse, type NextRequest } from "next/server";
import { namesUnknown } from "./app/namesUnknown";

/** An address that no page has: whatever is sent there is answered 404, with the page for it. */
const NOWHERE = "/there-is-nothing-here";

/** Before any page is looked for: an address that cannot be read, or that names nothing in the book, is a 404. */
export function proxy(request: NextRequest): NextResponse {
  const { pathname } = request.nextUrl;
  const isReadable = canDecode(pathname);
  // On a way inside the application the screen knows better: it may have made the thing a moment ago.
  const isPageLoad = request.headers.get("sec-fetch-dest") !== "empty";
  if (isReadable && !(isPageLoad && namesUnknown(decodeURIComponent(pathname)))) return NextResponse.next();
  return NextResponse.rewrite(new URL(NOWHERE, request.url));
}

function canDecode(text: string): boolean {
  try {
    decodeURIComponent(text);
    return true;
  } catch {
    return false;
  }
}

export const config = { matcher: ["/day/:path*", "/api/:path*", "/print/:path*"] };
