import {
  around,
  type Box,
  type Frame,
  type Guide,
  type Handle,
  idIn,
  kindIn,
  nearTurn,
  type Question,
  type Ref,
  refTo,
  resize,
  type Snapping,
  scaled,
  shiftWithin,
  snapMove,
  snapResize,
  thingAt,
  turnedAbout,
} from '../../../core';
import { framesOf, type Pull } from '../store';

/**
 * What a pull of the handles means: gestures come in as scene units, frames go out. The arithmetic of snapping is the
 * core's.
 */
export interface Pulling {
  readonly question: Question;
  readonly refs: readonly Ref[];
  readonly snapping: Snapping | null;
  /** How near, in scene units, a thing has to come to snap. */
  readonly tolerance: number;
}

const SMALLEST = 8;
const TURN_STEP = 15;
/** A turn this near to a right angle is meant to be one. */
const TURN_SLACK = 3;

const sceneOf = ({ scene }: Question): Box => ({ x: 0, y: 0, w: scene.width, h: scene.height });
const round = (n: number) => Math.round(n);
const whole = (frame: Frame): Frame => ({
  x: round(frame.x),
  y: round(frame.y),
  w: Math.max(1, round(frame.w)),
  h: Math.max(1, round(frame.h)),
  rotation: Math.round(frame.rotation * 10) / 10,
});

/** The selected that stand on the scene by themselves: a zone that rides on a selected item goes along with it. */
export function pulled(question: Question, refs: Iterable<Ref>): Ref[] {
  const chosen = new Set(refs);
  const locked = new Set<string>(question.bench.locked);
  const at = framesOf(question);
  return [...chosen].filter((ref) => {
    if (locked.has(ref) || !at.has(ref)) return false;
    const thing = thingAt(question, ref);
    return !(thing?.kind === 'zone' && thing.is.ridesOn !== null && chosen.has(refTo('item', thing.is.ridesOn)));
  });
}

function othersOf({ question, refs }: Pulling): Box[] {
  const mine = new Set(refs);
  const veiled = new Set<string>(question.bench.veiled);
  return [
    ...[...framesOf(question)].flatMap(([ref, frame]) => (mine.has(ref) || veiled.has(ref) ? [] : [frame])),
    sceneOf(question),
  ];
}

/** What rides on the items goes with them by the same way. */
function riders(question: Question, refs: readonly Ref[], dx: number, dy: number): [Ref, Frame][] {
  const items = new Set(refs.filter((ref) => kindIn(ref) === 'item').map(idIn));
  if (items.size === 0) return [];
  const at = framesOf(question);
  return question.zones.flatMap(({ id, ridesOn }): [Ref, Frame][] => {
    const ref = refTo('zone', id);
    const frame = at.get(ref);
    return ridesOn !== null && items.has(ridesOn) && frame
      ? [[ref, { ...frame, x: frame.x + dx, y: frame.y + dy }]]
      : [];
  });
}

/**
 * All of them moved by a way: the box round them snaps, and stays on the scene. `drawnOnly`: frames that follow without
 * being edited themselves.
 */
export function movedBy(
  pulling: Pulling,
  dx: number,
  dy: number,
): Pull & { readonly drawnOnly: ReadonlyMap<Ref, Frame> } {
  const { question, refs, snapping, tolerance } = pulling;
  const at = framesOf(question);
  const chosen = refs.map((ref) => [ref, at.get(ref) as Frame] as const);
  const all = around(chosen.map(([, frame]) => frame));
  const wanted = { ...all, x: all.x + dx, y: all.y + dy };
  const snapped = snapping
    ? snapMove(wanted, othersOf(pulling), tolerance, snapping)
    : { box: wanted, guides: [] as readonly Guide[] };
  const by = shiftWithin([all], { x: snapped.box.x - all.x, y: snapped.box.y - all.y }, sceneOf(question));
  const draft = new Map(chosen.map(([ref, frame]) => [ref, whole({ ...frame, x: frame.x + by.x, y: frame.y + by.y })]));
  return { draft, guides: snapped.guides, drawnOnly: new Map(riders(question, refs, by.x, by.y)) };
}

/**
 * One thing resized by a handle: the far side stays where it is, turned things about their own axes. `dw`, `dh`: how
 * much wider and higher.
 */
export function resizedBy(pulling: Pulling, handle: Handle, dw: number, dh: number): Pull {
  const { question, refs, snapping, tolerance } = pulling;
  const ref = refs[0];
  const frame = ref && framesOf(question).get(ref);
  if (!ref || !frame) return { draft: new Map(), guides: [] };
  if (frame.rotation % 360 !== 0)
    return { draft: new Map([[ref, whole(resizedTurned(frame, handle, dw, dh))]]), guides: [] };
  const wanted = resize(frame, handle, handle.x * dw, handle.y * dh);
  const { box, guides } = snapping
    ? snapResize(wanted, handle, othersOf(pulling), tolerance, snapping)
    : { box: wanted, guides: [] };
  return { draft: new Map([[ref, whole({ ...box, rotation: frame.rotation })]]), guides };
}

function resizedTurned(frame: Frame, handle: Handle, dw: number, dh: number): Frame {
  const w = Math.max(SMALLEST, frame.w + (handle.x === 0 ? 0 : dw));
  const h = Math.max(SMALLEST, frame.h + (handle.y === 0 ? 0 : dh));
  const radians = (frame.rotation * Math.PI) / 180;
  const [cos, sin] = [Math.cos(radians), Math.sin(radians)];
  const [sx, sy] = [(handle.x * (w - frame.w)) / 2, (handle.y * (h - frame.h)) / 2];
  const centre = { x: frame.x + frame.w / 2 + sx * cos - sy * sin, y: frame.y + frame.h / 2 + sx * sin + sy * cos };
  return { ...frame, x: centre.x - w / 2, y: centre.y - h / 2, w, h };
}

/** Several resized together: each keeps its share of the box round them. */
export function scaledBy({ question, refs }: Pulling, handle: Handle, dw: number, dh: number): Pull {
  const at = framesOf(question);
  const chosen = refs.map((ref) => at.get(ref) as Frame);
  const from = around(chosen);
  const to = resize(from, handle, handle.x * dw, handle.y * dh);
  const boxes = scaled(chosen, from, to, SMALLEST);
  return {
    draft: new Map(
      refs.map((ref, i) => [ref, whole({ ...(boxes[i] as Box), rotation: (chosen[i] as Frame).rotation })]),
    ),
    guides: [],
  };
}

/**
 * Turned by degrees about the middle of the box round them. `stepped`: to whole steps of 15°; else near a right angle
 * it is one.
 */
export function turnedBy({ question, refs }: Pulling, degrees: number, stepped: boolean): Pull {
  const at = framesOf(question);
  const chosen = refs.map((ref) => [ref, at.get(ref) as Frame] as const);
  const box = around(chosen.map(([, frame]) => frame));
  const centre = { x: box.x + box.w / 2, y: box.y + box.h / 2 };
  const first = chosen[0]?.[1].rotation ?? 0;
  const wanted = first + degrees;
  const right = Math.round(wanted / 90) * 90;
  const to = stepped
    ? Math.round(wanted / TURN_STEP) * TURN_STEP
    : Math.abs(wanted - right) < TURN_SLACK
      ? right
      : wanted;
  const by = to - first;
  return {
    draft: new Map(
      chosen.map(([ref, frame]) => [
        ref,
        whole({ ...turnedAbout(frame, centre, by), rotation: nearTurn(frame.rotation + by) }),
      ]),
    ),
    guides: [],
  };
}
