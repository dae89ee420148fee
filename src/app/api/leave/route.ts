import { getDoorkeeper, isAskedSecurely, readKey, writeKeyCookie } from "../../access/keys";

/** This device goes out: its key opens nothing any more. */
export function POST(request: Request): Response {
  const key = readKey(request.headers);
  const holder = key === null ? null : getDoorkeeper().find(key);
  if (holder) getDoorkeeper().turnOut(holder.id);
  return new Response(null, {
    status: 204,
    headers: { "set-cookie": writeKeyCookie(null, isAskedSecurely(request.headers)) },
  });
}
