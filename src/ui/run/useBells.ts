import { useEffect, useState } from "react";
import type { Bell } from "@/core/run";
import { loudnesses, ring, type Loudness } from "./sound";

/** What rings just now, and how to quiet it. */
export interface RingingBells {
  readonly ringing: readonly Bell[];
  /** It has been seen and rings no more. */
  readonly hush: (id: string) => void;
  /** The browser lets a page make sounds once it was touched. */
  readonly mayRing: boolean;
  readonly loudness: Loudness;
  /** The next of loud, soft and mute; it is heard at once. */
  readonly turnLoudness: () => void;
}

/** How often a bell that nobody answers rings, ms. */
const AGAIN_MS = 6000;
/** A tap on the wrist, ms on and off. */
const BUZZ_MS = [200, 100, 200];
const LOUDNESS_KEY = "tezgah-bells";

/** Rings what is due: heard, felt where there is something to feel, and seen in the page's title. The screen stays awake. */
export function useBells(bells: readonly Bell[], nowMin: number): RingingBells {
  const [hushed, setHushed] = useState<ReadonlySet<string>>(new Set());
  const [loudness, setLoudness] = useState(readLoudness);
  const ringing = bells.filter(({ id, dueMin }) => dueMin <= nowMin && !hushed.has(id));
  const due = ringing.map(({ id }) => id).join();
  const first = ringing[0]?.text ?? null;
  useEffect(() => {
    if (due === "") return;
    const sound = () => {
      if (loudness === "mute" || !wasTouched()) return;
      ring(loudness);
      if ("vibrate" in navigator) navigator.vibrate(BUZZ_MS);
    };
    sound();
    const timer = setInterval(sound, AGAIN_MS);
    return () => clearInterval(timer);
  }, [due, loudness]);
  useEffect(() => {
    if (first === null) return;
    const before = document.title;
    document.title = `● ${first}`;
    const takeBadge = setBadge();
    return () => {
      document.title = before;
      takeBadge();
    };
  }, [first]);
  useWakeLock();
  return {
    ringing,
    hush: (id) => setHushed((before) => new Set([...before, id])),
    mayRing: wasTouched(),
    loudness,
    turnLoudness: () => {
      const next = loudnesses[(loudnesses.indexOf(loudness) + 1) % loudnesses.length]!;
      setLoudness(next);
      ring(next);
      try {
        localStorage.setItem(LOUDNESS_KEY, next);
      } catch {
        // No storage: it is so for as long as the page lives.
      }
    },
  };
}

/** Browsers that do not tell are asked to ring, and may refuse. */
const wasTouched = (): boolean =>
  (navigator.userActivation as UserActivation | undefined)?.hasBeenActive ?? true;

function readLoudness(): Loudness {
  try {
    const kept = localStorage.getItem(LOUDNESS_KEY);
    return loudnesses.find((each) => each === kept) ?? "loud";
  } catch {
    return "loud";
  }
}

/** A page's icon with a full disc, as long as something rings. @returns Puts the old one back. */
function setBadge(): () => void {
  const icon = document.querySelector<HTMLLinkElement>("link[rel~=icon]");
  if (!icon) return () => {};
  const before = icon.href;
  icon.href = `data:image/svg+xml,${encodeURIComponent(
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 16 16"><circle cx="8" cy="8" r="8" fill="#b0243a"/></svg>',
  )}`;
  return () => {
    icon.href = before;
  };
}

/** Keeps the screen on while the page is seen, where the browser can. */
function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    const take = () => {
      if (document.visibilityState !== "visible" || !("wakeLock" in navigator)) return;
      navigator.wakeLock.request("screen").then(
        (taken) => {
          lock = taken;
        },
        () => undefined,
      );
    };
    take();
    document.addEventListener("visibilitychange", take);
    return () => {
      document.removeEventListener("visibilitychange", take);
      void lock?.release();
    };
  }, []);
}
