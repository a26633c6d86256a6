import {
  type FocusEvent,
  type PointerEvent,
  type RefObject,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { carrierOf, kindIn, onScene, type Ref, things } from '../../../core';
import { plainText } from '../../../core/document';
import { MediaFrom, RichText, Stage } from '../../../scene';
import { benchMedia } from '../../shared/ownMedia';
import { type BenchStore, takes } from '../store';
import { Corners } from './Corners';
import { Drawing } from './Drawing';
import { Ghosts } from './Ghosts';
import { Handles, type HandlesControl } from './Handles';
import { Guides, ReachPreview } from './Overlays';
import { RenameHere } from './RenameHere';
import { RULER, Ruler } from './Rulers';
import { SceneBar } from './SceneBar';
import { framesWith } from './starting';
import { ThingView } from './ThingView';
import { useZoomAndPan } from './useZoomAndPan';
import './bench.css';

const MARGIN = 14;
/** The smallest scale at which things can still be pressed; below it the scene scrolls. */
const MIN_FIT = 0.5;

const refUnder = (target: EventTarget | null) =>
  (target instanceof Element ? (target.closest('[data-ref]')?.getAttribute('data-ref') ?? null) : null) as Ref | null;

/** The scene at the bench: press to select, pull to move, handles to resize and turn, tools to draw. */
export function BenchScene({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const tool = store((s) => s.tool);
  const tried = store((s) => s.tried?.fixture ?? null);
  const zoom = store((s) => s.zoom);
  const room = useRef<HTMLElement>(null);
  const stage = useRef<HTMLDivElement>(null);
  const handles = useRef<HandlesControl>(null);
  /** The focus is being moved by a press, which selects by itself. */
  const byPress = useRef(false);
  const fit = useFit(room, question.scene);
  const scale = zoom === 'fit' ? fit : zoom;
  useEffect(() => {
    store.shown.scale = scale;
  }, [store, scale]);
  const panning = useZoomAndPan(store, room, scale);
  const at = framesWith(question, tool);
  const noted = useMemo(
    () => ({ locked: new Set<string>(question.bench.locked), veiled: new Set<string>(question.bench.veiled) }),
    [question.bench],
  );
  const media = useMemo(() => benchMedia(question.media), [question.media]);
  const looks = question.looks;

  const press = (event: PointerEvent) => {
    if (event.button !== 0 || !takes(tool) || panning.current) return;
    const target = event.target as Element;
    if (target.closest('.moveable-control-box, .bench-over')) return;
    const under = refUnder(target);
    // Only items start anywhere.
    const ref = tool === 'start' && under && kindIn(under) !== 'item' ? null : under;
    const { select, toggle } = store.getState();
    if (!ref) {
      if (!event.shiftKey) select([]);
      return;
    }
    // The keys are for what is selected: the handles' own gestures would leave the focus where it was.
    const thing = target.closest<HTMLElement>('[data-ref]') ?? room.current;
    byPress.current = true;
    thing?.focus({ preventScroll: true });
    byPress.current = false;
    if (event.ctrlKey || event.metaKey) return select([underneath(event, selection) ?? ref]);
    if (event.shiftKey) return toggle(ref);
    const among = selection.has(ref) && selection.size > 1;
    if (!selection.has(ref)) select([ref]);
    handles.current?.pullFrom(event.nativeEvent, among ? () => select([ref]) : undefined);
  };
  // Only a focus that came by the keyboard selects: a press has its own meaning.
  const focus = (event: FocusEvent) => {
    const ref = refUnder(event.target);
    if (ref && !byPress.current && event.target.matches(':focus-visible') && !selection.has(ref))
      store.getState().select([ref]);
  };

  return (
    <div className="flex flex-col min-h-0 min-w-0">
      <SceneBar store={store} scale={scale} />
      <div className="px-[34px] pt-1 text-lg leading-7 shrink-0 max-h-24 overflow-auto">
        {question.prompt ? (
          <RichText rich={question.prompt} />
        ) : (
          <p className="text-mute">The prompt stands here: write it at Words &amp; marks.</p>
        )}
      </div>
      <section
        ref={room}
        data-bench-scene
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls can be reached by keyboard
        tabIndex={0}
        aria-label="The scene and what is on it"
        className={`grow min-h-0 overflow-auto bench-room ${takes(tool) ? '' : 'bench-drawing'}`}
        style={{ padding: `0 ${MARGIN}px ${MARGIN}px 0` }}
        onPointerDown={press}
        onFocus={focus}
        onDoubleClick={(event) => {
          const ref = refUnder(event.target);
          if (ref) store.getState().show('rename');
        }}
      >
        <div
          className="bench-ruled"
          style={{ gridTemplateColumns: `${RULER}px max-content`, gridTemplateRows: `${RULER}px max-content` }}
        >
          <span className="bench-ruler-corner" />
          <span className="bench-ruler-top">
            <Ruler store={store} axis="x" scale={scale} />
          </span>
          <span className="bench-ruler-left">
            <Ruler store={store} axis="y" scale={scale} />
          </span>
          <MediaFrom source={media}>
            <Stage ref={stage} question={question} scale={scale}>
              {things(question).map((thing) => {
                const frame = at.get(thing.ref);
                if (!frame) return null;
                const shape =
                  thing.kind === 'zone'
                    ? onScene(thing.is.shape, thing.is.rotation, carrierOf(question, thing.is)).shape
                    : null;
                const look = thing.kind === 'fixture' || thing.is.look === null ? undefined : looks[thing.is.look];
                return (
                  <ThingView
                    key={thing.ref}
                    thing={thing}
                    frame={frame}
                    shape={shape}
                    look={look}
                    scale={scale}
                    selected={selection.has(thing.ref)}
                    locked={noted.locked.has(thing.ref)}
                    veiled={noted.veiled.has(thing.ref)}
                    still={!takes(tool)}
                    tried={tried !== null && tried === thing.is.id}
                  />
                );
              })}
              <Ghosts store={store} scale={scale} />
              <Guides store={store} scale={scale} />
              <ReachPreview store={store} scale={scale} />
              <Handles ref={handles} store={store} stage={stage} scale={scale} />
              <Corners store={store} scale={scale} />
              <RenameHere store={store} scale={scale} />
              <Drawing store={store} room={room} stage={stage} scale={scale} />
            </Stage>
          </MediaFrom>
        </div>
      </section>
      <p className="sr-only">{plainText(question.prompt)}</p>
    </div>
  );
}

/**
 * What lies under the pointer beneath what is selected there; round again from the top when there is nothing further
 * down.
 */
function underneath(event: PointerEvent, selection: ReadonlySet<Ref>): Ref | undefined {
  const pile = [
    ...new Set(document.elementsFromPoint(event.clientX, event.clientY).flatMap((element) => refUnder(element) ?? [])),
  ];
  const now = pile.findIndex((ref) => selection.has(ref));
  return pile[(now + 1) % Math.max(1, pile.length)];
}

/** The scale at which the scene fits the room it has. */
function useFit(room: RefObject<HTMLElement | null>, scene: { width: number; height: number }): number {
  const [size, setSize] = useState({ w: scene.width, h: scene.height });
  useLayoutEffect(() => {
    const watched = room.current;
    if (!watched) return;
    const measure = () =>
      setSize({ w: watched.clientWidth - 2 * MARGIN - RULER, h: watched.clientHeight - 2 * MARGIN - RULER });
    const observer = new ResizeObserver(measure);
    observer.observe(watched);
    measure();
    return () => observer.disconnect();
  }, [room]);
  return Math.max(MIN_FIT, Math.min(size.w / scene.width, size.h / scene.height, 2));
}
