import { type PointerEvent, type RefObject, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { plainText } from '../../core/document';
import { ItemFace, px, RichText, Stage, ZoneBed } from '../../scene';
import { Handles, type HandlesControl } from './Handles';
import './bench.css';
import { type BenchStore, boxes } from './store';

const MARGIN = 34;

/** The scene at the bench: press to select, pull to move, handles to resize. */
export function BenchScene({ store }: { store: BenchStore }) {
  const { question, selection, draft, guides, select, toggle } = store();
  const room = useRef<HTMLDivElement>(null);
  const stage = useRef<HTMLDivElement>(null);
  const handles = useRef<HandlesControl>(null);
  const scale = useFit(room, question.scene);
  const placed = useMemo(() => boxes(question), [question]);

  const press = (event: PointerEvent, id: string) => {
    if (event.button !== 0) return;
    if (event.shiftKey) return toggle(id);
    if (!selection.has(id)) select([id]);
    handles.current?.pullFrom(event.nativeEvent);
  };
  const common = (id: string, what: string, label: string) => ({
    'data-id': id,
    role: 'button',
    tabIndex: 0,
    'aria-pressed': selection.has(id),
    'aria-label': `${what} ${label || id}`,
    onPointerDown: (event: PointerEvent) => press(event, id),
    onFocus: () => !selection.has(id) && select([id]),
  });
  const x = [0, 0.25, 0.5, 0.75];

  return (
    <section
      ref={room}
      data-bench-scene
      aria-label="Scene"
      className="overflow-auto min-h-0 px-[34px] pt-2"
      onPointerDown={(event) => event.target instanceof Element && !event.target.closest('[data-id], .moveable-control-box') && select([])}
    >
      <div className="min-h-7 text-lg leading-7">
        {question.prompt ? <RichText rich={question.prompt} /> : <p className="text-mute">The prompt stands here: write it at Words &amp; marks.</p>}
      </div>
      <div className="relative h-4" aria-hidden>
        {x.map((part) => (
          <span key={part} className="figures text-xs text-mute absolute" style={{ left: part * question.scene.width * scale }}>
            {Math.round(part * question.scene.width)}
          </span>
        ))}
      </div>
      <Stage ref={stage} scene={question.scene} tray={question.tray} scale={scale}>
        {question.zones.map((zone) => {
          const box = draft.get(zone.id);
          const shown = box ? { ...zone, shape: { type: 'rect' as const, ...box } } : zone;
          return (
            <ZoneBed
              key={zone.id}
              zone={shown}
              scale={scale}
              className={`bench-thing ${selection.has(zone.id) ? 'bench-selected' : ''}`}
              extra={common(zone.id, 'Zone', zone.label)}
            >
              {selection.has(zone.id) && shown.shape.type === 'rect' && (
                <span className="figures text-xs text-brass absolute right-2 bottom-1">
                  {Math.round(shown.shape.x)}, {Math.round(shown.shape.y)} · {Math.round(shown.shape.w)} × {Math.round(shown.shape.h)}
                </span>
              )}
            </ZoneBed>
          );
        })}
        {placed
          .filter(({ what }) => what === 'item')
          .map(({ id, label, box }) => {
            const item = question.items.find((i) => i.id === id);
            return (
              <div
                key={id}
                className={`tag bench-thing ${selection.has(id) ? 'bench-selected' : ''}`}
                style={{ ...px(draft.get(id) ?? box, scale), ...(item?.rotation ? { transform: `rotate(${item.rotation}deg)` } : {}) }}
                {...common(id, 'Item', label)}
              >
                <ItemFace label={label} state="rest" />
              </div>
            );
          })}
        {guides.map(({ axis, at, from, to }) => (
          <div
            key={`${axis}${at}`}
            className="bench-guide"
            style={
              axis === 'x'
                ? { left: at * scale, top: from * scale, width: 1, height: (to - from) * scale }
                : { top: at * scale, left: from * scale, height: 1, width: (to - from) * scale }
            }
          />
        ))}
        <Handles ref={handles} store={store} stage={stage} scale={scale} placed={placed} />
      </Stage>
      <p className="sr-only">{plainText(question.prompt)}</p>
    </section>
  );
}

/** The scale at which the scene fits the room it has. */
function useFit(room: RefObject<HTMLElement | null>, scene: { width: number; height: number }): number {
  const [size, setSize] = useState({ w: scene.width, h: scene.height });
  useLayoutEffect(() => {
    const watched = room.current;
    if (!watched) return;
    const measure = () => setSize({ w: watched.clientWidth - 2 * MARGIN, h: watched.clientHeight - 64 });
    const observer = new ResizeObserver(measure);
    observer.observe(watched);
    measure();
    return () => observer.disconnect();
  }, [room]);
  return Math.max(0.3, Math.min(size.w / scene.width, size.h / scene.height, 2));
}
