/** A stretch of the day's clock, minutes after midnight. */
export interface ClockWindow {
  readonly fromMin: number;
  readonly toMin: number;
}

/** How close the clock is looked at, px a minute: from the whole of a short day to single minutes. */
export const ZOOMS = [1.45, 2.9, 5.8, 11.6, 29] as const;
/** Where it is worked at: a quarter of an hour is as wide as two fingers. */
export const WORKING_ZOOM = 2;
/** Left of what is looked for, so much of the window shows what leads to it. */
const LEAD_SHARE = 0.2;

const clamp = (value: number, least: number, most: number) => Math.max(least, Math.min(value, most));

/** The window of so many minutes that begins about there and leaves the day at neither end. */
export function placeWindow(day: ClockWindow, fromMin: number, spanMin: number): ClockWindow {
  const span = Math.min(spanMin, day.toMin - day.fromMin);
  const from = clamp(fromMin, day.fromMin, day.toMin - span);
  return { fromMin: from, toMin: from + span };
}

/** As far as needed so that `minute` to `untilMin` is seen; where it is seen already, as it is. */
export function reveal(day: ClockWindow, window: ClockWindow, minute: number, untilMin: number): ClockWindow {
  const span = window.toMin - window.fromMin;
  const isSeen = minute >= window.fromMin && Math.min(untilMin, minute + span) <= window.toMin;
  return isSeen ? window : placeWindow(day, minute - span * LEAD_SHARE, span);
}

/** Closer or farther about the middle of what is seen. */
export function zoomTo(day: ClockWindow, window: ClockWindow, spanMin: number): ClockWindow {
  const middle = (window.fromMin + window.toMin) / 2;
  return placeWindow(day, middle - spanMin / 2, spanMin);
}
