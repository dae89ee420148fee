"use client";

import { usePathname } from "next/navigation";
import { useEffect, useState, useSyncExternalStore } from "react";
import { BenchProvider } from "../bench/BenchProvider";
import type { DaySnapshot } from "../bench/benchState";
import { Link } from "../controls/Link";
import { neighbours } from "../live/neighbours";
import { BenchShell } from "../shell/BenchShell";
import { formatDayDate } from "../shell/formatDayDate";
import { THEME_COOKIE, toTheme } from "../shell/theme";
import { listKeptDays, readKeptDay } from "./keptDays";
import { findSurface, type Surface } from "./surfaces";

/**
 * Stands for every page while the server is away: days that are on the device open from it, and go on as ever. It is one
 * page for all addresses, kept with the application; which of them it is asked for is known in the browser only.
 */
export function AwayPage() {
  const isInBrowser = useSyncExternalStore(subscribeToNothing, inBrowser, onServer);
  return isInBrowser ? <Away /> : <Opening />;
}

const subscribeToNothing = () => () => {};
const inBrowser = () => true;
const onServer = () => false;

function Away() {
  const pathname = usePathname();
  const found = findSurface(pathname);
  useEffect(() => {
    // The page was kept with whatever theme it had then.
    const theme = toTheme(new RegExp(`${THEME_COOKIE}=([^;]+)`).exec(document.cookie)?.[1]);
    if (theme) document.documentElement.dataset.theme = theme;
  }, []);
  useEffect(() => {
    document.addEventListener("click", stayHere, true);
    return () => document.removeEventListener("click", stayHere, true);
  }, []);
  return found ? <AwayDay key={found.date} {...found} /> : <KeptDays />;
}

/** While the server is away a link to what is on the device is followed without asking for it. */
function stayHere(event: MouseEvent): void {
  if (event.metaKey || event.ctrlKey || event.shiftKey || event.button !== 0) return;
  if (neighbours.getState().isLinked || !(event.target instanceof Element)) return;
  const link = event.target.closest<HTMLAnchorElement>("a[href]");
  if (!link || link.target !== "" || link.hasAttribute("download")) return;
  const { origin, pathname, href } = new URL(link.href);
  if (origin !== location.origin || !findSurface(pathname)) return;
  event.preventDefault();
  event.stopPropagation();
  window.history.pushState(null, "", href);
}

interface AwayDayProps {
  readonly date: string;
  readonly id: string;
  readonly surface: Surface;
}

function AwayDay({ date, id, surface }: AwayDayProps) {
  const [day, setDay] = useState<DaySnapshot | "none" | null>(null);
  useEffect(() => {
    void readKeptDay(date, Date.now()).then((kept) => setDay(kept ?? "none"));
  }, [date]);
  if (day === null) return <Opening />;
  if (day === "none") return <KeptDays />;
  return (
    <>
      <title>{`${surface.title} · Tezgah`}</title>
      <BenchProvider snapshot={day}>
        <BenchShell>{surface.draw(id)}</BenchShell>
      </BenchProvider>
    </>
  );
}

const Opening = () => (
  <main className="board min-h-dvh p-8">
    <title>Tezgah</title>
    <p className="quiet text-lg" role="status">
      Opened from this device…
    </p>
  </main>
);

/** How often the server is asked whether it is back, ms. */
const ASK_EVERY_MS = 5000;

/** A page that only the server has: it is opened as soon as the server is back; meanwhile, what is on the device. */
function KeptDays() {
  const [days, setDays] = useState<Awaited<ReturnType<typeof listKeptDays>>>([]);
  useEffect(() => {
    void listKeptDays().then(setDays);
    const ask = () =>
      void fetch("/api/health").then(
        () => location.reload(),
        () => undefined,
      );
    const timer = setInterval(ask, ASK_EVERY_MS);
    window.addEventListener("online", ask);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", ask);
    };
  }, []);
  return (
    <main className="board flex min-h-dvh flex-col items-start gap-4 p-8">
      <title>Away · Tezgah</title>
      <h1 className="text-3xl">Tezgah’s server does not answer</h1>
      <p>
        This page needs it, and opens by itself when it is back.{" "}
        {days.length > 0
          ? "These days are on this device: read them, change them, and what you change is sent later."
          : "No day is on this device yet: each is kept here once it was opened."}
      </p>
      <ul className="flex flex-col gap-2">
        {days.map(({ date, name }) => (
          <li key={date}>
            <Link href={`/day/${date}/orders`} className="btn touch">
              {name} <span className="quiet font-normal">{formatDayDate(date)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </main>
  );
}
