import { hangUpHolder } from "../../live";
import { getDoorkeeper, isAskedSecurely, readKey, writeKeyCookie } from "../../access/keys";

/** This device goes out: its key opens nothing any more. */
export function POST(request: Request): Response {
  const holder = getDoorkeeper().findHolder(readKey(request.headers));
  if (holder) {
    getDoorkeeper().turnOut(holder.id);
    hangUpHolder(holder.id);
  }
  return new Response(null, {
    status: 204,
    headers: { "set-cookie": writeKeyCookie(null, isAskedSecurely(request.headers)) },
  });
}
