import { getStore } from "@/data/getStore";
import { toFormulaCsv, toRecipeJsonLd } from "@/formats";
import { pickRecords } from "@/schemas/toDayBook";

interface Context {
  readonly params: Promise<{ id: string; form: string }>;
}

const forms = {
  jsonld: { type: "application/ld+json; charset=utf-8", write: toRecipeJsonLd },
  csv: { type: "text/csv; charset=utf-8", write: toFormulaCsv },
} as const;

/** A stored formula as a file, JSON-LD or CSV. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { id, form } = await params;
  const formula = pickRecords(getStore().listRecords(), "formula").find((each) => each.id === id);
  const writer = form === "jsonld" || form === "csv" ? forms[form] : null;
  if (!formula || !writer) {
    const message = formula
      ? `“${form.slice(0, 20)}” is no form of a formula: ask for jsonld or csv.`
      : "No formula has this id.";
    return Response.json({ faults: [{ path: "", message }] }, { status: 404 });
  }
  return new Response(writer.write(formula), {
    headers: {
      "content-type": writer.type,
      "content-disposition": `attachment; filename="${formula.id}.${form}"`,
    },
  });
}
