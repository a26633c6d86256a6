import Gesto from 'gesto';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { carrierOf, onCarrier, onScene, type Ref, setZone, thingAt, type Zone } from '../../../core';
import type { BenchStore } from '../store';

type Points = readonly (readonly [number, number])[];
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/**
 * The corners of the one selected polygon: pulled, nudged with the arrow keys, taken away with Delete; a press on the
 * middle of a side makes one there.
 */
export function Corners({ store, scale }: { store: BenchStore; scale: number }) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const tool = store((s) => s.tool);
  const thing = selection.size === 1 ? thingAt(question, [...selection][0] as Ref) : undefined;
  if (
    tool !== 'select' ||
    thing?.kind !== 'zone' ||
    thing.is.shape.type !== 'polygon' ||
    question.bench.locked.includes(thing.ref)
  )
    return null;
  return <CornersOf key={thing.ref} store={store} zone={thing.is} scale={scale} />;
}

function CornersOf({ store, zone, scale }: { store: BenchStore; zone: Zone; scale: number }) {
  const question = store((s) => s.question);
  const carrier = carrierOf(question, zone);
  const { shape } = onScene(zone.shape, 0, carrier);
  const [draft, setDraft] = useState<Points | null>(null);
  if (shape.type !== 'polygon') return null;
  const points: Points = draft ?? shape.points;
  const keep = (next: Points) => {
    const rounded = next.map(([x, y]): [number, number] => [Math.round(x), Math.round(y)]);
    store
      .getState()
      .do(
        setZone(
          store.getState().question,
          zone.id,
          'shape',
          onCarrier({ type: 'polygon', points: rounded }, 0, carrier).shape,
        ),
      );
  };
  const moved = (i: number, dx: number, dy: number): Points =>
    shape.points.map(([x, y], j) => (i === j ? [x + dx, y + dy] : [x, y]));
  const onKey = (event: KeyboardEvent, i: number) => {
    const by = ARROWS[event.key];
    const far = event.shiftKey ? 10 : 1;
    if (by) keep(moved(i, by[0] * far, by[1] * far));
    else if ((event.key === 'Delete' || event.key === 'Backspace') && points.length > 3)
      keep(points.filter((_, j) => j !== i));
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <div className="bench-over">
      {draft && (
        <svg className="scene-fill pointer-events-none" aria-hidden>
          <polygon points={draft.map(([x, y]) => `${x * scale},${y * scale}`).join(' ')} className="bench-outline" />
        </svg>
      )}
      {points.map(([x, y], i) => {
        const [nx, ny] = points[(i + 1) % points.length] as readonly [number, number];
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a corner is its place in the outline
          <span key={i}>
            <Corner
              label={`Corner ${i + 1}, ${Math.round(x)}, ${Math.round(y)}`}
              at={[x * scale, y * scale]}
              onPull={(dx, dy) => setDraft(moved(i, dx / scale, dy / scale))}
              onEnd={(dx, dy) => {
                setDraft(null);
                keep(moved(i, dx / scale, dy / scale));
              }}
              onKey={(event) => onKey(event, i)}
            />
            <button
              type="button"
              className="bench-corner bench-corner-new"
              aria-label={`New corner after corner ${i + 1}`}
              style={{ left: ((x + nx) / 2) * scale, top: ((y + ny) / 2) * scale }}
              onClick={() => keep([...points.slice(0, i + 1), [(x + nx) / 2, (y + ny) / 2], ...points.slice(i + 1)])}
            />
          </span>
        );
      })}
    </div>
  );
}

interface CornerProps {
  label: string;
  at: readonly [number, number];
  onPull: (dx: number, dy: number) => void;
  onEnd: (dx: number, dy: number) => void;
  onKey: (event: KeyboardEvent) => void;
}

function Corner({ label, at, onPull, onEnd, onKey }: CornerProps) {
  const button = useRef<HTMLButtonElement>(null);
  const latest = useRef({ onPull, onEnd });
  latest.current = { onPull, onEnd };
  useEffect(() => {
    const gesto = new Gesto(button.current as HTMLButtonElement, { container: window, preventDefault: false });
    gesto.on('drag', ({ distX, distY }) => latest.current.onPull(distX, distY));
    gesto.on('dragEnd', ({ isDrag, distX, distY }) => isDrag && latest.current.onEnd(distX, distY));
    return () => gesto.unset();
  }, []);
  return (
    <button
      ref={button}
      type="button"
      className="bench-corner"
      aria-label={label}
      style={{ left: at[0], top: at[1] }}
      onKeyDown={onKey}
    />
  );
}
