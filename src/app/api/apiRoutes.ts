import Joi from "joi";
import { chillSchema, parseSchema, scaleSchema } from "@/schemas/calculators";
import { logSchema, lotLeftSchema, settingSchema } from "@/schemas/habitDocument";
import { bakeScaleSchema, coolSchema, frySchema } from "@/schemas/heatCalculators";
import { blanksSchema, portionSchema, sealSchema } from "@/schemas/pieceCalculators";
import { pieceRemedySchema, remedySchema, takenRemedySchema } from "@/schemas/remedyDocument";
import { eventSchema, MAX_EVENTS, runSchema } from "@/schemas/runEvents";
import { scheduleSchema } from "@/schemas/scheduleDocument";
import { cutPlanSchema, dayBookSchema, layoutSchema, templateSchema, yieldSchema } from "@/schemas/validate";

/** A route of the API as it is described to whoever writes a program for it. */
export interface ApiRoute {
  readonly method: "get" | "post" | "put";
  /** Behind `/api/v1`, `{date}` for a day. */
  readonly path: string;
  readonly summary: string;
  /** Of a document in JSON; text for what is no JSON. */
  readonly takes?: Joi.Schema | "text";
  readonly query?: Readonly<Record<string, string>>;
  /** Media types of what it answers, JSON if left out. */
  readonly gives?: readonly string[];
  /** Answers besides 200 and the refusals that every route has. */
  readonly also?: Readonly<Record<string, string>>;
}

const JSON_OR_CSV = ["application/json", "text/csv"] as const;
const FORM = { form: "`csv` for a table, `json` if left out" };
const NO_RUN = { "404": "The day was not run." };
/** Numbers by name, as RFC 8428 has them; what else a record holds is passed over. */
const senMl = Joi.array()
  .items(Joi.object({ n: Joi.string(), v: Joi.number(), u: Joi.string(), bn: Joi.string() }).unknown())
  .required();

/** Every route below `/api/v1`. */
export const apiRoutes: readonly ApiRoute[] = [
  { method: "post", path: "/cut/layout", summary: "Cuts on one sheet", takes: layoutSchema },
  { method: "post", path: "/cut/plan", summary: "Sheets for so many cuts", takes: cutPlanSchema },
  { method: "post", path: "/cut/yield", summary: "How many cuts so much dough makes", takes: yieldSchema },
  {
    ...{ method: "post", path: "/cut/template", summary: "A template at true size", takes: templateSchema },
    gives: ["application/pdf", "image/svg+xml", "image/vnd.dxf"],
  },
  { method: "post", path: "/piece/blanks", summary: "Blanks, size and seam of a form", takes: blanksSchema },
  { method: "post", path: "/piece/portion", summary: "What goes into a piece", takes: portionSchema },
  { method: "post", path: "/piece/seal", summary: "Seam, vents, wash and risk", takes: sealSchema },
  { method: "post", path: "/bake/scale", summary: "A known bake for another piece", takes: bakeScaleSchema },
  { method: "post", path: "/cool", summary: "When a warm piece is cool", takes: coolSchema },
  { method: "post", path: "/fry", summary: "A load in a bath of oil", takes: frySchema },
  { method: "post", path: "/chill", summary: "When rested dough can be rolled", takes: chillSchema },
  { method: "post", path: "/schedule", summary: "A schedule for the general problem", takes: scheduleSchema },
  { method: "post", path: "/run", summary: "A running day, timed anew from what happened", takes: runSchema },
  { method: "post", path: "/plan", summary: "A self-contained day, planned", takes: dayBookSchema },
  { method: "post", path: "/formula/parse", summary: "A formula's text, understood", takes: parseSchema },
  { method: "post", path: "/formula/scale", summary: "A formula, scaled", takes: scaleSchema },
  { method: "post", path: "/remedy", summary: "Causes of a trouble, ranked", takes: remedySchema },
  { method: "get", path: "/habits", summary: "Every habit as it is known", query: FORM, gives: JSON_OR_CSV },
  { method: "post", path: "/habits", summary: "What a log would teach", takes: logSchema },
  { method: "put", path: "/habits", summary: "Sets a habit by hand", takes: settingSchema },
  { method: "post", path: "/habits/log", summary: "Brings a log, CSV or JSON a line", takes: "text" },
  {
    ...{ method: "put", path: "/habits/lots", summary: "Leaves a lot out of the learning" },
    takes: lotLeftSchema,
    also: { "404": "Nothing of that name was logged." },
  },
  {
    ...{ method: "get", path: "/days", summary: "Days that were run, planned and real" },
    query: { from: "YYYY-MM-DD", to: "YYYY-MM-DD", ...FORM },
    gives: JSON_OR_CSV,
  },
  { method: "get", path: "/readings", summary: "What is heard of thermometers and scales" },
  { method: "post", path: "/readings", summary: "A SenML pack (RFC 8428)", takes: senMl },
  {
    ...{ method: "get", path: "/runs/{date}", summary: "The newest sheet of a day's run" },
    also: { "304": "It is as it was.", ...NO_RUN },
  },
  {
    ...{ method: "post", path: "/runs/{date}", summary: "Begins a day's run" },
    takes: Joi.object({ anew: Joi.boolean().default(false) }).required(),
    also: { "201": "It was frozen." },
  },
  {
    ...{ method: "get", path: "/runs/{date}/events", summary: "What happened, after a mark" },
    query: { after: "the last answer's `seq`, 0 if left out" },
    also: NO_RUN,
  },
  {
    ...{ method: "post", path: "/runs/{date}/events", summary: "Says what happened" },
    takes: Joi.object({ events: Joi.array().items(eventSchema).max(MAX_EVENTS).required() }).required(),
    also: NO_RUN,
  },
  {
    ...{ method: "post", path: "/runs/{date}/log", summary: "Keeps a run's figures in the log once more" },
    takes: Joi.object().required(),
    also: { "409": "The log was changed meanwhile.", ...NO_RUN },
  },
  { method: "get", path: "/runs/{date}/taught", summary: "What a day taught" },
  {
    ...{ method: "get", path: "/runs/{date}/record", summary: "The record of a day's run" },
    query: FORM,
    gives: JSON_OR_CSV,
    also: NO_RUN,
  },
  {
    ...{
      method: "get",
      path: "/runs/{date}/outlook",
      summary: "The next day before and after this one taught",
    },
    also: NO_RUN,
  },
  {
    ...{ method: "post", path: "/runs/{date}/outlook", summary: "What a remedy would do" },
    takes: pieceRemedySchema,
    also: { "409": "No day makes this piece.", ...NO_RUN },
  },
  {
    ...{
      method: "post",
      path: "/runs/{date}/remedy",
      summary: "Takes a remedy, from now or the next day on",
    },
    takes: takenRemedySchema,
    also: NO_RUN,
  },
  { method: "get", path: "/openapi.json", summary: "This document" },
];
