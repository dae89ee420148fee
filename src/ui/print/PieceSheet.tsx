import type { CutSheet } from "@/core/cutting";
import { findBakedKeepDays, findWarmUp, isIncomplete, type AllergenFacts } from "@/core/labels";
import { signNames, type DayBook, type Piece, type PiecePlan } from "@/core/plan";
import { describeVents } from "@/core/sealing";
import { describeOutline, describeSheet } from "@/core/shape";
import {
  formatCount,
  formatDuration,
  formatHeat,
  formatLength,
  formatMass,
  formatMassRange,
  type OvenScale,
} from "@/core/units";
import { findChillMin, findCoolMin, findHeatWay } from "@/core/way";
import { toDrawnParts } from "../drawings/drawnParts";
import { SectionDrawing } from "../drawings/SectionDrawing";
import { SheetDrawing } from "../drawings/SheetDrawing";
import { namePass } from "../drawings/SheetThumb";
import { describeStages, describeWash } from "../piece/describePiece";
import { glazeNames, tinNames } from "../piece/words";

interface Props {
  /** Null for what is made for another day alone. */
  readonly allergens: AllergenFacts | null;
  readonly line: PiecePlan;
  readonly scale: OvenScale;
  readonly formulas: DayBook["formulas"];
  /** The piece above under which the sheets that this one shares are told already; null if it is the first. */
  readonly toldWith: string | null;
}

/** How a piece is rolled, cut, filled, closed and baked on this day. */
export function PieceSheet({ line, formulas, scale, allergens, toldWith }: Props) {
  const nameFilling = (id: string) => formulas.find((formula) => formula.id === id)?.name ?? "";
  const {
    piece,
    cut,
    loading,
    shaped: { portion, seal, formed },
  } = line;
  const { sheets, portioning } = cut.plan;
  const [fry] = line.fries;
  const [largest] = sheets;
  const chillMin = findChillMin(piece.way);
  return (
    <section className="mb-1 break-inside-avoid border-t-2 border-black">
      <h2 className="flex justify-between gap-2">
        {piece.name}
        <span className="figure">
          {line.counts.made} = {line.counts.ordered} ordered + {line.counts.made - line.counts.ordered} spare
          {line.counts.frozenTaken + line.counts.blanksTaken > 0 &&
            `, ${line.counts.frozenTaken + line.counts.blanksTaken} from the larder`}
        </span>
      </h2>
      <div className="sheet-pictures">
        <SectionDrawing formed={formed} name={piece.name} />
        {largest && (
          <SheetDrawing
            sheet={largest.sheet}
            parts={toDrawnParts(largest, cut.roles)}
            raggedMm={largest.marginMm}
            title={`Sheet 1, ${largest.count} cuts`}
            rerolled={false}
            limit={largest.sheet}
            onResize={null}
          />
        )}
      </div>
      <p>
        Roll to {formatLength(cut.thicknessMm)}, cut{" "}
        {formed.blanks.map((blank) => describeOutline(blank.cut)).join(" and ")}
        {cut.pieceIds.length > 1 && "; shared with another piece of this dough"}
        {toldWith !== null && sheets.length > 0 && `: sheets as under ${toldWith}`}
      </p>
      {toldWith === null && (
        <ul aria-label={`Sheets of ${piece.name}`}>
          {gatherSheets(sheets).map(({ sheet, first, last }) => (
            <li key={first}>
              {first === last ? `Sheet ${first}` : `Sheets ${first}–${last}, each`}
              {sheet.pass > 0 && `, ${namePass(sheet)}`}: roll{" "}
              {describeSheet({ ...sheet.sheet, ...sheet.rolledTo })}, weigh {formatMass(sheet.doughG)},{" "}
              {formatCount(sheet.count, "cut")}
            </li>
          ))}
        </ul>
      )}
      <p>
        {portioning?.portions.map(({ demandId, count, eachG }) => (
          <span key={demandId}>
            {count} of {formatMass(eachG)},{" "}
          </span>
        ))}
        {line.fills
          .filter(({ totalG }) => totalG > 0)
          .map(({ part, count, pans }) => (
            <span key={`${part.role}-${part.fillingId}`}>
              {nameFilling(part.fillingId)} <strong>{formatMass(part.portion.massG)}</strong> (
              {part.portion.spoons}){part.ofPieces < 1 && ` in ${count}`}
              {pans !== null && `, ${formatMass(pans.eachG)} in each of ${formatCount(pans.count, "pan")}`}
              ;{" "}
            </span>
          ))}
        {portion.massG > 0
          ? `weigh every tenth, ${formatMassRange(portion.lowG, portion.highG)}`
          : "nothing goes in"}
        {seal &&
          `, margin ${formatLength(piece.marginMm)}; ${seal.crimp.name.toLowerCase()}, ${seal.marks} ${seal.crimp.markName} on ${formatLength(seal.seamMm, 0)}`}
        .
      </p>
      <p>
        {seal && `Glue: ${seal.glue.name.toLowerCase()}. `}
        {describeVents(piece.vents)}; {describeWash(piece)}. Tin {tinNames[piece.tin]}.
        {chillMin > 0 && ` Chill ${formatDuration(chillMin)}.`}{" "}
        {findHeatWay(piece.way) === "oil" ? "Fry" : "Bake"} {describeStages(piece, scale)},{" "}
        {fry
          ? `${fry.perBasket} in a basket`
          : `${formatCount(loading.loads.length, "load")} of up to ${loading.loads[0]?.pieces ?? 0}, ${loading.perTray} to a tray`}
        ; done when {signNames[piece.doneness.sign]}. Cool {formatDuration(findCoolMin(piece.way))}.
        {piece.glaze.kind !== "none" && ` Glaze: ${glazeNames[piece.glaze.kind]}.`}
      </p>
      {allergens && <Allergens facts={allergens} />}
      <KeepNote piece={piece} scale={scale} />
    </section>
  );
}

