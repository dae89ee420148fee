import { getStore } from "@/data/getStore";
import { stored } from "../../../stored";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

/** Every edition of a formula, oldest first; none for an id that was never written. */
export const GET = stored(async (_request: Request, { params }: Context): Promise<Response> => {
  const { id } = await params;
  return Response.json(getStore().listEditions(id), { headers: { "cache-control": "no-store" } });
});
