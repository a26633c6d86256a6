import { ChevronFirst, ChevronLast, ChevronLeft, ChevronRight, type LucideIcon, Pause, Play } from 'lucide-react';
import { useEffect, useRef } from 'react';

/** What is done with something that is played back. */
export interface Plays {
  readonly start: () => void;
  readonly back: () => void;
  /** Plays, or stops playing. */
  readonly play: () => void;
  readonly on: () => void;
  readonly end: () => void;
}

const KEYS = { Home: 'start', ArrowLeft: 'back', ' ': 'play', ArrowRight: 'on', End: 'end' } as const;

/** Plays by key from anywhere on the page, but where a key means something of its own. */
export function usePlayKeys(plays: Plays): void {
  const keys = useRef<(event: KeyboardEvent) => void>(() => undefined);
  keys.current = (event) => {
    const { key, target } = event;
    const on = target instanceof HTMLElement ? target : null;
    if (event.altKey || event.ctrlKey || event.metaKey || on?.closest('input, select, textarea, dialog')) return;
    const does = Object.hasOwn(KEYS, key) ? KEYS[key as keyof typeof KEYS] : null;
    if (!does || (does === 'play' && on?.closest('button, a, summary'))) return;
    event.preventDefault();
    plays[does]();
  };
  useEffect(() => {
    const press = (event: KeyboardEvent) => keys.current(event);
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, []);
}

interface ButtonsProps {
  readonly plays: Plays;
  readonly isPlaying: boolean;
  readonly isAtStart: boolean;
  readonly isAtEnd: boolean;
}

/** The buttons of something that is played back. */
export function PlayButtons({ plays, isPlaying, isAtStart, isAtEnd }: ButtonsProps) {
  const step = (label: string, Icon: LucideIcon, does: () => void, disabled: boolean) => (
    <button type="button" className="btn btn-edge btn-sm" aria-label={label} disabled={disabled} onClick={does}>
      <Icon size={16} aria-hidden />
    </button>
  );
  const Sign = isPlaying ? Pause : Play;
  return (
    <>
      {step('To the start', ChevronFirst, plays.start, isAtStart)}
      {step('A move back', ChevronLeft, plays.back, isAtStart)}
      <button type="button" className="btn btn-primary btn-sm" onClick={plays.play}>
        <Sign size={16} aria-hidden /> {isPlaying ? 'Pause' : 'Play'}
      </button>
      {step('A move on', ChevronRight, plays.on, isAtEnd)}
      {step('To the end', ChevronLast, plays.end, isAtEnd)}
    </>
  );
}

/** How fast it is played. */
export function SpeedChoice({
  speed,
  speeds,
  onChange,
}: {
  speed: number;
  speeds: readonly number[];
  onChange: (speed: number) => void;
}) {
  return (
    <select
      className="select select-sm w-36"
      aria-label="How fast"
      value={speed}
      onChange={(event) => onChange(Number(event.target.value))}
    >
      {speeds.map((one) => (
        <option key={one} value={one}>
          {one} × as fast
        </option>
      ))}
    </select>
  );
}
