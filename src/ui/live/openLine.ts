import type { LiveNews, Neighbour } from "@/schemas/live";

/** What a page hears while it is open. */
export interface Hearing {
  /** What it knows of the file as the line is opened: what came after is told first. */
  readonly readMark: () => Pick<LiveNews, "epoch" | "revision">;
  readonly onNews?: (news: LiveNews) => void;
  /** Something happened on a day that runs. */
  readonly onHappened?: () => void;
  readonly onNeighbours?: (others: readonly Neighbour[]) => void;
  /** Whether the server is there. */
  readonly onLink?: (isLinked: boolean) => void;
}

/** Who this page is to the others. */
export interface Self {
  readonly deviceId: string;
  readonly name: string;
  /** Where it is now. */
  readonly at: () => string;
}

/** A server that answers a line with a page or a fault is asked again after so long, ms. */
const AGAIN_AFTER_MS = 5000;

/**
 * A line to the server as long as the page is seen: a browser has few of them, and a page that nobody sees catches up when
 * it is looked at. A line that breaks is opened again by the browser, from the last word it heard.
 * @returns Closes it.
 */
export function openLine(
  self: Self,
  { readMark, onNews, onHappened, onNeighbours, onLink }: Hearing,
): () => void {
  let line: EventSource | null = null;
  let again: ReturnType<typeof setTimeout> | undefined;
  const open = () => {
    if (line || document.visibilityState === "hidden") return;
    const { epoch, revision } = readMark();
    const query = new URLSearchParams({
      ...{ epoch, revision: String(revision), device: self.deviceId },
      ...{ name: self.name, at: self.at() },
    });
    line = new EventSource(`/api/bench/live?${query}`);
    const on = (event: string, hear: (data: unknown) => void) =>
      line?.addEventListener(event, ({ data }: MessageEvent<string>) => hear(JSON.parse(data)));
    // What is answered otherwise than with a line is not asked again by the browser itself.
    line.onerror = () => {
      // Whom nobody tells of is not said to be there.
      onNeighbours?.([]);
      // A line that was answered otherwise is closed: the server is there.
      if (line?.readyState !== EventSource.CLOSED) return onLink?.(false);
      close();
      again = setTimeout(open, AGAIN_AFTER_MS);
    };
    if (onNews) on("changed", (data) => onNews(data as LiveNews));
    if (onHappened) on("happened", onHappened);
    on("here", (data) => {
      onLink?.(true);
      const { others } = data as { others: readonly Neighbour[] };
      onNeighbours?.(others.filter(({ deviceId }) => deviceId !== self.deviceId));
    });
  };
  const close = () => {
    clearTimeout(again);
    line?.close();
    line = null;
  };
  const turn = () => (document.visibilityState === "hidden" ? close() : open());
  open();
  document.addEventListener("visibilitychange", turn);
  window.addEventListener("pagehide", close);
  window.addEventListener("pageshow", open);
  return () => {
    document.removeEventListener("visibilitychange", turn);
    window.removeEventListener("pagehide", close);
    window.removeEventListener("pageshow", open);
    close();
  };
}
