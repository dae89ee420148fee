import type { ReactNode } from "react";
import { tellChange, type PieceNow, type ToldChange } from "@/core/run";
import {
  figureFacts,
  findTelling,
  rankCauses,
  troubleNames,
  type LotFigures,
  type RankedCause,
  type RemedyChange,
  type Speaking,
  type Trouble,
} from "@/core/remedy";
import { formatNumber } from "@/core/units";

interface Props {
  readonly trouble: Trouble;
  readonly figures: LotFigures;
  /** What the piece is made by now; null where no piece is meant. */
  readonly now: PieceNow | null;
  /** So many are shown, the likeliest first. */
  readonly most: number;
  /** What has not begun is made so; null where nothing is left to be made otherwise. */
  readonly onTake: ((change: RemedyChange, text: string) => void) | null;
  /** What stands beside a cause whose remedy the piece has a figure for: how it is taken for the next day. */
  readonly nextTime?: (change: RemedyChange, told: ToldChange, isLikeliest: boolean) => ReactNode;
}

/** What likely caused a trouble, by the lot's own figures, with what would be done otherwise. */
export function CauseList({ trouble, figures, now, most, onTake, nextTime }: Props) {
  const { causes, otherwise } = rankCauses(trouble, figures);
  const telling = findTelling(trouble, figures);
  return (
    <section aria-label={`Why: ${troubleNames[trouble]}`} className="flex flex-col gap-1">
      <h2 className="quiet text-base font-bold">{troubleNames[trouble]}: likeliest, by this lot’s figures</h2>
      <ol>
        {causes.slice(0, most).map((cause, i) => (
          <Cause
            key={cause.id}
            cause={cause}
            now={now}
            onTake={onTake}
            nextTime={(change, told) => nextTime?.(change, told, i === 0)}
          />
        ))}
      </ol>
      <p className="quiet text-sm">
        {most < causes.length && `${causes.length - most} more, and `}
        {formatNumber(otherwise * 100)} % none of these.
        {telling && ` What would tell most: ${figureFacts[telling.figure].ask}.`}
      </p>
    </section>
  );
}

function Cause({
  cause: { text, probability, speaking, change },
  now,
  onTake,
  nextTime,
}: Pick<Props, "now" | "onTake"> & {
  readonly cause: RankedCause;
  readonly nextTime: (change: RemedyChange, told: ToldChange) => ReactNode;
}) {
  const told = now && tellChange(change, now);
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-base-300 py-1.5">
      <span className="figure w-18 shrink-0 text-3xl">{formatNumber(probability * 100)} %</span>
      <span className="min-w-40 flex-1">
        <span className="block text-lg leading-snug">{text}</span>
        {speaking.map((each) => (
          <span key={each.figure} className="quiet block text-sm">
            {tellSpeaking(each)}
          </span>
        ))}
      </span>
      {told &&
        (onTake && told.isForNow ? (
          <button
            type="button"
            className="btn h-auto min-h-14 py-1 text-base"
            onClick={() => onTake(change, told.text)}
          >
            From now on {told.text}
          </button>
        ) : (
          (told.isOfPiece && nextTime(change, told)) || (
            <span className="text-base">Next time: {told.text}</span>
          )
        ))}
    </li>
  );
}

/** Less than this either way says nothing. */
const SAYS_NOTHING = 1.5;

function tellSpeaking({ figure, value, factor }: Speaking): string {
  const { name, unit } = figureFacts[figure];
  const shown =
    unit === "%"
      ? `${formatNumber(value * 100)} %`
      : unit === "±°C"
        ? `${value > 0 ? "+" : value < 0 ? "−" : ""}${formatNumber(Math.abs(value), 1)} °C`
        : `${formatNumber(value, 1)}${unit && ` ${unit}`}`;
  const says =
    factor > SAYS_NOTHING
      ? `speaks for it, ${formatNumber(factor, factor < 10 ? 1 : 0)} to 1`
      : factor < 1 / SAYS_NOTHING
        ? `speaks against it, ${formatNumber(1 / factor, 1 / factor < 10 ? 1 : 0)} to 1`
        : "says nothing";
  return `${name}: ${shown}, ${says}`;
}
