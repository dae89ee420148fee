import { writeSync } from "node:fs";

/**
 * Writes all of it: a disk that is nearly full, or a share, may take only a part at a time.
 * @throws If nothing more is taken.
 */
export function writeAll(file: number, content: Uint8Array | string): void {
  const bytes = typeof content === "string" ? Buffer.from(content) : content;
  for (let at = 0; at < bytes.length;) {
    const written = writeSync(file, bytes, at, bytes.length - at);
    if (written === 0) throw Object.assign(new Error("The disk takes nothing more."), { code: "ENOSPC" });
    at += written;
  }
}
