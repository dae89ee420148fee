import { refuse } from "../../../readJson";

export const refuseNoRun = (date: string): Response =>
  refuse([{ path: "date", message: `The day ${date.slice(0, 20)} is not run. Begin it first.` }], 404);
