import { countBaskets, type PiecePlan } from "@/core/plan";
import { formatCount, formatDuration, formatLength, formatNumber } from "@/core/units";
import { Fact } from "../controls/Fact";

/** What the fryer makes of the chosen piece: how many at once, what the oil does, how high it stands. */
export function FryFacts({ line }: { readonly line: PiecePlan }) {
  const [fry] = line.fries;
  if (!fry) return null;
  const limit =
    fry.perBasket === fry.most.oil ? "oil" : fry.perBasket === fry.most.level ? "level" : "basket";
  const why = {
    oil: "more would cool the oil too far",
    level: "more would lift the oil over its mark",
    basket: "no more lie side by side",
  }[limit];
  return (
    <div className="flex flex-wrap gap-x-8 gap-y-1">
      <Fact label="in one basket" value={String(fry.perBasket)} note={why} />
      <Fact
        label="baskets"
        value={String(countBaskets(line.loading, fry))}
        note={`${formatNumber(fry.minutes, 1)} min each at ${fry.oilC} °C`}
      />
      <Fact label="the oil falls to" value={`${formatNumber(fry.lowestC)} °C`} note={fry.fryer.name} />
      <Fact
        label="back after"
        value={fry.recoveryMin > 0 ? formatDuration(Math.ceil(fry.recoveryMin)) : "at once"}
        note="before the next basket"
      />
      <Fact
        label="oil stands at"
        value={formatLength(fry.levelMm, 0)}
        note={`food in it; mark at ${formatLength(fry.levelMostMm, 0)}`}
      />
      <Fact
        label="this oil has fried"
        value={formatCount(fry.fryer.usedLoads, "load")}
        note={`change after ${fry.fryer.changeAfterLoads}`}
      />
    </div>
  );
}
