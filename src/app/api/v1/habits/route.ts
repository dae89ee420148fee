import { knowByCraft, learnLog, tellFigure } from "@/core/habits";
import { toHabitCsv } from "@/formats";
import { getStore } from "@/data/getStore";
import { readLog, validateLog, validateSetting } from "@/schemas/habitDocument";
import { readClock } from "../../../clock";
import { readKitchenClock } from "../../../kitchenClock";
import { AFTER_ALL_DAYS, readHabits, readScores } from "../../../readHabits";
import { calculator } from "../../calculator";
import { readJson, refuse } from "../../readJson";
import { stored } from "../../stored";

/** A log of a few thousand rows, bytes. */
const MAX_LOG_BYTES = 500_000;

/** Every habit as it is known today, and how often forecasts held; with `?form=csv` the habits as a table. */
export const GET = stored((request: Request): Response => {
  const form = new URL(request.url).searchParams.get("form") ?? "json";
  if (form !== "json" && form !== "csv")
    return refuse([{ path: "form", message: "Habits are written as json or csv." }]);
  if (form === "csv")
    return new Response(toHabitCsv(readHabits(AFTER_ALL_DAYS)), {
      headers: {
        "content-type": "text/csv; charset=utf-8",
        "content-disposition": 'attachment; filename="tezgah-habits.csv"',
      },
    });
  return Response.json({ habits: readHabits(AFTER_ALL_DAYS), scores: readScores(AFTER_ALL_DAYS) });
});

/** A log in; what is learned from it, with the nine in ten of the next lot, out. Nothing is stored. */
export const POST = calculator({
  validate: validateLog,
  maxBytes: MAX_LOG_BYTES,
  answer: ({ log }) => {
    const { taken, refused } = readLog(log);
    const habits = [...new Set(taken.map(({ habit }) => habit))].map((habit) => {
      const own = taken.filter((figure) => figure.habit === habit);
      return { habit, ...tellFigure(learnLog(knowByCraft(habit), own)) };
    });
    return Response.json({ habits, refused });
  },
});

/** Sets a habit by hand, puts it back to the craft's, or gives it back to the log. */
export const PUT = stored(async (request: Request): Promise<Response> => {
  const body = await readJson(request, MAX_LOG_BYTES);
  if (!body.ok) return body.failure;
  const setting = validateSetting(body.value);
  if (!setting.ok) return refuse(setting.failure);
  const { habit, to } = setting.value;
  const { habits, raiseRevision } = getStore();
  const since = readKitchenClock().wall.date;
  // Put back to the craft's, what was logged until today is forgotten, and what comes counts.
  habits.setWord(habit, to === "log" ? null : { value: to === "craft" ? null : to, since });
  const nowIso = readClock().toISOString();
  raiseRevision(`habit-${habit}-${nowIso}`, nowIso);
  return Response.json({ habit, to });
});
