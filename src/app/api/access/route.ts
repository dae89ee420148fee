import { toString as drawQr } from "qrcode";
import { readAccessRequest } from "@/schemas/accessRules";
import { findAddresses } from "../../access/addresses";
import { getDoorkeeper, isAskedSecurely } from "../../access/keys";
import { hangUpHolder, hangUpRole } from "../../live";
import { log } from "../../log";
import { readJson, refuse } from "../readJson";

const MAX_MESSAGE_BYTES = 4000;

/** What the owner does about who may come in. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request, MAX_MESSAGE_BYTES);
  if (!body.ok) return body.failure;
  const asked = readAccessRequest(body.value);
  if (!asked.ok) return refuse([{ path: "", message: asked.failure }]);
  const doorkeeper = getDoorkeeper();
  const done = asked.value;
  switch (done.act) {
    case "passphrase":
      if (done.passphrase === "" && done.role === "owner")
        return refuse([
          { path: "", message: "The owner’s passphrase can be changed, not ended: nobody could get in." },
        ]);
      if (done.passphrase === "") doorkeeper.endPassphrase(done.role);
      else await doorkeeper.setPassphrase(done.role, done.passphrase);
      hangUpRole(done.role);
      return answer({});
    case "turnOut":
      if (!doorkeeper.turnOut(done.id))
        return refuse([{ path: "", message: "It has been turned out already." }], 404);
      hangUpHolder(done.id);
      log({ event: "turnedOut", holder: done.id });
      return answer({});
    case "token":
      return answer({ token: doorkeeper.makeToken(done.name, done.role).token });
    case "invite": {
      const { code, endsAt } = doorkeeper.invite(done.role);
      const scheme = isAskedSecurely(request.headers) ? "https" : "http";
      const [base] = findAddresses(request.headers.get("host"), scheme);
      if (!base)
        return refuse(
          [{ path: "", message: "This machine is in no network that a phone could be in too." }],
          409,
        );
      const address = `${base}/enter?invite=${code}`;
      // Dark on light in every theme: cameras read nothing else well.
      const qr = await drawQr(address, { type: "svg", margin: 2, errorCorrectionLevel: "M" });
      return answer({ code, endsAt, address, qr });
    }
  }
}

const answer = (what: object): Response => Response.json(what, { headers: { "cache-control": "no-store" } });
