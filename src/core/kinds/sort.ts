import { freshId } from '../document/freshId';
import type { MediaId, ZoneId } from '../document/ids';
import { newZone } from '../document/make';
import type { Look, Question, Zone } from '../document/schema';
import { newEntry } from '../edit/keying';
import { isLaid } from './layouts';

const CORNERS = 24;

/**
 * The first two groups as circles that overlap; what belongs to both goes into a zone of its own, the overlap, which
 * lies over them.
 */
export function asCircles(question: Question): Question {
  const groups = question.zones.filter((zone) => isLaid(zone) && zone.shape.type !== 'polygon');
  const [left, right] = groups;
  if (!left || !right) return question;
  const tray = question.tray?.side === 'bottom' ? question.tray.size : 0;
  const r = Math.min(230, (question.scene.height - tray - 70) / 2, question.scene.width / 3.4);
  const cy = 44 + r;
  const middle = question.scene.width / 2;
  const apart = r * 0.62;
  // Where the circles cross: above and below the middle, and along each arc between.
  const half = Math.acos(apart / r);
  const arc = (centre: number, from: number): [number, number][] =>
    Array.from({ length: CORNERS }, (_, i) => {
      const turn = from - half + (2 * half * i) / CORNERS;
      return [Math.round((centre + r * Math.cos(turn)) * 10) / 10, Math.round((cy + r * Math.sin(turn)) * 10) / 10];
    });
  const lens = [...arc(middle - apart, 0), ...arc(middle + apart, Math.PI)];
  const both = question.zones.find(({ shape }) => shape.type === 'polygon');
  const overlap =
    both ??
    newZone({
      id: freshId('both', new Set<string>(question.zones.map(({ id }) => id))) as ZoneId,
      label: 'Both',
      shape: { type: 'polygon', points: lens },
    });
  const round = (zone: Zone, cx: number): Zone => ({
    ...zone,
    rotation: 0,
    reach: { rule: 'centre' },
    settle: { rule: 'asDropped' },
    shape: { type: 'ellipse', cx, cy, rx: r, ry: r },
  });
  const zones = question.zones.flatMap((zone): Zone[] => {
    if (zone.id === left.id) return [round(zone, middle - apart)];
    if (zone.id === right.id) return [round(zone, middle + apart)];
    return zone.id === both?.id ? [] : [zone];
  });
  return {
    ...question,
    zones: [
      ...zones,
      {
        ...overlap,
        shape: { type: 'polygon', points: lens },
        reach: { rule: 'centre' },
        settle: { rule: 'asDropped' },
      },
    ],
  };
}

/** The picture a group shows; null: none. */
export function groupPicture({ looks }: Question, { look }: Zone): string | null {
  const worn = look !== null && Object.hasOwn(looks, look) ? looks[look] : undefined;
  return worn?.of === 'zone' ? (worn.states.rest?.picture ?? null) : null;
}

/**
 * Gives a group a picture in its middle, or takes it away: a look of its own, so that no other zone changes with it.
 */
export function withGroupPicture(question: Question, id: ZoneId, picture: MediaId | null): Question {
  const zone = question.zones.find((zone) => zone.id === id);
  if (!zone) return question;
  const worn = zone.look !== null && Object.hasOwn(question.looks, zone.look) ? question.looks[zone.look] : undefined;
  const isOwn = worn !== undefined && question.zones.filter(({ look }) => look === zone.look).length === 1;
  const name = isOwn && zone.look !== null ? zone.look : freshId('group', new Set(Object.keys(question.looks)));
  const base: Look = worn ?? { of: 'zone', name: zone.label.slice(0, 100), states: {} };
  const { picture: _, ...rest } = base.states.rest ?? {};
  const states = { ...base.states, rest: picture === null ? rest : { ...rest, picture } };
  return {
    ...question,
    looks: { ...question.looks, [name]: { ...base, states } as Look },
    zones: question.zones.map((zone) => (zone.id === id ? { ...zone, look: name } : zone)),
  };
}

/** A zone in which nothing is right: whatever is put there is wrong. */
export function withTrap(question: Question, label: string, shape: Zone['shape']): Question {
  const id = freshId('trap', new Set<string>(question.zones.map((zone) => zone.id))) as ZoneId;
  return {
    ...question,
    zones: [...question.zones, newZone({ id, label, shape })],
    key: [...question.key, newEntry(id, [], { need: { rule: 'exactly', n: 0 } })],
  };
}
