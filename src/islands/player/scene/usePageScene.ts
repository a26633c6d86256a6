import { type RefObject, useCallback, useEffect, useLayoutEffect, useMemo, useState } from 'react';
import {
  type Anew,
  type Board,
  type Box,
  FINGER,
  ITEM_SIZE,
  type LearnerQuestion,
  laidAnew,
  NARROW_SCALE,
  type SceneModel,
  type Tray,
  trayBox,
  type WidthIn,
} from '../../../core';
import { useWidths } from '../../../scene/letters';
import { useMediaSource } from '../../../scene/media';

const SMALLEST_PRESS = 24;
/** A scene of ordinary size on the largest class board. */
const LARGEST_SCALE = 4;
const MOST_ZOOM = 3;
/** Of the frame, in CSS pixels. */
export const EDGES = 4;
/** Under this size the words of items are hard to read, in CSS pixels: then the page does something about it. */
const READABLE = 14;

/**
 * How a page shows the scene.
 * `whole`: all of it, fitted to the room. `anew`: laid out anew for the width. `flows`: a text runs on as wide as the
 * page. `panned`: a part of it, which can be pushed and zoomed. Where it is not whole, the tray docks beneath.
 */
export type Way = 'whole' | 'anew' | 'flows' | 'panned';

export interface PageScene {
  readonly way: Way;
  /** The question as it is drawn. */
  readonly question: LearnerQuestion;
  /** Where things come to rest as it is drawn. */
  readonly model: SceneModel;
  readonly scale: number;
  readonly anew: Anew | null;
  /** The part of the scene that is shown in the frame. */
  readonly crop: Box;
  /** Between which scales it is zoomed; null: it is not. */
  readonly zoom: { readonly least: number; readonly most: number } | null;
}

/** The scene without the band of its tray. */
function withoutTray({ width, height }: LearnerQuestion['scene'], tray: Tray): Box {
  const band = trayBox(tray, { width, height });
  switch (tray.side) {
    case 'top':
      return { x: 0, y: band.h, w: width, h: height - band.h };
    case 'bottom':
      return { x: 0, y: 0, w: width, h: height - band.h };
    case 'left':
      return { x: band.w, y: 0, w: width - band.w, h: height };
    case 'right':
      return { x: 0, y: 0, w: width - band.w, h: height };
  }
}

/** The scale at which the smallest item is 24 px across. */
function leastScale({ items }: LearnerQuestion): number {
  const smallest = Math.min(...items.map(({ size }) => Math.min(size.w, size.h)));
  return Number.isFinite(smallest) ? SMALLEST_PRESS / smallest : 0;
}

const hasWords = ({ items }: LearnerQuestion) =>
  items.some(({ label, content }) => (content ? content.text !== null : label !== ''));
/** A text's words in proportion to those of items. */
const TEXT_GROWS = 18 / ITEM_SIZE;

/** The scale from which on the whole scene is shown: its words can be read, and its items pressed. `larger`: than usual. */
export function readableScale(question: LearnerQuestion, larger = 1): number {
  const size = question.dress?.letters?.size ?? ITEM_SIZE;
  const texts = question.fixtures.flatMap((fixture) =>
    fixture.type === 'text' ? [READABLE / (TEXT_GROWS * (fixture.letters?.size ?? size))] : [],
  );
  return Math.max(leastScale(question), larger * Math.max(hasWords(question) ? READABLE / size : 0, ...texts));
}

/** How the page shows a scene in a room so many CSS pixels wide; `zoomed`: the scale that the learner has chosen. */
export function pageScene(
  question: LearnerQuestion,
  model: SceneModel,
  board: Board,
  {
    room,
    zoomed,
    widthIn,
    larger = 1,
  }: { readonly room: number; readonly zoomed: number | null; readonly widthIn: WidthIn; readonly larger?: number },
): PageScene {
  const { scene, tray, zones } = question;
  const fits = (width: number) => Math.min(LARGEST_SCALE, (room - EDGES) / width);
  const crop = { x: 0, y: 0, w: scene.width, h: scene.height };
  const shared = { question, model, anew: null, crop, zoom: null };
  const narrow = NARROW_SCALE * larger;
  const readable = readableScale(question, larger);
  if (fits(scene.width) >= readable) return { ...shared, way: 'whole', scale: fits(scene.width) };
  const anew = laidAnew(question, board, (room - EDGES) / larger, widthIn);
  if (anew)
    return {
      ...{ way: 'anew', scale: narrow, anew, zoom: null, question: anew.question, model: anew.model },
      crop: { x: 0, y: 0, w: anew.question.scene.width, h: anew.question.scene.height },
    };
  if (zones.length > 0 && zones.every(({ shape }) => shape.type === 'slot'))
    return { ...shared, way: 'flows', scale: narrow };
  const part = tray ? withoutTray(scene, tray) : crop;
  const least = fits(part.w);
  const most = Math.max(MOST_ZOOM, least);
  const own = hasWords(question) ? Math.max(narrow, leastScale(question)) : readable;
  const scale = Math.min(most, Math.max(least, zoomed ?? (question.hides ? least : own)));
  return {
    ...{ ...shared, way: 'panned', scale, crop: part, zoom: { least, most } },
    // Markers of spots are as large as a finger covers, however near the picture is.
    question: question.hides ? withMarkers(question, scale) : question,
  };
}

function withMarkers(question: LearnerQuestion, scale: number): LearnerQuestion {
  const finger = (FINGER * NARROW_SCALE) / scale;
  return {
    ...question,
    items: question.items.map((item) => {
      const factor = Math.max(1, finger / Math.min(item.size.w, item.size.h));
      return { ...item, size: { w: item.size.w * factor, h: item.size.h * factor } };
    }),
  };
}

/** Shows a scene in all of a room, of so many CSS pixels. */
export type FillScene = (
  question: LearnerQuestion,
  model: SceneModel,
  board: Board,
  room: { readonly width: number; readonly height: number; readonly widthIn: WidthIn },
) => PageScene;

/** The attribute of the element that a scene fills. */
export const ROOM = 'data-room';

/** How the page shows the question now, in the room that the frame has; `fill`: in all of its room. */
export function usePageScene(
  frame: RefObject<HTMLElement | null>,
  question: LearnerQuestion,
  model: SceneModel,
  board: Board,
  larger: number,
  fill: FillScene | null,
): { readonly page: PageScene; readonly zoomTo: (scale: number) => void } {
  const [room, setRoom] = useState(() => question.scene.width * Math.max(1, readableScale(question, larger)) + EDGES);
  const [height, setHeight] = useState(question.scene.height);
  const [zoomed, setZoomed] = useState<number | null>(null);
  useLayoutEffect(() => {
    const watched = fill ? frame.current?.closest(`[${ROOM}]`) : frame.current;
    if (!watched) return;
    const measure = () => {
      setRoom(watched.clientWidth);
      setHeight(watched.clientHeight);
    };
    const observer = new ResizeObserver(measure);
    observer.observe(watched);
    measure();
    return () => observer.disconnect();
  }, [frame, fill]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another question is seen from its own distance
  useEffect(() => setZoomed(null), [model]);
  const widthIn = useWidths(useMediaSource());
  const page = useMemo(
    () =>
      fill
        ? fill(question, model, board, { width: room - EDGES, height: height - EDGES, widthIn })
        : pageScene(question, model, board, { room, zoomed, widthIn, larger }),
    [question, model, board, room, height, zoomed, widthIn, larger, fill],
  );
  const zoomTo = useCallback((scale: number) => setZoomed(scale), []);
  return { page, zoomTo };
}
