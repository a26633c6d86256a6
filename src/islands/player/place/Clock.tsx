import { useEffect, useRef, useState } from 'react';
import { phrase } from '../../../words';

const WARNED_AT = [300, 60];

const inWords = (seconds: number) =>
  seconds >= 3600
    ? phrase('player.hoursMinutes', { hours: Math.floor(seconds / 3600), minutes: Math.floor((seconds % 3600) / 60) })
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
        {phrase('player.timeLeft', { time: inWords(left) })}
      </p>
      <p role="status" className="sr-only">
        {warned === undefined || seconds <= warned ? '' : phrase('player.lessThan', { n: warned / 60 })}
      </p>
    </>
  );
}
