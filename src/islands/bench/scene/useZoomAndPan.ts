import Gesto from 'gesto';
import { type RefObject, useEffect, useLayoutEffect, useRef } from 'react';
import type { BenchStore } from '../store';
import { MAX_ZOOM, MIN_ZOOM } from './SceneBar';

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.matches('input, textarea, select, [contenteditable="true"]');

/** The wheel with Ctrl zooms about the pointer; pulling with Space held pans. True in the ref while Space is held. */
export function useZoomAndPan(
  store: BenchStore,
  room: RefObject<HTMLElement | null>,
  scale: number,
): RefObject<boolean> {
  const panning = useRef(false);
  const anchor = useRef<{ x: number; y: number; left: number; top: number } | null>(null);
  const latest = useRef(scale);

  // The point of the scene that was under the pointer stays under it.
  useLayoutEffect(() => {
    const watched = room.current;
    const kept = anchor.current;
    if (watched && kept) {
      const grown = scale / latest.current;
      watched.scrollLeft = (kept.left + kept.x) * grown - kept.x;
      watched.scrollTop = (kept.top + kept.y) * grown - kept.y;
      anchor.current = null;
    }
    latest.current = scale;
  }, [scale, room]);

  useEffect(() => {
    const watched = room.current;
    if (!watched) return;
    const wheel = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return;
      event.preventDefault();
      const box = watched.getBoundingClientRect();
      anchor.current = {
        x: event.clientX - box.left,
        y: event.clientY - box.top,
        left: watched.scrollLeft,
        top: watched.scrollTop,
      };
      store.setState({
        zoom: Math.max(MIN_ZOOM, Math.min(MAX_ZOOM, latest.current * Math.exp(-event.deltaY / 400))),
      });
    };
    const hold = (event: KeyboardEvent) => {
      if (event.code !== 'Space' || isTyping(event.target)) return;
      const onThing =
        event.target instanceof Element && event.target.closest('button, [role="button"], [role="checkbox"], a, label');
      if (event.type === 'keydown' && onThing) return;
      if (event.type === 'keydown') event.preventDefault();
      panning.current = event.type === 'keydown';
      watched.classList.toggle('bench-panning', panning.current);
    };
    const gesto = new Gesto(watched, { container: window });
    gesto.on('dragStart', (event) => {
      if (!panning.current) event.stop();
    });
    gesto.on('drag', ({ deltaX, deltaY }) => watched.scrollBy(-deltaX, -deltaY));
    watched.addEventListener('wheel', wheel, { passive: false });
    window.addEventListener('keydown', hold);
    window.addEventListener('keyup', hold);
    return () => {
      gesto.unset();
      watched.removeEventListener('wheel', wheel);
      window.removeEventListener('keydown', hold);
      window.removeEventListener('keyup', hold);
    };
  }, [store, room]);
  return panning;
}
