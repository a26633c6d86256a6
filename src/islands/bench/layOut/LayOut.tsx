import { Plus, Trash2 } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import { addItems, addZone, type Item, type ItemId, type Question, setItem, setZone, type Zone, type ZoneId } from '../../core';
import { freshId, newItem, newZone } from '../../core/document';
import type { BenchStore } from './store';
import { Typed } from './Typed';
import { removeSelected } from './useShortcuts';

/** Adding zones and items, and naming or deleting what is selected. */
export function LayOut({ store }: { store: BenchStore }) {
  const { question, selection } = store();
  const [words, setWords] = useState('');
  const chosen = [...question.zones, ...question.items].filter(({ id }) => selection.has(id));

  const add = (event: FormEvent) => {
    event.preventDefault();
    const labels = words
      .split(/[\n\t]/)
      .map((w) => w.trim())
      .filter(Boolean);
    if (labels.length === 0) return;
    const items = itemsNamed(question, labels);
    store.getState().do(addItems(question, items));
    store.getState().select(items.map(({ id }) => id));
    setWords('');
  };
  const zone = () => {
    const made = zoneFor(question);
    store.getState().do(addZone(question, made));
    store.getState().select([made.id]);
  };

  return (
    <>
      <h2 className="text-lg">
        Lay out <span className="font-sans font-normal text-base text-mute">what is on the scene</span>
      </h2>
      <div className="border-b border-rule py-3">
        <button type="button" className="btn btn-edge btn-sm" onClick={zone}>
          <Plus size={16} aria-hidden /> Add a zone
        </button>
      </div>
      <form onSubmit={add} className="border-b border-rule py-3">
        <label htmlFor="new-items" className="font-semibold">
          Add items
        </label>
        <p id="new-items-hint" className="text-sm text-mute mb-1">
          One a line; a list can be pasted.
        </p>
        <textarea
          id="new-items"
          aria-describedby="new-items-hint"
          rows={3}
          className="textarea w-full"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) add(event);
          }}
        />
        <button type="submit" className="btn btn-edge btn-sm mt-2" disabled={words.trim() === ''}>
          <Plus size={16} aria-hidden /> Add them
        </button>
      </form>
      <div className="py-3">
        <h3 className="font-semibold">Selected</h3>
        {chosen.length === 0 && <p className="text-mute">Nothing. Press something on the scene, or a row of the Ledger.</p>}
        {chosen.length === 1 && chosen[0] && (
          <div className="mt-1">
            <span className="text-sm text-mute" aria-hidden>
              Name
            </span>
            <Typed label="Name of what is selected" className="input w-full" value={chosen[0].label} onTyped={(label) => rename(store, (chosen[0] as Item | Zone).id, label)} />
          </div>
        )}
        {chosen.length > 1 && <p>{chosen.length} things</p>}
        {chosen.length > 0 && (
          <>
            <button type="button" className="btn btn-quiet btn-sm text-brick mt-2" onClick={() => removeSelected(store)}>
              <Trash2 size={15} aria-hidden /> Delete {chosen.length === 1 ? 'it' : 'them'}
            </button>
            <p className="text-sm text-mute mt-2">On the scene, arrow keys move by 1, with Shift by 10. Hold Alt while pulling to leave the guides out.</p>
          </>
        )}
      </div>
    </>
  );
}

/** Gives an item or a zone another name, as one step. */
export function rename(store: BenchStore, id: string, label: string): void {
  const { question } = store.getState();
  const isItem = question.items.some((item) => item.id === id);
  store.getState().do(isItem ? setItem(question, id as ItemId, 'label', label) : setZone(question, id as ZoneId, 'label', label));
}

function itemsNamed(question: Question, labels: readonly string[]): Item[] {
  const taken = new Set<string>(question.items.map(({ id }) => id));
  const like = question.items.at(-1)?.size;
  return labels.map((label) => {
    const id = freshId('item', taken) as ItemId;
    taken.add(id);
    return newItem({ id, label: label.slice(0, 2000), ...(like ? { size: { ...like } } : {}) });
  });
}

/** A place for another zone: the two halves of the scene first, then stepped down over them. */
function zoneFor(question: Question): Zone {
  const { width, height } = question.scene;
  const below = question.tray?.side === 'bottom' ? question.tray.size : 0;
  const n = question.zones.length;
  const id = freshId('zone', new Set<string>(question.zones.map((z) => z.id))) as ZoneId;
  const half = { y: 42, w: Math.round(width / 2 - 44), h: Math.round(Math.max(60, height - below - 72)) };
  const shape =
    n < 2
      ? { type: 'rect' as const, x: n === 0 ? 29 : Math.round(width / 2 + 15), ...half }
      : { type: 'rect' as const, x: 60 + 24 * (n % 12), y: 60 + 18 * (n % 12), w: 240, h: 160 };
  return newZone({ id, label: `Zone ${n + 1}`, shape });
}
