/**
 * A server that was told to end waits so long for who is still being answered, ms: a page takes far less. It must not
 * wait for ever: a browser holds a spare connection open on which nothing was ever asked, and Node counts it among
 * those that are at work.
 */
const END_GRACE_MS = 5000;

/** Ends the process at `END_GRACE_MS` after it was told to, should it still be there. What was written is on the disk. */
export function endInTime(): void {
  const end = () => setTimeout(() => process.exit(0), END_GRACE_MS).unref();
  process.once("SIGTERM", end);
  process.once("SIGINT", end);
}
