import { useCallback, useEffect, useRef, useState } from 'react';

export interface BoardClock {
  /** Shown, in seconds: gone by, or left of a countdown. */
  readonly seconds: number;
  readonly isRunning: boolean;
  /** Since it was last set back, in seconds. */
  readonly gone: () => number;
  start(): void;
  stop(): void;
  setBack(): void;
}

/** A clock that counts up, or down `from` so many seconds; `onOver`: a countdown has come to its end. */
export function useBoardClock(from: number | null, onOver: () => void): BoardClock {
  const [isRunning, setRunning] = useState(false);
  const [shown, setShown] = useState(0);
  const before = useRef(0);
  const since = useRef<number | null>(null);
  const over = useRef(onOver);
  over.current = onOver;
  const gone = useCallback(
    () => before.current + (since.current === null ? 0 : (performance.now() - since.current) / 1000),
    [],
  );
  const stop = useCallback(() => {
    before.current = gone();
    since.current = null;
    setRunning(false);
    setShown(before.current);
  }, [gone]);
  const start = useCallback(() => {
    since.current ??= performance.now();
    setRunning(true);
  }, []);
  const setBack = useCallback(() => {
    before.current = 0;
    since.current = null;
    setRunning(false);
    setShown(0);
  }, []);
  useEffect(() => {
    if (!isRunning) return;
    const timer = setInterval(() => {
      const now = gone();
      setShown(now);
      if (from === null || now < from) return;
      before.current = from;
      since.current = null;
      setShown(from);
      setRunning(false);
      over.current();
    }, 200);
    return () => clearInterval(timer);
  }, [isRunning, from, gone]);
  const seconds = from === null ? Math.floor(shown) : Math.max(0, Math.ceil(from - shown));
  return { seconds, isRunning, gone, start, stop, setBack };
}

/** Minutes and seconds, such as 1:42. */
export const clockInWords = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
