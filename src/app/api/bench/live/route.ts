import { admitRequest, withHeaders } from "../../../access/admitRequest";
import { openLiveLine } from "../../../liveLine";
import { stored } from "../../stored";

/** What is written from now on, as server-sent events. The gate is passed by (see proxy.ts) and asked here. */
export const GET = stored((request: Request): Response => {
  const admission = admitRequest(request);
  return admission instanceof Response
    ? admission
    : withHeaders(openLiveLine(request, admission), request.headers);
});
