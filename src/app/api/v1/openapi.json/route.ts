import { describeApi } from "../../describeApi";

/** The API below this address as OpenAPI 3.1. */
export const GET = (): Response => Response.json(describeApi());
