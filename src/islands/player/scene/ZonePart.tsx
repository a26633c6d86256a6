import { memo } from 'react';
import { type Board, itemOf, type LearnerQuestion, type Shape } from '../../../core';
import { ZoneBed } from '../../../scene/ZoneBed';
import { totalIn } from '../shown';
import { placesFor } from '../states';
import type { PlayerStore } from '../store';
import { itemName, zoneName } from '../words';

interface Props {
  store: PlayerStore;
  index: number;
  zone: LearnerQuestion['zones'][number];
  /** Where it stands now: a riding zone is moved with its carrier. */
  shape: Shape;
  rotation: number;
  board: Board;
  scale: number;
  onPut: (zone: number) => void;
}

/** A zone as the learner meets it: its bed, its lid, the sum in it, and the place to press while something is held. */
export const ZonePart = memo(function ZonePart({ store, index, zone, shape, rotation, board, scale, onPut }: Props) {
  const state = store((s) => s.states.zones[index] ?? 'rest');
  const held = store((s) => s.held);
  const shut = store((s) => s.shut.has(index));
  const question = store((s) => s.view.question);
  const look = zone.look === null ? undefined : question.looks[zone.look];
  const source = store.getState();
  const name = zoneName(source, index);
  const inside = board.zones[index] ?? [];
  const total = totalIn(question, board, index);
  return (
    <ZoneBed zone={{ ...zone, shape, rotation }} scale={scale} look={look} state={state} extra={{ 'data-zone-index': index, 'data-shut': shut || undefined }}>
      {total !== null && (
        <output className="bed-total figures" aria-label={`${name} adds up to`}>
          {total}
        </output>
      )}
      {zone.lid && shut && (
        <span className="bed-lid" aria-hidden>
          {zone.lid.label}
          {question.show.count && inside.length > 0 ? ` · ${inside.length} inside` : ''}
        </span>
      )}
      {held !== null && placesFor(source, held).includes(index) && (
        <button type="button" className="put-here" onClick={() => onPut(index)} aria-label={`Put ${itemName(source, itemOf(held))} into ${name}`} />
      )}
      {zone.lid && (
        <button type="button" className="bed-lid-turn" aria-expanded={!shut} onClick={() => store.getState().turnLid(index)}>
          {shut ? 'Open' : 'Shut'} <span className="sr-only">{zone.lid.label || `the lid of ${name}`}</span>
        </button>
      )}
    </ZoneBed>
  );
});
