import type { Reach } from '../document/schema';
import { type Outline, overlapShare, rectOutline } from '../geometry/outline';
import { reaches } from '../geometry/reach';
import type { Box, Point } from '../geometry/space';
import { type Body, largestShare, shareAt, spots } from '../geometry/spots';
import { candidates, winner } from '../judge/drop';
import { type Copy, copyOf, type QuestionModel } from '../judge/model';
import { outlineNow } from '../judge/rest';

/**
 * Can an item be let go on the scene so that it ends in a zone? `wins`: yes. `loses`: it reaches the zone by its rule,
 * but everywhere another zone wins (`to`, the one that wins where the zone is most covered). `never`: it cannot reach
 * it at all.
 */
export type Reachable =
  | { readonly can: 'wins' }
  | { readonly can: 'loses'; readonly to: number }
  | { readonly can: 'never'; readonly share: number };

const WINS: Reachable = { can: 'wins' };

/**
 * Answers for one question, remembering what it has worked out: items of one size, turn and family are answered once.
 */
export function reachability(model: QuestionModel): (item: number, zone: number) => Reachable {
  const known = new Map<string, Reachable>();
  const { width, height } = model.source.scene;
  const scene: Box = { x: 0, y: 0, w: width, h: height };
  return (item, zone) => {
    const { w, h, rotation, family, carries } = model.items[item] as QuestionModel['items'][number];
    const name = `${w}|${h}|${rotation}|${family}|${zone}|${carries.length > 0 ? item : ''}`;
    const before = known.get(name);
    if (before) return before;
    const answer = look(model, item, zone, scene);
    known.set(name, answer);
    return answer;
  };
}

function look(model: QuestionModel, item: number, zone: number, scene: Box): Reachable {
  // A slot is taken by name; and where a zone rides, its carrier can be brought away from everything else.
  const { ridesOn, reach } = model.zones[zone] as QuestionModel['zones'][number];
  const outline = outlineNow(model, model.start, zone);
  if (!outline) return WINS;
  const body = model.items[item] as QuestionModel['items'][number];
  const copy = copyOf(item, 0);
  const { type } = (model.question.zones[zone] as QuestionModel['question']['zones'][number]).shape;
  const largest = largestShare(body, outline, scene, type !== 'polygon');
  const tries: Point[] = [largest.at, ...spots(body, outline, scene)];
  let lostTo: number | null = null;
  for (const centre of tries) {
    for (const pointer of reach.rule === 'pointer' ? pointers(outline, body, centre) : [centre]) {
      const at = { x: centre.x - body.w / 2, y: centre.y - body.h / 2 };
      if (!holds(reach, outline, body, at, pointer)) continue;
      const found = candidates(model, model.start, copy as Copy, at, pointer);
      if (!found.some((match) => match.zone === zone)) continue;
      const first = winner(found);
      if (first === zone || ridesOn >= 0) return WINS;
      lostTo ??= first;
    }
  }
  return lostTo === null ? { can: 'never', share: largest.share } : { can: 'loses', to: lostTo };
}

/** Does the zone's own rule hold? Most places fail it, and then no other zone need be looked at. */
function holds(reach: Reach, zone: Outline, { w, h, rotation }: Body, at: Point, pointer: Point): boolean {
  const item = rectOutline({ x: at.x, y: at.y, w, h }, rotation) as Extract<Outline, { type: 'polygon' }>;
  return reaches(reach, {
    zone,
    corners: item.corners,
    overlap: overlapShare(item, w * h, zone),
    centre: { x: at.x + w / 2, y: at.y + h / 2 },
    pointer,
  });
}

/** Where the pointer could be with the item at a place: at its middle, or anywhere on it that is in the zone. */
function pointers(outline: Outline, body: { w: number; h: number; rotation: number }, centre: Point): Point[] {
  if (shareAt(body, outline, centre) === 0) return [centre];
  const { box } = outline;
  const left = Math.max(box.x, centre.x - body.w / 2);
  const right = Math.min(box.x + box.w, centre.x + body.w / 2);
  const top = Math.max(box.y, centre.y - body.h / 2);
  const bottom = Math.min(box.y + box.h, centre.y + body.h / 2);
  const parts = [0.5, 0.1, 0.9];
  return [
    centre,
    ...parts.flatMap((u) => parts.map((v) => ({ x: left + u * (right - left), y: top + v * (bottom - top) }))),
  ];
}
