import { toFileFault } from "@/data/fileFault";
import { inMetric } from "../requestMeasures";
import { noteTrouble } from "@/data/troubles";
import { READING } from "../access/policy";
import { refuse } from "./readJson";

/** When one who found the data file ill may ask again, s. */
const RETRY_AFTER_S = 5;

/**
 * A route that reads or writes what is stored: a data file that is ill is said, with what to do, and is no bare 500. It
 * speaks in mm and g whatever the house measures in.
 */
export const stored =
  <Rest extends unknown[]>(answer: (request: Request, ...rest: Rest) => Response | Promise<Response>) =>
  (request: Request, ...rest: Rest): Promise<Response> =>
    inMetric(async () => {
      try {
        const answered = await answer(request, ...rest);
        if (!READING.has(request.method) && answered.ok) noteTrouble("save", null);
        return answered;
      } catch (error) {
        const fault = toFileFault(error);
        if (!fault) throw error;
        if (!READING.has(request.method)) noteTrouble("save", fault.message);
        const refused = refuse([{ path: "", message: `${fault.message} ${fault.remedy}` }], 503);
        refused.headers.set("retry-after", String(RETRY_AFTER_S));
        return refused;
      }
    });
