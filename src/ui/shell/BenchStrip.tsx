"use client";

import { TriangleAlert } from "lucide-react";
import { usePathname, useSearchParams } from "next/navigation";
import { useEffect, useRef } from "react";
import { sayProblem } from "@/core/plan";
import { useBench } from "../bench/BenchProvider";
import { Link } from "../controls/Link";
import { Ribbon } from "./Ribbon";
import { listStationFacts } from "./stationFacts";

/** Narrower than this the strip scrolls; its grid's class says the same. */
const STRIP_MIN_PX = 1060;

/** More letters than these do not fit into a narrow column at full size: `0.43–0.9 oz`. */
const WIDE_FIGURE = 10;

/** The spine of a day: seven stations with their live figures. It is the navigation. */
export function BenchStrip() {
  const plan = useBench((state) => state.plan);
  const date = useBench((state) => state.date);
  const pathname = usePathname();
  const query = useSearchParams().toString();
  const current = useRef<HTMLAnchorElement>(null);

  useEffect(() => {
    // On a wide screen all seven are there: to find that out by scrolling, the page would be laid out first.
    if (window.matchMedia(`(min-width: ${STRIP_MIN_PX}px)`).matches) return;
    const frame = requestAnimationFrame(
      () => void current.current?.scrollIntoView({ block: "nearest", inline: "nearest" }),
    );
    return () => cancelAnimationFrame(frame);
  }, [pathname]);

  return (
    <nav aria-label="Stations" className="overflow-x-auto bg-(--steel)">
      <ol className="grid min-w-[1060px] grid-cols-7">
        {listStationFacts(plan).map(({ id, name, figure, note, problems }, i) => {
          const href = `/day/${date}/${id}`;
          const active = pathname === href;
          return (
            <li key={id} className="border-l border-base-300 first:border-l-0">
              <Link
                ref={active ? current : null}
                href={query ? `${href}?${query}` : href}
                aria-current={active ? "page" : undefined}
                className={`relative flex h-[88px] flex-col border-t-4 px-3 pt-1 -outline-offset-2 ${active ? "board border-primary" : "border-transparent hover:bg-base-100"}`}
              >
                <span className="flex items-center gap-2 text-[0.95rem] whitespace-nowrap">
                  <kbd className="key figure text-xs">{i + 1}</kbd>
                  <span className="figure font-medium">{name}</span>
                  {problems.length > 0 && (
                    <span className="ml-auto text-error" title={problems.map(sayProblem).join("\n")}>
                      <TriangleAlert size={20} aria-hidden />
                      <span className="sr-only">{problems.length} to decide</span>
                    </span>
                  )}
                </span>
                <span
                  className={`figure mt-0.5 truncate leading-8 ${figure.length > WIDE_FIGURE ? "text-[1.15rem]" : "text-[1.35rem]"} xl:text-[1.55rem]`}
                >
                  {figure}
                </span>
                <span className="quiet truncate text-sm">{note}</span>
              </Link>
            </li>
          );
        })}
      </ol>
      <div className="min-w-[1060px]">
        <RibbonSlot />
      </div>
    </nav>
  );
}

function RibbonSlot() {
  const plan = useBench((state) => state.plan);
  const date = useBench((state) => state.date);
  return <Ribbon flow={plan.flow} pieces={plan.tally.ready} date={date} />;
}
