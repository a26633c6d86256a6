import { useEffect, useRef, useState } from 'react';

const WARNED_AT = [300, 60];

const inWords = (seconds: number) =>
  seconds >= 3600
    ? `${Math.floor(seconds / 3600)} h ${Math.floor((seconds % 3600) / 60)} min`
    : `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

/** The time left, by the server's clock when the page was made. `onOver`: called when it is up. */
export function Clock({ seconds, onOver }: { seconds: number; onOver: () => void }) {
  const [left, setLeft] = useState(seconds);
  const over = useRef(onOver);
  over.current = onOver;
  useEffect(() => {
    const end = performance.now() + seconds * 1000;
    const timer = setInterval(() => {
      const now = Math.max(0, Math.round((end - performance.now()) / 1000));
      setLeft(now);
      if (now === 0) {
        clearInterval(timer);
        over.current();
      }
    }, 1000);
    return () => clearInterval(timer);
  }, [seconds]);
  const warned = WARNED_AT.findLast((at) => left <= at);
  return (
    <>
      <p className={`figures text-sm whitespace-nowrap ${left <= 60 ? 'text-brick font-semibold' : ''}`} role="timer">
        {inWords(left)} left
      </p>
      <p role="status" className="sr-only">
        {warned === undefined || seconds <= warned
          ? ''
          : `Less than ${warned / 60 === 1 ? 'one minute' : `${warned / 60} minutes`} left`}
      </p>
    </>
  );
}
