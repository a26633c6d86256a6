import type { CSSProperties } from 'react';
import {
  type Board,
  type Copy,
  itemOf,
  type LearnerQuestion,
  onScene,
  type Point,
  type SceneModel,
  standsAt,
} from '../../../core';
import { dress } from '../../../scene/dress';
import { ItemFace } from '../../../scene/ItemFace';
import { lettersCss } from '../../../scene/letters';
import { useMediaSource } from '../../../scene/media';
import { ZoneBed } from '../../../scene/ZoneBed';
import { stateOf } from '../states';
import type { PlayerStore } from '../store';
import type { PageScene } from './usePageScene';

/**
 * The copies that a copy carries in the zones riding on it, and so on; itself first. `at`: from its own top left, in
 * scene units.
 */
export interface Carried {
  readonly copy: Copy;
  readonly at: Point;
}

export function carriedWith(model: SceneModel, board: Board, copy: Copy): Carried[] {
  const base = standsAt(model, board, copy);
  const gather = (copy: Copy): Copy[] => [
    copy,
    ...(model.items[itemOf(copy)]?.carries ?? []).flatMap((zone) => (board.zones[zone] ?? []).flatMap(gather)),
  ];
  return gather(copy).map((copy) => {
    const at = standsAt(model, board, copy);
    return { copy: copy, at: { x: at.x - base.x, y: at.y - base.y } };
  });
}

/** The copy in hand with everything it carries, drawn over the page while it moves. */
export function InHand({
  store,
  page: { question, model, scale },
  carried,
}: {
  store: PlayerStore;
  page: PageScene;
  carried: readonly Carried[];
}) {
  const media = useMediaSource();
  const lead = carried[0]?.copy;
  const state = store((s) => (lead === undefined ? 'rest' : stateOf(s.states, lead)));
  return (
    <div
      className="in-hand"
      style={{ '--scale': scale, ...lettersCss(question.dress?.letters, media) } as CSSProperties}
    >
      {carried.flatMap(({ copy, at }) =>
        (model.items[itemOf(copy)]?.carries ?? []).map((zone) => (
          <Ridden key={`zone-${zone}`} question={question} zone={zone} at={at} carrier={itemOf(copy)} scale={scale} />
        )),
      )}
      {carried.map(({ copy, at }) => (
        <Piece
          key={copy}
          question={question}
          copy={copy}
          at={at}
          scale={scale}
          state={copy === lead ? (state === 'overZone' ? 'overZone' : 'inHand') : 'settled'}
        />
      ))}
    </div>
  );
}

/** A zone that rides on what is in hand. */
function Ridden({
  question,
  zone,
  at,
  carrier,
  scale,
}: {
  question: LearnerQuestion;
  zone: number;
  at: Point;
  carrier: number;
  scale: number;
}) {
  const [ridden, item] = [question.zones[zone], question.items[carrier]];
  if (!ridden || !item) return null;
  const { shape, rotation } = onScene(ridden.shape, ridden.rotation, {
    at,
    w: item.size.w,
    h: item.size.h,
    rotation: item.rotation,
  });
  return (
    <ZoneBed
      zone={{ ...ridden, shape, rotation }}
      scale={scale}
      look={ridden.look === null ? undefined : question.looks[ridden.look]}
    />
  );
}

function Piece({
  question,
  copy,
  at,
  scale,
  state,
}: {
  question: LearnerQuestion;
  copy: Copy;
  at: Point;
  scale: number;
  state: 'inHand' | 'overZone' | 'settled';
}) {
  const item = question.items[itemOf(copy)];
  const media = useMediaSource();
  if (!item) return null;
  const look = item.look === null ? undefined : question.looks[item.look];
  const style: CSSProperties = {
    ...dress(look, state, scale, media),
    left: at.x * scale,
    top: at.y * scale,
    width: item.size.w * scale,
    height: item.size.h * scale,
    ...(item.rotation === 0 ? {} : { transform: `rotate(${item.rotation}deg)` }),
  };
  return (
    <div className="tag" data-state={state} style={style}>
      <ItemFace label={item.label} lang={item.lang} content={item.content} state={state} width={item.size.w * scale} />
    </div>
  );
}
