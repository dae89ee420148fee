import { NextResponse } from "next/server";
import { listHouseNames, steadyHeaders, turnAway } from "../gate";
import { log } from "../log";
import { admit, type Admission, type LetThrough } from "./admit";
import { readAddress } from "./clientAddress";
import { getDoorkeeper, isAskedSecurely, needsKey, readCalendarKey, readKey } from "./keys";
import { READING } from "./policy";

const houseNames = listHouseNames(process.env);

/** Browsers that came over HTTPS come back by it for a year, s. */
const HSTS_S = 31_536_000;

/** As much of a request as is asked about. */
type Asked = Pick<Request, "headers" | "method" | "url">;

/**
 * Who a request is from, or the answer that keeps it out: asked by the gate of everything, and by the routes that pass it by.
 */
export function admitRequest(request: Asked): LetThrough | NextResponse {
  const { headers, method } = request;
  const { pathname } = new URL(request.url);
  const turned = turnAway(
    {
      ...{ method, pathname, host: headers.get("host"), origin: headers.get("origin") },
      fetchSite: headers.get("sec-fetch-site"),
    },
    houseNames,
  );
  if (turned) {
    log({ event: "turnedAway", status: turned.status, method });
    const faults = [{ path: "", message: turned.message }];
    return withHeaders(NextResponse.json({ faults }, { status: turned.status }), headers);
  }
  const admission = askDoorkeeper(request);
  return admission.kind === "in" ? admission : withHeaders(keepOut(request, admission), headers);
}

/** On its own machine alone everyone is the owner; in a house, who has a key. */
function askDoorkeeper({ headers, method, url }: Asked): Admission {
  if (!needsKey(process.env, headers.get("host"))) return { kind: "in", role: "owner", holderId: null };
  const address = new URL(url);
  const asked = { method, pathname: address.pathname, address: readAddress(headers), nowMs: Date.now() };
  return admit(asked, getDoorkeeper().findHolder(readKey(headers) ?? readCalendarKey(address)));
}

/** A programme is told; a page goes to where one comes in. */
function keepOut({ method, url }: Asked, admission: Exclude<Admission, { kind: "in" }>): NextResponse {
  const { pathname, search } = new URL(url);
  if (admission.kind === "wait") {
    const message = `Too many questions at once. Wait ${admission.waitS} s.`;
    const answer = NextResponse.json({ faults: [{ path: "", message }] }, { status: 429 });
    answer.headers.set("retry-after", String(admission.waitS));
    return answer;
  }
  const { kind, message } = admission;
  if (pathname.startsWith("/api/") || !READING.has(method))
    return NextResponse.json(
      { faults: [{ path: "", message }] },
      { status: kind === "enter" ? 401 : 403, headers: { "cache-control": "no-store" } },
    );
  const way = new URLSearchParams({
    to: pathname + search,
    ...(kind === "notYours" ? { as: admission.role } : {}),
  });
  const answer = NextResponse.redirect(new URL(`/enter?${way}`, url));
  answer.headers.set("cache-control", "no-store");
  return answer;
}

/** Adds what every answer says. @param asked - Headers of the request. */
export function withHeaders<R extends Response>(answer: R, asked: Headers): R {
  for (const [name, value] of Object.entries(steadyHeaders)) answer.headers.set(name, value);
  if (isAskedSecurely(asked)) answer.headers.set("strict-transport-security", `max-age=${HSTS_S}`);
  return answer;
}
