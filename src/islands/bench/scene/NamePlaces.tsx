import { type FormEvent, type KeyboardEvent, type MouseEvent, useState } from 'react';
import type { Point } from '../../../core';
import { withNamed, withSpotAt } from '../../../core/kinds';
import { become } from '../kind/become';
import type { BenchStore } from '../store';

interface Props {
  store: BenchStore;
  scale: number;
  toScene: (x: number, y: number) => Point;
}

/**
 * Places made press by press: where a name belongs, the name is typed on the spot; in a Mark question each press is a
 * spot to be found.
 */
export function NamePlaces({ store, scale, toScene }: Props) {
  const marks = store((s) => s.question.kind === 'mark');
  const [at, setAt] = useState<Point | null>(null);
  const [name, setName] = useState('');
  const take = () => {
    const word = name.trim();
    if (at && word !== '') become(store, (question) => withNamed(question, at, word), `${word} belongs here`);
    setName('');
    setAt(null);
  };
  const press = (event: MouseEvent) => {
    if (event.target !== event.currentTarget) return;
    const point = toScene(event.clientX, event.clientY);
    if (marks) return become(store, (question) => withSpotAt(question, point), 'A spot is here');
    take();
    setAt(point);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== 'Escape') return;
    event.stopPropagation();
    setName('');
    setAt(null);
  };
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the keyboard makes a zone and an item at Lay out
    // biome-ignore lint/a11y/noStaticElementInteractions: see above
    <div className="bench-corners bench-over" onClick={press}>
      {at && (
        <form
          className="absolute -translate-x-1/2 -translate-y-1/2"
          style={{ left: at.x * scale, top: at.y * scale }}
          onSubmit={(event: FormEvent) => {
            event.preventDefault();
            take();
          }}
        >
          <input
            aria-label="What belongs here"
            placeholder="what belongs here"
            className="input input-sm w-44 bg-sheet border-brass"
            // biome-ignore lint/a11y/noAutofocus: the press asks for the name
            autoFocus
            maxLength={200}
            value={name}
            onChange={(event) => setName(event.target.value)}
            onKeyDown={onKeyDown}
          />
        </form>
      )}
      {!at && (
        <span className="bench-hint">
          {marks
            ? 'Press every spot that is to be found. Escape ends it.'
            : 'Press a place and type what belongs there, one after another. Escape ends it.'}
        </span>
      )}
    </div>
  );
}
