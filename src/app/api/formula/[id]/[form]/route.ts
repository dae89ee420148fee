import { getStore } from "@/data/getStore";
import { toFormulaCsv, toRecipeJsonLd } from "@/formats";
import { stored } from "../../../stored";
import { refuse } from "../../../readJson";

interface Context {
  readonly params: Promise<{ id: string; form: string }>;
}

const forms = {
  jsonld: { type: "application/ld+json; charset=utf-8", write: toRecipeJsonLd },
  csv: { type: "text/csv; charset=utf-8", write: toFormulaCsv },
} as const;

/** A stored formula as a file, JSON-LD or CSV. */
export const GET = stored(async (_request: Request, { params }: Context): Promise<Response> => {
  const { id, form } = await params;
  const formula = getStore().findFormula(id);
  const writer = form === "jsonld" || form === "csv" ? forms[form] : null;
  if (!formula || !writer) {
    const message = formula
      ? `“${form.slice(0, 20)}” is no form of a formula: ask for jsonld or csv.`
      : "No formula has this id.";
    return refuse([{ path: "", message }], 404);
  }
  return new Response(writer.write(formula), {
    headers: {
      "content-type": writer.type,
      "content-disposition": `attachment; filename="${formula.id}.${form}"`,
    },
  });
});