function Allergens({ facts }: { readonly facts: AllergenFacts }) {
  const { contains, contacts, unknown, unknownContacts } = facts;
  const touched = [
    ...contacts.map(({ allergen, through }) => `${allergen} by ${through}`),
    ...unknownContacts.map(
      ({ through, names, loads }) =>
        `${[...names, ...(loads > 0 ? [formatCount(loads, "earlier load")] : [])].join(", ")} by ${through} (allergens not known)`,
    ),
  ];
  const said = contains.join(", ") || (isIncomplete(facts) ? "" : "none of those that must be named");
  return (
    <p>
      {said !== "" && (
        <>
          Contains: <strong>{said}</strong>.{" "}
        </>
      )}
      {unknown.length > 0 && (
        <strong>Allergens not known of {unknown.join(", ")}: ask before it is sold. </strong>
      )}
      {touched.length > 0 && `May touch ${touched.join(", ")}.`}
    </p>
  );
}

/** Sheets one after the other that are rolled, weighed and cut the same, told as one. Counted from 1. */
function gatherSheets(
  sheets: readonly CutSheet[],
): { readonly sheet: CutSheet; readonly first: number; readonly last: number }[] {
  const say = (sheet: CutSheet) =>
    [
      ...[sheet.pass, sheet.isDecoration, describeSheet({ ...sheet.sheet, ...sheet.rolledTo })],
      ...[formatMass(sheet.doughG), sheet.count],
    ].join("/");
  return sheets.reduce<{ sheet: CutSheet; first: number; last: number }[]>((all, sheet, i) => {
    const before = all.at(-1);
    if (before && say(before.sheet) === say(sheet)) return [...all.slice(0, -1), { ...before, last: i + 1 }];
    return [...all, { sheet, first: i + 1, last: i + 1 }];
  }, []);
}

/** How it is kept and warmed again, where its way says so. */
function KeepNote({ piece: { way }, scale }: { readonly piece: Piece; readonly scale: OvenScale }) {
  const keepDays = findBakedKeepDays(way);
  const warm = findWarmUp(way);
  if (keepDays === 0 && !warm) return null;
  return (
    <p>
      {keepDays > 0 && `Keeps cold ${formatCount(keepDays, "day")}. `}
      {warm &&
        `Crisp again ${formatDuration(warm.minutes)}${warm.heatC === null ? "" : ` at ${formatHeat(warm.heatC, scale)}`}.`}
    </p>
  );
}
