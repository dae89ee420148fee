import type { MassFlow } from "@/core/plan";
import { formatMass } from "@/core/units";
import { Link } from "../controls/Link";

interface Props {
  readonly flow: MassFlow;
  readonly pieces: number;
  readonly date: string;
}

/** Width of one station's column and height of the drawing, in its own units. */
const COLUMN = 100;
const HEIGHT = 46;
/** Tallest the ribbon gets, leaving room for the re-roll loop under it. */
const MOST = 30;
const BASE = 34;

/**
 * The day's mass to scale as it flows through the stations: dough enters at Mix, leaves trim and loss at
 * Roll & cut, takes filling on at Fill, gives water off at Bake, and ends as pieces. Heights are masses.
 */
export function Ribbon({ flow, pieces, date }: Props) {
  const usedG = Math.max(flow.blanksG + flow.storedG - flow.surplusBlanksG, 0);
  const filledG = usedG + flow.fillingG;
  const largestG = Math.max(flow.doughG, filledG, flow.piecesG);
  if (largestG <= 0) return <div className="h-[46px]" aria-hidden />;
  const high = (massG: number) => (massG / largestG) * MOST;
  const bakedShare = filledG > 0 ? flow.piecesG / filledG : 0;
  const [dough, used, doughBaked] = [high(flow.doughG), high(usedG), high(usedG * bakedShare)];
  const [filling, fillingBaked] = [high(flow.fillingG), high(flow.fillingG * bakedShare)];
  const x = (column: number) => column * COLUMN;
  const top = (y: number) => (BASE - y).toFixed(2);

  const doughPath =
    `M${x(1)},${top(dough)} L${x(2)},${top(dough)} C${x(2.4)},${top(dough)} ${x(2.6)},${top(used)} ${x(3)},${top(used)} ` +
    `L${x(5)},${top(used)} C${x(5.4)},${top(used)} ${x(5.6)},${top(doughBaked)} ${x(6)},${top(doughBaked)} L${x(7)},${top(doughBaked)} ` +
    `L${x(7)},${BASE} L${x(1)},${BASE} Z`;
  const fillingPath =
    `M${x(3)},${top(used)} C${x(3.2)},${top(used)} ${x(3.3)},${top(used + filling)} ${x(3.6)},${top(used + filling)} ` +
    `L${x(5)},${top(used + filling)} C${x(5.4)},${top(used + filling)} ${x(5.6)},${top(doughBaked + fillingBaked)} ${x(6)},${top(doughBaked + fillingBaked)} ` +
    `L${x(7)},${top(doughBaked + fillingBaked)} L${x(7)},${top(doughBaked)} L${x(6)},${top(doughBaked)} ` +
    `C${x(5.6)},${top(doughBaked)} ${x(5.4)},${top(used)} ${x(5)},${top(used)} Z`;
  // What leaves is the wedge between the level before and the curve down to the level after.
  const trimPath = `M${x(2)},${top(dough)} L${x(3)},${top(dough)} L${x(3)},${top(used)} C${x(2.6)},${top(used)} ${x(2.4)},${top(dough)} ${x(2)},${top(dough)} Z`;
  const [before, after] = [used + filling, doughBaked + fillingBaked];
  const waterPath = `M${x(5)},${top(before)} L${x(6)},${top(before)} L${x(6)},${top(after)} C${x(5.6)},${top(after)} ${x(5.4)},${top(before)} ${x(5)},${top(before)} Z`;
  const toFillG = Math.max(flow.blanksG - flow.surplusBlanksG, 0);
  const away = flow.trimLeftG + flow.rollingLossG + flow.surplusBlanksG;
  const leaves = `− ${formatMass(flow.waterG)} water${flow.keptG > 0 ? `, ${formatMass(flow.keptG)} for later` : ""}`;
  const label =
    `Mass of the day: ${formatMass(flow.doughG)} dough, ${formatMass(toFillG)} in blanks, ` +
    `${formatMass(away)} left over or lost, ${formatMass(flow.fillingG)} filling, ${formatMass(flow.waterG)} water out, ${formatMass(flow.keptG)} kept for another day, ${formatMass(flow.piecesG)} of pieces`;

  return (
    <div className="relative h-[46px]">
      <svg
        viewBox={`0 0 ${7 * COLUMN} ${HEIGHT}`}
        preserveAspectRatio="none"
        className="absolute inset-0 h-full w-full"
        role="img"
        aria-label={label}
      >
        <path
          d={doughPath}
          fill="var(--dough-deep)"
          stroke="var(--dough-line)"
          vectorEffect="non-scaling-stroke"
        />
        <defs>
          <pattern
            id="ribbon-trim"
            width="3"
            height="3"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <line x1="0" y1="0" x2="0" y2="3" stroke="var(--trim-line)" strokeWidth="1.6" />
          </pattern>
          <pattern id="ribbon-water" width="3" height="3" patternUnits="userSpaceOnUse">
            <circle cx="1.5" cy="1.5" r="0.8" fill="var(--quiet)" />
          </pattern>
        </defs>
        <path d={trimPath} fill="url(#ribbon-trim)" />
        <path d={waterPath} fill="url(#ribbon-water)" />
        <path d={fillingPath} fill="var(--filling)" />
        {flow.rerolledG > 0 && (
          <path
            d={`M${x(2.85)},${BASE} C${x(2.85)},${BASE + 12} ${x(2.15)},${BASE + 12} ${x(2.15)},${BASE}`}
            fill="none"
            stroke="var(--dough-line)"
            strokeWidth={Math.max(high(flow.rerolledG) / 4, 1.5)}
            strokeDasharray="5 4"
            vectorEffect="non-scaling-stroke"
          />
        )}
      </svg>
      <RibbonLabel date={date} station="mix" column={1} text={`${formatMass(flow.doughG)} dough`} />
      <RibbonLabel
        date={date}
        station="roll"
        column={2}
        text={`${formatMass(toFillG)} in blanks${away >= 1 ? ` · ${formatMass(away)} over` : ""}`}
      />
      <RibbonLabel date={date} station="fill" column={3.85} text={`+ ${formatMass(flow.fillingG)} filling`} />
      <RibbonLabel date={date} station="bake" column={5} text={leaves} />
      <RibbonLabel date={date} station="cool" column={6} text={`${formatMass(flow.piecesG)} · ${pieces}`} />
    </div>
  );
}

function RibbonLabel({
  date,
  station,
  column,
  text,
}: {
  date: string;
  station: string;
  column: number;
  text: string;
}) {
  return (
    <Link
      href={`/day/${date}/${station}`}
      tabIndex={-1}
      className="reach absolute! bottom-[11px] rounded-sm px-1 text-[0.82rem] font-semibold whitespace-nowrap text-base-content hover:underline"
      style={{
        left: `calc(${(column / 7) * 100}% + 6px)`,
        background: "color-mix(in srgb, var(--board) 78%, transparent)",
      }}
    >
      {text}
    </Link>
  );
}
