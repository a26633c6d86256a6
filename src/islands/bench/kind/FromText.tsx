import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useState } from 'react';
import { questionModel } from '../../../core';
import {
  drawnFrom,
  FROM_TEXT,
  type FromText as Kind,
  type Layout,
  propose,
  readListing,
  type WordPicture,
  withPictures,
} from '../../../core/kinds';
import { MediaFrom, Sketch } from '../../../scene';
import { Alert } from '../../../ui/Alert';
import { api } from '../../../ui/api';
import { Dialog } from '../../../ui/Dialog';
import { KIND_NAMES } from '../../shared/kindNames';
import { benchMedia } from '../../shared/ownMedia';
import { Choice } from '../parts/Choice';
import type { BenchStore } from '../store';
import { become, LAYOUT_OPTIONS } from './become';

const HOW: Readonly<Record<Kind, string>> = {
  sort: 'Groups as headings with their entries under them, or two columns: entry and group. Under “None” stands what belongs nowhere.',
  order: 'One entry a line, in the right order.',
  gaps: 'A text, or two columns: a sentence and the word to be lifted out of it.',
  pick: 'One choice a line. Beside each, in a second column, “right” or “wrong”; else the first is right.',
  label: 'Two columns: a place and its name; or names alone.',
};
const count = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;
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
  const [kind, setKind] = useState<Kind>(isProposable(question.kind) ? question.kind : 'sort');
  const [layout, setLayout] = useState<Layout | null>(null);
  const [text, setText] = useState('');
  const settled = useDeferredValue(text);
  const [pictures, setPictures] = useState<readonly WordPicture[]>([]);
  const proposed = useMemo(() => {
    if (settled.trim() === '') return null;
    const made = propose(question, kind, readListing(settled), layout);
    return made.ok ? { ...made, question: withPictures(made.question, pictures, layout) } : made;
  }, [question, kind, settled, layout, pictures]);
  const replaces = question.items.length + question.zones.length > 0;
  const take = () => {
    if (!proposed?.ok) return;
    const { items, zones } = proposed.question;
    become(store, () => proposed.question, `${KIND_NAMES[kind]} with ${items.length} items and ${zones.length} zones`);
    onClose();
  };
  return (
    <Dialog title="From a list or text" onClose={onClose} wide>
      <Choice
        label="Kind"
        options={FROM_TEXT.map((one) => [one, KIND_NAMES[one]] as const)}
        value={kind}
        onChoose={setKind}
      />
      <FromStock
        onTake={(words, ofWords) => {
          setText(words);
          setPictures(ofWords);
        }}
      />
      <label htmlFor="from-text" className="sr-only">
        List, table or text
      </label>
      <textarea
        id="from-text"
        data-autofocus
        rows={7}
        className="textarea w-full mt-2"
        aria-describedby="from-text-how"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) take();
        }}
      />
      <p id="from-text-how" className="text-sm text-mute mb-2">
        {HOW[kind]}
      </p>
      {kind !== 'gaps' && <Choice label="Layout" options={LAYOUT_OPTIONS} value={layout} onChoose={setLayout} />}
      <div
        className="min-h-64 mt-3 grid place-items-center bg-paper border border-rule p-2 overflow-auto"
        aria-live="polite"
      >
        {!proposed && <p className="text-mute">Paste above; what would be made of it stands here.</p>}
        {proposed && !proposed.ok && <Alert tone="notice">{proposed.message}</Alert>}
        {proposed?.ok && (
          <figure>
            <MediaFrom source={benchMedia(proposed.question.media)}>
              <Sketch
                question={proposed.question}
                width={Math.min(
                  560,
                  Math.round((300 * proposed.question.scene.width) / proposed.question.scene.height),
                )}
              />
            </MediaFrom>
            <figcaption className="figures text-sm text-mute text-center mt-1">
              {count(proposed.question.items.length, 'item')} · {count(proposed.question.zones.length, 'zone')} ·{' '}
              {questionModel(proposed.question).entries.length} keyed
            </figcaption>
          </figure>
        )}
      </div>
      <div className="flex items-center justify-end gap-2 mt-4">
        {replaces && (
          <p className="text-sm text-mute grow">
            It takes the place of the items, zones and key that are there. Undo brings them back.
          </p>
        )}
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          Cancel
        </button>
        <button type="button" className="btn btn-primary" onClick={take} disabled={!proposed?.ok}>
          Take it
        </button>
      </div>
    </Dialog>
  );
}
