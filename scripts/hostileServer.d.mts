/** The answer's first line, and after how many seconds the connection ended. */
export interface Ended {
  readonly line: string;
  readonly afterS: number;
}
export function sendSlowly(base: string, text: string, everyMs?: number): Promise<Ended>;
export function probeSlow(base: string): Promise<{ readonly body: Ended; readonly headers: Ended }>;
export function readMemoryMb(pid: number): number;
export function probeLines(
  base: string,
  pid: number,
  count: number,
  standMs: number,
): Promise<{
  readonly opened: number;
  readonly cpuMs: number;
  readonly memoryMb: number;
  readonly memoryAfterMb: number;
}>;
