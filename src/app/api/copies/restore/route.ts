import { layBack } from "../../../restoreCopy";
import { readJson, refuse } from "../../readJson";

const MAX_TOKEN_BYTES = 1000;

/** Lays back what was looked at under this token; the data file it replaces is kept aside. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request, MAX_TOKEN_BYTES);
  if (!body.ok) return body.failure;
  const { token } = (body.value ?? {}) as { token?: unknown };
  if (typeof token !== "string") return refuse([{ path: "token", message: "Look at a copy first." }]);
  const laid = await layBack(token);
  return laid.ok ? Response.json(laid.value) : refuse([{ path: "", message: laid.failure }], 409);
}
