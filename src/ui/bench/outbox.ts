import { createStore, del, entries, set } from "idb-keyval";
import type { ChangeGroup } from "@/schemas/change";
import type { History } from "./history";
import type { QueuedGroup, RefusedGroup } from "./saver";

/** What one page of one day keeps on the device until the server has it, and its steps for undo. */
export interface Kept {
  readonly date: string;
  readonly pageId: string;
  readonly queue: readonly QueuedGroup[];
  readonly refused: readonly RefusedGroup[];
  readonly history: History;
  readonly savedAtMs: number;
}

/** What is found on the device when a day is opened. */
export interface Found {
  /** What this page kept of this day before it was loaded again. */
  readonly mine: Kept | null;
  /** What pages that are gone, and other days of this page, did not get to the server. */
  readonly left: readonly ChangeGroup[];
}

export interface Outbox {
  open(): Promise<Found>;
  /** Keeps the newest; a write that is still going on is waited for. */
  keep(kept: Omit<Kept, "date" | "pageId" | "savedAtMs">): void;
  /** The same, before the page is gone: nothing is waited for. */
  keepNow(kept: Omit<Kept, "date" | "pageId" | "savedAtMs">): void;
}

const PREFIX = "tezgah-outbox";
const PAGE_ID = "tezgah-page";
/** What a page without locks has not touched for so long belongs to nobody, ms. */
const ABANDONED_AFTER_MS = 60_000;
/** Steps for undo kept on the device: what fits a small storage by far. */
const MAX_KEPT_STEPS = 60;

/**
 * The outbox of one day on this device. Each page has its own, so that two pages of one device do not write over each
 * other's; what a page that is gone has left is taken over by the next one. Without a storage (private mode) the page
 * works on and nothing outlives it.
 */
export function createOutbox(date: string, clock: () => number): Outbox {
  const database = createStore("tezgah", "outbox");
  let pageId = readPageId();
  const claimed = claimPage(pageId).then((id) => {
    pageId = id;
  });
  const key = (of: string, page: string) => `${PREFIX}/${of}/${page}`;
  let writing: Promise<void> | null = null;
  let newest: Kept | null = null;

  const toKept = (kept: Omit<Kept, "date" | "pageId" | "savedAtMs">): Kept => ({
    ...kept,
    history: {
      past: kept.history.past.slice(-MAX_KEPT_STEPS),
      future: kept.history.future.slice(-MAX_KEPT_STEPS),
    },
    date,
    pageId,
    savedAtMs: clock(),
  });
  const writeNewest = async (): Promise<void> => {
    await claimed;
    while (newest) {
      const next = newest;
      newest = null;
      await set(key(date, pageId), { ...next, pageId }, database).catch(ignoreNoStorage);
    }
    writing = null;
  };

  return {
    async open() {
      await claimed;
      const kept = await readAll(database);
      const alive = await listLivePages();
      const mine = kept.find((each) => each.date === date && each.pageId === pageId) ?? null;
      const others = kept.filter(
        (each) => each !== mine && (each.pageId === pageId || isGone(each, alive, clock())),
      );
      const left = others
        .toSorted((a, b) => a.savedAtMs - b.savedAtMs)
        .flatMap(({ queue, refused }) => [...refused.filter(({ isShown }) => isShown), ...queue])
        .map(({ id, changes }) => ({ id, changes }));
      for (const each of others) {
        forgetNow(key(each.date, each.pageId));
        // Another day of this page keeps its undo.
        const bare = { ...each, queue: [], refused: [] };
        const isMyOther = each.pageId === pageId && each.history.past.length > 0;
        await (
          isMyOther ? set(key(each.date, pageId), bare, database) : del(key(each.date, each.pageId), database)
        ).catch(ignoreNoStorage);
      }
      return { mine, left };
    },
    keep(kept) {
      newest = toKept(kept);
      writing ??= writeNewest();
    },
    keepNow(kept) {
      newest = toKept(kept);
      writeNow(key(date, pageId), newest);
      writing ??= writeNewest();
    },
  };
}

