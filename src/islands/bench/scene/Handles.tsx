import {
  type Ref as ReactRef,
  type RefObject,
  useEffect,
  useImperativeHandle,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import Moveable from 'react-moveable';
import { type Frame, type Handle, kindIn, type Ref, thingAt } from '../../../core';
import { type BenchStore, type Pull, takes } from '../store';
import { movedBy, type Pulling, pulled, resizedBy, scaledBy, turnedBy } from './pulling';
import { framesWith, pulledFrom, startWhereLetGo } from './starting';

const SNAP_PIXELS = 6;
/** A press that moves less than this is no pull. */
const STILL_PIXELS = 4;

export interface HandlesControl {
  /** Begins to pull what is selected with the press on it; a press that ends without a pull is told. */
  pullFrom(event: PointerEvent, pressed?: () => void): void;
}

interface Props {
  store: BenchStore;
  stage: RefObject<HTMLDivElement | null>;
  scale: number;
  ref?: ReactRef<HandlesControl>;
}

const elementOf = (stage: HTMLElement | null, ref: Ref) =>
  stage?.querySelector<HTMLElement>(`[data-ref="${CSS.escape(ref)}"]`) ?? null;
const free = (event: unknown) => (event as MouseEvent | undefined)?.altKey === true;
const stepped = (event: unknown) => (event as MouseEvent | undefined)?.shiftKey === true;

/**
 * The handles round what is selected. Moveable catches the gesture; where things go and what they snap to is the core's
 * arithmetic.
 */
export function Handles({ store, stage, scale, ref }: Props) {
  const selection = store((s) => s.selection);
  const question = store((s) => s.question);
  const snapping = store((s) => s.snapping);
  const tool = store((s) => s.tool);
  const moveable = useRef<Moveable>(null);
  const [targets, setTargets] = useState<HTMLElement[]>([]);
  const refs = useMemo(() => pulled(question, selection), [question, selection]);
  const single = refs.length === 1 ? thingAt(question, refs[0] as Ref) : undefined;
  // The corners of a polygon are its handles.
  const byCorners = single?.kind === 'zone' && single.is.shape.type === 'polygon';
  const elements = useDrawn(store, stage, scale, moveable);

  useLayoutEffect(() => {
    const veiled = new Set<string>(question.bench.veiled);
    setTargets(
      takes(tool)
        ? refs.flatMap((ref) =>
            veiled.has(ref) || (tool === 'start' && kindIn(ref) !== 'item')
              ? []
              : (elementOf(stage.current, ref) ?? []),
          )
        : [],
    );
  }, [refs, stage, question, tool]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the handles follow whatever moves their target
  useEffect(() => moveable.current?.updateRect(), [question, scale, targets]);

  useImperativeHandle(ref, () => ({
    pullFrom: (event, pressed) => {
      if (pressed) {
        const lift = ({ clientX, clientY }: PointerEvent) =>
          Math.hypot(clientX - event.clientX, clientY - event.clientY) < STILL_PIXELS && pressed();
        window.addEventListener('pointerup', lift, { once: true });
      }
      // The handles reach a newly selected target with the next frame; a press that has ended by then was a press, not
      // a pull.
      let ended = false;
      const end = () => {
        ended = true;
      };
      window.addEventListener('pointerup', end, { once: true });
      requestAnimationFrame(() => {
        window.removeEventListener('pointerup', end);
        const control = moveable.current;
        if (control && !ended && !control.isDragging()) control.dragStart(event);
      });
    },
  }));

  const pulling = (event: unknown): Pulling => ({
    question,
    refs,
    snapping: free(event) ? null : snapping,
    tolerance: SNAP_PIXELS / scale,
  });
  const move = (dist: readonly number[], event: unknown) => {
    const [dx, dy] = [(dist[0] as number) / scale, (dist[1] as number) / scale];
    if (tool === 'start') return store.pull.setState(pulledFrom(question, refs, dx, dy));
    const { drawnOnly, ...pull } = movedBy(pulling(event), dx, dy);
    elements(drawnOnly);
    store.pull.setState(pull);
  };
  const pull = (next: Pull) => store.pull.setState(next);
  const handle = (direction: readonly number[]): Handle => ({
    x: Math.sign(direction[0] as number) as Handle['x'],
    y: Math.sign(direction[1] as number) as Handle['y'],
  });
  const end = ({ isDrag }: { isDrag: boolean }) => {
    if (!isDrag) return;
    if (tool === 'start') startWhereLetGo(store);
    else store.release();
  };

  if (targets.length === 0) return null;
  return (
    <Moveable
      ref={moveable}
      target={targets}
      draggable
      resizable={!byCorners && tool === 'select'}
      rotatable={!byCorners && tool === 'select'}
      origin={false}
      keepRatio={false}
      throttleDrag={0}
      throttleRotate={0}
      onDrag={({ dist, inputEvent }) => move(dist, inputEvent)}
      onDragGroup={({ events, inputEvent }) => move(events[0]?.dist ?? [0, 0], inputEvent)}
      onResize={({ dist, direction, inputEvent }) =>
        pull(
          resizedBy(pulling(inputEvent), handle(direction), (dist[0] as number) / scale, (dist[1] as number) / scale),
        )
      }
      onResizeGroup={({ dist, direction }) =>
        pull(scaledBy(pulling(null), handle(direction), (dist[0] as number) / scale, (dist[1] as number) / scale))
      }
      onRotate={({ dist, inputEvent }) => pull(turnedBy(pulling(inputEvent), dist, stepped(inputEvent)))}
      onRotateGroup={({ dist, inputEvent }) => pull(turnedBy(pulling(inputEvent), dist, stepped(inputEvent)))}
      onDragEnd={end}
      onDragGroupEnd={end}
      onResizeEnd={end}
      onResizeGroupEnd={end}
      onRotateEnd={end}
      onRotateGroupEnd={end}
    />
  );
}

/**
 * Draws what is pulled straight into the page, and puts it back when the pull ends without a change: React draws
 * nothing meanwhile.
 */
function useDrawn(
  store: BenchStore,
  stage: RefObject<HTMLDivElement | null>,
  scale: number,
  moveable: RefObject<Moveable | null>,
) {
  const followers = useRef<ReadonlyMap<Ref, Frame>>(new Map());
  useEffect(() => {
    const draw = (frames: Iterable<readonly [Ref, Frame]>) => {
      const { question, tool } = store.getState();
      const base = framesWith(question, tool);
      for (const [ref, frame] of frames) {
        const element = elementOf(stage.current, ref);
        if (!element) continue;
        const from = base.get(ref);
        const turn = frame.rotation === 0 ? '' : `rotate(${frame.rotation}deg)`;
        if (
          from &&
          from.w === frame.w &&
          from.h === frame.h &&
          from.rotation === frame.rotation &&
          (from.x !== frame.x || from.y !== frame.y)
        ) {
          // A move alone is drawn without laying the page out again.
          element.style.transform = `translate(${(frame.x - from.x) * scale}px, ${(frame.y - from.y) * scale}px) ${turn}`;
          continue;
        }
        element.style.left = `${frame.x * scale}px`;
        element.style.top = `${frame.y * scale}px`;
        element.style.width = `${frame.w * scale}px`;
        element.style.height = `${frame.h * scale}px`;
        element.style.transform = turn;
      }
    };
    return store.pull.subscribe(({ draft }, before) => {
      if (draft.size > 0) {
        draw(draft);
        draw(followers.current);
        moveable.current?.updateRect();
      } else if (before.draft.size > 0) {
        const { question, tool } = store.getState();
        const at = framesWith(question, tool);
        draw(
          [...before.draft.keys(), ...followers.current.keys()].flatMap((ref): [Ref, Frame][] =>
            at.has(ref) ? [[ref, at.get(ref) as Frame]] : [],
          ),
        );
        followers.current = new Map();
      }
    });
  }, [store, stage, scale, moveable]);
  return (frames: ReadonlyMap<Ref, Frame>) => {
    followers.current = frames;
  };
}
