import { type MouseEvent, type RefObject, useEffect, useState } from 'react';
import Selecto from 'react-selecto';
import { add, type Point, type Ref, refTo, type Shape } from '../../../core';
import { lineFixture, zoneOf } from '../layOut/makings';
import { type BenchStore, takes } from '../store';
import { NamePlaces } from './NamePlaces';

/** A zone drawn smaller than this was a slip of the hand. */
const LEAST = 12;
/** A press this near to the first corner, in stage pixels, closes the outline. */
const CLOSING = 10;

interface Props {
  store: BenchStore;
  room: RefObject<HTMLElement | null>;
  stage: RefObject<HTMLDivElement | null>;
  scale: number;
}

/** A pull over the empty scene: a marquee, or with a tool the zone that is drawn. Selecto catches the gesture. */
export function Drawing({ store, room, stage, scale }: Props) {
  const tool = store((s) => s.tool);
  const [element, setElement] = useState<HTMLElement | null>(null);
  useEffect(() => setElement(room.current), [room]);

  const toScene = (clientX: number, clientY: number): Point => {
    const box = stage.current?.getBoundingClientRect();
    const edge = stage.current?.clientLeft ?? 0;
    return {
      x: Math.round((clientX - (box?.left ?? 0) - edge) / scale),
      y: Math.round((clientY - (box?.top ?? 0) - edge) / scale),
    };
  };
  const make = (shape: Shape) => {
    const { question } = store.getState();
    const zone = zoneOf(question, shape);
    store.getState().do(add(question, 'zones', [zone]), `${zone.label} drawn`);
    store.getState().select([refTo('zone', zone.id)]);
  };
  const draw = (left: number, top: number, right: number, bottom: number) => {
    const { scene } = store.getState().question;
    const [from, to] = [toScene(left, top), toScene(right, bottom)];
    const x = Math.max(0, from.x);
    const y = Math.max(0, from.y);
    const w = Math.min(scene.width, to.x) - x;
    const h = Math.min(scene.height, to.y) - y;
    if (w < LEAST || h < LEAST) return;
    make(
      tool === 'ellipse'
        ? { type: 'ellipse', cx: x + w / 2, cy: y + h / 2, rx: w / 2, ry: h / 2 }
        : { type: 'rect', x, y, w, h },
    );
  };

  if (!element) return null;
  if (tool === 'polygon')
    return (
      <ByPresses
        store={store}
        scale={scale}
        toScene={toScene}
        least={3}
        most={Infinity}
        hint="Press corner by corner; the first corner again closes the outline."
        onDone={(points) => make({ type: 'polygon', points: points.map(({ x, y }) => [x, y]) })}
      />
    );
  if (tool === 'name') return <NamePlaces store={store} scale={scale} toScene={toScene} />;
  if (tool === 'line')
    return (
      <ByPresses
        store={store}
        scale={scale}
        toScene={toScene}
        least={2}
        most={2}
        hint="Press where a line begins, then where it ends. From inside a zone it begins at the zone’s edge."
        onDone={([from, to]) => {
          const { question } = store.getState();
          if (from && to)
            store.getState().do(add(question, 'fixtures', [lineFixture(question, from, to)]), 'Line drawn');
        }}
      />
    );
  return (
    <Selecto
      key={tool}
      container={element}
      dragContainer={element}
      selectableTargets={takes(tool) ? ['.bench-thing:not([data-passive])'] : []}
      selectByClick={false}
      selectFromInside={false}
      hitRate={20}
      toggleContinueSelect="shift"
      dragCondition={({ inputEvent }: { inputEvent: { target: Element } }) =>
        !takes(tool) || !inputEvent.target.closest('[data-ref], .moveable-control-box, .bench-over')
      }
      onSelectEnd={({ selected, rect, isDragStart, inputEvent }) => {
        if (!takes(tool)) return draw(rect.left, rect.top, rect.right, rect.bottom);
        // A press without a pull has been taken for what it is already.
        if (isDragStart || rect.width + rect.height < 4) return;
        const refs = selected.flatMap((one) => (one.getAttribute('data-ref') as Ref | null) ?? []);
        const before = (inputEvent as globalThis.MouseEvent | undefined)?.shiftKey ? store.getState().selection : [];
        store.getState().select([...before, ...refs]);
      }}
    />
  );
}

interface PressProps {
  store: BenchStore;
  scale: number;
  toScene: (x: number, y: number) => Point;
  /** As many points are needed, and no more are taken. */
  least: number;
  most: number;
  hint: string;
  onDone: (points: readonly Point[]) => void;
}

/**
 * An outline or a line drawn press by press; a press on its first corner, Enter or a double press closes it, Escape
 * gives it up, Backspace takes one corner back.
 */
function ByPresses({ store, scale, toScene, least, most, hint, onDone }: PressProps) {
  const [points, setPoints] = useState<Point[]>([]);
  const [pointer, setPointer] = useState<Point | null>(null);
  const finish = (all: readonly Point[]) => {
    if (all.length >= least) onDone(all);
    setPoints([]);
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Enter' && points.length >= least) finish(points);
      else if (event.key === 'Escape') {
        if (points.length === 0) store.setState({ tool: 'select' });
        setPoints([]);
      } else if (event.key === 'Backspace' && points.length > 0) setPoints(points.slice(0, -1));
      else return;
      event.preventDefault();
      event.stopPropagation();
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  });
  const press = (event: MouseEvent) => {
    const p = toScene(event.clientX, event.clientY);
    const first = points[0];
    if (first && points.length >= 3 && Math.hypot(p.x - first.x, p.y - first.y) * scale < CLOSING)
      return finish(points);
    const last = points.at(-1);
    if (last && last.x === p.x && last.y === p.y) return finish(points);
    if (points.length + 1 === most) return finish([...points, p]);
    setPoints([...points, p]);
  };
  const line = [...points, ...(pointer ? [pointer] : [])].map(({ x, y }) => `${x * scale},${y * scale}`).join(' ');
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the keyboard makes a zone at Lay out and gives it its corners as numbers
    // biome-ignore lint/a11y/noStaticElementInteractions: see above
    <div
      className="bench-corners bench-over"
      onClick={press}
      onPointerMove={(event) => setPointer(toScene(event.clientX, event.clientY))}
    >
      <svg className="scene-fill" aria-hidden>
        <polyline points={line} className="bench-outline" />
        {points.map(({ x, y }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a corner is its place in the outline
          <circle key={i} cx={x * scale} cy={y * scale} r={i === 0 ? 6 : 4} className="bench-outline-corner" />
        ))}
      </svg>
      {points.length === 0 && <span className="bench-hint">{hint}</span>}
    </div>
  );
}
