import type { BoxMm, SheetShape } from "../../shape";
import type { BoughtSheetSize, CutRequest } from "./cutPlan";
import { turnBox } from "../sheet";

/** The sizes a bought sheet may have at the wanted thickness; as bought if that is thicker than it is. */
export function listRolledThinner(
  { widthMm, heightMm, thicknessMm }: BoughtSheetSize,
  { thicknessMm: wantedMm, sheetLimit }: Pick<CutRequest, "thicknessMm" | "sheetLimit">,
): SheetShape[] {
  const grows = Math.max(thicknessMm / wantedMm, 1);
  if (grows === 1) return layEitherWay({ widthMm, heightMm });
  const both = Math.sqrt(grows);
  const sizes = [
    { widthMm: widthMm * grows, heightMm },
    { widthMm, heightMm: heightMm * grows },
    { widthMm: widthMm * both, heightMm: heightMm * both },
  ];
  const [long, short] = [
    Math.max(sheetLimit.widthMm, sheetLimit.heightMm),
    Math.min(sheetLimit.widthMm, sheetLimit.heightMm),
  ];
  const fits = sizes.filter(
    (size) => Math.max(size.widthMm, size.heightMm) <= long && Math.min(size.widthMm, size.heightMm) <= short,
  );
  // A bench too small for any of them still takes the sheet rolled alike both ways, a part at a time.
  return (fits.length > 0 ? fits : sizes.slice(2)).flatMap(layEitherWay);
}

/** A bought sheet lies on the bench along or across: its grain does not say which way a piece is cut from it. */
const layEitherWay = (sheet: BoxMm): SheetShape[] =>
  sheet.widthMm === sheet.heightMm ? [sheet] : [sheet, turnBox(sheet)];