/** Everything kept by anyone: the later of what the data base and the page's last breath wrote. */
async function readAll(database: ReturnType<typeof createStore>): Promise<Kept[]> {
  const slow = await entries<string, Kept>(database).catch(() => []);
  const all = new Map(slow.filter(([name]) => name.startsWith(PREFIX)));
  for (const [name, kept] of readNow()) {
    if ((all.get(name)?.savedAtMs ?? -1) <= kept.savedAtMs) all.set(name, kept);
    forgetNow(name);
    await set(name, kept, database).catch(ignoreNoStorage);
  }
  return [...all.values()];
}

function readNow(): [string, Kept][] {
  try {
    return Object.keys(localStorage)
      .filter((name) => name.startsWith(PREFIX))
      .flatMap((name): [string, Kept][] => {
        const text = localStorage.getItem(name);
        return text ? [[name, JSON.parse(text) as Kept]] : [];
      });
  } catch {
    return [];
  }
}

function writeNow(name: string, kept: Kept): void {
  if (kept.queue.length + kept.refused.length + kept.history.past.length + kept.history.future.length === 0)
    return forgetNow(name);
  try {
    localStorage.setItem(name, JSON.stringify(kept));
  } catch {
    // No room: what is not saved goes before what could be undone.
    try {
      localStorage.setItem(name, JSON.stringify({ ...kept, history: { past: [], future: [] } }));
    } catch {
      // No storage at all; the data base may still have it.
    }
  }
}

function forgetNow(name: string): void {
  try {
    localStorage.removeItem(name);
  } catch {
    // No storage: nothing to forget.
  }
}

const createPageId = (): string =>
  Array.from(crypto.getRandomValues(new Uint32Array(2)), (word) => word.toString(36)).join("");

/** A page's own id, the same after it is loaded again. */
function readPageId(): string {
  const fresh = createPageId();
  try {
    const id = sessionStorage.getItem(PAGE_ID) ?? fresh;
    sessionStorage.setItem(PAGE_ID, id);
    return id;
  } catch {
    return fresh;
  }
}

/**
 * How long the page before this one may take to let go of its lock, ms; who holds it longer is another page. Long: on a
 * busy tablet a page that is loaded again finds its former self still dying, and would leave its last edit unclaimed.
 */
const LOCK_WAIT_MS = 5000;

/** Holds the page's lock as long as it lives. A page that was duplicated finds it held, and becomes another. */
function claimPage(id: string): Promise<string> {
  if (!navigator.locks) return Promise.resolve(id);
  return new Promise((resolve) => {
    navigator.locks
      .request(`${PREFIX}/${id}`, { signal: AbortSignal.timeout(LOCK_WAIT_MS) }, () => {
        resolve(id);
        return new Promise(() => {});
      })
      .catch(() => {
        const another = createPageId();
        try {
          sessionStorage.setItem(PAGE_ID, another);
        } catch {
          // No storage: it is another page each time anyway.
        }
        resolve(claimPage(another));
      });
  });
}

/** Pages that hold their lock; null where the browser has no locks. */
async function listLivePages(): Promise<ReadonlySet<string> | null> {
  if (!navigator.locks) return null;
  const { held = [] } = await navigator.locks.query();
  return new Set(
    held.flatMap(({ name }) => (name?.startsWith(PREFIX) ? [name.slice(PREFIX.length + 1)] : [])),
  );
}

const isGone = ({ pageId, savedAtMs }: Kept, alive: ReadonlySet<string> | null, nowMs: number): boolean =>
  alive ? !alive.has(pageId) : nowMs - savedAtMs > ABANDONED_AFTER_MS;

/** A device without storage (private mode, full): the page goes on, as it would have without an outbox. */
function ignoreNoStorage(): void {}
