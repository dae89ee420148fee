/** Time left as a timer shows it: `2:10`, over an hour `1:05:00`; past its end with a minus. */
export function formatLeft(leftMin: number): string {
  const seconds = Math.round(Math.abs(leftMin) * 60);
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
  const pad = (value: number) => String(value).padStart(2, "0");
  const text = h > 0 ? `${h}:${pad(m)}:${pad(s)}` : `${m}:${pad(s)}`;
  return leftMin < 0 && seconds > 0 ? `−${text}` : text;
}
