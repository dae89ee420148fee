import { getStore } from "@/data/getStore";
import type { FileMark, News } from "@/data/changeFeed";
import type { Role } from "@/schemas/access";
import type { LiveNews, Neighbour } from "@/schemas/live";
import { hidePriceNews } from "./access/hidePrices";

/** How often the file is asked how far it has come, ms: two index lookups each time, whoever wrote it. */
const LOOK_EVERY_MS = 80;
/** A line that says nothing goes out so often, ms: whoever stands between closes lines that are silent. */
const BEAT_MS = 15_000;

/** Lines that one key may hold open, and all together: a house has some twenty screens. */
export const LINES = { ofHolder: 20, ofAll: 500 } as const;
/** Who is where is told so often at the most, ms: whoever types moves with every field. */
const TELL_PLACES_EVERY_MS = 200;
/** So many screens are named; a house has fewer. */
const MOST_NAMED = 60;

const encoder = new TextEncoder();

/** An event as it goes over a line. */
export const encodeEvent = (event: string, data: object, id: string | null = null): Uint8Array =>
  encoder.encode(`${id === null ? "" : `id: ${id}\n`}event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);

/** A screen that listens. */
export interface Listener {
  /** Whose key its device has; null where none is needed. */
  readonly holderId: string | null;
  readonly neighbour: Neighbour;
  /** For whom the device is. */
  readonly role: Role;
  /** What it knows of the file. */
  epoch: string;
  revision: number;
  send(encoded: Uint8Array): void;
  /** A comment that keeps the line open. */
  beat(): void;
  /** Closes the line: the screen opens another in a moment. */
  hangUp(): void;
}

interface Live {
  readonly listeners: Set<Listener>;
  timer: ReturnType<typeof setInterval> | null;
  beatAt: number;
  mark: FileMark | null;
  /** Who is where waits to be told. */
  telling: ReturnType<typeof setTimeout> | null;
  /** The server was told to end. */
  isEnding: boolean;
}

/** One watch a process, kept across hot reloads. */
const holder = globalThis as { tezgahLive?: Live };
const live = (holder.tezgahLive ??= startLive());

function startLive(): Live {
  const started: Live = {
    listeners: new Set(),
    timer: null,
    beatAt: 0,
    mark: null,
    telling: null,
    isEnding: false,
  };
  // A server that is told to end waits for its answers, and these end only by being ended.
  const hangUpAll = () => {
    started.isEnding = true;
    for (const listener of [...started.listeners]) listener.hangUp();
  };
  process.once("SIGTERM", hangUpAll);
  process.once("SIGINT", hangUpAll);
  return started;
}

/** Pages that are looked at now. */
export const countListeners = (): number => live.listeners.size;

/** Whether no line is opened any more. */
export const isEnding = (): boolean => live.isEnding;

/** Whether a line of this holder may be opened. */
export const hasRoom = (holderId: string | null): boolean =>
  live.listeners.size < LINES.ofAll &&
  (holderId === null ||
    [...live.listeners].filter((listener) => listener.holderId === holderId).length < LINES.ofHolder);

/** Ends the lines of a device that was turned out, or has another key now. */
export const hangUpHolder = (holderId: string): void =>
  hangUpWhere((listener) => listener.holderId === holderId);

/** Ends the lines of a role whose passphrase is another now: each device that is in opens its own again. */
export const hangUpRole = (role: Role): void =>
  hangUpWhere((listener) => listener.holderId !== null && listener.role === role);

function hangUpWhere(isMeant: (listener: Listener) => boolean): void {
  for (const listener of [...live.listeners]) if (isMeant(listener)) listener.hangUp();
}

/** Tells a screen from now on what is written, first what it has missed. @returns Ends it. */
export function listen(listener: Listener): () => void {
  live.listeners.add(listener);
  live.timer ??= setInterval(look, LOOK_EVERY_MS);
  look();
  tellNeighboursSoon();
  return () => {
    live.listeners.delete(listener);
    if (live.listeners.size === 0 && live.timer) {
      clearInterval(live.timer);
      live.timer = null;
      live.mark = null;
    }
    tellNeighboursSoon();
  };
}

/** A screen that listens is somewhere else, or in another field. */
export function move(deviceId: string, { at, field }: Pick<Neighbour, "at" | "field">): void {
  for (const listener of live.listeners)
    if (listener.neighbour.deviceId === deviceId) Object.assign(listener.neighbour, { at, field });
  tellNeighboursSoon();
}

/** How far the file has come; null where it is ill: that is said on the pages, and looked at again at the next turn. */
function readFile() {
  try {
    const { feed, readEpoch } = getStore();
    return { feed, mark: feed.readMark(), epoch: readEpoch() };
  } catch {
    return null;
  }
}

function look(): void {
  const file = readFile();
  if (!file) return;
  const { feed, mark, epoch } = file;
  const had = live.mark;
  live.mark = mark;
  const newsAfter = new Map<number, News>();
  for (const listener of live.listeners) {
    if (listener.epoch !== epoch) {
      const news: LiveNews = { epoch, after: 0, revision: mark.revision, standing: null };
      tell(listener, news);
    } else if (mark.revision > listener.revision) {
      const after = listener.revision;
      const news = newsAfter.get(after) ?? feed.listSince(after);
      newsAfter.set(after, news);
      tell(listener, { epoch, after, ...news });
    }
  }
  if (had && had.happened !== mark.happened) sendAll(encodeEvent("happened", mark));
  if (performance.now() - live.beatAt < BEAT_MS) return;
  live.beatAt = performance.now();
  for (const listener of live.listeners) listener.beat();
}

function tell(listener: Listener, news: LiveNews): void {
  Object.assign(listener, { epoch: news.epoch, revision: news.revision });
  const data = { ...news, standing: hidePriceNews(news.standing, listener.role) };
  listener.send(encodeEvent("changed", data, `${news.epoch}/${news.revision}`));
}

function sendAll(encoded: Uint8Array): void {
  for (const listener of [...live.listeners]) listener.send(encoded);
}

/** All moves of a moment are told at once, in one message for all: each screen knows which of them it is itself. */
function tellNeighboursSoon(): void {
  live.telling ??= setTimeout(() => {
    live.telling = null;
    const all = [...live.listeners].slice(-MOST_NAMED).map(({ neighbour }) => neighbour);
    sendAll(encodeEvent("here", { others: all }));
  }, TELL_PLACES_EVERY_MS).unref();
}
