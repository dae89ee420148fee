import { getStore } from "@/data/getStore";
import { MAX_TOLD_CHARACTERS } from "@/schemas/live";
import type { LetThrough } from "./access/admit";
import { refuse } from "./api/readJson";
import { hasRoom, isEnding, LINES, listen, type Listener } from "./live";

/** A line that broke is opened again by the browser after so long, ms. */
const RETRY_MS = 1000;
/** What a screen may leave unread before its line is closed, bytes: it catches up by another. A large day is a tenth of it. */
const MOST_UNREAD_BYTES = 2_000_000;
const encoder = new TextEncoder();
/** A comment, which keeps a line open. */
const BEAT = encoder.encode(":\n\n");

/** A line that found no room is tried again after so long, s. */
const ROOM_RETRY_S = 30;

/**
 * What is written from now on, as server-sent events, first what was missed since `?epoch=…&revision=…` or since the
 * last event that a broken line had heard. `changed` tells records, `happened` a run, `here` who else is looking.
 */
export function openLiveLine(
  request: Request,
  { role, holderId }: Pick<LetThrough, "role" | "holderId">,
): Response {
  const { searchParams } = new URL(request.url);
  const read = (name: string) => searchParams.get(name)?.slice(0, MAX_TOLD_CHARACTERS) ?? "";
  const [lastEpoch, lastRevision] = (request.headers.get("last-event-id") ?? "").split("/");
  const isAgain = lastEpoch !== undefined && lastRevision !== undefined;
  const epoch = isAgain ? lastEpoch : read("epoch");
  const revision = Number(isAgain ? lastRevision : read("revision"));
  if (!Number.isSafeInteger(revision) || revision < 0 || read("device") === "")
    return refuse([{ path: "revision", message: "Name the device, and the revision that it knows." }]);
  if (isEnding()) {
    const ending = refuse(
      [{ path: "", message: "Tezgah is being stopped. Ask again once it is started." }],
      503,
    );
    ending.headers.set("connection", "close");
    return ending;
  }
  if (!hasRoom(holderId)) {
    const full = refuse(
      [
        {
          path: "",
          message: `Too many pages of Tezgah are open: ${LINES.ofHolder} on a device. Close some.`,
        },
      ],
      429,
    );
    full.headers.set("retry-after", String(ROOM_RETRY_S));
    return full;
  }
  // A file that is ill is said at once, and not on an open line.
  getStore();
  let end = () => {};
  const source: UnderlyingDefaultSource<Uint8Array> = {
    start(controller) {
      const hangUp = () => {
        end();
        try {
          controller.close();
        } catch {
          // Closed from the other side already.
        }
      };
      const write = (encoded: Uint8Array) => {
        // A screen that does not read, or is gone without a word, is not kept in mind for ever.
        if ((controller.desiredSize ?? 0) < -MOST_UNREAD_BYTES) return hangUp();
        try {
          controller.enqueue(encoded);
        } catch {
          // Closed from the other side between two words.
          end();
        }
      };
      write(encoder.encode(`retry: ${RETRY_MS}\n\n`));
      const listener: Listener = {
        holderId,
        role,
        neighbour: { deviceId: read("device"), name: read("name"), at: read("at"), field: null },
        epoch,
        revision,
        send: write,
        beat: () => write(BEAT),
        hangUp,
      };
      const stop = listen(listener);
      end = () => {
        end = () => {};
        stop();
      };
      // Gone while the server was still at its question: nobody says so again.
      if (request.signal.aborted) hangUp();
    },
    cancel: () => end(),
  };
  const stream = new ReadableStream(source, new ByteLengthQueuingStrategy({ highWaterMark: 0 }));
  request.signal.addEventListener("abort", () => end());
  return new Response(stream, {
    headers: {
      "content-type": "text/event-stream",
      "cache-control": "no-store, no-transform",
      "x-accel-buffering": "no",
      // A line is one connection: kept after its end, the next line would come in by it to a server that is closing.
      connection: "close",
    },
  });
}
