import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { drawnFrom, FROM_TEXT, type FromText as Kind, type Layout, type WordPicture } from '../../../core/kinds';
import { api } from '../../../ui/api';
import { Choice } from '../../../ui/Choice';
import { Dialog } from '../../../ui/Dialog';
import { KIND_NAMES } from '../../shared/kindNames';
import { HeadingBox, PastedPreview } from '../../shared/PastedPreview';
import { usePasted } from '../../shared/usePasted';
import type { BenchStore } from '../store';
import { becomePasted, LAYOUT_OPTIONS } from './become';

const HOW: Readonly<Record<Kind, string>> = {
  sort: 'Groups as headings with their entries under them, or two columns: entry and group. Under “None” stands what belongs nowhere.',
  order: 'One entry a line, in the right order.',
  gaps: 'A text, or two columns: a sentence and the word to be lifted out of it.',
  pick: 'One choice a line, with a star before those that are right; or “right” and “wrong” in a second column. Else the first is right.',
  label: 'Two columns: a place and its name; or names alone.',
};
const isProposable = (kind: string): kind is Kind => (FROM_TEXT as readonly string[]).includes(kind);

/** A stock list taken whole, or so many of its lines drawn by a seed. */
function FromStock({ onTake }: { onTake: (text: string, pictures: readonly WordPicture[]) => void }) {
  const lists = useQuery({ queryKey: ['stock lists'], queryFn: () => api('GET /api/lists') });
  const [chosen, setChosen] = useState('');
  const [few, setFew] = useState('');
  const [seed, setSeed] = useState(1);
  const all = lists.data?.ok ? lists.data.value : [];
  if (all.length === 0) return null;
  const take = (id: string, count: string, draw: number) => {
    const list = all.find((candidate) => candidate.id === id);
    if (!list) return;
    const n = Number(count);
    const rows =
      count.trim() !== '' && Number.isInteger(n) && n > 0 ? drawnFrom(list.rows, n, `${list.id} ${draw}`) : list.rows;
    onTake(rows.map((cells) => cells.join('\t')).join('\n'), list.pictures);
  };
  return (
    <div className="flex flex-wrap items-center gap-2 mt-2">
      <select
        aria-label="Stock list"
        className="select select-sm w-64"
        value={chosen}
        onChange={({ target }) => {
          setChosen(target.value);
          take(target.value, few, seed);
        }}
      >
        <option value="">from a stock list…</option>
        {all.map(({ id, title, rows }) => (
          <option key={id} value={id}>
            {title} ({rows.length})
          </option>
        ))}
      </select>
      {chosen !== '' && (
        <>
          <label className="flex items-center gap-2">
            draw
            <input
              aria-label="How many to draw"
              inputMode="numeric"
              placeholder="all"
              className="input input-sm figures w-16"
              value={few}
              onChange={({ target }) => {
                setFew(target.value);
                take(chosen, target.value, seed);
              }}
            />
          </label>
          <button
            type="button"
            className="btn btn-edge btn-sm"
            disabled={few.trim() === ''}
            onClick={() => {
              setSeed(seed + 1);
              take(chosen, few, seed + 1);
            }}
          >
            Draw others
          </button>
          <span className="figures text-sm text-mute">draw {seed}</span>
        </>
      )}
    </div>
  );
}

/** Makes a question from a pasted list, table or text: a proposal with a preview, to be accepted. */
export function FromText({ store, onClose }: { store: BenchStore; onClose: () => void }) {
  const question = store((s) => s.question);
  const { pasted, made, set } = usePasted(question, isProposable(question.kind) ? question.kind : null);
  const kind = pasted.kind ?? made?.kind ?? 'sort';
  const replaces = question.items.length + question.zones.length > 0;
  const take = () => {
    const proposed = made?.proposed;
    if (!proposed?.ok) return;
    becomePasted(store, proposed.question);
    onClose();
  };
  return (
    <Dialog title="From a list or text" onClose={onClose} wide>
      <Choice
        label="Kind"
        options={FROM_TEXT.map((one) => [one, KIND_NAMES[one]] as const)}
        value={kind}
        onChoose={(chosen) => set({ kind: chosen })}
      />
      <FromStock onTake={(text, pictures) => set({ text, pictures })} />
      <label htmlFor="from-text" className="sr-only">
        List, table or text
      </label>
      <textarea
        id="from-text"
        data-autofocus
        rows={6}
        className="textarea w-full mt-2"
        aria-describedby="from-text-how"
        value={pasted.text}
        onChange={(event) => set({ text: event.target.value })}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) take();
        }}
      />
      <p id="from-text-how" className="text-sm text-mute">
        {HOW[kind]}
      </p>
      <HeadingBox made={made} onChange={(headed) => set({ headed })} />
      {kind !== 'gaps' && (
        <Choice<Layout | 'suited'>
          label="Layout"
          options={[['suited', 'as suits it'], ...LAYOUT_OPTIONS]}
          value={pasted.layout ?? 'suited'}
          onChoose={(layout) => set({ layout: layout === 'suited' ? null : layout })}
        />
      )}
      <div className="mt-2">
        <PastedPreview made={made} height={190} />
      </div>
      <div className="flex items-center justify-end gap-2 mt-3">
        {replaces && (
          <p className="text-sm text-mute grow">
            It takes the place of the items, zones and key that are there. Undo brings them back.
          </p>
        )}
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          Cancel
        </button>
        <button type="button" className="btn btn-primary" onClick={take} disabled={!made?.proposed.ok}>
          Take it
        </button>
      </div>
    </Dialog>
  );
}
