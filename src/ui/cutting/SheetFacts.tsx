import { type CutPlan, type CutSheet, type Portioning } from "@/core/cutting";
import type { CutRole, DayCut } from "@/core/plan";
import { describeOutline, describeSheet, outerOutline } from "@/core/shape";
import { formatDuration, formatLength, formatMass, formatNumber, formatSides } from "@/core/units";
import { splitByRole } from "../drawings/drawnParts";
import { OutlineIcon } from "../drawings/OutlineShape";
import { namePass } from "../drawings/SheetThumb";
import { describeRows } from "./describeRows";

/** Blanks without a sheet: what each is weighed off, or how thick it is sliced. */
export function PortionFacts({ cut, portioning }: { readonly cut: DayCut; readonly portioning: Portioning }) {
  return (
    <ul className="flex flex-col gap-4">
      {portioning.portions.map(({ demandId, count, eachG, sliceMm, logMm, logs, logLengthMm }) => {
        const role = cut.roles.find((each) => each.demandId === demandId);
        return (
          <li key={demandId} className="flex flex-wrap items-center gap-6">
            {role && <OutlineIcon outline={role.outline} sizePx={190} />}
            <div>
              <p className="flex items-baseline gap-2">
                <span className="figure text-5xl">{count}</span>
                <span>
                  of <span className="figure text-3xl">{formatMass(eachG)}</span>
                  {role && `, ${nameRole(cut, role)}`}
                </span>
              </p>
              {portioning.way === "sliced" && (
                <p className="figure text-2xl text-primary">
                  {formatLength(sliceMm, 1)} slices off {logs === 1 ? "a log" : `${logs} logs`}{" "}
                  {formatLength(logMm, 0)} thick, {formatLength(logLengthMm, 0)} long
                </p>
              )}
              <p className="quiet">
                {portioning.way === "sliced" ? "flatten" : "round and roll"} each to{" "}
                {role && describeOutline(outerOutline(role.outline))} at {formatLength(cut.thicknessMm)}
                {role?.outline.kind === "ring" && ", then cut its centre out"}; no trim, nothing to re-roll
              </p>
            </div>
          </li>
        );
      })}
    </ul>
  );
}

/** What a blank becomes, with its piece where others share the dough. */
function nameRole(cut: DayCut, { role, pieceName, hasPartner }: CutRole): string {
  if (!hasPartner) return pieceName;
  return cut.pieceIds.length > 1 ? `${role}s, ${pieceName}` : `${role}s`;
}

interface SheetFactsProps {
  readonly cut: DayCut;
  readonly sheet: CutSheet;
  readonly index: number;
}

/** One sheet in figures: what to weigh, what each cut becomes, and the rows as a ruler needs them. */
export function SheetFacts({ cut, sheet, index }: SheetFactsProps) {
  const { plan } = cut;
  const bought = cut.dough.boughtSheet;
  const reroll = plan.rerolls.find(({ pass }) => pass === sheet.pass);
  const roles = splitByRole(sheet, cut.roles);
  // A sheet of one kind for one piece: the heading has said it all.
  const [sole, ...more] = roles;
  const isAlone = more.length === 0 && cut.pieceIds.length === 1 && !sole?.role?.hasPartner;
  const plain = isAlone ? (sole?.role ?? null) : null;
  const drawsBack = sheet.rolledTo.widthMm > sheet.sheet.widthMm + 0.5;
  return (
    <div
      role="group"
      aria-label="Figures of this sheet"
      tabIndex={0}
      className="flex min-h-0 flex-col gap-1.5 overflow-y-auto"
    >
      <div>
        <h2 className="text-xl">
          Sheet {index + 1} of {plan.sheets.length}
        </h2>
        <p className="quiet">
          {namePass(sheet)}
          {reroll && `, from ${formatMass(reroll.trimG)} of trim`} · {formatLength(cut.thicknessMm)}
        </p>
        {bought && sheet.pass === 0 && (
          <p className="text-sm">
            A bought {formatSides([bought.widthMm, bought.heightMm], 2)} sheet
            {bought.thicknessMm > cut.thicknessMm &&
              `, rolled thinner from ${formatLength(bought.thicknessMm)}`}
          </p>
        )}
        {drawsBack && (
          <p className="text-sm">
            Roll it to {describeSheet({ ...sheet.sheet, ...sheet.rolledTo })}: it draws back.
          </p>
        )}
      </div>
      <p className="flex items-baseline gap-2">
        <span className="figure text-5xl" data-testid="sheet-count">
          {sheet.count}
        </span>
        <span>
          cuts
          {sheet.parts.length === 1 &&
            `, ${describeOutline(sheet.parts[0]?.outline ?? roles[0]!.part.outline)}`}
        </span>
      </p>
      <p className="text-[0.95rem]">
        weigh <span className="figure text-2xl">{formatMass(sheet.doughG)}</span> for it
        {plain && `, ${formatMass(findEachG(plan, plain))} a blank`}
      </p>
      <ul className="text-[0.95rem]" hidden={plain !== null}>
        {roles.map(({ role, placements, part }, i) => (
          <li key={i} className="flex items-center gap-2">
            <OutlineIcon outline={role?.outline ?? part.outline} sizePx={26} />
            <span>
              <span className="figure">{placements.length}</span> {role ? nameRole(cut, role) : "decorations"}
              {role && `, ${formatMass(findEachG(plan, role))} each`}
            </span>
          </li>
        ))}
      </ul>
      <p className="quiet text-sm">
        {sheet.parts.length === 1 && `no way to cut more than ${sheet.upperBound} · `}
        {formatNumber(sheet.usedShare * 100)} % used · {formatDuration(sheet.handMin)} by hand
      </p>
      {sheet.parts.map((part, i) => (
        <ul key={i} className="figure text-primary">
          {sheet.parts.length > 1 && <li className="text-base-content">{describeOutline(part.outline)}</li>}
          {describeRows(part.pattern).map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
      ))}
      <dl className="grid grid-cols-[1fr_auto] gap-x-3 text-[0.95rem]">
        <dt>trim of this sheet</dt>
        <dd className="figure text-right">{formatMass(sheet.trimG)}</dd>
        {plan.decorations > 0 && (
          <>
            <dt>decorations from the last of it</dt>
            <dd className="figure text-right">{plan.decorations}</dd>
          </>
        )}
        <dt>left in the end</dt>
        <dd className="figure text-right">
          {formatMass(plan.trimLeftG)} {trimEndWords[cut.dough.trimEnd]}
        </dd>
      </dl>
    </div>
  );
}

const findEachG = ({ yields }: CutPlan, { demandId }: CutRole) =>
  yields.find((each) => each.demandId === demandId)?.eachG ?? 0;

const trimEndWords = { larder: "kept", decorations: "over", waste: "thrown out" } as const;
