import Drawing from "dxf-writer";
import { CHECK_BAR_MM, toCutShape, type CutTemplate } from "./cutTemplate";

/** The template as DXF in millimetres, y upwards as drawings have it: layers `sheet`, `cuts` and `check`. */
export function toTemplateDxf({ sheet, outline, placements }: CutTemplate): string {
  const drawing = new Drawing();
  drawing.setUnits("Millimeters");
  drawing.addLayer("sheet", Drawing.ACI.YELLOW, "CONTINUOUS");
  drawing.addLayer("cuts", Drawing.ACI.WHITE, "CONTINUOUS");
  drawing.addLayer("check", Drawing.ACI.GREEN, "CONTINUOUS");
  const up = (yMm: number) => sheet.heightMm - yMm;
  drawing.setActiveLayer("sheet");
  drawing.drawRect(0, 0, sheet.widthMm, sheet.heightMm);
  drawing.setActiveLayer("cuts");
  for (const placement of placements) {
    const shape = toCutShape(outline, placement);
    const [x, y] = [placement.xMm, up(placement.yMm)];
    if (shape.kind === "circle") drawing.drawCircle(x, y, shape.radiusMm);
    else {
      const [halfW, halfH] = [shape.widthMm / 2, shape.heightMm / 2];
      drawing.drawRect(x - halfW, y - halfH, x + halfW, y + halfH);
    }
  }
  drawing.setActiveLayer("check");
  drawing.drawLine(0, -8, CHECK_BAR_MM, -8);
  return drawing.toDxfString();
}
