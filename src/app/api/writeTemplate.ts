import { inHouse, type HouseMeasures } from "@/core/units";
import { PLAN_END_MS, runJob } from "@/jobs/pool";
import { refuseJob } from "./calculator";
import { toTemplateDxf, toTemplateSvg, type CutTemplate, type Paper } from "@/formats";

export interface TemplateForm {
  readonly form: "pdf" | "svg" | "dxf";
  readonly paper: Paper;
}

/** A template as a file to keep, its words in `measures`. */
export async function writeTemplate(
  template: CutTemplate,
  { form, paper }: TemplateForm,
  measures: HouseMeasures,
): Promise<Response> {
  const answer = (content: BodyInit, type: string) =>
    new Response(content, {
      headers: { "content-type": type, "content-disposition": `attachment; filename="cut-template.${form}"` },
    });
  switch (form) {
    case "svg":
      return answer(
        inHouse(measures, () => toTemplateSvg(template)),
        "image/svg+xml; charset=utf-8",
      );
    case "dxf":
      return answer(toTemplateDxf(template), "image/vnd.dxf");
    case "pdf": {
      const written = await runJob("writeTemplatePdf", { template, paper, measures }, PLAN_END_MS);
      return written.ok ? answer(Buffer.from(written.value), "application/pdf") : refuseJob(written.failure);
    }
  }
}
