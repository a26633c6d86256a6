import { memo } from 'react';
import { useShallow } from 'zustand/shallow';
import { itemOf, type LearnerQuestion, type Shape } from '../../../core';
import { ZoneBed } from '../../../scene/ZoneBed';
import { phrase } from '../../../words';
import { placesFor } from '../states';
import type { PlayerStore } from '../store';
import { itemName, shortfallInWords, shortfallOf, zoneName } from '../words';
import { TypedPart } from './Slot';

interface Props {
  store: PlayerStore;
  index: number;
  zone: LearnerQuestion['zones'][number];
  /** Where it stands now: a riding zone is moved with its carrier. */
  shape: Shape;
  rotation: number;
  /** The number of items in it and the sum of their values, if learners see that. */
  inside: number;
  total: number | null;
  locked: boolean;
  scale: number;
  onPut: (zone: number) => void;
}

/**
 * A zone on the learner's page: its bed, its lid, the sum in it, and the target for pressing while something is held.
 */
export const ZonePart = memo(function ZonePart({
  store,
  index,
  zone,
  shape,
  rotation,
  inside,
  total,
  locked,
  scale,
  onPut,
}: Props) {
  const { state, held, shut, question, shortfall } = store(
    useShallow((s) => ({
      shortfall: shortfallOf(s, index),
      state: s.states.zones[index] ?? 'rest',
      held: s.held,
      shut: s.shut.has(index),
      question: s.view.question,
    })),
  );
  const look = zone.look === null ? undefined : question.looks[zone.look];
  const source = store.getState();
  const name = zoneName(source, index);
  return (
    <ZoneBed
      zone={{ ...zone, shape, rotation }}
      scale={scale}
      look={look}
      state={state}
      extra={{
        'data-zone-index': index,
        'data-shut': shut || undefined,
        'data-lacks': shortfall === 'lacks' || undefined,
      }}
    >
      {shortfall && (
        <span className={shortfall === 'lacks' ? 'bed-lacks' : 'sr-only'}>
          <span className="sr-only">{phrase('player.zoneIs', { zone: name, how: shortfallInWords(shortfall) })}</span>
          {shortfall === 'lacks' && <span aria-hidden>…</span>}
        </span>
      )}
      {total !== null && (
        <output className="bed-total figures" aria-label={phrase('player.addsUpTo', { zone: name })}>
          {total}
        </output>
      )}
      {zone.typed && <TypedPart store={store} index={index} locked={locked} />}
      {zone.lid && shut && (
        <span className="bed-lid" aria-hidden>
          {zone.lid.label}
          {question.show.count && inside > 0 ? ` · ${phrase('player.inside', { n: inside })}` : ''}
        </span>
      )}
      {held !== null && placesFor(source, held).includes(index) && (
        <button
          type="button"
          className="put-here"
          onClick={() => onPut(index)}
          aria-label={phrase('player.putInto', { item: itemName(source, itemOf(held)), zone: name })}
        />
      )}
      {zone.lid && (
        <button
          type="button"
          className="bed-lid-turn"
          aria-expanded={!shut}
          onClick={() => store.getState().turnLid(index)}
        >
          {phrase(shut ? 'player.openLid' : 'player.shutLid')}{' '}
          <span className="sr-only">{zone.lid.label || phrase('player.lidOf', { zone: name })}</span>
        </button>
      )}
    </ZoneBed>
  );
});
