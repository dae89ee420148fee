import Drawing from "dxf-writer";
import { toContour } from "@/core/shape";
import { CHECK_BAR_MM, listCuts, type CutTemplate } from "./cutTemplate";

/** The template as DXF in millimetres, y upwards as drawings have it: layers `sheet`, `cuts` and `check`. */
export function toTemplateDxf(template: CutTemplate): string {
  const { sheet } = template;
  const drawing = new Drawing();
  drawing.setUnits("Millimeters");
  drawing.addLayer("sheet", Drawing.ACI.YELLOW, "CONTINUOUS");
  drawing.addLayer("cuts", Drawing.ACI.WHITE, "CONTINUOUS");
  drawing.addLayer("check", Drawing.ACI.GREEN, "CONTINUOUS");
  const up = (yMm: number) => sheet.heightMm - yMm;
  drawing.setActiveLayer("sheet");
  if (sheet.shape === "oval") {
    const edge = toContour({ kind: "oval", widthMm: sheet.widthMm, heightMm: sheet.heightMm });
    drawing.drawPolyline(
      edge.map(([x, y]) => [x + sheet.widthMm / 2, y + sheet.heightMm / 2] as [number, number]),
      true,
    );
  } else drawing.drawRect(0, 0, sheet.widthMm, sheet.heightMm);
  drawing.setActiveLayer("cuts");
  for (const line of listCuts(template).flatMap(({ lines }) => lines)) {
    if (line.kind === "circle") drawing.drawCircle(line.xMm, up(line.yMm), line.radiusMm);
    else
      drawing.drawPolyline(
        line.corners.map(([x, y]) => [x, up(y)] as [number, number]),
        true,
      );
  }
  drawing.setActiveLayer("check");
  drawing.drawLine(0, -8, CHECK_BAR_MM, -8);
  return drawing.toDxfString();
}
