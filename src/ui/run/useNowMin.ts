import { useEffect, useRef, useState } from "react";

/** A clock that is read every half second shows every second, ms. */
const READ_EVERY_MS = 500;

/** The minute of the day, drawn anew as it moves. */
export function useNowMin(nowMin: () => number): number {
  const [now, setNow] = useState(nowMin);
  const read = useRef(nowMin);
  useEffect(() => {
    read.current = nowMin;
  });
  useEffect(() => {
    const timer = setInterval(() => setNow(read.current()), READ_EVERY_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}
