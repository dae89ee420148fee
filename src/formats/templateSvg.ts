import { CHECK_BAR_MM, listCuts, type CutLine, type CutTemplate } from "./cutTemplate";
import { formatLength } from "@/core/units";

/** Room round the sheet for the check bar and the title, mm. */
const ROOM_MM = 14;

/** The template as SVG 1.1 at true size: width and height are in mm, and so is every coordinate. */
export function toTemplateSvg(template: CutTemplate): string {
  const { title, sheet } = template;
  const [width, height] = [sheet.widthMm + 2 * ROOM_MM, sheet.heightMm + 2 * ROOM_MM];
  const number = (value: number) => String(Number(value.toFixed(4)));
  const draw = (line: CutLine) =>
    line.kind === "circle"
      ? `<circle cx="${number(line.xMm)}" cy="${number(line.yMm)}" r="${number(line.radiusMm)}"/>`
      : `<polygon points="${line.corners.map((point) => point.map(number).join(",")).join(" ")}"/>`;
  const cuts = listCuts(template).map(
    ({ xMm, yMm, lines }, i) =>
      `${lines.map(draw).join("")}<text x="${number(xMm)}" y="${number(yMm + 3)}" stroke="none" fill="#000" font-size="8" text-anchor="middle">${i + 1}</text>`,
  );
  const [halfWidth, halfHeight] = [number(sheet.widthMm / 2), number(sheet.heightMm / 2)];
  const edge =
    sheet.shape === "oval"
      ? `<ellipse id="sheet" cx="${halfWidth}" cy="${halfHeight}" rx="${halfWidth}" ry="${halfHeight}" stroke-dasharray="4 2"/>`
      : `<rect id="sheet" x="0" y="0" width="${number(sheet.widthMm)}" height="${number(sheet.heightMm)}" stroke-dasharray="4 2"/>`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" version="1.1" width="${number(width)}mm" height="${number(height)}mm" viewBox="${-ROOM_MM} ${-ROOM_MM} ${number(width)} ${number(height)}" fill="none" stroke="#000" stroke-width="0.3" font-family="sans-serif">`,
    `<title>${escapeXml(title)}</title>`,
    edge,
    `<g id="cuts">${cuts.join("")}</g>`,
    `<path id="check-bar" d="M0,${number(sheet.heightMm + 8)} h${CHECK_BAR_MM} m0,-2 v4 m${-CHECK_BAR_MM},-4 v4"/>`,
    `<text x="${CHECK_BAR_MM + 4}" y="${number(sheet.heightMm + 10)}" stroke="none" fill="#000" font-size="5">${formatLength(CHECK_BAR_MM)} · ${escapeXml(title)}</text>`,
    "</svg>\n",
  ].join("\n");
}

function escapeXml(text: string): string {
  return text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);
}
