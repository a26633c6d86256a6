import { Circle, Film, Image, Plus, Square, Type, Volume2 } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import type { Fixture, MediaId } from '../../../core';
import { mediumUrl } from '../../shared/ownMedia';
import { addNextZone, addThings } from '../commands/arranging';
import { MediaDialog } from '../media/MediaDialog';
import type { BenchStore } from '../store';
import { itemsNamed, mediumFixture, type ShownKind, shapeFixture, textFixture } from './makings';

/** New zones, items and fixtures. */
export function Adding({ store }: { store: BenchStore }) {
  const [words, setWords] = useState('');
  const [choosing, setChoosing] = useState<ShownKind | null>(null);

  const addItems = (event: FormEvent) => {
    event.preventDefault();
    const labels = words
      .split(/[\n\t]/)
      .map((w) => w.trim())
      .filter(Boolean);
    if (labels.length === 0) return;
    const items = itemsNamed(store.getState().question, labels);
    addThings(store, 'items', items, `${items.length} items made`);
    setWords('');
  };
  const addFixture = (fixture: Fixture) => addThings(store, 'fixtures', [fixture], 'Made');
  const addMedium = async (kind: ShownKind, id: MediaId) => {
    setChoosing(null);
    const medium = store.getState().question.media[id];
    const natural = kind === 'picture' && medium ? await naturalSize(mediumUrl(medium.hash)) : null;
    addFixture(mediumFixture(store.getState().question, kind, id, natural));
  };
  const question = () => store.getState().question;
  return (
    <div className="border-b border-rule py-2">
      <div className="flex flex-wrap gap-1">
        <button type="button" className="btn btn-edge btn-sm" onClick={() => addNextZone(store)}>
          <Plus size={16} aria-hidden /> Add a zone
        </button>
        {(
          [
            ['Text', Type, () => addFixture(textFixture(question()))],
            ['Picture', Image, () => setChoosing('picture')],
            ['Box', Square, () => addFixture(shapeFixture(question(), 'rect'))],
            ['Oval', Circle, () => addFixture(shapeFixture(question(), 'ellipse'))],
            ['Sound', Volume2, () => setChoosing('sound')],
            ['Film', Film, () => setChoosing('film')],
          ] as const
        ).map(([name, Icon, make]) => (
          <button
            key={name}
            type="button"
            className="btn btn-quiet btn-sm px-2"
            onClick={make}
            title={`Add a fixture: ${name.toLowerCase()}`}
          >
            <Icon size={15} aria-hidden /> {name}
          </button>
        ))}
      </div>
      <form onSubmit={addItems} className="mt-2">
        <label htmlFor="new-items" className="font-semibold">
          Add items
        </label>
        <span id="new-items-hint" className="text-sm text-mute ml-2">
          one a line; a list can be pasted
        </span>
        <div className="flex gap-2 items-end mt-1">
          <textarea
            id="new-items"
            aria-describedby="new-items-hint"
            rows={2}
            className="textarea w-full min-h-0"
            value={words}
            onChange={(event) => setWords(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
                event.stopPropagation();
                addItems(event);
              }
            }}
          />
          <button type="submit" className="btn btn-edge btn-sm whitespace-nowrap" disabled={words.trim() === ''}>
            <Plus size={16} aria-hidden /> Add them
          </button>
        </div>
      </form>
      {choosing && (
        <MediaDialog
          store={store}
          kind={choosing}
          onClose={() => setChoosing(null)}
          onChoose={(id) => void addMedium(choosing, id)}
        />
      )}
    </div>
  );
}

/** The size of a picture in its own pixels; null: it has none, or cannot be loaded. */
export function naturalSize(url: string): Promise<{ w: number; h: number } | null> {
  return new Promise((resolve) => {
    const image = new globalThis.Image();
    image.onload = () => resolve(image.naturalWidth > 0 ? { w: image.naturalWidth, h: image.naturalHeight } : null);
    image.onerror = () => resolve(null);
    image.src = url;
  });
}
