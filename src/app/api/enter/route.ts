import { readEnterRequest } from "@/schemas/accessRules";
import { readAddress } from "../../access/clientAddress";
import { getDoorkeeper, isAskedSecurely, readKey, writeKeyCookie } from "../../access/keys";
import { hangUpHolder } from "../../live";
import { log } from "../../log";
import { readJson, refuse } from "../readJson";

/** A passphrase and a name, bytes. */
const MAX_MESSAGE_BYTES = 4000;

/** Lets a device in: by the first start's code, a passphrase, or a code that another device showed. Its key in a cookie. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request, MAX_MESSAGE_BYTES);
  if (!body.ok) return body.failure;
  const asked = readEnterRequest(body.value);
  if (!asked.ok) return refuse([{ path: "", message: asked.failure }]);
  const entered = await getDoorkeeper().enter(asked.value, readAddress(request.headers));
  if (!entered.ok) {
    const { status, message, waitS } = entered.failure;
    log({ event: "notLetIn", status, by: asked.value.by });
    const refused = refuse([{ path: "", message }], status);
    if (waitS !== undefined) refused.headers.set("retry-after", String(waitS));
    return refused;
  }
  const { holder, token } = entered.value;
  // A device has one key: that of another role goes as it comes in anew.
  const before = getDoorkeeper().findHolder(readKey(request.headers));
  if (before?.kind === "device") {
    getDoorkeeper().turnOut(before.id);
    hangUpHolder(before.id);
  }
  log({ event: "cameIn", holder: holder.id, role: holder.role, by: asked.value.by });
  return Response.json(
    { role: holder.role },
    {
      headers: {
        "set-cookie": writeKeyCookie(token, isAskedSecurely(request.headers)),
        "cache-control": "no-store",
      },
    },
  );
}
