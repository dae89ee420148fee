import { connect, type Socket } from "node:net";
import type { ReadingBoard } from "@/core/readings";
import { readSenMl } from "@/formats";

/** A line that is longer is no reading; what comes until its end is passed over, bytes. */
const MAX_LINE = 10_000;
/** A bridge that is away is called again after this, ms. */
const CALL_AGAIN_MS = 3000;

/** Listens to a bridge until it is closed; one that goes away is called again. */
export interface Listening {
  close(): void;
}

/**
 * Takes SenML lines from an address to the board. Whatever comes harms nothing: what cannot be read is counted.
 * @param address - `host:port`.
 */
export function listenTo(address: string, board: ReadingBoard, nowMs: () => number): Listening {
  const [host = "", port = ""] = address.split(":");
  let socket: Socket | null = null;
  let timer: NodeJS.Timeout | null = null;
  let isClosed = false;
  const call = () => {
    let rest = "";
    let isTooLong = false;
    socket = connect(Number(port), host)
      .setEncoding("utf8")
      .on("data", (text: string) => {
        const lines = (rest + text).split("\n");
        rest = lines.pop() ?? "";
        lines.forEach((line, i) => {
          if (i === 0 && isTooLong) isTooLong = false;
          else hearLine(line, address, board, nowMs());
        });
        if (rest.length <= MAX_LINE) return;
        if (!isTooLong) board.hearNonsense(address);
        isTooLong = true;
        rest = "";
      })
      // Why it failed does not matter: it is called again.
      .on("error", () => {})
      .on("close", () => {
        if (!isClosed) timer = setTimeout(call, CALL_AGAIN_MS);
      });
  };
  call();
  return {
    close() {
      isClosed = true;
      if (timer) clearTimeout(timer);
      socket?.destroy();
    },
  };
}

function hearLine(line: string, address: string, board: ReadingBoard, nowMs: number): void {
  if (line.trim() === "") return;
  let pack: unknown;
  try {
    pack = JSON.parse(line);
  } catch {
    return board.hearNonsense(address);
  }
  const records = readSenMl(pack);
  if (records.ok) board.hear(records.value, nowMs);
  else board.hearNonsense(address);
}
